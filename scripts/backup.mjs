// npm run backup [-- FILE]: the whole database in one file, while Jolvet runs or not.
import path from 'node:path'
import { stop } from './db.mjs'
import { tell } from './halt.mjs'
import { ensureModules, root } from './setup.mjs'

process.chdir(root)
try {
  ensureModules()
  const { backUp, connectionOf, inWords, newBackupPath } = await import('./archive.mjs')
  const { openDatabase } = await import('./prepare.mjs')
  const { connection, mine } = process.env.DATABASE_URL
    ? { connection: connectionOf(process.env.DATABASE_URL), mine: false }
    : await openDatabase()
  const file = path.resolve(process.argv[2] ?? newBackupPath())
  const { rows, bytes, logs } = await backUp(connection, file)
  console.log(`${inWords(rows)} (${(bytes / 1e6).toFixed(1)} MB unpacked) are in ${file}`)
  if (logs) console.log(`Logs: ${logs.acts} acts, head ${logs.head}`)
  if (mine) await stop()
} catch (error) {
  tell(error)
  process.exitCode = 1
}
