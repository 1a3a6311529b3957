import { spawn, type ChildProcess } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { TestProject } from 'vitest/node'
import { start, stop, url } from '../scripts/db.mjs'
import type { Bed } from './bed'
import { NAME } from './certificate'
import { copyDatabase } from './copy-database'
import { appPort } from './ports'
import { demoTemplate } from './template'

const READY_WITHIN_MS = 120_000

async function untilHealthy(app: ChildProcess, baseUrl: string) {
  const isUp = () =>
    fetch(`${baseUrl}/api/health`).then(
      (reply) => reply.ok,
      () => false,
    )
  for (const since = Date.now(); !(await isUp());) {
    if (app.exitCode !== null || Date.now() - since > READY_WITHIN_MS) throw new Error('the app did not start')
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
}

async function makeBed(template: string, dir: string): Promise<{ bed: Bed; end: () => Promise<void> }> {
  copyDatabase(template, dir)
  const connection = await start({ dir })
  const port = await appPort()
  const app = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      DATABASE_URL: url(connection),
      JOLVET_RATE_TIMES: '1000',
      JOLVET_HOSTS: NAME,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const baseUrl = `http://127.0.0.1:${port}`
  await untilHealthy(app, baseUrl)
  const end = async () => {
    const gone = new Promise((resolve) => app.once('exit', resolve))
    app.kill('SIGTERM')
    await gone
    await stop({ dir })
  }
  return { bed: { baseUrl, databaseUrl: url(connection), databaseFolder: dir }, end }
}

/** The production build on free ports, once for each worker; databases with the demo jobs. */
export default async function setUp(project: TestProject) {
  mkdirSync('node_modules/.cache/jolvet-test', { recursive: true })
  const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-test-'))
  const template = await demoTemplate()
  const beds = await Promise.all(
    Array.from({ length: Number(project.config.maxWorkers) }, (_, i) =>
      makeBed(template, path.join(folder, `bed-${i + 1}`)),
    ),
  )
  project.provide('template', template)
  project.provide(
    'beds',
    beds.map(({ bed }) => bed),
  )
  return async () => {
    await Promise.all(beds.map(({ end }) => end()))
    rmSync(folder, { recursive: true, force: true })
  }
}
