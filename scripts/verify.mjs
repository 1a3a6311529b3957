// npm run verify [-- FILE...]: whether the log of every job is whole, and goes on from the registers and logs that were
// given out. Runs while Jolvet does, or not.
import path from 'node:path'
import { url } from './db.mjs'
import { tell } from './halt.mjs'
import { ensureModules, root, tsx } from './setup.mjs'

const files = process.argv.slice(2).map((file) => path.resolve(file))
process.chdir(root)
/** What is wrong is said there; here it only makes the end one that failed. */
function verify(env) {
  try {
    tsx('scripts/verify.ts', files, env)
  } catch {
    process.exitCode = 1
  }
}
try {
  ensureModules()
  const { withDatabase } = await import('./prepare.mjs')
  await withDatabase((connection) => verify({ DATABASE_URL: url(connection) }))
} catch (error) {
  tell(error)
  process.exitCode = 1
}
