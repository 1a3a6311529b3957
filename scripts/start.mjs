// npm start: everything from a fresh checkout to an address, and a clean stop. Node's own modules only, until npm ci
// has run.
import { spawn } from 'node:child_process'
import { appendFileSync, mkdirSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { dataFolder, isRunning, start, stop, url } from './db.mjs'
import { Halt, tell } from './halt.mjs'
import { noteApp, releaseLock, takeLock } from './lock.mjs'
import { buildIfChanged, ensureModules, root, say, tsx } from './setup.mjs'

process.chdir(root)
const port = Number(process.env.PORT ?? 3000)
const host = process.env.HOST ?? '127.0.0.1'
const isLoopback = ['127.0.0.1', '::1', 'localhost'].includes(host)
const address = `http://${isLoopback ? '127.0.0.1' : host}:${port}`
/** How often the database is looked after, ms, and how many restarts in a minute are too many. */
const LOOK_EVERY_MS = 500
const MOST_RESTARTS = 5

const errorFile = path.join(dataFolder, 'start-errors.log')
function writeDetails(error) {
  try {
    mkdirSync(dataFolder, { recursive: true })
    appendFileSync(errorFile, `${new Date().toISOString()} ${error?.stack ?? error}\n`)
    return errorFile
  } catch {
    return undefined
  }
}

/** Why the port cannot be had, or nothing. */
const portFault = () =>
  new Promise((resolve) => {
    const server = net.createServer().once('error', ({ code }) => resolve(code))
    server.listen(port, host, () => server.close(() => resolve(null)))
  })

async function checkPort() {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Halt(`PORT is "${process.env.PORT}". Give a number from 1 to 65535.`)
  const fault = await portFault()
  if (fault === null) return
  if (fault === 'EACCES')
    throw new Halt(`Port ${port} may not be used by this user. Choose one above 1023: PORT=3000 npm start`)
  if (fault === 'EADDRINUSE')
    throw new Halt(
      `Port ${port} is taken. Stop what uses it, or choose another: PORT=${port === 65535 ? 3000 : port + 1} npm start`,
    )
  throw new Halt(
    `HOST is "${host}"; this machine cannot listen there (${fault}). Leave HOST out for this machine only, or set 0.0.0.0 for its network.`,
  )
}

let connection
let ownDatabase = false
let app
let ending = false
let watch

async function end(code) {
  if (ending) return
  ending = true
  clearInterval(watch)
  if (app && app.exitCode === null && app.signalCode === null) {
    const gone = new Promise((resolve) => app.once('exit', resolve))
    app.kill('SIGTERM')
    // One that does not listen is not waited for.
    const timer = setTimeout(() => app.kill('SIGKILL'), 5000)
    await gone
    clearTimeout(timer)
  }
  try {
    if (ownDatabase) await stop()
  } catch (error) {
    tell(error, writeDetails)
  }
  releaseLock()
  process.exit(code)
}

async function fail(error) {
  tell(error, writeDetails)
  await end(1)
}

/** Counts restarts; too many in a minute are a fault that starting again does not mend. */
function restarts(what) {
  const at = []
  return () => {
    at.push(Date.now())
    if (at.filter((time) => Date.now() - time < 60_000).length > MOST_RESTARTS)
      throw new Halt(
        `${what} stopped ${MOST_RESTARTS} times within a minute, so it is not started again. Its own words stand above or in ${path.join(dataFolder, 'mariadb/error.log')}; what was saved stays.`,
      )
  }
}
const countApp = restarts('The server')
const countDatabase = restarts('The database')

async function isHealthy() {
  return fetch(`http://${isLoopback || host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/api/health`, {
    signal: AbortSignal.timeout(2000),
  }).then(
    (reply) => reply.ok,
    () => false,
  )
}

function startApp(databaseUrl) {
  app = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    // A process group of its own: Ctrl-C reaches this script, which stops the server before its database.
    detached: true,
    env: { ...process.env, NODE_ENV: 'production', HOST: host, PORT: String(port), DATABASE_URL: databaseUrl },
  })
  noteApp(address, app.pid)
  app.once('exit', (code, signal) => {
    if (ending) return
    try {
      countApp()
      say(`the server stopped (${signal ?? `code ${code}`}); it is started again`)
      setTimeout(() => {
        if (!ending) startApp(databaseUrl)
      }, 200)
    } catch (error) {
      void fail(error)
    }
  })
}

/** Starts the database again, on the port the server knows, when it was killed. */
let mending = false
async function lookAfterDatabase() {
  if (mending || ending || isRunning()) return
  mending = true
  try {
    countDatabase()
    say('the database stopped; it is started again')
    await start({ port: connection.port })
  } catch (error) {
    await fail(error)
  }
  mending = false
}

/** Times go on the record: a clock behind what is already written is said. */
async function checkRecord(databaseUrl) {
  const { onDatabase } = await import('./migrate.mjs')
  const [[{ newest }]] = await onDatabase(databaseUrl, (open) =>
    open.query(
      'select greatest(coalesce((select max(at) from signoffs), 0), coalesce((select max(updated_at) from joints), 0), coalesce((select max(at) from receipts), 0)) newest',
    ),
  )
  const last = Date.parse(`${String(newest).replace(' ', 'T')}Z`)
  if (last - Date.now() > 10 * 60_000)
    say(
      `this machine's clock shows ${new Date().toISOString().slice(0, 16)}, and work is on record from ${new Date(last).toISOString().slice(0, 16)}: set the clock, or new times will be wrong`,
    )
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => end(0))

try {
  await takeLock(address)
  await checkPort()
  ensureModules()
  let databaseUrl = process.env.DATABASE_URL
  if (databaseUrl) {
    const { runMigrations } = await import('./migrate.mjs')
    await runMigrations(databaseUrl)
  } else {
    const { openDatabase } = await import('./prepare.mjs')
    ownDatabase = true
    connection = (await openDatabase()).connection
    databaseUrl = url(connection)
    say(`database on 127.0.0.1:${connection.port}, data in ${path.relative(root, dataFolder) || dataFolder}/mariadb`)
  }
  const { countRows, connectionOf } = await import('./archive.mjs')
  if ((await countRows(connectionOf(databaseUrl))).jobs === 0)
    tsx('scripts/demo.ts', ['--if-empty'], { DATABASE_URL: databaseUrl })
  await checkRecord(databaseUrl)
  await buildIfChanged()
  if (!ending) startApp(databaseUrl)
  if (ownDatabase)
    watch = setInterval(() => {
      void lookAfterDatabase()
    }, LOOK_EVERY_MS)
  for (let i = 0; i < 600 && !ending; i++) {
    if (await isHealthy()) {
      say(`Jolvet is at ${address}  (Ctrl-C stops it)`)
      if (!isLoopback)
        say(
          `it listens beyond this machine (HOST=${host}): anyone on that network can read and change every job; there is no sign-in`,
        )
      break
    }
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
} catch (error) {
  await fail(error)
}
