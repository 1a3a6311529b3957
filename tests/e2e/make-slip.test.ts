import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// A coupling without a stop, made by the gap as it really is.
let app: App
let yard: JobRecord
const { act, ask, begin, newJob, job: jobOf } = acting()
const FIXED = { play: { a: { along: 0 }, b: { along: 0 } } }

async function slipJoint(region: 'gb' | 'us', pipe: string): Promise<JointRecord> {
  const question = { region, a: { pipe }, b: { pipe }, conditions: FIXED }
  const { ways } = await ask<WaysAnswer>('ways', question)
  const way = ways.find(
    ({ parts, joints }) =>
      parts.some(({ kind }) => kind === 'slip') && joints.every(({ method }) => method === 'press'),
  )!
  return begin('joint/begin', yard, { a: { pipe }, b: { pipe }, conditions: FIXED, wayId: way.id })
}
const kept = async (joint: JointRecord) => (await jobOf(yard.slug)).joints.find(({ id }) => id === joint.id)!
const keep = async (css: string, text: string) => {
  await app.type(css, text)
  await app.press('\uE004')
}

beforeAll(async () => {
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('a coupling without a stop', () => {
  it('has no mark until the gap is measured; then one mark, twice, from the gap as it is', async () => {
    yard = await newJob('Fixed line', 'gb', 'behind the tiles')
    await act('kit/change', yard, yard.id, { tools: null })
    const joint = await slipJoint('gb', 'cu-en-x-22')
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await app.waitForText('[data-test="slip"]', /Measure the gap/)
    await app.waitForText('[data-test="slip-mark"]', /\?/)
    await keep('[data-test="slip-length"]', '78')
    await keep('[data-test="slip-gap"]', '24')
    await app.waitForText('[data-test="slip-sum"]', /\(78 − 24\) ÷ 2 = 27 on both pipes/)
    await app.waitForText('[data-test="slip-mark"]', /^27$/)
    await app.waitForText('[data-step="clean"]', /bare, bright and round 85 mm/)
    await app.waitForText('[data-step="insert"]', /All of the coupling onto this pipe/)
    await app.waitForCount('[data-step="press"]', 0)
    await keep('[data-test="slip-gap"]', '60')
    await app.waitForText('[data-test="slip-over"]', /The gap is over 38/)
    await keep('[data-test="slip-gap"]', '26')
    await app.waitForText('[data-test="slip-mark"]', /^26$/)
    await app.saved()
    expect((await kept(joint)).slip).toEqual({ length: 78 })
    expect(await app.axe()).toEqual([])
  })

  it('is closed on the other end, after the gap was read and both marks show', async () => {
    for (let i = 0; i < 6; i++) {
      const open = await app.count('[data-step].done')
      await app.click('[data-test="tick-current"]')
      if (i < 5) await app.waitForCount('[data-step].done', open + 1)
    }
    await app.waitForText('[data-step="insert"]', /the gap must read 26 mm/)
    await app.waitForText('[data-step-id="insert-2"]', /until both marks show, 26 mm/)
    await app.waitForText('[data-step="press"]', /Press one end, look at both marks, press the other/)
    await app.saved()
  })

  it('says all of it in inches to a reader of inches', async () => {
    yard = await newJob('Fixed riser', 'us', 'in the chase')
    await act('kit/change', yard, yard.id, { tools: null })
    const joint = await slipJoint('us', 'cu-l-3_4')
    await app.go(`/jobs/${yard.slug}/make?joint=${joint.id}`)
    await keep('[data-test="slip-length"]', '3')
    await keep('[data-test="slip-gap"]', '1/2')
    await app.waitForText('[data-test="slip-mark"]', /^1 1\/4$/)
    await app.waitForText('[data-step="clean"]', /round 3 1\/4 in/)
    await app.saved()
    expect(await app.errors()).toEqual([])
  })
})
