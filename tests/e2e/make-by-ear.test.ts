import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { WaysAnswer } from '#core/joints'
import { cardsOf, type JobRecord, type JointRecord } from '#core/record'
import { App } from './pages/app'

// Hands full or gloved: a foot on one key, the step in the ear, the end of a wait heard and felt.
let app: App
let yard: JobRecord
const { act, ask, begin, job, newJob } = acting()
const END = { pipe: 'cu-en-x-22' }

async function jointBy(part: string): Promise<JointRecord> {
  const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', a: END, b: END })
  const { id } = await begin('joint/begin', yard, { place: part, a: END, b: END })
  return act('joint/change', yard, id, { wayId: ways.find(({ parts }) => parts[0]!.name === part)!.id })
}
/** What the device was asked to say and to shake, from here on. */
const listen = () =>
  app.driver.executeScript(`
    window.heard = []
    speechSynthesis.speak = (one) => window.heard.push([one.lang, one.text])
    navigator.vibrate = (pattern) => { window.felt = pattern; return true }`)
const heard = (): Promise<[string, string][]> => app.driver.executeScript('return window.heard')

beforeAll(async () => {
  yard = await newJob('Pump room', 'gb', 'by the weir')
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('Make by ear and foot', () => {
  it('reads the next step aloud once it is switched on, in words, and no more once it is off', async () => {
    const joint = await jointBy('push-fit coupling')
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.find('[data-test="aloud"]')
    await listen()
    await app.click('[data-test="aloud"]')
    await app.until(async () => (await heard()).length === 1, 'nothing was said')
    const [[language, first]] = (await heard()) as [[string, string]]
    expect(language).toBe('en-GB')
    expect(first).toMatch(/Step 1\. /)
    await app.press(Key.PAGE_DOWN)
    await app.until(async () => (await heard()).some(([, text]) => text.includes('Step 2. ')), 'step 2 was not said')
    await app.press('a')
    await app.press(Key.ENTER)
    await app.find('li.now[data-step] [data-tick="2"]')
    expect((await heard()).some(([, text]) => text.includes('Step 3. '))).toBe(false)
  })

  it('is walked with one key: each press ticks a step, a tap before it is not taken back', async () => {
    await app.click('[data-tick="2"]')
    await app.find('[data-tick="2"][aria-checked="true"]')
    await app.press(Key.ENTER)
    await app.find('[data-tick="3"][aria-checked="true"]')
    expect(await (await app.find('[data-tick="2"]')).getAttribute('aria-checked')).toBe('true')
    await app.saved()
  })

  it('tells by a buzz that a wait is over, on whichever station the job is open', async () => {
    const joint = await jointBy('solder coupling')
    const now = await job(yard.slug)
    const found = cardsOf(now, joint).flatMap(({ entry, answer }) =>
      (answer.ok ? answer.value.steps : []).flatMap(({ id, seconds }) =>
        seconds ? [{ entry, step: id, seconds }] : [],
      ),
    )
    const { entry, step, seconds } = found[0]!
    await app.go(`/jobs/${yard.slug}/joint`)
    await listen()
    // A page that nobody has touched stays silent.
    await app.click('[data-way][aria-pressed="true"]')
    // Begun so long ago that it is over in a few seconds.
    const at = new Date(Date.now() - seconds * 1000 + 8000).toISOString()
    await act('joint/wait', yard, joint.id, { entry, step }, { at })
    await app.until(() => app.driver.executeScript('return window.felt !== undefined'), 'no buzz')
    expect(await app.errors()).toEqual([])
  })
})
