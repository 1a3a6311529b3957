import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { cardsOf } from '#core/record'
import type { WaysAnswer } from '#core/joints'
import { acting } from '../acts'
import { get } from './client'

const { act, ask, begin, newJob, tryAct } = acting()

const begun = async () => {
  const job = await newJob('Gauge bench', 'us')
  // A new job begins with the tools of the one before: here every tool is there.
  await act('kit/change', job, job.id, { tools: null })
  const ends = { a: { pipe: 'pex-cts-3_4' }, b: { pipe: 'pex-cts-3_4' } }
  const { ways } = await ask<WaysAnswer>('ways', { region: 'us', ...ends })
  const joint = await begin('joint/begin', job, {
    ...ends,
    wayId: ways.find(({ joints }) => joints.every(({ method }) => method === 'crimp'))!.id,
  })
  return { job, joint }
}
const crimped = () =>
  ask<{ steps: { id: string; code: string }[] }>('make', {
    method: 'crimp',
    pipe: 'pex-cts-3_4',
    region: 'us',
    orientation: 'horizontal',
  })

describe('a check that fails', () => {
  it('is kept once, takes the ticks of its end back, and stands in the register', async () => {
    const { job, joint } = await begun()
    for (let step = 0; step < 3; step++) await act('joint/tick', job, joint.id, { entry: 0, step })
    await act('joint/tick', job, joint.id, { entry: 1, step: 0 })
    // The gauge is the last step of a crimped end.
    const made = await crimped()
    const fault = { entry: 0, step: made.steps.find(({ code }) => code === 'gauge')!.id }
    const about = { key: randomUUID(), at: new Date().toISOString(), by: 'Orla' }
    for (let i = 0; i < 2; i++) {
      const { status, record } = await tryAct('joint/fail', job, joint.id, fault, about)
      expect(status).toBe(200)
      expect(record.ticks).toEqual([expect.objectContaining({ entry: 1, step: 'cut' })])
      expect(record.faults).toEqual([
        expect.objectContaining({ ...fault, id: about.key, code: 'gauge', reused: true, by: 'Orla' }),
      ])
    }
    const csv = (await get(`/api/jobs/${job.slug}/register.csv`)).body as unknown as string
    expect(csv.split('\r\n')[0]).toMatch(/care,failedChecks,reopened,remarks,log$/)
    expect(csv.split('\r\n')[1]).toMatch(/gauge,,,[\da-f]{64}$/)
  })
  it('is one where what was measured is outside the limit of a standard', async () => {
    const { job, joint } = await begun()
    const made = await crimped()
    const place = { entry: 0, step: made.steps.find(({ code }) => code === 'assemble')!.id }
    expect(await tryAct('joint/tick', job, joint.id, { ...place, reading: 2 })).toMatchObject({
      status: 422,
      issue: { path: 'reading', code: 'range' },
    })
    const ticked = await act('joint/tick', job, joint.id, { ...place, reading: 4.8 }, { by: 'Orla' })
    expect(ticked.ticks).toEqual([expect.objectContaining({ ...place, code: 'assemble', reading: 4.8, by: 'Orla' })])
    const faulty = await act('joint/fail', job, joint.id, { ...place, reading: 2 })
    expect(faulty).toMatchObject({ ticks: [], faults: [{ code: 'assemble', reading: 2, reused: false }] })
  })
  it('is refused for a step there is not, and met where another way was taken', async () => {
    const { job, joint } = await begun()
    expect(await tryAct('joint/fail', job, joint.id, { entry: 0, step: 50 })).toMatchObject({
      status: 422,
      issue: { path: 'step', code: 'unknown-id' },
    })
    expect(await tryAct('joint/fail', job, joint.id, { entry: 0, step: 1, way: 'another' })).toMatchObject({
      status: 409,
      state: 'met',
      saved: { id: joint.id },
    })
  })
})

describe('a signed joint', () => {
  it('is opened again with its reason: the sign-off stays, the step is done again, and it is signed anew', async () => {
    const { job, joint } = await begun()
    const places = cardsOf({ region: 'us', year: null, policy: {}, tools: null, finds: [] }, joint).flatMap(
      ({ entry, answer }) => (answer.ok ? answer.value.steps.map(({ id }) => ({ entry, step: id })) : []),
    )
    for (const place of places) await act('joint/tick', job, joint.id, place)
    const signed = await act('joint/sign', job, joint.id, { initials: 'OL' })
    expect(await tryAct('joint/untick', job, joint.id, places[0])).toMatchObject({
      status: 409,
      issue: { message: expect.stringContaining('open the joint again') },
    })
    const body = { signoff: signed.signoffs[0]!.id, reason: 'no ring on the left end', ...places[2]! }
    expect(await tryAct('joint/reopen', job, joint.id, { ...body, reason: ' ' })).toMatchObject({
      status: 422,
      issue: { path: 'reason' },
    })
    const about = { key: randomUUID(), at: new Date().toISOString(), by: 'Wyn' }
    for (let i = 0; i < 2; i++) {
      const again = await tryAct('joint/reopen', job, joint.id, body, about)
      expect(again.status).toBe(200)
      expect(again.record).toMatchObject({
        signoffs: [{ initials: 'OL' }],
        reopenings: [{ reason: body.reason, by: 'Wyn', signoff: body.signoff }],
      })
      expect(again.record.ticks).toHaveLength(places.length - 1)
    }
    expect((await get(`/api/jobs/${job.slug}/register.csv`)).body).toMatch(/dry-fitted,,,,,no ring on the left end,/)
    const { version } = signed
    expect(await tryAct('joint/sign', job, joint.id, { initials: 'WY' }, { version: version + 1 })).toMatchObject({
      status: 422,
      issue: { path: 'ticks' },
    })
    await act('joint/tick', job, joint.id, places[2]!)
    expect((await act('joint/sign', job, joint.id, { initials: 'WY' })).signoffs).toMatchObject([
      { initials: 'OL' },
      { initials: 'WY', corrects: body.signoff },
    ])
  })
})
