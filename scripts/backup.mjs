// npm run backup [-- FILE]: the whole database in one file, while Jolvet runs or not.
import path from 'node:path'
import { tell } from './halt.mjs'
import { ensureModules, root } from './setup.mjs'

process.chdir(root)
try {
  ensureModules()
  const { backUp, inWords, newBackupPath } = await import('./archive.mjs')
  const { withDatabase } = await import('./prepare.mjs')
  const file = path.resolve(process.argv[2] ?? newBackupPath())
  const { rows, bytes, logs } = await withDatabase((connection) => backUp(connection, file))
  console.log(`${inWords(rows)} (${(bytes / 1e6).toFixed(1)} MB unpacked) are in ${file}`)
  if (logs) console.log(`Logs: ${logs.acts} acts, head ${logs.head}`)
} catch (error) {
  tell(error)
  process.exitCode = 1
}
