// npm start [-- --plain]: everything from a fresh checkout to an address, and a clean stop. Node's own modules only,
// until npm ci has run.
import { spawn } from 'node:child_process'
import { appendFileSync, mkdirSync } from 'node:fs'
import path from 'node:path'
import { dataFolder, isRunning, start, stop, tied, url } from './db.mjs'
import { Halt, tell } from './halt.mjs'
import { isHealthy } from './health.mjs'
import { keyFile, nameOfOwnKey } from './keys.mjs'
import { noteApp, releaseLock, takeLock } from './lock.mjs'
import { closeLog, follow, logFolder, note, openLog } from './log.mjs'
import { aboutCertificate, checkPort, readNetwork } from './network.mjs'
import { ageInWords, backUpByNight } from './nightly.mjs'
import { buildIfChanged, ensureModules, root, say as print, tsx } from './setup.mjs'

process.chdir(root)
const say = (text) => {
  print(text)
  note(text)
}
/** How often the database is looked after, ms, and how many restarts in a minute are too many. */
const LOOK_EVERY_MS = 500
const MOST_RESTARTS = 5
const READY_WITHIN_MS = 60_000

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

let network
let connection
let ownDatabase = false
let app
let ending = false
let watch

async function end(code, why) {
  if (ending) return
  ending = true
  note(`stopping: ${why}`)
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
  note('stopped')
  await closeLog()
  process.exit(code)
}

async function fail(error) {
  tell(error, writeDetails)
  await end(1, error.message)
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

function startApp(databaseUrl) {
  const { host, port, names, certificate } = network
  app = spawn(...tied(process.execPath, ['.output/server/index.mjs']), {
    stdio: ['ignore', 'pipe', 'pipe'],
    // A process group of its own: Ctrl-C reaches this script, which stops the server before its database.
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      JOLVET_HOSTS: names.join(','),
      JOLVET_CERT: certificate?.cert ?? '',
      JOLVET_KEY: certificate?.key ?? '',
      JOLVET_BACKUPS: path.join(dataFolder, 'backups'),
    },
  })
  follow(app.stdout)
  follow(app.stderr, process.stderr)
  noteApp(network.address, app.pid)
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
    await start({ port: connection.port, isTied: true })
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

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => end(0, signal))
/** Under npm it ends with npm: one that is killed passes no signal on. */
const parent = process.ppid
if (process.env.npm_lifecycle_event === 'start')
  setInterval(() => {
    if (process.ppid !== parent) void end(0, 'npm, which started it, ended')
  }, LOOK_EVERY_MS).unref()

async function untilHealthy() {
  for (const since = Date.now(); !ending && Date.now() - since < READY_WITHIN_MS;) {
    if (await isHealthy(network.asked)) return
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  if (!ending)
    throw new Halt(
      `The server did not answer at ${network.asked} within ${READY_WITHIN_MS / 1000} s. What it said stands above and in ${path.join(logFolder, 'jolvet.log')}; what was saved stays.`,
    )
}

function sayWhere() {
  say(`Jolvet is at ${network.address}  (Ctrl-C stops it)`)
  if (network.isOpen)
    say(
      `it listens beyond this machine (HOST=${network.host}): anyone on that network can read and change every job; there is no sign-in`,
    )
  if (network.isOpen && !network.certificate)
    say('over plain HTTP: what is sent can be read on the way, and no page can be reloaded without this server')
}

async function keepBackups() {
  const { backUpNightly, lastBackup } = await import('./archive.mjs')
  const last = lastBackup()
  say(
    last
      ? `last backup: ${ageInWords(Date.now() - last.at)}, ${path.relative(root, last.file)}`
      : 'no backup yet; one is made each night while Jolvet runs',
  )
  backUpByNight({
    last: () => lastBackup(['nightly'])?.at ?? null,
    backUp: async () => path.relative(root, await backUpNightly(connection)),
    say,
  })
}

try {
  network = readNetwork()
  const certificate = network.certificate && aboutCertificate(network.certificate)
  await takeLock(network.address)
  await checkPort(network)
  ensureModules()
  await openLog()
  if (certificate) say(certificate)
  say(`backups are signed by the key ${nameOfOwnKey()} (${path.relative(root, keyFile)})`)
  let databaseUrl = process.env.DATABASE_URL
  const { countRows, connectionOf } = await import('./archive.mjs')
  if (databaseUrl) {
    const { runMigrations } = await import('./migrate.mjs')
    await runMigrations(databaseUrl)
    connection = connectionOf(databaseUrl)
  } else {
    const { openDatabase } = await import('./prepare.mjs')
    ownDatabase = true
    connection = (await openDatabase()).connection
    databaseUrl = url(connection)
    say(`database on 127.0.0.1:${connection.port}, data in ${path.relative(root, dataFolder) || dataFolder}/mariadb`)
  }
  if ((await countRows(connection)).jobs === 0) tsx('scripts/demo.ts', ['--if-empty'], { DATABASE_URL: databaseUrl })
  await checkRecord(databaseUrl)
  await buildIfChanged()
  if (!ending) startApp(databaseUrl)
  if (ownDatabase)
    watch = setInterval(() => {
      void lookAfterDatabase()
    }, LOOK_EVERY_MS)
  await untilHealthy()
  if (!ending) {
    sayWhere()
    await keepBackups()
  }
} catch (error) {
  await fail(error)
}
