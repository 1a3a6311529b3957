// npm test: everything on a fresh machine, ended by one line "N passed, N failed".
// Names as arguments: stages run alone (lint, unit, api ...), stations choose the files of a stage (npm test -- e2e
// cut).
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { buildIfChanged, ensureChromium, ensureMariadb, ensureModules, Halt, prepareNuxt, root, say } from './setup.mjs'
import { STATIONS } from './stations.mjs'

process.chdir(root)
const REPORTS = 'node_modules/.cache/jolvet-test'
/** What a run leaves in the common temporary folder lies in a folder of its own, and goes with it. */
const ownFolder = mkdtempSync(path.join(tmpdir(), 'jolvet-'))
const node = (script, ...args) => [process.execPath, [`node_modules/${script}`, ...args]]
const vitest = (...args) => node('vitest/vitest.mjs', 'run', ...args)
const onServer = (project) => vitest('-c', 'vitest.server.config.ts', '--project', project)
const types = (program, project) => node(program, '--noEmit', '-p', project)
const TSC = 'typescript/bin/tsc'

/** Stages by name. Those that test count their tests, the others count as one. */
const STAGES = {
  'app types': { command: types('vue-tsc/bin/vue-tsc.js', '.nuxt/tsconfig.app.json') },
  'server types': { command: types(TSC, '.nuxt/tsconfig.server.json') },
  'config types': { command: types(TSC, '.nuxt/tsconfig.node.json') },
  'core types': { command: types(TSC, 'core') },
  'test types': { command: types(TSC, 'tsconfig.test.json') },
  lint: { command: node('eslint/bin/eslint.js', '.') },
  format: { command: node('prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn') },
  unit: { command: vitest(), isTesting: true },
  api: { command: onServer('api'), isTesting: true, needsServer: true },
  faults: { command: onServer('faults'), isTesting: true, needsServer: true },
  e2e: { command: onServer('e2e'), isTesting: true, needsServer: true },
  // On one set of servers, as npm test runs them.
  server: { command: vitest('-c', 'vitest.server.config.ts'), isTesting: true, needsServer: true },
  // Whole series of what the other stages run in short form.
  'long unit': { command: vitest('--project', 'agree'), isTesting: true, isLong: true },
  'long server': {
    command: vitest('-c', 'vitest.server.config.ts', 'kill', 'network'),
    isTesting: true,
    needsServer: true,
    isLong: true,
  },
}
const TYPES = Object.keys(STAGES).filter((name) => name.endsWith('types'))
/** Stages that are asked for together. */
const GROUPS = { types: TYPES, check: ['unit', ...TYPES, 'lint', 'format'], long: ['long unit', 'long server'] }
/** Without a name: what reads the code beside the build, then all that needs the build, on one set of servers. */
const ALL = [...GROUPS.check, 'server']

const wanted = process.argv.slice(2)
const station = wanted.find((name) => name in STATIONS)
const stageNames = wanted.filter((name) => name !== station)
const defaults = station ? ['unit', 'server'] : ALL

/** Runs a stage; a quiet one shows what it said once it is done. */
function run(name, isQuiet) {
  const {
    command: [file, args],
    isLong,
    isTesting,
  } = STAGES[name]
  const report = `${REPORTS}/${name.replace(' ', '-')}.json`
  rmSync(report, { force: true })
  const about = isTesting ? ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`] : []
  // A station may have no test of its own in a stage; a whole stage without tests is a fault.
  const only = isTesting && station ? ['--passWithNoTests', ...STATIONS[station]] : []
  const from = Date.now()
  return new Promise((resolve) => {
    const child = spawn(file, [...args, ...about, ...only], {
      stdio: isQuiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      env: {
        ...process.env,
        NUXT_TELEMETRY_DISABLED: '1',
        SE_OFFLINE: 'true',
        TMPDIR: ownFolder,
        ...(isLong ? { JOLVET_LONG: '1' } : {}),
      },
    })
    const said = []
    child.stdout?.on('data', (chunk) => said.push(chunk))
    child.stderr?.on('data', (chunk) => said.push(chunk))
    child.on('error', () => resolve({ name, status: 1, report }))
    child.on('close', (status) => {
      say(`${name}${status === 0 ? '' : ' failed'}, ${Math.round((Date.now() - from) / 1000)} s`)
      process.stdout.write(Buffer.concat(said))
      resolve({ name, status: status ?? 1, report })
    })
  })
}

/** Tests of a stage that passed and failed. */
function count({ name, status, report }) {
  const isOk = status === 0
  if (!STAGES[name].isTesting || !existsSync(report)) return { passed: Number(isOk), failed: Number(!isOk) }
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, 'utf8'))
  // A file that could not even load has no failed test of its own.
  return { passed: numPassedTests, failed: numFailedTests || (isOk ? 0 : Math.max(1, numFailedTestSuites)) }
}

/**
 * Stages one after another; those on servers speak as they go. What cannot be prepared fails its own lane, not the
 * other.
 */
async function lane(names, prepare) {
  try {
    await prepare?.()
  } catch (error) {
    console.error(error instanceof Halt ? error.message : error)
    return names.map((name) => ({ name, status: 1, report: '' }))
  }
  const results = []
  for (const name of names) results.push(await run(name, !STAGES[name].needsServer))
  return results
}

async function prepareServer() {
  ensureMariadb()
  ensureChromium()
  await buildIfChanged()
}

let passed = 0
let failed = 0
try {
  const unknown = stageNames.filter((name) => !(name in STAGES) && !(name in GROUPS))
  if (unknown.length > 0)
    throw new Halt(
      `No stage or station is called ${unknown.join(', ')}. Stages: ${[...Object.keys(STAGES), ...Object.keys(GROUPS)].join(', ')}. Stations: ${Object.keys(STATIONS).join(', ')}.`,
    )
  ensureModules()
  mkdirSync(REPORTS, { recursive: true })
  const names = (stageNames.length > 0 ? stageNames : defaults).flatMap((name) => GROUPS[name] ?? [name])
  const onServers = names.filter((name) => STAGES[name].needsServer)
  const reading = names.filter((name) => !STAGES[name].needsServer)
  // Components and composables are found by name: what is written of them is made anew first.
  if (names.some((name) => TYPES.includes(name))) prepareNuxt()
  // Two cores: the build and the servers on one side, what only reads the code on the other; alone, that is halved.
  const lanes =
    onServers.length > 0 ? [reading] : [reading.filter((_, i) => i % 2 === 0), reading.filter((_, i) => i % 2)]
  const results = await Promise.all([
    ...lanes.map((stages) => lane(stages)),
    ...(onServers.length > 0 ? [lane(onServers, prepareServer)] : []),
  ])
  for (const result of results.flat().map(count)) {
    passed += result.passed
    failed += result.failed
  }
} catch (error) {
  console.error(error instanceof Halt ? error.message : error)
  failed++
}
rmSync(ownFolder, { recursive: true, force: true })
say('done')
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
