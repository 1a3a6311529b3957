// npm run bench:scale: a database of 1,000 jobs of 100 joints, and what reading and writing it costs beside the route that
// answers {ok:true}, with 1, 10 and 50 clients. Ratios count, not times. JOBS=200 for fewer jobs.
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import http from 'node:http'
import { openBed } from './bench-bed.mjs'

const JOBS = Number(process.env.JOBS ?? 1000)
const JOINTS = 100
const LINES = 10
const CLIENTS = [1, 10, 50]
const CALLS = 400

const { database, port, pid, close } = await openBed()
const agent = new http.Agent({ keepAlive: true, maxSockets: 100 })

/** One call over HTTP: its status, its bytes, and its text where it is asked for. */
const call = (method, at, body, wantsText = false) =>
  new Promise((resolve, reject) => {
    const request = http.request(
      { host: '127.0.0.1', port, agent, method, path: at, headers: { 'Content-Type': 'application/json' } },
      (reply) => {
        let bytes = 0
        const chunks = []
        reply.on('data', (chunk) => {
          bytes += chunk.length
          if (wantsText) chunks.push(chunk)
        })
        reply.on('end', () => resolve({ status: reply.statusCode, bytes, text: Buffer.concat(chunks).toString() }))
      },
    )
    request.on('error', reject)
    request.end(body)
  })
const toSend = (name, job, record, body, about = {}) => ({
  ...{ key: randomUUID(), name, job, record, at: new Date().toISOString(), by: 'Wyn', body },
  ...about,
})
const send = async (acts) => {
  const { text } = await call('POST', '/api/acts', JSON.stringify({ acts }), true)
  const answers = JSON.parse(text).acts
  const wrong = answers.find(({ state }) => state !== 'taken')
  if (wrong) throw new Error(JSON.stringify(wrong))
  return answers
}

/** One job as it is worked: finds, lines with supports, joints with their ways, half of them with steps done. */
async function makeJob() {
  const job = randomUUID()
  await send([toSend('job/begin', job, job, { name: 'Bench 0', place: 'boiler house, flow and return', region: 'gb' })])
  const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
  const ways = JSON.parse(
    (await call('POST', '/api/core/ways', JSON.stringify({ region: 'gb', ...ends }), true)).text,
  ).ways
  const wayId = ways.find(({ parts }) => parts[0].name === 'press coupling').id
  for (let i = 0; i < 4; i++)
    await send([toSend('find/begin', job, randomUUID(), { place: `wall ${i}`, typed: '22', pipe: 'cu-en-x-22' })])
  const legs = ['e 2400', 'u 600', 'n 1800', 'd 300', 'e 900', 'n 1200']
  for (let i = 0; i < LINES; i++)
    await send([
      toSend('line/begin', job, randomUUID(), { name: `run ${i}`, pipe: 'cu-en-x-22', method: 'press', legs }),
    ])
  for (let i = 0; i < JOINTS; i++) {
    const id = randomUUID()
    const begin = toSend('joint/begin', job, id, { place: `riser ${i}, floor ${i % 7}`, ...ends, wayId })
    const ticks = i % 2 ? [] : ['cut', 'mark'].map((step) => toSend('joint/tick', job, id, { entry: 0, step }))
    await send([begin, ...ticks])
  }
  return job
}

/** The same job so many times, row by row in the database, each under ids of its own. */
async function multiply(job) {
  const columns = async (table) =>
    (await database.query(`show columns from \`${table}\``))[0]
      .filter(({ Extra }) => !/auto_increment/.test(Extra))
      .map(({ Field }) => Field)
  const copy = async (table, where, set) => {
    const names = await columns(table)
    const values = names.map((name) => set[name] ?? `\`${name}\``)
    return `insert into \`${table}\` (${names.map((name) => `\`${name}\``).join(', ')}) select ${values.join(', ')} from \`${table}\` where ${where}`
  }
  const own = (n) => (column) => `concat(left(${column}, 30), '-', ${n})`
  for (let n = 1; n < JOBS; n++) {
    const id = own(n)
    const set = { id: id('id'), job_id: id('job_id') }
    const ago = `date_sub(worked_at, interval ${n} minute)`
    await database.query(
      await copy('jobs', `id = '${job}'`, { id: id('id'), slug: `'bench-${n}'`, name: `'Bench ${n}'`, position: n }),
    )
    for (const table of ['finds', 'lines', 'joints']) await database.query(await copy(table, `job_id = '${job}'`, set))
    await database.query(
      await copy('ticks', `joint_id in (select id from joints where job_id = '${job}')`, { joint_id: id('joint_id') }),
    )
    await database.query(
      await copy('gists', `job_id = '${job}'`, {
        job_id: id('job_id'),
        record_id: id('record_id'),
        gist: `replace(gist, record_id, ${id('record_id')})`,
      }),
    )
    await database.query(
      await copy('acts', `job_id = '${job}'`, {
        job_id: id('job_id'),
        act_key: `concat(left(act_key, 30), '-', ${n})`,
        record_id: id('record_id'),
      }),
    )
    await database.query(
      await copy('summaries', `job_id = '${job}'`, {
        ...{ job_id: id('job_id'), name: `'Bench ${n}'`, worked_at: ago },
        words: `replace(words, 'bench 0', 'bench ${n}')`,
        summary: `json_set(summary, '$.id', ${id('job_id')}, '$.slug', 'bench-${n}', '$.name', 'Bench ${n}')`,
      }),
    )
  }
}

console.log(`filling: ${JOBS} jobs of ${JOINTS} joints and ${LINES} lines`)
const from = performance.now()
const first = await makeJob()
await database.query('set autocommit = 0')
await multiply(first)
await database.query('commit')
await database.query('set autocommit = 1')
await database.query('analyze table jobs, joints, summaries, gists, acts')
console.log(`filled in ${Math.round((performance.now() - from) / 1000)} s`)

const pick = (n) => Math.floor(Math.random() * n)
const slugOf = (n) => (n === 0 ? 'bench-0' : `bench-${n}`)
/** In no order: tablets are at work beside each other. */
function shuffled(rows) {
  for (let i = rows.length - 1; i > 0; i--) {
    const other = pick(i + 1)
    ;[rows[i], rows[other]] = [rows[other], rows[i]]
  }
  return rows
}
const jointsOf = async (where) =>
  shuffled(
    (
      await database.query(
        `select jobs.id job, joints.id joint, joints.place from joints join jobs on jobs.id = joints.job_id where ${where}`,
      )
    )[0],
  )
/** Jobs that are worked on today; and one joint of each of many, so that nothing of it is known from the act before. */
const TODAY = 20
const today = await jointsOf(`jobs.position < ${TODAY}`)
const anyDay = await jointsOf('joints.number = 7')
let act = 0
/** Another place; the worst of what is typed, since the job is found by it. */
async function doPlace() {
  const one = today[act++ % today.length]
  const place = `riser ${randomUUID().slice(0, 4)}`
  const sent = toSend('joint/change', one.job, one.joint, { place }, { seen: { place: one.place } })
  const { status, bytes } = await call('POST', '/api/acts', JSON.stringify({ acts: [sent] }))
  if (status === 200) one.place = place
  return { status, bytes }
}
/** A step done, or taken back: what hands do most. */
const doTick = (joints) => async () => {
  const one = joints[act++ % joints.length]
  const sent = toSend(one.isDone ? 'joint/untick' : 'joint/tick', one.job, one.joint, { entry: 1, step: 'cut' })
  const { status, bytes } = await call('POST', '/api/acts', JSON.stringify({ acts: [sent] }))
  if (status === 200) one.isDone = !one.isDone
  return { status, bytes }
}
const second = JSON.parse((await call('GET', '/api/jobs?shelf=open', undefined, true)).text).cursor
const ROUTES = [
  ['{ok:true}', () => call('GET', '/api/health')],
  ['list, first page', () => call('GET', '/api/jobs?shelf=open')],
  ['list, second page', () => call('GET', `/api/jobs?shelf=open&cursor=${second ?? ''}`)],
  ['search "riser 7 wyn"', () => call('GET', '/api/jobs?q=riser+7+wyn')],
  ['one job, whole', () => call('GET', `/api/jobs/${slugOf(pick(JOBS))}`)],
  ['one job, since', () => call('GET', `/api/jobs/${slugOf(pick(JOBS))}?since=205`)],
  ['act: a step ticked', doTick(today)],
  ['act: a place changed', doPlace],
  ['act: on a job at rest', doTick(anyDay)],
]
const at = (times, part) => times[Math.min(times.length - 1, Math.floor(times.length * part))]

/** So many clients, each calling as soon as it was answered. */
async function run(work, clients) {
  for (let i = 0; i < 10; i++) await work()
  const times = []
  const failures = new Map()
  let bytes = 0
  let left = CALLS
  const client = async () => {
    while (left-- > 0) {
      const began = performance.now()
      const reply = await work()
      times.push(performance.now() - began)
      bytes += reply.bytes
      if (reply.status !== 200) failures.set(reply.status, (failures.get(reply.status) ?? 0) + 1)
    }
  }
  await Promise.all(Array.from({ length: clients }, client))
  times.sort((a, b) => a - b)
  return { p50: at(times, 0.5), p95: at(times, 0.95), bytes: bytes / times.length, failures }
}
const memory = () => Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024)

for (const clients of CLIENTS) {
  console.log(`\n${clients} client${clients === 1 ? '' : 's'}`.padEnd(26), '   p50      p95   x ok      kB')
  let bare
  for (const [what, work] of ROUTES) {
    const { p50, p95, bytes, failures } = await run(work, clients)
    bare ??= p50
    const row = [
      p50.toFixed(1).padStart(6),
      p95.toFixed(1).padStart(8),
      (p50 / bare).toFixed(1).padStart(6),
      (bytes / 1000).toFixed(1).padStart(7),
    ]
    console.log(what.padEnd(26), row.join(' '), failures.size ? JSON.stringify([...failures]) : '')
  }
}
console.log(`\nmemory of the server ${memory()} MB`)

agent.destroy()
await close()
