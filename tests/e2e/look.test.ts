import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { App } from './pages/app'

// Every main view at the desk and on the phone, light and cellar: no serious finding, nothing wider than the page, no console error.
let app: App
beforeAll(async () => {
  app = await App.open(inject('baseUrl'))
})
afterAll(() => app.close())

const SIZES = [
  [1280, 800],
  [390, 844],
] as const
const kiln = '/jobs/kiln-lane-bakehouse'
const VIEWS = [
  '/',
  '/sizes',
  '/gauge',
  '/jobs/glaze-kiln-room/find',
  `${kiln}/find`,
  `${kiln}/line`,
  `${kiln}/joint`,
  `${kiln}/fix`,
  `${kiln}/make`,
  `${kiln}/handover`,
  `${kiln}/kit`,
  `${kiln}/look`,
  '/jobs/boat-shed-wash-down/line',
  '/jobs/boat-shed-wash-down/joint',
  '/jobs/boat-shed-wash-down/make',
]

describe.each([
  ['light', false],
  ['cellar', true],
] as const)('%s', (name, dark) => {
  it.each(VIEWS)('%s', async (path) => {
    await app.setTheme(dark)
    // The dark theme has the same shapes: its colours are looked at on the phone, where all of them stand.
    for (const [width, height] of dark ? SIZES.slice(1) : SIZES) {
      await app.setSize(width, height)
      await app.go(path)
      await app.find('main *')
      await app.driver.wait(
        () => app.driver.executeScript('return document.querySelectorAll("main svg").length > 0'),
        10_000,
        'nothing drawn',
      )
      expect(await app.axe(), `${path} ${width}`).toEqual([])
      const wide = await app.driver.executeScript<number>('return document.documentElement.scrollWidth')
      // The window itself grows with what is too wide on a phone, so it is the asked width that counts.
      expect(wide, `${path} scrolls sideways at ${width}`).toBeLessThanOrEqual(width)
    }
    expect(await app.driver.executeScript('return document.documentElement.dataset.theme')).toBe(name)
    expect(await app.errors()).toEqual([])
  })
})

/** What Tab reaches in so many presses, each with a focus that is seen; `name` calls the element `e`. */
async function tabThrough(presses: number, name: string): Promise<Set<string>> {
  const reached = new Set<string>()
  for (let i = 0; i < presses; i++) {
    await app.press(Key.TAB)
    const at = await app.driver.executeScript<{ name: string; seen: boolean }>(
      `const e = document.activeElement; return { name: ${name}, seen: getComputedStyle(e).outlineStyle !== "none" || e === document.body }`,
    )
    expect(at.seen).toBe(true)
    reached.add(at.name)
  }
  return reached
}

describe('by keyboard alone', () => {
  it('goes from the jobs to a way taken', async () => {
    await app.setSize(1280, 800)
    await app.go('/')
    await app.find('[data-job]')
    await app.press('j')
    await app.press('k')
    await app.press(Key.ENTER)
    await app.find('[data-step]')
    await app.press('3')
    await app.find('[data-way]')
    await app.press('j')
    await app.waitForText('section[aria-label="Working"]', /Working of way 2/)
    await app.press('?')
    await app.waitForText('[role="dialog"]', /light or cellar/)
    await app.press(Key.ESCAPE)
    await app.driver.wait(async () => (await app.count('[role="dialog"]')) === 0, 5000, 'keys stay open')
    await app.press('9')
    await app.find('[data-register]')
  })

  it('reaches the parts of a line by Tab with a visible focus', async () => {
    await app.go(`${kiln}/line`)
    await app.find('[data-leg]')
    const reached = await tabThrough(
      50,
      'e.closest("[data-leg]") ? "leg" : e.dataset.panel ? "panel" : e.dataset.test ?? ""',
    )
    expect([...reached]).toEqual(
      expect.arrayContaining(['leg', 'new-leg', 'panel', 'fit', 'reverse', 'print-strips', 'add-line']),
    )
  })

  it('reaches every control by Tab with a visible focus', async () => {
    await app.go(`${kiln}/joint`)
    await app.find('[data-way]')
    const reached = await tabThrough(
      70,
      'e.dataset.way ? "way" : e.dataset.end ? "end" : e.dataset.condition ? "condition" : e.dataset.test ?? ""',
    )
    expect([...reached]).toEqual(expect.arrayContaining(['way', 'end', 'condition', 'take-way']))
  })
})
