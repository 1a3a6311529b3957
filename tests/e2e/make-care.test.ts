import { Key } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { App } from './pages/app'

// A soldered joint with something near it: how hot it gets, how far it has to be; steps one at a time; waits across
// joints.
let app: App
let slug: string
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf, tryAct } = acting()
const joints: JointRecord[] = []
beforeAll(async () => {
  yard = await newJob('Still room', 'gb', 'copper')
  slug = yard.slug
  for (const place of ['riser', 'branch']) {
    const { ways } = await ask<WaysAnswer>('ways', {
      region: 'gb',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
    })
    const wayId = ways.find(({ parts }) => parts[0]!.name === 'solder coupling')!.id
    const { id } = await begin('joint/begin', yard, {
      place,
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
      findA: null,
      conditions: {},
      orientation: 'horizontal',
      wayId: null,
      depths: {},
    })
    joints.push(await act('joint/change', yard, id, { wayId }))
  }
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

/** Where a step stands on the card of the second end, which has the one heat of both, once it is drawn. */
async function placeOf(step: string): Promise<number> {
  await app.click('[data-entry="1"]')
  await app.find(`[data-step="${step}"]`)
  return app.driver.executeScript<number>(
    `return [...document.querySelectorAll("[data-step]")].findIndex(e => e.dataset.step === "${step}")`,
  )
}

describe('heat along the tube', () => {
  it('says whether a seal is safe, how far it has to be, and when the joint may be touched', async () => {
    await app.go(`/jobs/${slug}/make?joint=${joints[0]!.id}`)
    await app.find('[data-test="open-heat"]')
    await app.press('h')
    await app.type('[data-test="heat-distance"]', 'near')
    await app.waitForText('[role="dialog"]', /not a length/)
    await app.type('[data-test="heat-distance"]', '60')
    await app.waitForText(
      '[data-test="heat-verdict"]',
      /Too hot:\s+\d+ °C[\s\S]*at 60 mm, limit 110[\s\S]*Solder this joint first/,
    )
    await app.waitForText('.facts', /at least away[\s\S]*8\d[\s\S]*660[\s\S]*min/)
    await app.find('[data-test="heat-chart"] svg')
    await app.click('[data-test="heat-wrap"]')
    await app.waitForText(
      '[data-test="heat-verdict"]',
      /Cool enough by the model:\s+\d+ °C[\s\S]*the trade asks 66 mm, 3 times/,
    )
    await app.click('[data-heat-target="own"]')
    await app.waitForText('[role="dialog"]', /30 to 250 °C/)
    await app.click('[data-heat-target="plastic"]')
    await app.waitForText('[data-test="heat-verdict"]', /limit 82/)
    await app.click('[data-test="heat-water"]')
    await app.waitForText('[role="dialog"]', /does not take with water in the tube/)
    await app.click('[data-test="heat-working"]')
    await app.waitForText('body', /conductivity 290 to 365[\s\S]*closed form of the long fin/)
    expect(await app.axe()).toEqual([])
    await app.press(Key.ESCAPE)
    await app.press(Key.ESCAPE)
    expect(await app.errors()).toEqual([])
  })
})

describe('the card in gloves', () => {
  it('shows one step at a time, turned by keys and by wide zones', async () => {
    await app.go(`/jobs/${slug}/make?joint=${joints[0]!.id}`)
    await app.waitForText('.side', /by the rule of the trade[\s\S]*30 mm[\s\S]*by a gap of 0\.1 mm/)
    await app.press('o')
    await app.waitForText('.turn', /1 of \d+/)
    await app.press(Key.ARROW_RIGHT, Key.ARROW_RIGHT)
    await app.waitForText('.turn', /3 of \d+/)
    await app.click('[data-test="step-back"]')
    await app.waitForText('.turn', /2 of \d+/)
    const [seen, high] = await app.driver.executeScript<[number, number]>(
      'return [[...document.querySelectorAll("[data-step]")].filter(e => e.offsetParent).length, document.querySelector("[data-test=step-next]").getBoundingClientRect().height]',
    )
    expect(seen).toBe(1)
    expect(high).toBeGreaterThanOrEqual(64)
    await app.press('o')
    await app.waitForText('.entries', /one step at a time/)
  })
  it('tells of a wait that runs on another joint, and what to do meanwhile', async () => {
    // The wait of the first joint is begun, on the card that has the heat of both ends.
    const place = await placeOf('hold')
    for (let step = 0; step < place; step++) await act('joint/tick', yard, joints[0]!.id, { entry: 1, step })
    await act('joint/wait', yard, joints[0]!.id, { entry: 1, step: place })
    await app.go(`/jobs/${slug}/make?joint=${joints[1]!.id}`)
    await app.waitForText('[data-test="running-waits"]', /J1\s+(0:\d\d|over)/)
    await app.click('[data-test="running-waits"] a')
    await app.waitForText('[data-test="running-waits"]', /Meanwhile\s+J2\s*: /)
    expect(await app.errors()).toEqual([])
  })
})

describe('a check that fails', () => {
  it('says what to do, begins the end again, and stays on record', async () => {
    await app.go(`/jobs/${slug}/make?joint=${joints[1]!.id}`)
    // On to the step whose ring has to show all round.
    const feed = await placeOf('feed')
    for (let step = 0; step < feed; step++) await act('joint/tick', yard, joints[1]!.id, { entry: 1, step })
    await app.reload()
    await app.click('[data-entry="1"]')
    await app.click(`[data-fails="${feed}"]`)
    await app.waitForText('[data-test="remedy"]', /Heat it again while it is bright/)
    await app.click('[data-test="enter-fault"]')
    await app.waitForText('[data-test="faults"]', /fitting used again 1 of 1[\s\S]*feed[\s\S]*cleaned once at most/)
    await app.waitForText('li.now', /Cut square/)
    await app.saved()
    await app.reload()
    await app.click('[data-entry="1"]')
    await app.waitForText('[data-test="faults"]', /feed/)
    expect(await app.errors()).toEqual([])
  })
})

describe('a temporary joint', () => {
  it('is booked a day, and listed with the jobs until it was come back to', async () => {
    await act('joint/change', yard, joints[1]!.id, { conditions: { temporary: true }, comeBack: '2020-05-04' })
    await app.go(`/jobs/${slug}/make?joint=${joints[1]!.id}`)
    await app.waitForText('.come-back', /Mon 4 May, \d+ days ago/)
    await app.go('/')
    await app.waitForText('[data-test="coming-back"]', /Mon 4 May[\s\S]*Still room J2/)
    expect(await app.axe()).toEqual([])
    await app.click('[data-test="coming-back"] a[href*="/make"]')
    await app.click('[data-test="came-back"]')
    await app.waitForText('.come-back', /No day is booked yet/)
    await app.saved()
    expect(await app.errors()).toEqual([])
  })
})

describe('parts counted out and back', () => {
  it('name the joint that may lack one, until it was looked at', async () => {
    const { ways } = await ask<WaysAnswer>('ways', {
      region: 'gb',
      a: { pipe: 'cu-en-x-15' },
      b: { pipe: 'cu-en-x-15' },
    })
    const way = ways.find(({ parts }) => parts[0]!.name === 'compression coupling')!
    const { id } = await begin('joint/begin', yard, {
      place: 'tap',
      a: { pipe: 'cu-en-x-15' },
      b: { pipe: 'cu-en-x-15' },
      findA: null,
      conditions: {},
      orientation: 'horizontal',
      wayId: null,
      depths: {},
    })
    await act('joint/change', yard, id, { wayId: way.id })
    for (const entry of [0, 1])
      for (let step = 0; (await tryAct('joint/tick', yard, id, { entry, step })).state === 'taken'; step++);
    await act('joint/sign', yard, id, { initials: 'WY' })
    await app.go(`/jobs/${slug}/make?joint=${id}`)
    await app.find('[data-test="open-count"]')
    await app.press('q')
    await app.type('[data-count="olive 15"] [data-out]', '6')
    await app.press(Key.TAB)
    await app.type('[data-count="olive 15"] [data-back]', '9')
    await app.press(Key.TAB)
    await app.waitForText('[role="dialog"]', /9 of olive 15 came back, 6 went out\. Count again/)
    await app.type('[data-count="olive 15"] [data-back]', '5')
    await app.press(Key.TAB)
    await app.waitForText('[data-test="too-many"]', /1 too many came back\. Look at J3/)
    expect(await app.axe()).toEqual([])
    await app.press(Key.ESCAPE)
    await app.waitForText('[data-test="doubt"]', /J3 may lack olive 15/)
    await app.saved()
    await app.click('[data-test="it-is-there"]')
    await app.saved()
    expect(await app.count('[data-test="doubt"]')).toBe(0)
    expect((await jobOf(slug)).counts).toMatchObject([{ item: 'olive 15', out: 6, back: 5, seen: [id] }])
    expect(await app.errors()).toEqual([])
  })
})
