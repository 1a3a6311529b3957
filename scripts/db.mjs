// The private MariaDB: node scripts/db.mjs start|stop|status. Node's own modules only.
import { execFileSync, spawn } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  statfsSync,
  writeFileSync,
} from 'node:fs'
import net from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { aboutPlace, Halt, tell } from './halt.mjs'

export const root = fileURLToPath(new URL('..', import.meta.url))
/** Where everything is kept that is not in the checkout. */
export const dataFolder = path.resolve(root, process.env.JOLVET_DATA ?? '.data')
const PATH = `${process.env.PATH}:/usr/sbin:/usr/local/sbin`
const which = (name) =>
  PATH.split(':')
    .map((folder) => path.join(folder, name))
    .find((file) => existsSync(file))
export const hasMariadb = () => Boolean(which('mariadbd') && which('mariadb-install-db'))
/** A program of MariaDB by its path. */
export const program = (name) => which(name) ?? name

/** Room needed to begin a database, and to start one that is there, bytes: redo log, undo and temporary files. */
const ROOM_TO_BEGIN = 300e6
const ROOM_TO_START = 20e6
const READY_WITHIN_MS = 60_000
/**
 * Each commit is flushed to disk before it is answered, and pages are written twice so that a torn write is mended:
 * MariaDB's defaults, said here because the promise rests on them.
 */
const DURABLE = ['--innodb-flush-log-at-trx-commit=1', '--innodb-doublewrite=ON', '--innodb-flush-method=fsync']

/** The port Jolvet itself listens on, or will. */
const appPort = Number(process.env.PORT ?? 3000)

/** A port nobody uses, nor Jolvet itself once it is up. */
export async function freePort() {
  const port = await anyPort()
  return port === appPort ? freePort() : port
}

function anyPort() {
  return new Promise((resolve, reject) => {
    const server = net
      .createServer()
      .once('error', () =>
        reject(
          new Halt(
            'No port is free on loopback (127.0.0.1). Close some programs that listen there and run this again.',
          ),
        ),
      )
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
}

/** True once the server sends its handshake packet, which it does only after --init-file has run. */
const greets = (port) =>
  new Promise((resolve) => {
    const socket = net.connect({ host: '127.0.0.1', port })
    const end = (value) => {
      socket.destroy()
      resolve(value)
    }
    socket
      .setTimeout(1000, () => end(false))
      .once('data', (data) => end(data.length > 4 && data[4] === 10))
      .once('error', () => end(false))
      .once('close', () => resolve(false))
  })
const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Whether a process lives (a zombie does not) and is the one meant: its command line holds `words`. */
export function lives(pid, words) {
  try {
    process.kill(pid, 0)
    return (
      !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8')) &&
      readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').includes(words)
    )
  } catch {
    return false
  }
}

const alone = (command, args) => [command, args]
/**
 * A command whose process is told to stop by the system itself when this one ends, also when that is killed and can
 * tell nobody. Without `setpriv` (util-linux) it is as any other, and the next start stops what was left.
 */
export const tied = (command, args) =>
  which('setpriv') ? [which('setpriv'), ['--pdeathsig', 'TERM', '--', command, ...args]] : alone(command, args)

export function layout(dir = path.join(dataFolder, 'mariadb')) {
  const short = createHash('sha256').update(dir).digest('hex').slice(0, 10)
  return {
    dir,
    data: path.join(dir, 'data'),
    log: path.join(dir, 'error.log'),
    init: path.join(dir, 'init.sql'),
    connection: path.join(dir, 'conn.json'),
    pid: path.join(dir, 'mariadbd.pid'),
    // Its own: a database that starts clears the temporary tables of every other one from a shared folder.
    temporary: path.join(dir, 'tmp'),
    // A unix socket's path is limited to 107 bytes.
    socket: path.join(os.tmpdir(), `jolvet-${short}.sock`),
  }
}

const running = (at) => {
  const pid = existsSync(at.pid) ? Number(readFileSync(at.pid, 'utf8')) : 0
  return pid && lives(pid, at.data) ? pid : 0
}

/** Whether this folder's database lives now. */
export const isRunning = (dir) => running(layout(dir)) !== 0

/** Writes a file whole or not at all, and to disk before it is named. */
export function writeWhole(file, text) {
  const part = `${file}.part`
  const fd = openSync(part, 'w', 0o600)
  try {
    writeFileSync(fd, text)
    fsyncSync(fd)
  } finally {
    closeSync(fd)
  }
  renameSync(part, file)
}

/**
 * How the database is reached; made anew where it was never written or is not readable. The start then sets the password
 * by it.
 */
function readConnection(at) {
  try {
    const kept = JSON.parse(readFileSync(at.connection, 'utf8'))
    if (kept.user && kept.password && kept.database) return kept
  } catch {
    // Not there, or cut off by a crash.
  }
  return { host: '127.0.0.1', user: 'jolvet', password: randomBytes(18).toString('base64url'), database: 'jolvet' }
}

/** From now on this is the database in use. */
export const useDatabaseNamed = (database, dir) => {
  const at = layout(dir)
  writeWhole(at.connection, JSON.stringify({ ...readConnection(at), database }))
}

const numbers = (version) => (/(\d+)\.(\d+)/.exec(version) ?? [0, 0, 0]).slice(1, 3).map(Number)
const newerThan = (a, b) => a[0] > b[0] || (a[0] === b[0] && a[1] > b[1])
const ownVersion = () =>
  numbers(
    /Ver ([\d.]+)/.exec(execFileSync(program('mariadbd'), ['--no-defaults', '--version'], { encoding: 'utf8' }))?.[1] ??
      '',
  )
/** MariaDB writes this file last, when a folder is begun, and again when it is brought up to a newer version. */
const dataVersion = (at) => {
  const file = ['mysql_upgrade_info', 'mariadb_upgrade_info'].map((name) => path.join(at.data, name)).find(existsSync)
  return file ? numbers(readFileSync(file, 'utf8')) : null
}

function checkRoom(at, bytes) {
  const { bavail, bsize } = statfsSync(at.dir)
  if (bavail * bsize < bytes)
    throw new Halt(
      `Only ${Math.floor((bavail * bsize) / 1e6)} MB are free where the data lies (${at.dir}); the database needs ${bytes / 1e6} MB. Make room there, or set JOLVET_DATA to a folder on another disk.`,
    )
}

/** MariaDB's own log is begun anew at a start where it is long; the one before is kept. */
function turnOver(log) {
  if (existsSync(log) && statSync(log).size > 5e6) renameSync(log, `${log}.1`)
}

/**
 * A folder with a database in it: begun beside and named when it is whole, so that a start that is cut off leaves none
 * half made.
 */
function ensureData(at, asRoot) {
  if (existsSync(path.join(at.data, 'mysql')) && dataVersion(at)) return
  checkRoom(at, ROOM_TO_BEGIN)
  const fresh = `${at.data}.new`
  rmSync(fresh, { recursive: true, force: true })
  if (existsSync(at.data)) {
    const aside = `${at.data}.unfinished-${Date.now()}`
    renameSync(at.data, aside)
    console.log(`The data folder was begun and not finished; it is kept as ${aside} and a new one is begun.`)
  }
  try {
    execFileSync(
      program('mariadb-install-db'),
      [
        '--no-defaults',
        ...asRoot,
        `--datadir=${fresh}`,
        `--tmpdir=${at.temporary}`,
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${os.userInfo().username}`,
        '--skip-test-db',
        '--skip-name-resolve',
      ],
      { stdio: ['ignore', 'ignore', 'pipe'], env: { ...process.env, PATH } },
    )
  } catch (error) {
    const said = String(error.stderr ?? error.message)
    throw (
      explain(said, at) ??
      new Halt(
        `The database could not be begun in ${at.dir}. What MariaDB said: ${said.trim().split('\n').slice(-5).join(' / ')}`,
      )
    )
  }
  renameSync(fresh, at.data)
}

/** What MariaDB's own log says, as a sentence; nothing where it is not known. */
function explain(log, at) {
  const seen = (pattern) => pattern.test(log)
  if (seen(/No space left|Errcode: 28|Disk (is )?full|error 28/i))
    return new Halt(`The disk of ${at.dir} is full. Make room there and run this again; nothing saved is lost.`)
  if (seen(/Read-only file system|Errcode: 30/i))
    return new Halt(`${at.dir} is on a disk that is read only. Set JOLVET_DATA to a folder that can be written.`)
  if (seen(/Permission denied|Errcode: 13/i))
    return new Halt(
      `Some files in ${at.dir} belong to another user. Run Jolvet as the user who began it, or give that user the folder.`,
    )
  if (seen(/Unable to lock .*ibdata1|another mariadbd/i))
    return new Halt(`Another database already works on ${at.data}. Stop it first; two on one folder would spoil it.`)
  if (seen(/redo log (format|was created with)|Unsupported redo log|downgrade/i))
    return new Halt(
      `The data in ${at.data} was last used by a newer MariaDB than the one here. Install that version, or begin elsewhere with JOLVET_DATA and restore a backup: npm run restore -- FILE`,
    )
  if (seen(/corrupt|is marked as crashed|checksum mismatch/i))
    return new Halt(
      `The data in ${at.data} is damaged and MariaDB does not open it. Move the folder away and restore the last backup: npm run restore -- FILE. MariaDB's own words: ${at.log}`,
    )
  return null
}

const statements = ({ user, password, database }) =>
  [
    `CREATE DATABASE IF NOT EXISTS \`${database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
    ...['127.0.0.1', 'localhost'].flatMap((host) => [
      `CREATE USER IF NOT EXISTS '${user}'@'${host}' IDENTIFIED BY '${password}';`,
      `ALTER USER '${user}'@'${host}' IDENTIFIED BY '${password}';`,
      // Restoring loads into a database of its own name first.
      ...['jolvet', 'jolvet\\_%'].map((name) => `GRANT ALL PRIVILEGES ON \`${name}\`.* TO '${user}'@'${host}';`),
    ]),
    '',
  ].join('\n')

/**
 * The database of this folder, answering on loopback: begun where there is none, found where it runs, recovered where it
 * was killed. `options` go to MariaDB after ours. Halts in words where it cannot.
 * `isTied`: it ends with this process, however that ends.
 * @param {{ dir?: string, port?: number, options?: string[], isTied?: boolean }} [where]
 */
export async function start({ dir, port, options = [], isTied = false } = {}) {
  const at = layout(dir)
  try {
    mkdirSync(at.dir, { recursive: true, mode: 0o700 })
    writeFileSync(path.join(at.dir, '.writable'), '')
  } catch (error) {
    throw aboutPlace(error, at.dir)
  }
  const found = running(at)
  if (found) {
    const connection = readConnection(at)
    for (const since = Date.now(); Date.now() - since < READY_WITHIN_MS / 2; await sleep(100))
      if (connection.port && (await greets(connection.port))) return { ...connection, pid: found }
    throw new Halt(
      `A database already works on ${at.data} (process ${found}) but does not answer. Stop it (kill ${found}) and run this again; what is saved stays. Its own words: ${at.log}`,
    )
  }
  const asRoot = process.getuid() === 0 ? ['--user=root'] : []
  let older = false
  const connection = readConnection(at)
  try {
    mkdirSync(at.temporary, { recursive: true, mode: 0o700 })
    ensureData(at, asRoot)
    checkRoom(at, ROOM_TO_START)
    const [own, kept] = [ownVersion(), dataVersion(at)]
    if (kept && newerThan(kept, own))
      throw new Halt(
        `The data in ${at.data} was last used by MariaDB ${kept.join('.')}; here is ${own.join('.')}. Install ${kept.join('.')}, or begin elsewhere with JOLVET_DATA and restore a backup: npm run restore -- FILE`,
      )
    older = Boolean(kept && newerThan(own, kept))
    connection.port = port ?? (await freePort())
    writeWhole(at.connection, JSON.stringify(connection))
    // One statement a line; it runs before the port answers.
    writeWhole(at.init, statements(connection))
  } catch (error) {
    throw aboutPlace(error, at.dir)
  }
  turnOver(at.log)
  const out = openSync(at.log, 'a')
  const logged = readFileSync(at.log, 'utf8').length
  const child = spawn(
    ...(isTied ? tied : alone)(program('mariadbd'), [
      '--no-defaults',
      ...asRoot,
      `--datadir=${at.data}`,
      `--tmpdir=${at.temporary}`,
      `--socket=${at.socket}`,
      `--port=${connection.port}`,
      '--bind-address=127.0.0.1',
      `--pid-file=${at.pid}`,
      `--init-file=${at.init}`,
      '--skip-name-resolve',
      '--skip-log-bin',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      ...DURABLE,
      '--innodb-buffer-pool-size=64M',
      '--performance-schema=OFF',
      '--max-connections=50',
      ...options,
    ]),
    { detached: true, stdio: ['ignore', out, out] },
  )
  closeSync(out)
  let exit
  child.once('exit', (code) => {
    exit = code ?? -1
  })
  child.once('error', () => {
    exit = -1
  })
  child.unref()
  for (const since = Date.now(); Date.now() - since < READY_WITHIN_MS; await sleep(50)) {
    if (exit !== undefined)
      throw (
        explain(readFileSync(at.log, 'utf8').slice(logged), at) ??
        new Halt(`The database stopped while it started (code ${exit}). Its own words: ${at.log}`)
      )
    if (!(await greets(connection.port))) continue
    if (older)
      execFileSync(
        program('mariadb-upgrade'),
        [
          '--no-defaults',
          `--socket=${at.socket}`,
          `--user=${asRoot.length ? 'root' : os.userInfo().username}`,
          '--silent',
        ],
        { stdio: 'ignore' },
      )
    return { ...connection, pid: child.pid }
  }
  throw new Halt(`The database was not ready after ${READY_WITHIN_MS / 1000} s. Its own words: ${at.log}`)
}

/** Stops this folder's database in order. True where one ran. */
export async function stop({ dir } = {}) {
  const at = layout(dir)
  const pid = running(at)
  if (!pid) return false
  process.kill(pid, 'SIGTERM')
  for (const since = Date.now(); Date.now() - since < READY_WITHIN_MS; await sleep(50))
    if (!lives(pid, at.data)) return true
  throw new Halt(`The database (process ${pid}) did not stop in ${READY_WITHIN_MS / 1000} s.`)
}

export const url = ({ user, password, host, port, database }) =>
  `mysql://${user}:${encodeURIComponent(password)}@${host}:${port}/${database}`

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  try {
    if (process.argv[2] === 'start') console.log(`mariadbd on 127.0.0.1:${(await start()).port}`)
    else if (process.argv[2] === 'stop') console.log((await stop()) ? 'stopped' : 'not running')
    else console.log(isRunning() ? 'running' : 'not running')
  } catch (error) {
    tell(error)
    process.exitCode = 1
  }
}
