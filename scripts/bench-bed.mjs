// An empty Jolvet of its own for a benchmark: database, server, and what takes both down again.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import mysql from 'mysql2/promise'
import { freePort, start, stop, url } from './db.mjs'
import { runMigrations } from './migrate.mjs'
import { buildIfChanged, root } from './setup.mjs'

/** Starts it, MariaDB with these options of its own; nothing is left running or lying about, whatever comes of it. */
export async function openBed(options = []) {
  process.chdir(root)
  await buildIfChanged()
  const dir = mkdtempSync(path.join(tmpdir(), 'jolvet-bench-'))
  const connection = await start({ dir, options })
  const databaseUrl = url(connection)
  await runMigrations(databaseUrl)
  const database = await mysql.createConnection(databaseUrl)
  const port = await freePort()
  const app = spawn(process.execPath, ['.output/server/index.mjs'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      JOLVET_RATE_TIMES: '1000',
    },
  })
  async function close() {
    app.kill('SIGKILL')
    database.destroy()
    await stop({ dir })
    rmSync(dir, { recursive: true, force: true })
  }
  for (const bad of ['uncaughtException', 'unhandledRejection', 'SIGINT', 'SIGTERM'])
    process.on(bad, (error) => {
      console.error(error)
      void close().finally(() => process.exit(1))
    })
  const base = `http://127.0.0.1:${port}`
  const isUp = () =>
    fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
  while (!(await isUp())) await new Promise((resolve) => setTimeout(resolve, 50))
  return { database, base, port, pid: app.pid, close }
}
