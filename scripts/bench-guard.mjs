// npm run bench:guard: how long others wait while 50 callers ask a thousand questions each, beside a quiet server.
// The callers are a thread of their own: what they do with their answers holds up no measurement.
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads'
import { openBed } from './bench-bed.mjs'

const CALLERS = 50
const QUIET_CALLS = 300
const PAUSE_MS = 20
const questions = JSON.stringify(
  Array(1000).fill({ region: 'gb', a: { pipe: 'cu-bs-imp-3_4' }, b: { pipe: 'cu-en-x-22' } }),
)

/** How many of a call's questions were worked. */
async function caller(base) {
  const reply = await fetch(`${base}/api/core/ways`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: questions,
  })
  return (await reply.json()).filter(({ error }) => !error).length
}

async function health(base) {
  const from = performance.now()
  const reply = await fetch(`${base}/api/health`)
  await reply.text()
  await new Promise((resolve) => setTimeout(resolve, PAUSE_MS))
  return performance.now() - from - PAUSE_MS
}
const part = (times, share) => times.toSorted((a, b) => a - b)[Math.floor(times.length * share)]
const inWords = (times) =>
  `${times.length} calls, p50 ${part(times, 0.5).toFixed(1)}, p99 ${part(times, 0.99).toFixed(1)}, longest ${Math.max(...times).toFixed(1)} ms`

async function measure() {
  const { base, close } = await openBed()
  const quiet = []
  for (let i = 0; i < QUIET_CALLS; i++) quiet.push(await health(base))
  console.log(`health, nobody else: ${inWords(quiet)}`)
  const from = Date.now()
  let worked
  const callers = new Worker(new URL(import.meta.url), { workerData: base })
  callers.once('message', (counts) => {
    worked = counts
  })
  const busy = []
  while (!worked) busy.push(await health(base))
  const times = part(busy, 0.99) / part(quiet, 0.99)
  console.log(`health, ${CALLERS} callers: ${inWords(busy)}; p99 is ${times.toFixed(1)} times`)
  console.log(
    `the callers: all answered after ${((Date.now() - from) / 1000).toFixed(1)} s, ${Math.min(...worked)} to ${Math.max(...worked)} of 1,000 questions worked in a call`,
  )
  await close()
}

if (isMainThread) await measure()
else parentPort.postMessage(await Promise.all(Array.from({ length: CALLERS }, () => caller(workerData))))
