// What npm start and npm test need before they can run: packages, database, browser, build. Node's own modules only.
import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { hasMariadb, root } from './db.mjs'

export { root }

/** Something the person has to do; its message is the whole of what they are told. */
export class Halt extends Error {}

const started = Date.now()
export const say = message => console.log(`[${((Date.now() - started) / 1000).toFixed(1)}s] ${message}`)

export const run = (command, args, env = {}) => execFileSync(command, args, { stdio: 'inherit', cwd: root, env: { ...process.env, ...env } })

const hash = text => createHash('sha256').update(text).digest('hex')

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

function aptInstall(packages) {
  say(`apt-get install ${packages.join(' ')}`)
  const options = ['-o', 'DPkg::Lock::Timeout=300', '-o', 'Dpkg::Options::=--force-confold', '-y', '-q']
  try {
    run('apt-get', [...options, 'update'], { DEBIAN_FRONTEND: 'noninteractive' })
    run('apt-get', [...options, 'install', '--no-install-recommends', ...packages], { DEBIAN_FRONTEND: 'noninteractive' })
  } catch {
    throw new Halt(`apt-get could not install ${packages.join(' ')}. Its own message stands above; install it by hand and run this again.`)
  }
}

export function ensureMariadb() {
  if (hasMariadb()) return
  if (!isRootOnDebian()) throw new Halt('MariaDB is missing. Install it (Debian: sudo apt-get install mariadb-server), then run this again.')
  aptInstall(['mariadb-server'])
}

export function ensureChromium() {
  if (existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium') && existsSync(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver')) return
  if (!isRootOnDebian()) throw new Halt('Chromium or ChromeDriver is missing. Install them (Debian: sudo apt-get install chromium chromium-driver), then run this again.')
  aptInstall(['chromium', 'chromium-driver'])
}

/** Runs a TypeScript script of ours. */
export function tsx(script, args = [], env = {}) {
  try {
    run(process.execPath, ['node_modules/tsx/dist/cli.mjs', '--tsconfig', 'scripts/tsconfig.json', script, ...args], env)
  } catch {
    throw new Halt(`${script} did not finish. Its own message stands above.`)
  }
}

const files = entry => (existsSync(entry) ? (statSync(entry).isDirectory() ? readdirSync(entry).flatMap(name => files(path.join(entry, name))) : [entry]) : [])

/** Builds the app when any of its sources changed since the last build. */
export function buildIfChanged() {
  const sources = ['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json'].flatMap(files).filter(file => !file.endsWith('.test.ts')).sort()
  const digest = hash(sources.map(file => file + hash(readFileSync(file))).join('\n'))
  const stamp = '.output/.jolvet-source'
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === digest) return
  say('building (about a minute)')
  try {
    run(process.execPath, ['node_modules/nuxt/bin/nuxt.mjs', 'build', '--logLevel', 'silent'], { NUXT_TELEMETRY_DISABLED: '1' })
  } catch {
    throw new Halt('The build did not finish. Its own message stands above.')
  }
  mkdirSync('.output', { recursive: true })
  writeFileSync(stamp, digest)
}
