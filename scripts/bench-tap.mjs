// npm run bench:tap: how long one tap holds the page of a running app (PORT, default 3000) in a browser slowed four times, on a
// job of 100 joints and 10 lines, which is taken out again.
import { randomUUID } from 'node:crypto'
import { By, until } from 'selenium-webdriver'
import { openBrowser } from './browser.mjs'

const base = `http://127.0.0.1:${process.env.PORT ?? 3000}`
const SLOWED = 4
const job = randomUUID()
const send = async (...acts) => {
  const sent = acts.map(([name, record, body]) => ({
    ...{ key: randomUUID(), name, job, record, at: new Date().toISOString(), by: 'Wyn', body },
  }))
  const reply = await fetch(`${base}/api/acts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ acts: sent }),
  })
  const { acts: answers } = await reply.json()
  const wrong = answers.find(({ state }) => state !== 'taken')
  if (wrong) throw new Error(JSON.stringify(wrong))
  return answers
}
const [{ record }] = await send(['job/begin', job, { name: 'Tap bench', place: '', region: 'gb' }])
const { slug } = record
const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
const asked = await fetch(`${base}/api/core/ways`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify({ region: 'gb', ...ends }),
})
const wayId = (await asked.json()).ways.find(({ parts }) => parts[0].name === 'press coupling').id
const legs = ['e 2400', 'u 600', 'n 1800', 'd 300', 'e 900', 'n 1200']
const lines = Array.from({ length: 10 }, () => randomUUID())
await send(...lines.map((id, i) => ['line/begin', id, { name: `run ${i}`, pipe: 'cu-en-x-22', method: 'press', legs }]))
const joints = Array.from({ length: 100 }, () => randomUUID())
for (let from = 0; from < 100; from += 50)
  await send(
    ...joints
      .slice(from, from + 50)
      .map((id, i) => ['joint/begin', id, { place: `riser ${from + i}`, ...ends, wayId }]),
  )

const browser = await openBrowser({ width: 390, height: 844 })
const { driver } = browser
const WATCH = `window.held = []; new PerformanceObserver((list) => { for (const { duration } of list.getEntries()) window.held.push(Math.round(duration)) }).observe({ type: 'longtask', buffered: false })`
const find = (css) => driver.wait(until.elementLocated(By.css(css)), 30_000)
const slow = (rate) => driver.sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate })

/** What a tap holds the page for: its tasks over 50 ms, once the page is at rest again. */
async function tap(what, css) {
  const element = await find(css)
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element)
  await driver.sleep(1500)
  await driver.executeScript('window.held.length = 0; arguments[0].click()', element)
  await driver.sleep(2500)
  const held = await driver.executeScript('return window.held')
  console.log(what.padEnd(34), held.length === 0 ? 'nothing over 50 ms' : `${held.join(', ')} ms`)
}
try {
  await driver.get(`${base}/jobs/${slug}/make?joint=${joints[3]}`)
  await find('[data-tick="0"]')
  await driver.executeScript(WATCH)
  await slow(SLOWED)
  await driver.sleep(3000)
  await tap('a step ticked on Make', '[data-tick="0"]')
  await tap('the next step ticked', '[data-tick="1"]')
  await tap('and taken back', '[data-tick="1"]')
  await tap('to Line', '[data-station="line"]')
  await tap('to Fix', '[data-station="fix"]')
  await tap('a support fixed', '[data-test="fix-it"]').catch(() => console.log('no support to fix is shown here'))
  await tap('to Joint', '[data-station="joint"]')
  await tap('to Make', '[data-station="make"]')
  await tap('to the list of jobs', 'a.home')
  await tap('a job opened from the list', `[data-job="${slug}"]`)
} finally {
  await slow(1)
  await browser.close()
  await send(['job/drop', job, { name: 'Tap bench' }])
}
