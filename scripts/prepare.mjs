// The private database, running and brought to this version's tables; shared by start, demo, backup and restore.
import { existsSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import { backUpBefore, connectionOf, countRows, dropDatabase, loadBeside, openBackup, switchTo } from './archive.mjs'
import { dataFolder, isRunning, start, stop, url, writeWhole } from './db.mjs'
import { Halt } from './halt.mjs'
import { migrationState, NEWER, onDatabase, runMigrations } from './migrate.mjs'
import { ensureMariadb, say } from './setup.mjs'

/**
 * There while tables are being changed: MariaDB cannot take such a change back, so one that was cut off is undone from
 * its backup.
 */
const marker = path.join(dataFolder, 'mariadb/changing-tables.json')

async function goBack(connection) {
  const { backup } = JSON.parse(readFileSync(marker, 'utf8'))
  say('the last change of the tables was cut off; going back to before it')
  if (backup) {
    const beside = (await loadBeside(connection, backup, await openBackup(backup))).connection
    await switchTo(beside, connection)
    rmSync(marker)
    return beside
  }
  await dropDatabase(connection, connection.database)
  await onDatabase(url({ ...connection, database: '' }), (open) =>
    open.query(`create database \`${connection.database}\` character set utf8mb4 collate utf8mb4_unicode_ci`),
  )
  rmSync(marker)
  return connection
}

/** Brings the tables up to this version; what was there is backed up first. */
async function bringUp(connection) {
  const state = await migrationState(url(connection))
  if (state.isNewer) throw new Halt(NEWER)
  if (state.pending === 0) return
  const isWorthKeeping = !state.isEmpty && Object.values(await countRows(connection)).some((n) => n > 0)
  const backup = isWorthKeeping ? await backUpBefore(connection, 'update') : null
  if (backup) say(`tables of an earlier version: backed up to ${path.relative(process.cwd(), backup)}, then changed`)
  writeWhole(marker, JSON.stringify({ backup }))
  await runMigrations(url(connection))
  rmSync(marker)
}

/**
 * A connection to the private database; `mine` where it was not running before. What was started is stopped again where
 * its tables cannot be brought up, and ends with this process, however that ends.
 */
export async function openDatabase() {
  ensureMariadb()
  const mine = !isRunning()
  try {
    let connection = await start({ isTied: true })
    if (existsSync(marker)) connection = await goBack(connection)
    await bringUp(connection)
    return { connection, mine }
  } catch (error) {
    if (mine) await stop()
    throw error
  }
}

/** Work on the database of this folder, or on that of `DATABASE_URL`; what was started for it is stopped again. */
export async function withDatabase(work) {
  if (process.env.DATABASE_URL) return work(connectionOf(process.env.DATABASE_URL))
  const { connection, mine } = await openDatabase()
  try {
    return await work(connection)
  } finally {
    if (mine) await stop()
  }
}
