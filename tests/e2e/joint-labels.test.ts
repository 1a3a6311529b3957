import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { meets, type Box } from '../../app/drawing/labels'
import { App } from './pages/app'

// Labels as the browser draws them, against the boxes they were given; and the list of ways, walked and looked up.
let app: App
const { begin, newJob } = acting()
const JOINTS = {
  gb: { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'ml-en-20' } },
  us: { a: { pipe: 'cu-l-1_2' }, b: { pipe: 'pex-cts-1_2' } },
} as const
/** Ways looked at in each country and on each width: 40 in all. */
const LOOKED = 10

interface Drawn {
  sheet: Box
  labels: { words: string; box: Box; given: Box | null }[]
}
/** Boxes of the drawing and of its labels, with those a figure was given; px of the page. */
const drawn = (): Promise<Drawn> =>
  app.driver.executeScript(`
    const boxOf = (one) => { const b = one.getBoundingClientRect(); return { x: b.x, y: b.y, width: b.width, height: b.height } }
    const svg = document.querySelector('svg[aria-label="The way, cut through"]')
    return {
      sheet: boxOf(svg),
      labels: [...svg.querySelectorAll('[data-label]')].map((one) => {
        const holder = one.closest('foreignObject')
        return { words: one.textContent.trim(), box: boxOf(one.querySelector('.tape') ?? one), given: holder && boxOf(holder) }
      }),
    }`)
/** Ways in the order they are shown. */
const shownWays = (): Promise<string[]> =>
  app.driver.executeScript(`return [...document.querySelectorAll('[data-way]')].map((one) => one.dataset.way)`)
const looked = () =>
  app.driver.executeScript<string>(`return document.querySelector('[data-way][aria-pressed="true"]').dataset.way`)

beforeAll(async () => {
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe.each(['gb', 'us'] as const)('the labels of a joint in %s', (region) => {
  it.each([390, 1280])('on %d px lie in the boxes they were given, none over another', async (width) => {
    const job = await newJob(`Label loft ${region} ${width}`, region)
    const joint = await begin('joint/begin', job, JOINTS[region])
    await app.setSize(width, 844)
    await app.go(`/jobs/${job.slug}/joint?joint=${joint.id}`)
    await app.find('[data-way][aria-pressed="true"]')
    if ((await app.count('[data-test="more-ways"]')) > 0) await app.click('[data-test="more-ways"]')
    const ways = (await shownWays()).slice(0, LOOKED)
    for (const i of ways.keys()) {
      const { sheet, labels } = await drawn()
      expect(labels.length).toBeGreaterThan(1)
      for (const [n, { words, box, given }] of labels.entries()) {
        expect(box.x, words).toBeGreaterThanOrEqual(sheet.x - 1)
        expect(box.x + box.width, words).toBeLessThanOrEqual(sheet.x + sheet.width + 1)
        // What was reckoned from the face's widths is what the browser draws, to a px or two of its own.
        if (given) expect(Math.abs(box.width - given.width), words).toBeLessThan(0.12 * given.width + 4)
        const core = { ...box, y: box.y + 2, height: box.height - 4 }
        for (const other of labels.slice(n + 1)) expect(meets(core, other.box), `${words}, ${other.words}`).toBe(false)
      }
      if (i === ways.length - 1) break
      await app.driver.executeScript('document.activeElement?.blur()')
      await app.press('j')
      await app.until(async () => (await looked()) === ways[i + 1], `never at ${ways[i + 1]}`)
    }
  })
})

describe('the list of ways', () => {
  it('is numbered and walked as it is shown, one after the other', async () => {
    const job = await newJob('Walk of ways', 'gb')
    const joint = await begin('joint/begin', job, JOINTS.gb)
    await app.setSize(1280, 800)
    await app.go(`/jobs/${job.slug}/joint?joint=${joint.id}`)
    await app.find('[data-way]')
    const shown = await app.count('[data-way]')
    const numbers = (): Promise<number[]> =>
      app.driver.executeScript(
        `return [...document.querySelectorAll('[data-way]')].map((one) => parseInt(one.querySelector('b').textContent, 10))`,
      )
    expect(await numbers()).toEqual(Array.from({ length: shown }, (_, i) => i + 1))
    const ways = await shownWays()
    for (const way of ways.slice(1)) {
      await app.press('j')
      await app.until(async () => (await looked()) === way, `never at ${way}`)
    }
    expect(await app.count('[data-way]')).toBe(shown)
  })

  it('has its pipe looked up by a size typed with a space, which closes nothing', async () => {
    const job = await newJob('Typed picker', 'us')
    const joint = await begin('joint/begin', job, { a: JOINTS.us.a })
    await app.go(`/jobs/${job.slug}/joint?joint=${joint.id}`)
    await app.click('[data-end="b"]')
    await app.find('[data-test="picker-size"]')
    await app.until(
      () => app.driver.executeScript(`return document.activeElement?.dataset.test === 'picker-size'`),
      'the field has no focus',
    )
    await app.press('1 1/4')
    await app.find('[data-pipe="cu-l-1-1_4"]')
    expect(await app.value('[data-test="picker-size"]')).toBe('1 1/4')
    await app.press(Key.ESCAPE)
    await app.waitForCount('[data-test="picker-size"]', 0)
    expect(await app.errors()).toEqual([])
  })
})
