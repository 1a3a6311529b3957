// What npm start and npm test need before they can run: packages, database, browser, build. Node's own modules only.
import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { hasMariadb, root } from './db.mjs'
import { Halt } from './halt.mjs'

export { Halt, root }

const started = Date.now()
export const say = (message) => console.log(`[${((Date.now() - started) / 1000).toFixed(1)}s] ${message}`)

export const run = (command, args, env = {}) =>
  execFileSync(command, args, { stdio: 'inherit', cwd: root, env: { ...process.env, ...env } })

const hash = (text) => createHash('sha256').update(text).digest('hex')

/** Installs the packages of the lock file when it changed since the last time. */
export function ensureModules() {
  const lock = hash(readFileSync(path.join(root, 'package-lock.json')))
  const stamp = path.join(root, 'node_modules/.jolvet-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  say('installing packages (npm ci)')
  try {
    run('npm', ['ci', '--no-audit', '--no-fund'], { NUXT_TELEMETRY_DISABLED: '1' })
  } catch {
    throw new Halt('npm ci did not finish. Its own message stands above; check the network and run this again.')
  }
  writeFileSync(stamp, lock)
}

const isRootOnDebian = () => process.platform === 'linux' && process.getuid() === 0 && existsSync('/usr/bin/apt-get')

const APT_TRIES = 30
const APT_PAUSE_MS = 10_000
/** Whether another program holds apt's locks: taking one for a moment fails then. */
function isAptLocked() {
  return ['/var/lib/apt/lists/lock', '/var/lib/dpkg/lock-frontend', '/var/lib/dpkg/lock'].some((file) => {
    if (!existsSync(file)) return false
    const { ino } = statSync(file)
    return readFileSync('/proc/locks', 'utf8')
      .split('\n')
      .some((line) => line.includes(`:${ino} `))
  })
}

function aptInstall(packages) {
  say(`apt-get install ${packages.join(' ')}`)
  const options = ['-o', 'DPkg::Lock::Timeout=300', '-o', 'Dpkg::Options::=--force-confold', '-y', '-q']
  const apt = (...args) => run('apt-get', [...options, ...args], { DEBIAN_FRONTEND: 'noninteractive' })
  // Installing waits for a lock by itself; reading the lists does not.
  let tries = 0
  for (;;) {
    try {
      apt('update')
      apt('install', '--no-install-recommends', ...packages)
      return
    } catch {
      if (!isAptLocked() || ++tries > APT_TRIES)
        throw new Halt(
          `apt-get could not install ${packages.join(' ')}. Its own message stands above; install it by hand and run this again.`,
        )
      say('another program is installing packages; waiting for it')
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, APT_PAUSE_MS)
    }
  }
}

export function ensureMariadb() {
  if (hasMariadb()) return
  if (!isRootOnDebian())
    throw new Halt('MariaDB is missing. Install it (Debian: sudo apt-get install mariadb-server), then run this again.')
  aptInstall(['mariadb-server'])
}

export function ensureChromium() {
  if (
    existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium') &&
    existsSync(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver')
  )
    return
  if (!isRootOnDebian())
    throw new Halt(
      'Chromium or ChromeDriver is missing. Install them (Debian: sudo apt-get install chromium chromium-driver), then run this again.',
    )
  aptInstall(['chromium', 'chromium-driver'])
}

/** Runs a TypeScript script of ours. */
export function tsx(script, args = [], env = {}) {
  try {
    run(
      process.execPath,
      ['node_modules/tsx/dist/cli.mjs', '--tsconfig', 'scripts/tsconfig.json', script, ...args],
      env,
    )
  } catch {
    throw new Halt(`${script} did not finish. Its own message stands above.`)
  }
}

function files(entry) {
  if (!existsSync(entry)) return []
  if (!statSync(entry).isDirectory()) return [entry]
  return readdirSync(entry).flatMap((name) => files(path.join(entry, name)))
}

export function prepareNuxt() {
  run(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'prepare', '--logLevel', 'silent'], {
    NUXT_TELEMETRY_DISABLED: '1',
  })
}

/** Runs a program to its end without holding up what runs beside it; rejects where it fails. */
const runBeside = (command, args, env) =>
  new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', cwd: root, env: { ...process.env, ...env } })
    child.once('error', reject)
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`${command} ended with ${code}`))))
  })

/** Builds the app when any of its sources changed since the last build. */
export async function buildIfChanged() {
  const sources = ['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json']
    .flatMap(files)
    .filter((file) => !file.endsWith('.test.ts'))
    .sort()
  const digest = hash(sources.map((file) => file + hash(readFileSync(file))).join('\n'))
  const stamp = '.output/.jolvet-source'
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === digest) return
  say('building (about a minute)')
  try {
    await runBeside(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'build', '--logLevel', 'silent'], {
      NUXT_TELEMETRY_DISABLED: '1',
    })
  } catch {
    throw new Halt('The build did not finish. Its own message stands above.')
  }
  mkdirSync('.output', { recursive: true })
  writeFileSync(stamp, digest)
}
