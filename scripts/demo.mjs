// npm run demo: puts the demo data back as it was. Starts the private database for it when it is not running.
import { isRunning, start, stop, url } from './db.mjs'
import { ensureMariadb, ensureModules, Halt, root, tsx } from './setup.mjs'

process.chdir(root)
try {
  ensureModules()
  let databaseUrl = process.env.DATABASE_URL
  let mine = false
  if (!databaseUrl) {
    ensureMariadb()
    mine = !isRunning()
    databaseUrl = url(await start())
  }
  const { runMigrations } = await import('./migrate.mjs')
  await runMigrations(databaseUrl)
  tsx('scripts/demo.ts', ['--replace'], { DATABASE_URL: databaseUrl })
  if (mine) await stop()
} catch (error) {
  console.error(error instanceof Halt ? error.message : error)
  process.exitCode = 1
}
