// npm run screenshots: one picture of each main view from the demo data of a running app (PORT, default 3000).
import { randomUUID } from 'node:crypto'
import { mkdirSync, writeFileSync } from 'node:fs'
import { By, until } from 'selenium-webdriver'
import { openBrowser } from './browser.mjs'

const base = `http://127.0.0.1:${process.env.PORT ?? 3000}`
const folder = process.env.OUT ?? 'docs/screenshots'
const only = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const read = async (at) => (await fetch(base + at)).json()
const jobs = await Promise.all((await read('/api/jobs?limit=60')).jobs.map(({ slug }) => read(`/api/jobs/${slug}`)))
const joint = (slug, number) =>
  `joint=${jobs.find((job) => job.slug === slug).joints.find((one) => one.number === number).id}`
const line = (slug, number) =>
  `line=${jobs.find((job) => job.slug === slug).lines.find((one) => one.number === number).id}`
const kiln = 'kiln-lane-bakehouse'
const boat = 'boat-shed-wash-down'
const PHONE = [390, 844]
const VIEWS = [
  ['jobs', '/'],
  ['job', `/jobs/${kiln}/find`, undefined, false, openJob],
  ['find', '/jobs/glaze-kiln-room/find'],
  ['sizes', '/sizes'],
  [
    'gauge',
    `/gauge?job=glaze-kiln-room&find=${jobs.find((job) => job.slug === 'glaze-kiln-room').finds[0].id}`,
    undefined,
    false,
    setGauge,
  ],
  ['joint', `/jobs/${kiln}/joint?${joint(kiln, 5)}`],
  ['line', `/jobs/${kiln}/line?${line(kiln, 1)}`, undefined, false, thirdLeg],
  ['kit', `/jobs/${kiln}/kit`],
  ['look', `/jobs/${boat}/look`, undefined, false, lookAtCrimp],
  ['cut', `/jobs/${kiln}/cut`],
  ['fix', `/jobs/${kiln}/fix?${line(kiln, 2)}`],
  ['make', `/jobs/${kiln}/make?${joint(kiln, 3)}`],
  ['order', `/jobs/${kiln}/order`],
  ['handover', `/jobs/${kiln}/handover`],
  ['stop-cellar', `/jobs/${boat}/joint?${joint(boat, 4)}`, undefined, true],
  ['find-phone', '/jobs/glaze-kiln-room/find', PHONE],
  ['jobs-phone', '/', PHONE],
  ['make-phone', `/jobs/${kiln}/make?${joint(kiln, 3)}`, PHONE],
  // Last: they leave an entry behind in this browser.
  ['two-hands', `/jobs/${kiln}/make?${joint(kiln, 3)}`, undefined, false, twoHands],
]

/** The screen gauge as it is once a card was laid on the screen. */
async function setGauge({ driver }) {
  await (await driver.wait(until.elementLocated(By.css('[data-test="card-fits"]')), 10_000)).click()
}

/** The job itself, over its Find. */
async function openJob({ driver }) {
  await (await driver.wait(until.elementLocated(By.css('[data-test="open-job"]')), 10_000)).click()
}

/** A line with its piece of two bends looked at. */
async function thirdLeg({ driver }) {
  const leg = await driver.wait(until.elementLocated(By.css('[data-leg="2"] button')), 10_000)
  await driver.executeScript('arguments[0].click(); window.scrollTo(0, 0)', leg)
}

/** A crimp that is there already, with what is seen of it. */
async function lookAtCrimp({ driver }) {
  for (const css of [
    '[data-method="crimp"]',
    '[data-seen="leak:weeps"]',
    '[data-seen="gauge:fails"]',
    '[data-look="ringDistance"] input',
  ])
    await (await driver.wait(until.elementLocated(By.css(css)), 10_000)).click()
  await (await driver.findElement(By.css('[data-look="ringDistance"] input'))).sendKeys('3/16')
}

/**
 * Two hands on one depth: typed here without a network, saved there meanwhile. The other's entry is taken back
 * afterwards.
 */
async function twoHands(browser) {
  const { driver } = browser
  const id = jobs.find((job) => job.slug === kiln).joints.find((one) => one.number === 3).id
  const joint = async () => (await (await fetch(`${base}/api/jobs/${kiln}`)).json()).joints.find((one) => one.id === id)
  const save = async (depths, by) => {
    const { version } = await joint()
    const job = jobs.find((one) => one.slug === kiln).id
    const at = new Date().toISOString()
    const act = { key: randomUUID(), name: 'joint/change', job, record: id, version, at, by, body: { depths } }
    return fetch(`${base}/api/acts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ acts: [act] }),
    })
  }
  const network = (offline) =>
    driver.sendDevToolsCommand('Network.emulateNetworkConditions', {
      offline,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    })
  await driver.executeScript('localStorage.setItem("jolvet-hand", "Wyn")')
  await driver.navigate().refresh()
  const field = await driver.wait(until.elementLocated(By.css('[data-test="measured-depth"]')), 10_000)
  await driver.sendDevToolsCommand('Network.enable', {})
  await network(true)
  await field.sendKeys('22')
  await driver.sleep(600)
  await save({ 0: '20' }, 'Ola, phone')
  await network(false)
  await driver.wait(until.elementLocated(By.css('[data-test="clash"]')), 15_000)
  return () => save({}, '')
}

const browser = await openBrowser()
try {
  for (const [name, path, size = [1280, 800], dark = false, prepare] of VIEWS) {
    if (only.length && !only.includes(name)) continue
    await browser.setSize(...size)
    await browser.setTheme(dark)
    await browser.driver.get(base + path)
    await browser.driver.wait(
      () =>
        browser.driver.executeScript(
          'return document.documentElement.dataset.ready === "true" && !document.querySelector("[data-loading]")',
        ),
      15_000,
    )
    const tidy = await prepare?.(browser)
    await new Promise((resolve) => setTimeout(resolve, 700))
    writeFileSync(`${folder}/${name}.png`, await browser.driver.takeScreenshot(), 'base64')
    await tidy?.()
    const log = (await browser.driver.manage().logs().get('browser')).filter((entry) => entry.level.name === 'SEVERE')
    console.log(name, log.map((entry) => entry.message).join(' | '))
  }
} finally {
  await browser.close()
}
