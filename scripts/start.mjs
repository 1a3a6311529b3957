// npm start: works on a fresh checkout; uses Node's own modules only until npm ci has run
import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { hasMariadb, root, start, stop, url } from './db.mjs'

process.chdir(root)
const t0 = Date.now()
const say = m => console.log(`[${((Date.now() - t0) / 1000).toFixed(1)}s] ${m}`)
const run = (cmd, args, env = {}) => execFileSync(cmd, args, { stdio: 'inherit', env: { ...process.env, ...env } })
const hash = s => createHash('sha256').update(s).digest('hex')

const lock = hash(readFileSync('package-lock.json'))
const stamp = 'node_modules/.jolvet-lock'
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  say('npm ci'); run('npm', ['ci', '--no-audit', '--no-fund'], { NUXT_TELEMETRY_DISABLED: '1' }); writeFileSync(stamp, lock)
}
if (!hasMariadb()) {
  if (process.platform !== 'linux' || process.getuid() !== 0 || !existsSync('/usr/bin/apt-get')) { console.error('MariaDB is missing. Install it (Debian: sudo apt-get install mariadb-server), then run npm start again.'); process.exit(1) }
  say('apt-get install mariadb-server')
  const apt = ['-o', 'DPkg::Lock::Timeout=300', '-o', 'Dpkg::Options::=--force-confold', '-y', '-q']
  run('apt-get', [...apt, 'update'], { DEBIAN_FRONTEND: 'noninteractive' })
  run('apt-get', [...apt, 'install', '--no-install-recommends', 'mariadb-server'], { DEBIAN_FRONTEND: 'noninteractive' })
}
const conn = await start(); say(`database on 127.0.0.1:${conn.port}`)
const { runMigrations } = await import('./migrate.mjs'); await runMigrations(url(conn))
const { seed } = await import('./seed.mjs'); await seed(url(conn)); say('migrated and seeded')

const files = d => existsSync(d) ? (statSync(d).isDirectory() ? readdirSync(d).flatMap(f => files(path.join(d, f))) : [d]) : []
const src = hash(['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json'].flatMap(files).sort().map(f => f + hash(readFileSync(f))).join())
const built = '.output/.jolvet-src'
if (!existsSync(built) || readFileSync(built, 'utf8') !== src) {
  say('nuxt build'); run(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'build'], { NUXT_TELEMETRY_DISABLED: '1' }); mkdirSync('.output', { recursive: true }); writeFileSync(built, src)
}
const port = process.env.PORT ?? '3000'
const app = spawn(process.execPath, ['.output/server/index.mjs'], { stdio: 'inherit', env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: port, DATABASE_URL: url(conn) } })
say(`serving on http://127.0.0.1:${port}`)
let ending = false
for (const sig of ['SIGINT', 'SIGTERM']) process.on(sig, () => { if (!ending) { ending = true; app.kill('SIGTERM') } })
app.once('exit', async (code) => { await stop(); process.exit(ending ? 0 : code ?? 1) })
