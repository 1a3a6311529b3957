// npm run demo: puts the demo data back as it was. Starts the private database for it when it is not running.
import { stop, url } from './db.mjs'
import { tell } from './halt.mjs'
import { ensureModules, root, tsx } from './setup.mjs'

process.chdir(root)
try {
  ensureModules()
  if (process.env.DATABASE_URL) {
    const { runMigrations } = await import('./migrate.mjs')
    await runMigrations(process.env.DATABASE_URL)
    tsx('scripts/demo.ts', ['--replace'])
  } else {
    const { openDatabase } = await import('./prepare.mjs')
    const { connection, mine } = await openDatabase()
    tsx('scripts/demo.ts', ['--replace'], { DATABASE_URL: url(connection) })
    if (mine) await stop()
  }
} catch (error) {
  tell(error)
  process.exitCode = 1
}
