import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { JobRecord, LineRecord } from '#core/record'
import { App } from './pages/app'

// A line held by the code: its supports in order, one moved and one fixed, growth, flow, the codes side by side.
const WAIT = { timeout: 60_000, interval: 50 }
let app: App
let slug: string
let yard: JobRecord
const { begin, newJob, job: jobOf } = acting()
const saved = async (): Promise<LineRecord> => (await jobOf(slug)).lines[0]!

beforeAll(async () => {
  yard = await newJob('Rafter loft', 'gb', 'north wall')
  slug = yard.slug
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('fix', () => {
  it('sends a job without a line to draw one', async () => {
    await app.go(`/jobs/${slug}/fix`)
    await app.waitForText('main', /Nothing to fix yet/)
    await begin('line/begin', yard, {
      name: 'loft',
      pipe: 'cu-en-x-22',
      method: 'solder',
      corners: 'fittings',
      start: 'free',
      walls: [],
      legs: ['e 4000', 'u 2000', 'e 3000 free'],
    })
  })
  it("shows the next support's distance largest, and fixes it by a key", async () => {
    await app.go(`/jobs/${slug}/fix`)
    await app.waitForText(
      '[data-test="next-support"]',
      /\d+\s*mm[\s\S]*fix S1 here: clip[\s\S]*from the left end of p1/,
    )
    await app.waitForText('[data-test="codes"]', /1800[\s\S]*2400/)
    await app.press(' ')
    await app.waitForText('[data-test="next-support"]', /fix S2 here/)
    await vi.waitUntil(async () => (await saved()).clips['0:0']?.at != null, WAIT)
    await app.press('k')
    await app.waitForText('[data-test="next-support"]', /S1 is fixed/)
    await app.click('[data-test="unfix"]')
    await app.waitForText('[data-test="next-support"]', /fix S1 here/)
    expect(await app.axe()).toEqual([])
  })
  it('keeps a support that is moved, says what it breaks, and takes it back', async () => {
    await app.type('[data-test="move-support"]', 'there')
    await app.waitForText('.hand', /not a length/)
    await app.type('[data-test="move-support"]', '1500')
    await app.press(Key.ENTER)
    await app.waitForText('[data-test="broken"]', /at most 900/)
    await vi.waitUntil(async () => (await saved()).clips['0:0']?.mm === 1500, WAIT)
    await app.reload()
    await app.waitForText('[data-test="fix-problem"]', /S1: The first is 1500 mm from the beginning/)
    await app.waitForText('[data-test="next-support"]', /1500/)
    await app.click('[data-test="take-back"]')
    await vi.waitUntil(async () => Object.keys((await saved()).clips).length === 0, WAIT)
  })
  it('shows growth, its arms and their sum once it carries heat', async () => {
    await app.click('[data-fix-service="heating"]')
    await app.type('[data-test="fix-installed"]', 'warm')
    await app.waitForText('.working', /A temperature of .*°C/)
    await app.type('[data-test="fix-installed"]', '14')
    await app.press(Key.ENTER)
    await app.waitForText('[data-test="arms"]', /A to B, far end/)
    await app.click('[data-test="arms"] button')
    // 4 m at 0.0168 from 14 to 75: 4.1 mm.
    await app.waitForText('body', /grows, in all[\s\S]*4\.1/)
    await app.reload()
    await app.click('[data-code="en"]')
    await app.waitForText('.working', /no European ones are held/)
    await vi.waitUntil(async () => (await saved()).fix.code === 'en', WAIT)
    await app.type('[data-test="fix-across"]', '900')
    await app.press(Key.ENTER)
    await app.waitForText('.working', /measured: the maker's sheet/)
    await vi.waitUntil(async () => (await saved()).fix.across === 900, WAIT)
  })
  it('shows speed and pressure along it at a flow, and says what it cannot read', async () => {
    await app.type('[data-test="fix-flow"]', 'lots')
    await app.waitForText('.working', /Accepted: 0\.2 l\/s/)
    await app.type('[data-test="fix-flow"]', '12 l/min')
    await app.press(Key.ENTER)
    await app.waitForText('[data-test="flow-legs"]', /A to B[\s\S]*20\.2/)
    await app.find('[data-test="flow-chart"] svg')
    const drop = await app.text('[data-test="flow-drop"]')
    expect(drop).toMatch(/ bar$/)
    expect(parseFloat(drop)).toBeGreaterThan(0.005)
    expect(await app.axe()).toEqual([])
    expect(await app.errors()).toEqual([])
  })
  it('prints its strips with the clips, and orders by kind', async () => {
    const line = await saved()
    const pdf = await fetch(`${ownBed().baseUrl}/api/jobs/${slug}/lines/${line.id}/fixed-strips.pdf`)
    expect([pdf.status, pdf.headers.get('content-type')]).toEqual([200, 'application/pdf'])
    await app.waitForText('[data-test="fix-order"]', /sliding clip, 22[\s\S]*|anchor bracket/)
    expect(await app.count('[data-test="fix-order"] li')).toBe(2)
  })
  it('on the phone has the next distance large, back and fixed under the thumb, the rest in a sheet', async () => {
    await app.setSize(390, 844)
    await app.go(`/jobs/${slug}/fix`)
    await app.waitForText('[data-test="next-support"]', /fix S1 here/)
    expect(await app.driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390)
    await app.click('[data-test="fix-it"]')
    await app.waitForText('[data-test="next-support"]', /fix S2 here/)
    await app.click('[data-test="open-fix-panels"]')
    await app.waitForText('[role="dialog"]', /Most between supports/)
    expect(await app.axe()).toEqual([])
    await app.setSize(1280, 800)
    expect(await app.errors()).toEqual([])
  })
})

describe('ask', () => {
  it('answers how far apart clips stand, and what a flow loses', async () => {
    await app.go(`/jobs/${slug}/find`)
    await app.press('/')
    await app.type('[data-test="ask"]', 'clips 22 copper')
    await app.waitForText('[data-test="ask-answer"]', /1800 mm[\s\S]*2400 mm[\s\S]*BS 8558/)
  })
})
