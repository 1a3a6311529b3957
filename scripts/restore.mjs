// npm run restore -- FILE [--yes] [--trust KEY]: puts a backup in the place of the database, once it was checked and
// loaded beside it; with DATABASE_URL, into that database where it is empty.
import path from 'node:path'
import { createInterface } from 'node:readline/promises'
import { parseArgs } from 'node:util'
import { url } from './db.mjs'
import { Halt, tell } from './halt.mjs'
import { refuseWhileRunning } from './lock.mjs'
import { ensureModules, root } from './setup.mjs'

process.chdir(root)

function given() {
  try {
    const { values, positionals } = parseArgs({
      options: { yes: { type: 'boolean' }, trust: { type: 'string' } },
      allowPositionals: true,
    })
    if (positionals.length !== 1) throw new Halt('Which backup? npm run restore -- FILE')
    return { file: path.resolve(positionals[0]), isSure: values.yes, trusted: values.trust }
  } catch (error) {
    throw error instanceof Halt ? error : new Halt(`${error.message}. npm run restore -- FILE [--yes] [--trust KEY]`)
  }
}

/** Asks; where nobody can answer, halts with the option that does. */
async function ask(question, option, what) {
  if (!process.stdin.isTTY) throw new Halt(`${question} Nothing was changed; add ${option} to ${what}.`)
  const line = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await line.question(`${question} Type yes to ${what}: `)
  line.close()
  if (answer.trim().toLowerCase() !== 'yes') throw new Halt('Nothing was changed.')
}

/** Whose backup it is: another server's, or one that nobody signed, is taken only when somebody says so. */
async function checkWhose({ whose, head }, trusted) {
  if (whose === 'own' || trusted === whose) return
  const made = head.at.slice(0, 16)
  const question =
    whose === 'unsigned'
      ? `This backup of ${made} has no signature: it was made before backups were signed, or by somebody else. Take it only from where you know it was kept.`
      : `This backup of ${made} was made by another Jolvet, with the key ${whose}. Take it only if you know whose that is: its start says its key.`
  await ask(question, `--trust ${whose}`, 'take it')
}

/** A database of one's own is filled where nothing is in it yet. */
async function restoreInto(connection, file, opened) {
  const { inWords, countRows, loadInto } = await import('./archive.mjs')
  const { migrationState } = await import('./migrate.mjs')
  if (!(await migrationState(url(connection))).isEmpty)
    throw new Halt('The database of DATABASE_URL is not empty. Name an empty one; nothing was changed.')
  await loadInto(connection, file, opened)
  console.log(`Restored: ${inWords(await countRows(connection))}, as of ${opened.head.at.slice(0, 16)}.`)
}

async function restoreInPlace(connection, file, opened, isSure) {
  const { backUpBefore, countRows, dropDatabase, inWords, loadBeside, switchTo } = await import('./archive.mjs')
  const here = await countRows(connection)
  const beside = (await loadBeside(connection, file, opened)).connection
  const there = await countRows(beside)
  const made = opened.head.at.slice(0, 16)
  try {
    if (!isSure && Object.keys(here).some((table) => here[table] > there[table]))
      await ask(
        `The database here is fuller (${inWords(here)}) than the backup of ${made} (${inWords(there)}).`,
        '--yes',
        'replace it',
      )
  } catch (error) {
    await dropDatabase(connection, beside.database)
    throw error
  }
  const kept = Object.values(here).some((n) => n > 0) ? await backUpBefore(connection, 'restore') : null
  await switchTo(beside, connection)
  console.log(`Restored: ${inWords(there)}, as of ${made}.${kept ? ` What was here before is in ${kept}` : ''}`)
}

try {
  const { file, isSure, trusted } = given()
  if (!process.env.DATABASE_URL) refuseWhileRunning('restore')
  ensureModules()
  const { openBackup } = await import('./archive.mjs')
  const opened = await openBackup(file)
  await checkWhose(opened, trusted)
  const { withDatabase } = await import('./prepare.mjs')
  await withDatabase((connection) =>
    process.env.DATABASE_URL ? restoreInto(connection, file, opened) : restoreInPlace(connection, file, opened, isSure),
  )
} catch (error) {
  tell(error)
  process.exitCode = 1
}
