// One file that holds a whole database, and back: gzip of a line that says what it is, then the statements of MariaDB's
// own dump.
import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  fsyncSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  statfsSync,
} from 'node:fs'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { dataFolder, program, url, useDatabaseNamed } from './db.mjs'
import { aboutPlace, Halt } from './halt.mjs'
import { migrationState, NEWER, onDatabase, runMigrations } from './migrate.mjs'

const FORMAT = 1
const MARK = '-- jolvet-backup '
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
/** Backups made by themselves that are kept; older ones go. */
const KEPT = 10
export const backupFolder = path.join(dataFolder, 'backups')

const secret = ({ password }) => ({ ...process.env, MYSQL_PWD: password })
const login = ({ host, port, user }) => [
  '--no-defaults',
  `--host=${host}`,
  `--port=${port}`,
  `--user=${user}`,
  '--protocol=tcp',
  '--default-character-set=utf8mb4',
]

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

/** Rows of what a person would miss, by table; nothing where a table is not there. */
export const countRows = (connection) =>
  onDatabase(url(connection), async (open) => {
    const counts = {}
    for (const table of Object.keys(COUNTED))
      counts[table] = await open.query(`select count(*) n from \`${table}\``).then(
        ([[row]]) => Number(row.n),
        () => 0,
      )
    return counts
  })
export const inWords = (counts) =>
  Object.entries(COUNTED)
    .map(([table, words]) => `${counts[table] ?? 0} ${words}`)
    .join(', ')

const NO_TABLE = 1146
/**
 * The logs of all jobs in one figure: how many acts, and SHA-256 of the hash that each log ends with, a line each by the
 * id of its job. null before there were logs.
 */
export const logsOf = (connection) =>
  onDatabase(url(connection), async (open) => {
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
  })

const stamp = () => new Date().toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)
export const newBackupPath = (why = 'backup') => path.join(backupFolder, `${why}-${stamp()}.jolvet.sql.gz`)

const syncFile = (file) => {
  const fd = openSync(file, 'r')
  fsyncSync(fd)
  closeSync(fd)
}

/** Writes a database to one file, whole or not at all. Gives what it holds. */
export async function backUp(connection, file) {
  const [plain, part] = [`${file}.sql-part`, `${file}.part`]
  try {
    mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
    const rows = await countRows(connection)
    const logs = await logsOf(connection)
    const { done } = await migrationState(url(connection))
    const hash = createHash('sha256')
    const dump = spawn(
      program('mariadb-dump'),
      [
        ...login(connection),
        '--single-transaction',
        '--skip-dump-date',
        '--hex-blob',
        '--no-tablespaces',
        '--skip-lock-tables',
        connection.database,
      ],
      { env: secret(connection), stdio: ['ignore', 'pipe', 'pipe'] },
    )
    let complaint = ''
    dump.stderr.on('data', (text) => {
      complaint += text
    })
    const ended = new Promise((resolve) => dump.once('close', resolve))
    dump.once('error', (error) => {
      complaint = error.message
    })
    await pipeline(
      dump.stdout,
      async function* (source) {
        for await (const chunk of source) {
          hash.update(chunk)
          yield chunk
        }
      },
      createWriteStream(plain, { mode: 0o600 }),
    )
    if ((await ended) !== 0)
      throw new Halt(`The database could not be read out: ${complaint.trim().split('\n').at(-1)}`)
    const head = {
      format: FORMAT,
      at: new Date().toISOString(),
      migrations: done,
      bytes: statSync(plain).size,
      sha256: hash.digest('hex'),
      rows,
      logs,
    }
    await pipeline(
      Readable.from(
        (async function* () {
          yield `${MARK}${JSON.stringify(head)}\n`
          yield* createReadStream(plain)
        })(),
      ),
      createGzip(),
      createWriteStream(part, { mode: 0o600 }),
    )
    syncFile(part)
    renameSync(part, file)
    return head
  } catch (error) {
    throw aboutPlace(error, path.dirname(file))
  } finally {
    rmSync(plain, { force: true })
    rmSync(part, { force: true })
  }
}

/** A backup taken by itself before something that could go wrong; the oldest of its kind go. */
export async function backUpBefore(connection, what) {
  const file = newBackupPath(`before-${what}`)
  await backUp(connection, file)
  const own = readdirSync(backupFolder)
    .filter((name) => name.startsWith('before-'))
    .map((name) => path.join(backupFolder, name))
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)
  for (const old of own.slice(KEPT)) rmSync(old)
  return file
}

/**
 * Unpacks a backup and checks it to the last byte. Gives its head and the file of statements. Halts naming what is
 * wrong.
 */
export async function readBackup(file, plain) {
  if (!existsSync(file) || !statSync(file).isFile())
    throw new Halt(
      `There is no file ${file}.${
        existsSync(backupFolder)
          ? ` Backups made here: ${
              readdirSync(backupFolder)
                .filter((name) => name.endsWith('.gz'))
                .join(', ') || 'none'
            }.`
          : ''
      }`,
    )
  const hash = createHash('sha256')
  let line = Buffer.alloc(0)
  let head
  let bytes = 0
  try {
    await pipeline(
      createReadStream(file),
      createGunzip(),
      async function* (source) {
        for await (const chunk of source) {
          let rest = chunk
          if (!head) {
            line = Buffer.concat([line, chunk])
            const end = line.indexOf('\n')
            if (end < 0 && line.length < 4096) continue
            const first = line.subarray(0, Math.max(0, end)).toString('utf8')
            if (!first.startsWith(MARK))
              throw new Halt(`${file} is not a backup of Jolvet: its first line does not say so.`)
            head = JSON.parse(first.slice(MARK.length))
            rest = line.subarray(end + 1)
          }
          hash.update(rest)
          bytes += rest.length
          yield rest
        }
      },
      createWriteStream(plain, { mode: 0o600 }),
    )
  } catch (error) {
    if (error instanceof Halt) throw error
    if (error.code === 'ENOSPC') throw aboutPlace(error, path.dirname(plain))
    throw new Halt(
      error.code === 'Z_BUF_ERROR'
        ? `${file} ends too early: it was not copied whole. Nothing was changed.`
        : `${file} is damaged or no backup of Jolvet. Nothing was changed.`,
    )
  }
  if (!head) throw new Halt(`${file} is not a backup of Jolvet: it is empty.`)
  if (head.format > FORMAT) throw new Halt(`${file} was made by a newer Jolvet. Update Jolvet and run this again.`)
  if (bytes !== head.bytes || hash.digest('hex') !== head.sha256)
    throw new Halt(`${file} is damaged: what it holds is not what was put in. Nothing was changed.`)
  return head
}

/**
 * Loads a backup beside the database in use and brings it to this version's tables; the one in use is not touched.
 * Gives a connection to it.
 */
export async function loadBeside(connection, file) {
  const plain = path.join(dataFolder, `restore-${process.pid}.sql`)
  try {
    const head = await readBackup(file, plain)
    const { bavail, bsize } = statfsSync(dataFolder)
    if (bavail * bsize < head.bytes * 2)
      throw new Halt(
        `Restoring needs ${Math.ceil((head.bytes * 2) / 1e6)} MB where the data lies (${dataFolder}); ${Math.floor((bavail * bsize) / 1e6)} MB are free. Nothing was changed.`,
      )
    const beside = { ...connection, database: `jolvet_${stamp().replace('-', '_')}_${process.pid}` }
    await onDatabase(url(connection), (open) =>
      open.query(`create database \`${beside.database}\` character set utf8mb4 collate utf8mb4_unicode_ci`),
    )
    try {
      const input = openSync(plain, 'r')
      execFileSync(program('mariadb'), [...login(connection), beside.database], {
        env: secret(connection),
        stdio: [input, 'ignore', 'pipe'],
      })
      closeSync(input)
      if ((await migrationState(url(beside))).isNewer) throw new Halt(NEWER)
      await runMigrations(url(beside))
    } catch (error) {
      await dropDatabase(connection, beside.database)
      throw error instanceof Halt
        ? error
        : new Halt(
            `${file} could not be loaded: ${String(error.stderr ?? error.message)
              .trim()
              .split('\n')
              .at(-1)}. Nothing was changed.`,
          )
    }
    return { connection: beside, head }
  } catch (error) {
    throw aboutPlace(error, dataFolder)
  } finally {
    rmSync(plain, { force: true })
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
