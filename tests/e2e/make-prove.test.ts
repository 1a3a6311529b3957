import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { End, WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { App } from './pages/app'

// What proves a step: figures read off the work, the order of the ends, joints opened again, bends pulled by their
// marks.
/** How long the server is waited for, ms. */
const WAIT = { timeout: 60_000, interval: 50 }
let app: App
let slug: string
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf } = acting()
const ids: Record<string, string> = {}
const saved = async (name: string): Promise<JointRecord> =>
  (await jobOf(slug)).joints.find(({ id }) => id === ids[name])!

async function addJoint(name: string, a: End, b: End, isWay: (methods: string[]) => boolean) {
  const { ways } = await ask<WaysAnswer>('ways', { region: 'us', a, b })
  const way = ways.find(({ joints }) => isWay(joints.map(({ method }) => method)))!
  ids[name] = (
    await begin('joint/begin', yard, {
      place: name,
      a,
      b,
      findA: null,
      conditions: {},
      orientation: 'horizontal',
      wayId: way.id,
      depths: {},
    })
  ).id
}

beforeAll(async () => {
  yard = await newJob('Lye store', 'us', 'pipe')
  slug = yard.slug
  await act('kit/change', yard, yard.id, { tools: null })
  await addJoint('crimp', { pipe: 'pex-cts-3_4' }, { pipe: 'pex-cts-3_4' }, (methods) =>
    methods.every((one) => one === 'crimp'),
  )
  await addJoint(
    'sweat',
    { pipe: 'pex-cts-1_2' },
    { pipe: 'cu-l-1_2' },
    (methods) => methods.includes('crimp') && methods.includes('solder'),
  )
  await addJoint(
    'thread',
    { pipe: 'cu-l-3_4' },
    { thread: { form: 'npt', size: '3/4', gender: 'female', material: 'brass' } },
    (methods) => methods.includes('thread'),
  )
  await begin('line/begin', yard, {
    name: 'loop',
    pipe: 'cu-l-3_4',
    method: 'solder',
    corners: 'bends',
    start: 'free',
    walls: [],
    legs: ['e 20', 'u 14'],
  })
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

/** Ticks the steps of the end on the table until one of a code is to be done. */
async function tickTo(code: string) {
  for (let i = 0; i < 20; i++) {
    const now = await app.driver.executeScript<string | null>(
      'return document.querySelector(".steps .now")?.dataset.step ?? null',
    )
    if (now === code) return
    await app.click('[data-test="tick-current"]')
    await vi.waitUntil(
      async () =>
        (await app.driver.executeScript<string | null>(
          'return document.querySelector(".steps .now [data-tick]")?.dataset.tick ?? null',
        )) !== String(i),
      WAIT,
    )
  }
}

describe('a figure that proves a step', () => {
  it('outside its limit fails the check and brings the remedy; inside it is kept with the tick', async () => {
    await app.go(`/jobs/${slug}/make?joint=${ids.crimp}`)
    await app.find('[data-test="tick-current"]')
    await tickTo('assemble')
    await app.type('[data-test="step-ask"]', 'far')
    await app.waitForText('.steps .ask', /not a length/)
    await app.type('[data-test="step-ask"]', '1/16')
    await app.waitForText('[data-test="ask-verdict"]', /outside: the check fails/)
    await app.waitForText('[data-test="remedy"]', /into its band before it is closed/)
    await app.click('[data-test="enter-fault"]')
    await app.waitForText('[data-test="faults"]', /assemble/)
    await app.type('[data-test="step-ask"]', '3/16')
    await app.waitForText('[data-test="ask-verdict"]', /holds/)
    await app.click('[data-test="tick-current"]')
    await app.waitForText('[data-step="assemble"] time', /3\/16/)
    await vi.waitUntil(
      async () =>
        (await saved('crimp')).ticks.some(
          ({ code, reading }) => code === 'assemble' && Math.abs((reading ?? 0) - 4.7625) < 1e-6,
        ),
      WAIT,
    )
    expect((await saved('crimp')).faults).toMatchObject([{ code: 'assemble', reading: 1.5875 }])
    expect(await app.axe()).toEqual([])
    expect(await app.errors()).toEqual([])
  })
})

describe('the order of the ends', () => {
  it('has the adaptor soldered before plastic goes on it, whichever end is named first', async () => {
    await app.go(`/jobs/${slug}/make?joint=${ids.sweat}`)
    await app.waitForText('.entries', /1 of \d: [^\n]*solder[\s\S]*crimp/)
    await app.waitForText('.cautions', /Plastic goes on this fitting/)
    await app.type('[data-test="air"]', '200')
    await app.waitForText('.entries', /−40 to 140 °F/)
    await app.type('[data-test="air"]', '4 C')
    await app.click('[data-test="torch"]')
    await app.waitForText('[data-test="torch"]', /propylene/)
    await vi.waitUntil(async () => {
      const { ambient, torch } = await saved('sweat')
      return ambient === 4 && torch === 'propylene'
    }, WAIT)
  })
  it('draws which way tape goes, for either hand', async () => {
    await app.go(`/jobs/${slug}/make?joint=${ids.thread}`)
    await app.waitForText('[data-test="tape-turn"]', /Open end to your right: over the top, away from you/)
    await app.click('[data-test="tape-hand"]')
    await app.waitForText('[data-test="tape-turn"]', /Open end to your left: over the top, towards you/)
    expect(await app.axe()).toEqual([])
  })
})

describe('a signed joint that was not right', () => {
  it('is opened again with the reason, its step done, and signed anew; the first entry stays', async () => {
    const id = ids.crimp!
    const card = await ask<{ steps: unknown[] }>('make', {
      method: 'crimp',
      pipe: 'pex-cts-3_4',
      region: 'us',
      orientation: 'horizontal',
    })
    for (const entry of [0, 1]) for (const step of card.steps.keys()) await act('joint/tick', yard, id, { entry, step })
    await act('joint/sign', yard, id, { initials: 'OL' })
    await app.go(`/jobs/${slug}/make?joint=${ids.crimp}`)
    await app.click('[data-test="open-reopen"]')
    await app.click('[data-test="reopen"]')
    await app.waitForText('#reopen-problem', /a few words/)
    await app.type('[data-test="reopen-reason"]', 'weeps at the ring')
    await app.driver.executeScript(
      'const s = document.querySelector("[data-test=reopen-step]"); s.value = "0:press"; s.dispatchEvent(new Event("change"))',
    )
    await app.click('[data-test="reopen"]')
    await app.waitForText('[data-test="reopenings"]', /weeps at the ring/)
    await app.waitForText('[data-test="open-sign"]', /1 step to go/)
    await app.click('[data-test="tick-current"]')
    await app.sign('WY')
    await vi.waitUntil(async () => (await saved('crimp')).signoffs.length === 2, WAIT)
    await app.go(`/jobs/${slug}/handover`)
    await app.waitForText('[data-test="log-reopened"]', /opened again[\s\S]*weeps at the ring/)
    expect(await app.errors()).toEqual([])
  })
})

describe('a piece with bends', () => {
  it('is pulled by its marks, in either school; the mark to be made next is the largest figure', async () => {
    await app.go(`/jobs/${slug}/make?bend=L1p1`)
    await app.waitForText(
      '.steps',
      /Cut it long[\s\S]*Mark[\s\S]*Lay it in the former[\s\S]*Pull to 90°[\s\S]*Mark where it leaves[\s\S]*square[\s\S]*Trim to 14 in/,
    )
    await app.press(' ')
    await app.waitForText('[data-test="next-figure"]', /in/)
    const hook = await app.text('[data-step="mark"]')
    await app.press('g')
    await app.waitForText('[data-step="mark"]', /20 in/)
    expect(hook).not.toMatch(/Mark 20 in/)
    // Done to the other school's marks it does not count for this one.
    await app.waitForText('[data-test="stale"]', /figures have changed/)
    await app.press('g')
    for (let i = 0; i < 6; i++) await app.press(' ')
    await app.waitForText('[data-test="bent"]', /p1 is bent/)
    expect(await app.axe()).toEqual([])
    await vi.waitUntil(async () => Object.keys((await jobOf(slug)).lines[0]!.pulled).length === 7, WAIT)
    await app.go(`/jobs/${slug}/make?bend=L1p1`)
    await app.waitForText('[data-test="bent"]', /p1 is bent/)
    expect(await app.errors()).toEqual([])
  })
})
