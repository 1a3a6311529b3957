// A whole database in one file, and back: what is written is in backup-file.mjs, the rows in rows.mjs.
import { createHash } from 'node:crypto'
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  statfsSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { bodyOf, linesOf, readHead, writeBackup } from './backup-file.mjs'
import { dataFolder, url, useDatabaseNamed } from './db.mjs'
import { aboutPlace, Halt } from './halt.mjs'
import { isOwnKey, nameOfKey } from './keys.mjs'
import { migrationFolder, migrationState, NEWER, onDatabase, runMigrations } from './migrate.mjs'
import { withOldRows } from './old-backup.mjs'
import { asOfNow, linesFrom, linesInto } from './rows.mjs'

/** What is counted to say what a database holds. */
const COUNTED = {
  jobs: 'jobs',
  finds: 'finds',
  photos: 'photos',
  lines: 'lines',
  cuts: 'cut sheets',
  offcuts: 'offcuts',
  joints: 'joints',
  signoffs: 'sign-offs',
  looks: 'looks',
}
/** Backups made by themselves that are kept of a kind; older ones go. */
const KEPT = { before: 10, nightly: 7 }
export const backupFolder = path.join(dataFolder, 'backups')

/** The parts of a `mysql://` address. */
export const connectionOf = (address) => {
  const { hostname, port, username, password, pathname } = new URL(address)
  return {
    host: hostname,
    port: Number(port || 3306),
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
    database: pathname.slice(1),
  }
}

async function countIn(open) {
  const counts = {}
  for (const table of Object.keys(COUNTED))
    counts[table] = await open.query(`select count(*) n from \`${table}\``).then(
      ([[row]]) => Number(row.n),
      () => 0,
    )
  return counts
}
/** Rows of what a person would miss, by table; nothing where a table is not there. */
export const countRows = (connection) => onDatabase(url(connection), countIn)
export const inWords = (counts) =>
  Object.entries(COUNTED)
    .map(([table, words]) => `${counts[table] ?? 0} ${words}`)
    .join(', ')

const NO_TABLE = 1146
/**
 * The logs of all jobs in one figure: how many acts, and SHA-256 of the hash that each log ends with, a line each by the
 * id of its job. null before there were logs.
 */
async function logsIn(open) {
  const [ends] = await open
    .query(
      'select a.job_id, a.number, a.hash from acts a join (select job_id, max(number) n from acts group by job_id) l on l.job_id = a.job_id and l.n = a.number order by a.job_id',
    )
    .catch((error) => {
      if (error.errno === NO_TABLE) return [null]
      throw error
    })
  if (ends === null) return null
  const lines = ends.map(({ job_id: job, hash }) => `${job} ${hash}\n`).join('')
  return {
    acts: ends.reduce((sum, { number }) => sum + number, 0),
    head: createHash('sha256').update(lines).digest('hex'),
  }
}

const stamp = () => new Date().toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)
export const newBackupPath = (why = 'backup') => path.join(backupFolder, `${why}-${stamp()}.jolvet.gz`)

/** Writes a database as of one moment to one file, whole or not at all. Gives what it holds. */
export async function backUp(connection, file) {
  const { done: migrations } = await migrationState(url(connection))
  return onDatabase(url(connection), async (open) => {
    await asOfNow(open)
    const about = async () => ({
      at: new Date().toISOString(),
      migrations,
      rows: await countIn(open),
      logs: await logsIn(open),
    })
    return writeBackup(file, about, linesFrom(open))
  })
}

/** The backups of a kind, newest first. */
function backupsOf(kind) {
  try {
    return readdirSync(backupFolder)
      .filter((name) => name.startsWith(`${kind}-`) && name.endsWith('.gz'))
      .map((name) => ({ file: path.join(backupFolder, name), at: statSync(path.join(backupFolder, name)).mtimeMs }))
      .sort((a, b) => b.at - a.at)
  } catch {
    return []
  }
}

/** A backup made by itself; the oldest of its kind go. */
async function backUpOf(kind, connection, name) {
  const file = newBackupPath(name)
  await backUp(connection, file)
  for (const { file: old } of backupsOf(kind).slice(KEPT[kind])) rmSync(old)
  return file
}
/** One before something that could go wrong. */
export const backUpBefore = (connection, what) => backUpOf('before', connection, `before-${what}`)
/** One of a night. */
export const backUpNightly = (connection) => backUpOf('nightly', connection, 'nightly')

/** The newest backup of these kinds: its file, and when it was made, ms; null where there is none. */
export const lastBackup = (kinds = ['backup', 'before', 'nightly']) =>
  kinds.flatMap(backupsOf).sort((a, b) => b.at - a.at)[0] ?? null

/** Brings an empty database to the tables of an earlier version: to its first `count` migrations. */
async function migrateTo(connection, count) {
  const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-tables-'))
  try {
    await runMigrations(url(connection), first(count, folder))
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** A copy of our migrations that ends after `count`. */
function first(count, folder) {
  cpSync(migrationFolder, folder, { recursive: true })
  const journal = path.join(folder, 'meta/_journal.json')
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8'))
  if (count < 1) throw new Halt('It says that it was made before there were tables.')
  if (count > entries.length) throw new Halt(NEWER)
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, count) }))
  return folder
}

/** Puts rows into a database that is there and empty, and brings its tables to this version. */
async function fill(connection, migrations, lines) {
  await migrateTo(connection, migrations)
  await onDatabase(url(connection), (open) => linesInto(open, lines))
  await runMigrations(url(connection))
}

/** Reads a backup to its last byte; nothing of it is kept. */
async function checkWhole(file, opened) {
  for await (const chunk of bodyOf(file, opened)) void chunk
}

function checkRoom(head) {
  // There is none yet where the first thing done is to fill a database of one's own.
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
  const { bavail, bsize } = statfsSync(dataFolder)
  if (bavail * bsize < head.bytes * 2)
    throw new Halt(
      `Restoring needs ${Math.ceil((head.bytes * 2) / 1e6)} MB where the data lies (${dataFolder}); ${Math.floor((bavail * bsize) / 1e6)} MB are free. Nothing was changed.`,
    )
}

function whoseIs(key) {
  if (key === null) return 'unsigned'
  return isOwnKey(key) ? 'own' : nameOfKey(key)
}

/**
 * Opens a backup: its head, and whose it is: `own`, or the name of another server's key, or `unsigned` where it was made
 * before they were signed. Halts naming what is wrong.
 */
export async function openBackup(file) {
  const opened = await readHead(file, backupFolder)
  return { ...opened, whose: whoseIs(opened.key) }
}

/** Loads an opened backup into an empty database. Halts in words, and says that nothing was changed. */
export async function loadInto(connection, file, opened) {
  try {
    checkRoom(opened.head)
    await checkWhole(file, opened)
    if (opened.key === null) await withOldRows(file, opened, (migrations, lines) => fill(connection, migrations, lines))
    else await fill(connection, opened.head.migrations, linesOf(file, opened))
  } catch (error) {
    const known = aboutPlace(error, dataFolder)
    const says = known instanceof Halt ? known.message : String(error.message).split('\n')[0]
    throw /Nothing was changed|newer Jolvet|Make room/.test(says)
      ? known
      : new Halt(`${file} could not be loaded: ${says.replace(/\.$/, '')}. Nothing was changed.`)
  }
}

/**
 * Loads a backup beside the database in use and brings it to this version's tables; the one in use is not touched.
 * Gives a connection to it.
 */
export async function loadBeside(connection, file, opened) {
  const beside = { ...connection, database: `jolvet_${stamp().replace('-', '_')}_${process.pid}` }
  await onDatabase(url(connection), (open) =>
    open.query(`create database \`${beside.database}\` character set utf8mb4 collate utf8mb4_unicode_ci`),
  )
  try {
    await loadInto(beside, file, opened)
    return { connection: beside, head: opened.head }
  } catch (error) {
    await dropDatabase(connection, beside.database)
    throw error
  }
}

export const dropDatabase = (connection, name) =>
  onDatabase(url(connection), (open) => open.query(`drop database if exists \`${name}\``))

/**
 * From now on the one beside is in use: one file is renamed, so that a crash leaves one or the other. The old one goes.
 */
export async function switchTo(beside, old, dir) {
  useDatabaseNamed(beside.database, dir)
  await onDatabase(url(beside), (open) => open.query(`drop database if exists \`${old.database}\``))
}
