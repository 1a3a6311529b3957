import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { App } from './pages/app'

// One card of each method on a job of its own: steps, caution and figure of that method, at the desk.
let app: App
let slug: string
let yard: JobRecord
const { act, ask, begin, newJob } = acting()
const base = () => ownBed().baseUrl

async function takeWay(a: string, b: string, part: string, conditions = {}): Promise<JointRecord> {
  const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', a: { pipe: a }, b: { pipe: b }, conditions })
  const wayId = ways.find(({ parts }) => parts[0]!.name === part)!.id
  const { id } = await begin('joint/begin', yard, {
    place: part,
    a: { pipe: a },
    b: { pipe: b },
    findA: null,
    conditions,
    orientation: 'horizontal',
    wayId: null,
    depths: {},
  })
  return act('joint/change', yard, id, { wayId })
}

beforeAll(async () => {
  app = await App.open(base())
  yard = await newJob('Card room', 'gb', 'one of each')
  slug = yard.slug
})
afterAll(() => app.close())

describe('a card of each method', () => {
  // a, b, first part of the way, figure on the drawing, a step it must have, the caution that goes with it, and the end
  // whose card has them: what is done once for both ends of a soldered fitting stands on that of the second.
  it.each([
    ['cu-en-x-28', 'cu-en-x-28', 'solder coupling', /18\.4/, 'flux', 'open-end', 1],
    ['cu-en-x-15', 'cu-en-x-15', 'press coupling', /21/, 'press', 'tick', 0],
    ['cu-en-x-15', 'cu-en-x-15', 'push-fit coupling', /27\.5/, 'tug', 'in-line', 0],
    ['cu-en-x-22', 'cu-en-x-22', 'compression coupling', /23\.5/, 'olive', 'dry-olive', 0],
    ['pex-cts-3_4', 'pex-cts-3_4', 'crimp coupling', /16\.5/, 'ring', 'gauge', 0],
    ['ml-en-16', 'ml-en-16', 'multilayer press coupling', /21\.5/, 'deburr', 'one-system', 0],
    ['pe-en-32', 'pe-en-32', 'PE compression coupling', /63/, 'liner', 'scores', 0],
  ] as const)('%s to %s by %s', async (a, b, part, figure, step, caution, entry) => {
    const joint = await takeWay(a, b, part)
    await app.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await app.waitForText('[data-test="depth-figure"]', figure)
    await app.click(`[data-entry="${entry}"]`)
    await app.find(`[data-step="${step}"]`)
    await app.find(`[data-caution="${caution}"]`)
    expect(await app.count('[data-entry]')).toBe(2)
    expect(await (await app.find('[data-test="open-sign"]')).isEnabled()).toBe(false)
  })

  it('turns its solder steps with the pipe', async () => {
    const joint = await takeWay('cu-en-x-22', 'cu-en-x-22', 'solder coupling')
    await app.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await app.click('[data-entry="1"]')
    await app.waitForText('[data-step="heat"]', /low first/)
    await app.click('[data-test="orientation"]')
    await app.waitForText('[data-step="heat"]', /from below/)
    await app.saved()
    await app.reload()
    await app.click('[data-entry="1"]')
    await app.waitForText('[data-step="heat"]', /from below/)
  })

  it('does not hold a depth nobody knows: it asks for a measure', async () => {
    const joint = await takeWay('cu-bs-imp-3_4', 'cu-en-x-22', 'compression converter coupling')
    await app.go(`/jobs/${slug}/make?joint=${joint.id}`)
    await app.waitForText('[data-test="depth-figure"]', /\?/)
    await app.find('[data-stop="measure"]')
    await app.type('[data-test="measured-depth"]', '19,5')
    await app.waitForText('[data-test="depth-figure"]', /19\.5/)
    expect(await app.count('[data-stop="measure"]')).toBe(0)
  })
})

describe('the cellar', () => {
  it('is kept on this device when it was chosen by hand', async () => {
    await app.setTheme(false)
    await app.go('/')
    const theme = () => app.driver.executeScript<string>('return document.documentElement.dataset.theme')
    expect(await theme()).toBe('light')
    await app.press('\\')
    await app.until(async () => (await theme()) === 'cellar', 'stays light')
    await app.reload()
    expect(await theme()).toBe('cellar')
    await app.press('\\')
    expect(await app.errors()).toEqual([])
  })
})
