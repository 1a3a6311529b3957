// npm run restore -- FILE [--yes]: puts a backup in the place of the database, once it was checked and loaded beside
// it.
import path from 'node:path'
import { createInterface } from 'node:readline/promises'
import { stop } from './db.mjs'
import { Halt, tell } from './halt.mjs'
import { refuseWhileRunning } from './lock.mjs'
import { ensureModules, root } from './setup.mjs'

process.chdir(root)
const [file] = process.argv.slice(2).filter((word) => !word.startsWith('--'))
const isSure = process.argv.includes('--yes')

async function ask(question) {
  if (isSure) return true
  if (!process.stdin.isTTY) throw new Halt(`${question} Nothing was changed; add --yes to replace it.`)
  const line = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await line.question(`${question} Type yes to replace it: `)
  line.close()
  return answer.trim().toLowerCase() === 'yes'
}

try {
  if (!file) throw new Halt('Which backup? npm run restore -- FILE')
  if (process.env.DATABASE_URL)
    throw new Halt(
      'Restoring is for the database that npm start keeps. Into one of your own, load the file yourself: gunzip -c FILE | mariadb DATABASE',
    )
  refuseWhileRunning('restore')
  ensureModules()
  const { backUpBefore, countRows, dropDatabase, inWords, loadBeside, switchTo } = await import('./archive.mjs')
  const { openDatabase } = await import('./prepare.mjs')
  const { connection, mine } = await openDatabase()
  try {
    const here = await countRows(connection)
    const beside = await loadBeside(connection, path.resolve(file))
    const there = await countRows(beside.connection)
    const isFuller = Object.keys(here).some((table) => here[table] > there[table])
    if (
      isFuller &&
      !(await ask(
        `The database here is fuller (${inWords(here)}) than the backup of ${beside.head.at.slice(0, 16)} (${inWords(there)}).`,
      ).catch(async (error) => {
        await dropDatabase(connection, beside.connection.database)
        throw error
      }))
    ) {
      await dropDatabase(connection, beside.connection.database)
      throw new Halt('Nothing was changed.')
    }
    const kept = Object.values(here).some((n) => n > 0) ? await backUpBefore(connection, 'restore') : null
    await switchTo(beside.connection, connection)
    console.log(
      `Restored: ${inWords(there)}, as of ${beside.head.at.slice(0, 16)}.${kept ? ` What was here before is in ${kept}` : ''}`,
    )
  } finally {
    if (mine) await stop()
  }
} catch (error) {
  tell(error)
  process.exitCode = 1
}
