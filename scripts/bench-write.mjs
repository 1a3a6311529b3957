// npm run bench:write: what a write costs beside a bare insert, and what the flush to disk costs. Ratios count, not
// times.
import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import mysql from 'mysql2/promise'
import { freePort, start, stop, url } from './db.mjs'
import { runMigrations } from './migrate.mjs'
import { buildIfChanged, root } from './setup.mjs'

process.chdir(root)
const TIMES = 400
await buildIfChanged()
const dir = mkdtempSync(path.join(tmpdir(), 'jolvet-bench-'))
const connection = await start({ dir })
await runMigrations(url(connection))
const database = await mysql.createConnection(url(connection))
const port = await freePort()
const app = spawn(process.execPath, ['.output/server/index.mjs'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: String(port), DATABASE_URL: url(connection) },
})
const base = `http://127.0.0.1:${port}`
while (
  !(await fetch(`${base}/api/health`).then(
    (reply) => reply.ok,
    () => false,
  ))
)
  await new Promise((resolve) => setTimeout(resolve, 50))

/** Acts in one call, and what came of the last. */
async function send(...acts) {
  const reply = await fetch(`${base}/api/acts`, { method: 'POST', body: JSON.stringify({ acts }) })
  return (await reply.json()).acts.at(-1)
}
const act = (name, record, body, about = {}) => ({
  key: randomUUID(),
  name,
  job,
  record,
  at: new Date().toISOString(),
  by: '',
  body,
  ...about,
})
const median = (times) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]
async function time(work) {
  for (let i = 0; i < 40; i++) await work(-1 - i)
  const times = []
  for (let i = 0; i < TIMES; i++) {
    const from = performance.now()
    await work(i)
    times.push(performance.now() - from)
  }
  return median(times)
}

const find = { place: 'north wall', typed: '21.5', by: 'calliper', answers: { colour: 'copper' }, pipe: null }
const job = randomUUID()
await send(act('job/begin', job, { name: 'Bench', place: '', region: 'gb' }))
const insert = (into) =>
  into.query(
    'insert into finds (id, job_id, place, typed, measured_by, answers, created_at, updated_at) values (?, ?, ?, ?, ?, ?, utc_timestamp(3), utc_timestamp(3))',
    [randomUUID(), job, find.place, find.typed, find.by, JSON.stringify(find.answers)],
  )

const rows = []
rows.push(['a bare insert, flushed to disk at commit', await time(() => insert(database))])
const begin = () => act('find/begin', randomUUID(), find)
rows.push(['a find begun over HTTP, logged', await time(() => send(begin()))])
rows.push(['ten finds begun in one call, each', (await time(() => send(...Array.from({ length: 10 }, begin)))) / 10])
let changed = (await send(begin())).record
rows.push([
  'a find changed over HTTP, logged',
  await time(async (i) => {
    const { id, version } = changed
    changed = (await send(act('find/change', id, { typed: String(i) }, { version }))).record
  }),
])
const again = begin()
rows.push(['the same act again, known by its key', await time(() => send(again))])
rows.push([
  'a read of one setting over HTTP (no table)',
  await time(() => fetch(`${base}/api/health`).then((reply) => reply.text())),
])

app.kill('SIGTERM')
await database.end()
await stop({ dir })

// The same insert where a commit is flushed once a second only: what the promise costs.
const loose = await start({ dir, options: ['--innodb-flush-log-at-trx-commit=2'] })
const looseDatabase = await mysql.createConnection(url(loose))
rows.push(['a bare insert, flushed once a second (not used)', await time(() => insert(looseDatabase))])
await looseDatabase.end()
await stop({ dir })
rmSync(dir, { recursive: true, force: true })

const [, bare] = rows[0]
console.log(`median of ${TIMES}`)
for (const [what, ms] of rows)
  console.log(`${ms.toFixed(2).padStart(7)} ms  ${(ms / bare).toFixed(2).padStart(6)} x  ${what}`)
