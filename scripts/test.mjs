// npm test: everything on a fresh machine, ended by one line "N passed, N failed". Names as arguments run only those stages.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { buildIfChanged, ensureChromium, ensureMariadb, ensureModules, Halt, root, say } from './setup.mjs'

process.chdir(root)
const REPORTS = 'node_modules/.cache/jolvet-test'
const node = (script, ...args) => [process.execPath, [script, ...args]]
const vitest = (name, ...args) =>
  node(
    'node_modules/vitest/vitest.mjs',
    'run',
    ...args,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${REPORTS}/${name}.json`,
  )

/** Stages in order; those with a report count their tests, the others count as one. Those that only read the code run side by side. */
const STAGES = [
  { name: 'lint', command: node('node_modules/eslint/bin/eslint.js', '.'), isReading: true },
  {
    name: 'format',
    command: node('node_modules/prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn'),
    isReading: true,
  },
  { name: 'types', command: node('node_modules/nuxt/bin/nuxt.mjs', 'typecheck'), isReading: true },
  { name: 'core types', command: node('node_modules/typescript/bin/tsc', '-p', 'core'), isReading: true },
  { name: 'unit', command: vitest('unit'), hasReport: true },
  {
    name: 'api',
    command: vitest('api', '-c', 'vitest.server.config.ts', '--project', 'api'),
    hasReport: true,
    needsServer: true,
  },
  {
    name: 'faults',
    command: vitest('faults', '-c', 'vitest.server.config.ts', '--project', 'faults'),
    hasReport: true,
    needsServer: true,
  },
  // Whole series, asked for by name: the other stages run their short form.
  { name: 'long', command: vitest('long', '--project', 'agree'), hasReport: true, isLong: true },
  {
    name: 'e2e',
    command: vitest('e2e', '-c', 'vitest.server.config.ts', '--project', 'e2e'),
    hasReport: true,
    needsServer: true,
  },
]

/** Runs a stage to its end and gives its status; a quiet one shows what it said once it is done. */
function run({ name, command: [file, args], isLong }, isQuiet) {
  return new Promise((resolve) => {
    const child = spawn(file, args, {
      stdio: isQuiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      env: {
        ...process.env,
        NUXT_TELEMETRY_DISABLED: '1',
        SE_OFFLINE: 'true',
        ...(isLong ? { JOLVET_LONG: '1' } : {}),
      },
    })
    const said = []
    child.stdout?.on('data', (chunk) => said.push(chunk))
    child.stderr?.on('data', (chunk) => said.push(chunk))
    child.on('error', () => resolve(1))
    child.on('close', (status) => {
      if (isQuiet) {
        say(`${name}${status === 0 ? '' : ' failed'}`)
        process.stdout.write(Buffer.concat(said))
      }
      resolve(status ?? 1)
    })
  })
}

let passed = 0
let failed = 0
try {
  ensureModules()
  const wanted = process.argv.slice(2)
  const stages = STAGES.filter(({ name, isLong }) => (wanted.length === 0 ? !isLong : wanted.includes(name)))
  if (stages.some(({ needsServer }) => needsServer)) {
    ensureMariadb()
    ensureChromium()
    buildIfChanged()
  }
  mkdirSync(REPORTS, { recursive: true })
  const reading = stages.filter(({ isReading }) => isReading)
  for (const status of await Promise.all(reading.map((stage) => run(stage, true)))) {
    if (status === 0) passed++
    else failed++
  }
  for (const stage of stages.filter(({ isReading }) => !isReading)) {
    const { name, hasReport } = stage
    say(name)
    const report = `${REPORTS}/${name}.json`
    rmSync(report, { force: true })
    const status = await run(stage, false)
    if (hasReport && existsSync(report)) {
      const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, 'utf8'))
      passed += numPassedTests
      // A file that could not even load has no failed test of its own.
      failed += numFailedTests || (status === 0 ? 0 : Math.max(1, numFailedTestSuites))
    } else if (status === 0) {
      passed++
    } else {
      failed++
    }
  }
} catch (error) {
  console.error(error instanceof Halt ? error.message : error)
  failed++
}
say('done')
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
