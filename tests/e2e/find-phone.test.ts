import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// A pipe found with one hand: what it is stays in sight, the stop comes first, and no key slides under the finger.
let app: App
const slug = 'tow-path'

beforeAll(async () => {
  await acting().newJob('Tow path', 'gb', 'lock house')
  app = await App.open(ownBed().baseUrl, { width: 390, height: 844 })
})
afterAll(() => app.close())

/** Taps a key; then how long the thumb bar stayed without one, ms, and how often it showed one meanwhile. */
const tapAndWatch = (key: string): Promise<{ away: number; wasAway: boolean }> =>
  app.driver.executeAsyncScript(
    `const [key, done] = arguments
    const keys = () => document.querySelectorAll('[data-test="thumb"] button').length
    const start = performance.now()
    let wasAway = false
    document.querySelector(key).click()
    const look = () => {
      if (keys() === 0) wasAway = true
      else if (wasAway) return done({ away: performance.now() - start, wasAway })
      requestAnimationFrame(look)
    }
    requestAnimationFrame(look)`,
    key,
  )

/** Whether the whole of a thing stands on the screen, above the thumb bar. */
const isAboveThumb = (css: string): Promise<boolean> =>
  app.driver.executeScript(
    `const box = document.querySelector(arguments[0]).getBoundingClientRect()
    return box.top >= 0 && box.bottom <= document.querySelector('[data-test="thumb"]').getBoundingClientRect().top`,
    css,
  )

describe('a find on the phone', () => {
  it('shows what it is, and asks of gas, all at once above the thumb', async () => {
    await app.go(`/jobs/${slug}/find`)
    await app.click('[data-test="first-find"]')
    await app.type('#diameter', '21.5')
    await app.waitForText('[data-test="verdict"]', /most likely\s*3\/4 in old copper[\s\S]*\d\d\s*in 100/)
    await app.waitForText('[data-test="thumb"]', /It is water, I traced it/)
    expect(await isAboveThumb('[data-test="verdict"]')).toBe(true)
    expect(await isAboveThumb('[data-caution="gas"]')).toBe(true)
  })

  it('gives no key to a second tap: the next ones come 400 ms later', async () => {
    const first = await tapAndWatch('[data-test="traced-water"]')
    expect(first.away).toBeGreaterThanOrEqual(400)
    await app.waitForText('[data-test="thumb"]', /Scratch it/)
    const second = await tapAndWatch('[data-test="thumb"] [data-settle]')
    expect(second.away).toBeGreaterThanOrEqual(400)
  })

  it('keeps what it is in sight while the checks below are answered', async () => {
    await app.click('[data-check="magnet"]')
    await app.driver.executeScript(`document.querySelector('[data-check="magnet"]').scrollIntoView()`)
    await app.click('[data-answer="magnet:false"]')
    await app.waitForText('[data-test="thumb-pipe"]', /3\/4 in old copper, sized by bore[\s\S]*in 100/)
    const bottom: number = await app.driver.executeScript(
      `return innerHeight - document.querySelector('[data-test="thumb-pipe"]').getBoundingClientRect().bottom`,
    )
    expect(bottom).toBeGreaterThanOrEqual(0)
    expect(await app.errors()).toEqual([])
  })
})
