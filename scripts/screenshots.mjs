// npm run screenshots: one picture of each main view from the demo data of a running app (PORT, default 3000).
import { mkdirSync, writeFileSync } from 'node:fs'
import { openBrowser } from './browser.mjs'

const base = `http://127.0.0.1:${process.env.PORT ?? 3000}`
const folder = process.env.OUT ?? 'docs/screenshots'
const only = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const jobs = (await (await fetch(`${base}/api/jobs`)).json()).jobs
const joint = (slug, number) => `joint=${jobs.find(job => job.slug === slug).joints.find(one => one.number === number).id}`
const kiln = 'kiln-lane-bakehouse'
const boat = 'boat-shed-wash-down'
const PHONE = [390, 844]
const VIEWS = [
  ['jobs', '/'],
  ['find', '/jobs/glaze-kiln-room/find'],
  ['joint', `/jobs/${kiln}/joint?${joint(kiln, 5)}`],
  ['joint-old-copper', `/jobs/${kiln}/joint?${joint(kiln, 4)}`],
  ['joint-inches', `/jobs/${boat}/joint?${joint(boat, 1)}`],
  ['make', `/jobs/${kiln}/make?${joint(kiln, 3)}`],
  ['make-inches', `/jobs/${boat}/make?${joint(boat, 2)}`],
  ['handover', `/jobs/${kiln}/handover`],
  ['make-cellar', `/jobs/${kiln}/make?${joint(kiln, 3)}`, undefined, true],
  ['jobs-phone', '/', PHONE],
  ['find-phone', '/jobs/glaze-kiln-room/find', PHONE],
  ['joint-phone', `/jobs/${kiln}/joint?${joint(kiln, 5)}`, PHONE],
  ['make-phone', `/jobs/${kiln}/make?${joint(kiln, 3)}`, PHONE],
  ['register-phone', `/jobs/${kiln}/handover`, PHONE],
]

const browser = await openBrowser()
try {
  for (const [name, path, size = [1280, 800], dark = false] of VIEWS) {
    if (only.length && !only.includes(name)) continue
    await browser.setSize(...size)
    await browser.setTheme(dark)
    await browser.driver.get(base + path)
    await browser.driver.wait(() => browser.driver.executeScript('return document.documentElement.dataset.ready === "true" && !document.querySelector("[data-loading]")'), 15_000)
    await new Promise(resolve => setTimeout(resolve, 700))
    writeFileSync(`${folder}/${name}.png`, await browser.driver.takeScreenshot(), 'base64')
    const log = (await browser.driver.manage().logs().get('browser')).filter(entry => entry.level.name === 'SEVERE')
    console.log(name, log.map(entry => entry.message).join(' | '))
  }
} finally {
  await browser.close()
}
