// npm start: everything from a fresh checkout to an address, and a clean stop. Node's own modules only, until npm ci has run.
import { spawn } from 'node:child_process'
import net from 'node:net'
import { start, stop, url } from './db.mjs'
import { buildIfChanged, ensureMariadb, ensureModules, Halt, root, say, tsx } from './setup.mjs'

process.chdir(root)
const port = Number(process.env.PORT ?? 3000)

const isFree = candidate => new Promise((resolve) => {
  const server = net.createServer().once('error', () => resolve(false))
  server.listen(candidate, '127.0.0.1', () => server.close(() => resolve(true)))
})

let ownDatabase = false
let app
let ending = false

async function end(code) {
  if (ending) return
  ending = true
  if (app && app.exitCode === null) {
    const gone = new Promise(resolve => app.once('exit', resolve))
    app.kill('SIGTERM')
    await gone
  }
  if (ownDatabase) await stop()
  process.exit(code)
}

for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => end(0))

try {
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Halt(`PORT is "${process.env.PORT}". Give a number from 1 to 65535.`)
  if (!await isFree(port)) throw new Halt(`Port ${port} is taken. Stop what uses it, or choose another: PORT=${port === 65535 ? 3000 : port + 1} npm start`)
  ensureModules()
  let databaseUrl = process.env.DATABASE_URL
  if (!databaseUrl) {
    ensureMariadb()
    const connection = await start()
    ownDatabase = true
    databaseUrl = url(connection)
    say(`database on 127.0.0.1:${connection.port}, data in .data/mariadb`)
  }
  const { runMigrations } = await import('./migrate.mjs')
  await runMigrations(databaseUrl)
  tsx('scripts/demo.ts', ['--if-empty'], { DATABASE_URL: databaseUrl })
  buildIfChanged()
  app = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    // A process group of its own: Ctrl-C reaches this script, which stops the server before its database.
    detached: true,
    env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: String(port), DATABASE_URL: databaseUrl },
  })
  app.once('exit', code => end(ending ? 0 : code ?? 1))
  for (let i = 0; i < 200 && !ending; i++) {
    if (await fetch(`http://127.0.0.1:${port}/api/health`).then(reply => reply.ok, () => false)) {
      say(`Jolvet is at http://127.0.0.1:${port}  (Ctrl-C stops it)`)
      break
    }
    await new Promise(resolve => setTimeout(resolve, 50))
  }
} catch (error) {
  console.error(error instanceof Halt ? error.message : error)
  await end(1)
}
