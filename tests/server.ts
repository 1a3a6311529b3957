import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { TestProject } from 'vitest/node'
import { freePort, start, stop, url } from '../scripts/db.mjs'
import { runMigrations } from '../scripts/migrate.mjs'
import { tsx } from '../scripts/setup.mjs'

declare module 'vitest' {
  interface ProvidedContext {
    baseUrl: string
    /** Where the database of this run lives, for tests that restart it. */
    databaseFolder: string
  }
}

/** The production build on a free port, with a database of its own that holds the demo jobs. */
export default async function setUp(project: TestProject) {
  const dir = mkdtempSync(path.join(tmpdir(), 'jolvet-test-'))
  const connection = await start({ dir })
  const databaseUrl = url(connection)
  await runMigrations(databaseUrl)
  tsx('scripts/demo.ts', ['--if-empty'], { DATABASE_URL: databaseUrl })
  const port = await freePort()
  const app: ChildProcess = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: String(port), DATABASE_URL: databaseUrl },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const baseUrl = `http://127.0.0.1:${port}`
  for (
    let i = 0;
    !(await fetch(`${baseUrl}/api/health`).then(
      (reply) => reply.ok,
      () => false,
    ));
    i++
  ) {
    if (i > 300 || app.exitCode !== null) throw new Error('the app did not start')
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  project.provide('baseUrl', baseUrl)
  project.provide('databaseFolder', dir)
  return async () => {
    const gone = new Promise((resolve) => app.once('exit', resolve))
    app.kill('SIGTERM')
    await gone
    await stop({ dir })
    rmSync(dir, { recursive: true, force: true })
  }
}
