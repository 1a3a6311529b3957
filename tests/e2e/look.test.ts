import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { App } from './pages/app'

// Every main view at the desk and on the phone, light and cellar: no serious finding, nothing wider than the page, no
// console error.
let app: App
beforeAll(async () => {
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

const DESK = [1280, 800] as const
const PHONE = [390, 844] as const
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

/** The view as it stands now: nothing serious, nothing wider than the page, no console error. */
async function look(path: string, width: number, theme: string) {
  expect(await app.axe(), `${path} ${width} ${theme}`).toEqual([])
  const wide = await app.driver.executeScript<number>('return document.documentElement.scrollWidth')
  // The window itself grows with what is too wide on a phone, so it is the asked width that counts.
  const reaching = await app.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('body *:not(svg *)')].filter(e => e.getBoundingClientRect().right > ${width} + 1).map(e => e.tagName + '.' + e.className + ' ' + e.textContent.trim().slice(0, 60)).slice(-4)`,
  )
  expect(wide, `${reaching.join('; ')}: ${path} scrolls sideways at ${width}`).toBeLessThanOrEqual(width)
  expect(await app.driver.executeScript('return document.documentElement.dataset.theme')).toBe(theme)
  expect(await app.errors()).toEqual([])
}

describe('every view', () => {
  it.each(VIEWS)('%s', async (path) => {
    await app.setTheme(false)
    await app.setSize(...DESK)
    await app.go(path)
    await app.find('main svg')
    await look(path, DESK[0], 'light')
    // Opened on the phone, not only made narrow; the dark theme has the same shapes in other colours.
    await app.setSize(...PHONE)
    await app.go(path)
    await app.find('main svg')
    await look(path, PHONE[0], 'light')
    await app.setTheme(true)
    await app.find('html[data-theme="cellar"]')
    await look(path, PHONE[0], 'cellar')
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
  beforeAll(() => app.setTheme(false))
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
    await app.waitForCount('[role="dialog"]', 0)
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
      130,
      'e.dataset.way ? "way" : e.dataset.end ? "end" : e.dataset.condition ? "condition" : e.dataset.test ?? ""',
    )
    expect([...reached]).toEqual(expect.arrayContaining(['way', 'end', 'condition', 'take-way']))
  })
})
