import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { End, WaysAnswer } from '#core/joints'
import { inMakingOrder } from '#core/making'
import { cardsOf, type JobRecord, type JointRecord } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// A joint that weeps, one that comes apart, and hot and cold of a fixture told apart.
let app: App
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf } = acting()
const COPPER = { pipe: 'cu-en-x-15' }

async function jointBy(method: string, b: End = COPPER, service: 'cold' | 'hot' = 'cold'): Promise<JointRecord> {
  const question = { region: yard.region, a: COPPER, b, conditions: { service } }
  const { ways } = await ask<WaysAnswer>('ways', question)
  const way = ways.find(({ joints }) => joints[0]!.method === method)!
  return begin('joint/begin', yard, { place: 'bath', a: COPPER, b, conditions: { service }, wayId: way.id })
}
const kept = async ({ id }: JointRecord) => (await jobOf(yard.slug)).joints.find((one) => one.id === id)!
async function tickAll(joint: JointRecord) {
  for (const { entry, answer } of cardsOf(await jobOf(yard.slug), joint))
    for (const { id } of answer.ok ? answer.value.steps : [])
      await act('joint/tick', yard, joint.id, { entry, step: id })
}

beforeAll(async () => {
  app = await App.open(ownBed().baseUrl)
  yard = await newJob('Weeping yard', 'gb', 'bath')
  await act('kit/change', yard, yard.id, { tools: null })
})
afterAll(() => app.close())

describe('a joint that weeps', () => {
  it('is nipped once where its method allows, then begun anew; signed or not, and each is counted', async () => {
    const joint = await jointBy('compression')
    await tickAll(joint)
    await act('joint/sign', yard, joint.id, { initials: 'WY', seen: ['wait', 'watch', 'gauge'] })
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.click('[data-test="open-apart"]')
    await app.click('[data-apart-end="0"]')
    await app.waitForText('[data-test="weep-remedy"]', /A quarter turn more, once/)
    expect(await app.axe()).toEqual([])
    await app.click('[data-test="weeps"]')
    await app.waitForText('[data-test="faults"]', /it wept/)
    await app.waitForText('[data-step="tighten"].now', /Nut hand tight/)
    await app.saved()
    expect((await kept(joint)).reopenings.map(({ reason }) => reason)).toEqual(['It weeps'])
    await app.click('[data-test="open-apart"]')
    await app.waitForText('[data-test="wept"]', /wept 1 time before/)
    await app.waitForText('[data-test="weep-remedy"]', /cut back and make it anew/)
    await app.click('[data-test="weeps"]')
    await app.waitForText('[data-step="cut"].now', /Cut square/)
  })

  it('comes apart by its method; what is used again is counted up to the policy of the job', async () => {
    const joint = await jointBy('push-fit')
    await tickAll(joint)
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.click('[data-test="open-apart"]')
    await app.click('[data-apart-end="0"]')
    await app.waitForText('[data-test="apart-move"]', /Shut off/)
    await app.waitForText('[data-test="apart-again"]', /the fitting/)
    await app.click('[data-test="apart-again-used"]')
    await app.waitForText('[data-test="faults"]', /Taken apart; the fitting used again/)
    await app.click('[data-test="open-apart"]')
    await app.waitForCount('[data-test="apart-again-used"]', 0)
    await app.click('[data-test="apart-new"]')
    await app.waitForText('[data-test="faults"]', /a new fitting/)
    await app.saved()
    expect((await kept(joint)).faults.map(({ reused }) => reused)).toEqual([true, false])
  })

  it('that is pressed takes its pipe with it', async () => {
    const joint = await jointBy('press')
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.click('[data-test="open-apart"]')
    await app.waitForText('[data-test="apart-again"]', /nothing/)
    await app.waitForText('[data-test="apart-lost"]', /^\d[\d.]* mm and the cut|^\d[\d.]* and the cut/)
    await app.waitForCount('[data-test="apart-again-used"]', 0)
  })
})

describe('hot and cold of a fixture', () => {
  it('crossed ones are held before they are closed', async () => {
    const tap = { thread: { form: 'bspp', size: '1/2', gender: 'male', material: 'brass' } } as const
    const joint = await jointBy('compression', tap, 'hot')
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.waitForText('[data-test="fixture"]', /This one is hot/)
    await app.click('[data-fixture="side:right"]')
    await app.waitForText('[data-test="crossed"]', /cold belongs at the right/)
    await app.saved()
    const [card] = inMakingOrder(cardsOf(await jobOf(yard.slug), await kept(joint)))
    const steps = card!.answer.ok ? card!.answer.value.steps : []
    const at = steps.findIndex(({ code }) => code === 'insert' || code === 'tighten' || code === 'assemble')
    for (let i = 0; i < at; i++) {
      await app.click('[data-test="tick-current"]')
      await app.waitForCount('[data-step].done', i + 1)
    }
    await app.waitForText('[data-test="held-step"]', /Held/)
    // The mark on the body wins over the side it stands at.
    await app.click('[data-fixture="mark:hot"]')
    await app.waitForCount('[data-test="crossed"]', 0)
    await app.click('[data-test="tick-current"]')
    await app.waitForCount('[data-step].done', at + 1)
    await app.waitForText('[data-test="fixture-said"]', /This one is hot, at the right, marked hot/)
    await app.click('[data-test="fixture-more"]')
    await app.type('[data-test="fixture-centre"]', '75')
    await app.press('\uE004')
    await app.saved()
    expect((await kept(joint)).fixture).toEqual({ side: 'right', mark: 'hot', centre: 75 })
    expect(await app.errors()).toEqual([])
  })
})
