// npm run bench:write: what a write costs beside a bare insert, and what the flush to disk costs. Ratios count, not
// times.
import { randomUUID } from 'node:crypto'
import { openBed } from './bench-bed.mjs'

const TIMES = 400
/** Acts in one call, and what came of the last. */
async function send(base, ...acts) {
  const reply = await fetch(`${base}/api/acts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ acts }),
  })
  return (await reply.json()).acts.at(-1)
}
const job = randomUUID()
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
/** A bed with a job in it. */
async function openJob(options) {
  const bed = await openBed(options)
  await send(bed.base, act('job/begin', job, { name: 'Bench', place: '', region: 'gb' }))
  return bed
}
const insert = (into) =>
  into.query(
    'insert into finds (id, job_id, place, typed, measured_by, answers, created_at, updated_at) values (?, ?, ?, ?, ?, ?, utc_timestamp(3), utc_timestamp(3))',
    [randomUUID(), job, find.place, find.typed, find.by, JSON.stringify(find.answers)],
  )

const { database, base, close } = await openJob()
const rows = []
rows.push(['a bare insert, flushed to disk at commit', await time(() => insert(database))])
const begin = () => act('find/begin', randomUUID(), find)
rows.push(['a find begun over HTTP, logged', await time(() => send(base, begin()))])
rows.push([
  'ten finds begun in one call, each',
  (await time(() => send(base, ...Array.from({ length: 10 }, begin)))) / 10,
])
let changed = (await send(base, begin())).record
rows.push([
  'a find changed over HTTP, logged',
  await time(async (i) => {
    const { id, version } = changed
    changed = (await send(base, act('find/change', id, { typed: String(i) }, { version }))).record
  }),
])
const again = begin()
rows.push(['the same act again, known by its key', await time(() => send(base, again))])
rows.push([
  'a read of one setting over HTTP (no table)',
  await time(() => fetch(`${base}/api/health`).then((reply) => reply.text())),
])

await close()

// The same insert where a commit is flushed once a second only: what the promise costs.
const loose = await openJob(['--innodb-flush-log-at-trx-commit=2'])
rows.push(['a bare insert, flushed once a second (not used)', await time(() => insert(loose.database))])
await loose.close()

const [, bare] = rows[0]
console.log(`median of ${TIMES}`)
for (const [what, ms] of rows)
  console.log(`${ms.toFixed(2).padStart(7)} ms  ${(ms / bare).toFixed(2).padStart(6)} x  ${what}`)
