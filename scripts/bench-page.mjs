// npm run bench:page: what a first visit of each main page weighs and how Lighthouse marks it, beside a bare page of the
// same stack (scripts/bare), in one run. A running app (PORT, default 3000) with the demo; RUNS (5) a page, the median
// counts; PAGES and FORMS (phone, desktop) leave some out. Nothing outside this machine is reached.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:net'
import path from 'node:path'
import { launch } from 'chrome-launcher'
import lighthouse, { desktopConfig } from 'lighthouse'
import { FLAGS, ownMachine } from './browser.mjs'
import { root, run } from './setup.mjs'

const base = `http://127.0.0.1:${process.env.PORT ?? 3000}`
const runs = Number(process.env.RUNS ?? 5)
const listed = (name, all) => (process.env[name] ? process.env[name].split(',') : all)
const job = process.env.JOB ?? 'kiln-lane-bakehouse'
const PAGES = {
  jobs: '/',
  find: `/jobs/${job}/find`,
  line: `/jobs/${job}/line`,
  joint: `/jobs/${job}/joint`,
  make: `/jobs/${job}/make`,
  handover: `/jobs/${job}/handover`,
}
const FORMS = { phone: undefined, desktop: desktopConfig }
const CATEGORIES = ['performance', 'accessibility', 'best-practices', 'seo']

const freePort = async () => {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address()
  server.close()
  return port
}

/** The bare page, built and served. Gives its address and what ends it. */
async function startBare() {
  run('npx', ['nuxt', 'build', 'scripts/bare', '--logLevel', 'silent'])
  const port = await freePort()
  const server = spawn('node', [path.join(root, 'node_modules/.cache/jolvet-bare/.output/server/index.mjs')], {
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1' },
    stdio: 'ignore',
  })
  const url = `http://127.0.0.1:${port}/`
  for (;;) {
    if (
      await fetch(url).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return { url, end: () => server.kill() }
    await new Promise((go) => setTimeout(go, 100))
  }
}

const kB = (bytes) => Math.round(bytes / 1000)
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/** One visit with nothing kept: marks of 100, times in s, bytes as they were sent. */
async function visit(url, config) {
  const flags = [...FLAGS, ownMachine([]), ...(process.getuid?.() === 0 ? ['--no-sandbox'] : [])]
  const chrome = await launch({ chromePath: process.env.CHROMIUM ?? '/usr/bin/chromium', chromeFlags: flags })
  try {
    const { lhr } = await lighthouse(url, { port: chrome.port, onlyCategories: CATEGORIES, logLevel: 'silent' }, config)
    const second = (name) => lhr.audits[name].numericValue / 1000
    const requests = lhr.audits['network-requests'].details.items
    const sent = (type) =>
      requests.filter((one) => one.resourceType === type).reduce((sum, one) => sum + one.transferSize, 0)
    const failed = Object.values(lhr.audits).filter(
      ({ score, scoreDisplayMode, id }) =>
        scoreDisplayMode === 'binary' &&
        score === 0 &&
        lhr.categories &&
        CATEGORIES.slice(1).some((name) =>
          lhr.categories[name].auditRefs.some((ref) => ref.id === id && ref.weight > 0),
        ),
    )
    return {
      ...Object.fromEntries(CATEGORIES.map((name) => [name, Math.round(lhr.categories[name].score * 100)])),
      fcp: second('first-contentful-paint'),
      lcp: second('largest-contentful-paint'),
      tbt: second('total-blocking-time'),
      si: second('speed-index'),
      cls: lhr.audits['cumulative-layout-shift'].numericValue,
      script: kB(sent('Script')),
      css: kB(sent('Stylesheet')),
      json: kB(sent('Fetch') + sent('XHR')),
      failed: failed.map(({ id }) => id).join(' '),
    }
  } finally {
    chrome.kill()
  }
}

async function measure(url, form) {
  const visits = []
  for (let i = 0; i < runs; i++) visits.push(await visit(url, FORMS[form]))
  const numbers = Object.keys(visits[0]).filter((key) => key !== 'failed')
  return {
    ...Object.fromEntries(numbers.map((key) => [key, median(visits.map((one) => one[key]))])),
    failed: visits[0].failed,
  }
}

const seconds = (value) => value.toFixed(2)
function say(name, found, bare) {
  const away = bare ? String(found.performance - bare.performance).padStart(4) : '    '
  console.log(
    [
      ...[name.padEnd(9), String(found.performance).padStart(4), away],
      ...[found.accessibility, found['best-practices'], found.seo].map((mark) => String(mark).padStart(4)),
      ...[found.fcp, found.lcp, found.tbt, found.si].map((value) => seconds(value).padStart(6)),
      found.cls.toFixed(3).padStart(6),
      ...[found.script, found.css, found.json].map((value) => String(value).padStart(5)),
      found.failed && ` ${found.failed}`,
    ].join(' '),
  )
}

const bare = await startBare()
try {
  for (const form of listed('FORMS', Object.keys(FORMS))) {
    console.log(`\n${form}, median of ${runs}`)
    console.log(
      'page      perf from a11y best  seo    fcp    lcp    tbt     si    cls    js   css  json (s, kB as sent)',
    )
    const own = await measure(bare.url, form)
    say('bare', own)
    for (const name of listed('PAGES', Object.keys(PAGES))) say(name, await measure(base + PAGES[name], form), own)
  }
} finally {
  bare.end()
}
