import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord, JointRecord } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// How far the ends move, what is on the pipe first, how warm and at what pressure: set by hand on Joint.
let app: App
let yard: JobRecord
const { act, begin, newJob, job: jobOf } = acting()
const kept = async (joint: JointRecord) => (await jobOf(yard.slug)).joints.find(({ id }) => id === joint.id)!

beforeAll(async () => {
  yard = await newJob('Room to move', 'gb', 'under the floor')
  await act('kit/change', yard, yard.id, { tools: null })
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('play of the ends', () => {
  it('is typed under the drawing, refuses what cannot be drawn apart, and is drawn', async () => {
    const joint = await begin('joint/begin', yard, { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.waitForText('[data-test="draw-apart"]', /to draw apart 31 mm; there is free/)
    await app.type('[data-play="a:along"]', 'twelve')
    await app.press('\uE004')
    await app.waitForText('[data-room="a"]', /twelve what\? mm, 0 or free\./)
    await app.type('[data-play="a:along"]', '12')
    await app.press('\uE004')
    // The other end is free as long as nothing is said of it.
    await app.waitForText('[data-test="draw-apart"]', /there is free/)
    await app.find('[data-ghost="a"]')
    await app.type('[data-play="b:along"]', '0')
    await app.press('\uE004')
    await app.waitForText('[data-refused="press-a"]', /drawn back 22\.5 mm to enter\. There is 12 mm/)
    await app.saved()
    expect((await kept(joint)).conditions.play).toEqual({ a: { along: 12 }, b: { along: 0 } })
    expect(await app.axe()).toEqual([])
  })

  it('of flexible tube comes from its radius and its length to the last clip', async () => {
    const joint = await begin('joint/begin', yard, {
      a: { pipe: 'cu-en-x-15' },
      b: { pipe: 'bs7291-15', barrier: true },
      conditions: { play: { a: { along: 0 } } },
    })
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.type('[data-flex="b"]', '150')
    await app.press('\uE004')
    await app.find('[data-refused="push-fit-a"]')
    await app.type('[data-flex="b"]', '600')
    await app.press('\uE004')
    await app.waitForCount('[data-refused="push-fit-a"]', 0)
    await app.saved()
    expect((await kept(joint)).flex).toEqual({ b: 600 })
  })
})

describe('what must be on the pipe first', () => {
  it('is listed in order, drawn behind the mark, and asked by the first step of its end', async () => {
    const joint = await begin('joint/begin', yard, { a: { pipe: 'cu-en-x-15' }, b: { pipe: 'cu-en-x-15' } })
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.click('[data-on-first="flange"]')
    await app.click('[data-on-first="lagging"]')
    await app.waitForText('[data-test="on-first"]', /1\s*flange, on the 15[\s\S]*2\s*lagging, on the 15/)
    await app.waitForCount('[data-collar]', 2)
    await app.click('[data-way^="press.en:15~press.en:15"]')
    await app.click('[data-test="take-way"]')
    await app.waitForText('[data-step="onpipe"]', /On this pipe first: flange, then lagging/)
    await app.click('[data-test="tick-current"]')
    await app.find('[data-step="onpipe"].done')
    await app.saved()
    expect((await kept(joint)).ticks.map(({ step }) => step)).toEqual(['onpipe'])
  })
})

describe('the service line', () => {
  it('takes temperature and pressure in either unit, and gives the usual back when emptied', async () => {
    const joint = await begin('joint/begin', yard, { a: { pipe: 'cu-en-x-15' }, b: { pipe: 'cu-en-x-15' } })
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.click('[data-service="heating"]')
    await app.waitForValue('[data-test="service-temperature"]', '75')
    await app.type('[data-test="service-temperature"]', '176 F')
    await app.press('\uE004')
    await app.waitForValue('[data-test="service-temperature"]', '80')
    await app.type('[data-test="service-pressure"]', '60 psi')
    await app.press('\uE004')
    await app.waitForValue('[data-test="service-pressure"]', '4.1')
    await app.saved()
    const { conditions } = await kept(joint)
    expect(conditions.temperature).toBeCloseTo(80, 2)
    expect(conditions.pressure).toBeCloseTo(4.137, 3)
    await app.type('[data-test="service-temperature"]', '')
    await app.press('\uE004')
    await app.waitForValue('[data-test="service-temperature"]', '75')
    await app.saved()
    expect((await kept(joint)).conditions.temperature).toBeUndefined()
    expect(await app.errors()).toEqual([])
  })
})

describe('ways', () => {
  it('are folded to one row a pair of methods; the others open in place', async () => {
    const joint = await begin('joint/begin', yard, { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'pex-en-20' } })
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.waitForText('[data-test="folded"]', /\d+ ways in \d+ pairs of methods/)
    const before = await app.count('[data-way]')
    await app.waitForText('[data-fold]', /3 more by threads/)
    await app.click('[data-fold]')
    await app.waitForCount('[data-way]', before + 3)
  })
})

describe('the order of methods', () => {
  it("is the job's policy with its reason, said over the ways it orders", async () => {
    const joint = await begin('joint/begin', yard, { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
    // The order goes by minutes: typed, so that what other tests signed has no say in it.
    await act('kit/change', yard, yard.id, { minutes: [{ method: 'press', nominal: null, work: 0.1, wait: 0 }] })
    await app.go(`/jobs/${yard.slug}/kit`)
    await app.click('[data-last="push-fit"]')
    await app.type('[data-test="order-reason"]', 'seen by the owner once')
    await app.press('\uE004')
    await app.saved()
    await app.go(`/jobs/${yard.slug}/joint?joint=${joint.id}`)
    await app.waitForText('[data-test="order-words"]', /Push-fit last: seen by the owner once\./)
    await app.waitForText('[data-way]', /Press coupling 22/)
    expect((await jobOf(yard.slug)).policy).toMatchObject({ last: ['push-fit'], orderReason: 'seen by the owner once' })
  })
})
