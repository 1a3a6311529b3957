// Dependency-free private MariaDB: node scripts/db.mjs start|stop|status
import { spawn, execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createHash, randomBytes } from 'node:crypto'
import net from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
const PATH = `${process.env.PATH}:/usr/sbin:/usr/local/sbin`
const which = b => PATH.split(':').map(d => path.join(d, b)).find(p => existsSync(p))
export const hasMariadb = () => Boolean(which('mariadbd') && which('mariadb-install-db'))

export function freePort() {
  return new Promise((res, rej) => {
    const s = net.createServer().once('error', rej)
    s.listen(0, '127.0.0.1', () => { const { port } = s.address(); s.close(() => res(port)) })
  })
}

/** True once the server sends its handshake packet (it does so only after --init-file has run). */
const greets = port => new Promise((res) => {
  const s = net.connect({ host: '127.0.0.1', port })
  const end = v => { s.destroy(); res(v) }
  s.setTimeout(1000, () => end(false)).once('data', d => end(d.length > 4 && d[4] === 10)).once('error', () => end(false)).once('close', () => res(false))
})
const alive = (pid) => { try { process.kill(pid, 0); return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8')) } catch { return false } }
const sleep = ms => new Promise(r => setTimeout(r, ms))

export function layout(dir = path.join(root, '.data/mariadb')) {
  const h = createHash('sha256').update(dir).digest('hex').slice(0, 10)
  return { dir, data: path.join(dir, 'data'), log: path.join(dir, 'error.log'), init: path.join(dir, 'init.sql'), conf: path.join(dir, 'conn.json'),
    pidFile: path.join(dir, 'mariadbd.pid'), sock: path.join(os.tmpdir(), `jolvet-${h}.sock`) } // unix socket paths are limited to 107 bytes
}
const running = (L) => {
  if (!existsSync(L.pidFile)) return 0
  const pid = Number(readFileSync(L.pidFile, 'utf8')); if (!pid || !alive(pid)) return 0
  return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(L.data) ? pid : 0 // guards against pid reuse after kill -9
}

/** Whether this folder's database answers for itself now. */
export const isRunning = (dir) => running(layout(dir)) !== 0

export async function start({ dir, port } = {}) {
  const L = layout(dir)
  mkdirSync(L.dir, { recursive: true, mode: 0o700 })
  const user = process.getuid() === 0 ? ['--user=root'] : []
  if (!existsSync(path.join(L.data, 'mysql'))) {
    rmSync(L.data, { recursive: true, force: true })
    execFileSync(which('mariadb-install-db'), ['--no-defaults', ...user, `--datadir=${L.data}`, '--auth-root-authentication-method=socket',
      `--auth-root-socket-user=${os.userInfo().username}`, '--skip-test-db', '--skip-name-resolve'], { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, PATH } })
  }
  let conn = existsSync(L.conf) ? JSON.parse(readFileSync(L.conf, 'utf8')) : { host: '127.0.0.1', user: 'jolvet', password: randomBytes(18).toString('base64url'), database: 'jolvet' }
  const pid0 = running(L)
  if (pid0) { // never a second database on the same folder
    for (const t0 = Date.now(); Date.now() - t0 < 30_000; await sleep(100)) if (await greets(conn.port)) return { ...conn, pid: pid0 }
    throw new Error(`a database already runs on ${L.data} (pid ${pid0}) but does not answer; see ${L.log}`)
  }
  conn.port = port ?? await freePort()
  writeFileSync(L.conf, JSON.stringify(conn), { mode: 0o600 })
  writeFileSync(L.init, [ // one statement per line
    `CREATE DATABASE IF NOT EXISTS \`${conn.database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
    ...['127.0.0.1', 'localhost'].flatMap(h => [`CREATE USER IF NOT EXISTS '${conn.user}'@'${h}' IDENTIFIED BY '${conn.password}';`,
      `ALTER USER '${conn.user}'@'${h}' IDENTIFIED BY '${conn.password}';`, `GRANT ALL PRIVILEGES ON \`${conn.database}\`.* TO '${conn.user}'@'${h}';`]), ''].join('\n'), { mode: 0o600 })
  const out = openSync(L.log, 'a')
  const child = spawn(which('mariadbd'), ['--no-defaults', ...user, `--datadir=${L.data}`, `--socket=${L.sock}`, `--port=${conn.port}`, '--bind-address=127.0.0.1',
    `--pid-file=${L.pidFile}`, `--init-file=${L.init}`, '--skip-name-resolve', '--skip-log-bin', '--character-set-server=utf8mb4', '--collation-server=utf8mb4_unicode_ci',
    '--innodb-buffer-pool-size=64M', '--performance-schema=OFF', '--max-connections=50'], { detached: true, stdio: ['ignore', out, out] })
  let dead; child.once('exit', c => { dead = c ?? -1 }); child.unref()
  for (const t0 = Date.now(); Date.now() - t0 < 60_000; await sleep(50)) {
    if (dead !== undefined) throw new Error(`mariadbd exited (${dead}); see ${L.log}\n${readFileSync(L.log, 'utf8').split('\n').slice(-15).join('\n')}`)
    if (await greets(conn.port)) return { ...conn, pid: child.pid }
  }
  throw new Error(`mariadbd not ready after 60 s; see ${L.log}`)
}

export async function stop({ dir } = {}) {
  const L = layout(dir); const pid = running(L); if (!pid) return false
  process.kill(pid, 'SIGTERM') // SIGTERM is a clean shutdown
  for (const t0 = Date.now(); Date.now() - t0 < 60_000; await sleep(50)) if (!alive(pid)) return true
  throw new Error('mariadbd did not stop in 60 s')
}
export const url = c => `mysql://${c.user}:${encodeURIComponent(c.password)}@${c.host}:${c.port}/${c.database}`

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const t = Date.now(); const cmd = process.argv[2]
  if (cmd === 'start') { const c = await start(); console.log(`mariadbd pid ${c.pid} on 127.0.0.1:${c.port} (${Date.now() - t} ms)`) }
  else if (cmd === 'stop') console.log(await stop() ? `stopped (${Date.now() - t} ms)` : 'not running')
  else { const L = layout(); console.log(running(L) ? `running pid ${running(L)}` : 'not running') }
}
