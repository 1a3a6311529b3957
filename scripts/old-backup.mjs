// A backup that was made before they were signed: statements of MariaDB's own dump.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { bodyOf } from './backup-file.mjs'
import { dataFolder, program, start, stop, url } from './db.mjs'
import { Halt } from './halt.mjs'
import { migrationState, onDatabase } from './migrate.mjs'
import { asOfNow, linesFrom } from './rows.mjs'

/** Statements run by the client's sandbox: no command of the shell, no file of this machine. */
async function runStatements({ host, port, user, password, database }, statements) {
  const client = spawn(
    program('mariadb'),
    [
      '--no-defaults',
      '--sandbox',
      '--local-infile=0',
      `--host=${host}`,
      `--port=${port}`,
      `--user=${user}`,
      '--protocol=tcp',
      '--default-character-set=utf8mb4',
      database,
    ],
    { env: { PATH: process.env.PATH, MYSQL_PWD: password }, stdio: ['pipe', 'ignore', 'pipe'] },
  )
  let complaint = ''
  client.stderr.on('data', (text) => {
    complaint += text
  })
  const ended = new Promise((resolve, reject) => client.once('error', reject).once('close', resolve))
  // Where the client gave up, what it said tells more than the pipe that broke.
  const fed = await pipeline(statements, client.stdin).catch((error) => error)
  if ((await ended) !== 0) throw new Halt(complaint.trim().split('\n').at(-1) || 'its statements do not run')
  if (fed) throw fed
}

/**
 * Work on the rows of such a backup, as of how many migrations they are. Its statements are run in a database server of
 * their own that knows nothing of ours and goes again; only rows come out of it.
 */
export async function withOldRows(file, opened, work) {
  const dir = mkdtempSync(path.join(dataFolder, 'unpacking-'))
  try {
    const scratch = await start({ dir, isTied: true })
    await runStatements(scratch, Readable.from(bodyOf(file, opened)))
    const { done } = await migrationState(url(scratch))
    await onDatabase(url(scratch), async (open) => {
      await asOfNow(open)
      await work(done, linesFrom(open))
    })
  } finally {
    await stop({ dir })
    rmSync(dir, { recursive: true, force: true })
  }
}
