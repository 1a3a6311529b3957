// npm run demo: puts the demo data back as it was. Starts the private database for it when it is not running.
import { url } from './db.mjs'
import { tell } from './halt.mjs'
import { ensureModules, root, tsx } from './setup.mjs'

process.chdir(root)
try {
  ensureModules()
  const { runMigrations } = await import('./migrate.mjs')
  const { withDatabase } = await import('./prepare.mjs')
  await withDatabase(async (connection) => {
    await runMigrations(url(connection))
    tsx('scripts/demo.ts', ['--replace'], { DATABASE_URL: url(connection) })
  })
} catch (error) {
  tell(error)
  process.exitCode = 1
}
