import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { cardsOf } from '#core/record'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { call, get, patch, post } from './client'

const begun = async () => {
  const { slug, version } = (await post<JobRecord>('/api/jobs', { name: 'Gauge bench', place: '', region: 'us' })).body
  // A new job begins with the tools of the one before: here every tool is there.
  await patch(`/api/jobs/${slug}`, { version, tools: null })
  const ends = { a: { pipe: 'pex-cts-3_4' }, b: { pipe: 'pex-cts-3_4' } }
  const { ways } = (await post<WaysAnswer>('/api/core/ways', { region: 'us', ...ends })).body
  const joint = (
    await post<JointRecord>(`/api/jobs/${slug}/joints`, {
      place: '',
      ...ends,
      findA: null,
      conditions: {},
      orientation: 'horizontal',
      wayId: ways.find(({ joints }) => joints.every(({ method }) => method === 'crimp'))!.id,
      depths: {},
    })
  ).body
  return { slug, joint, at: `/api/jobs/${slug}/joints/${joint.id}` }
}

describe('a check that fails', () => {
  it('is kept once, takes the ticks of its end back, and stands in the register', async () => {
    const { slug, at } = await begun()
    for (let step = 0; step < 3; step++) await call('PUT', `${at}/ticks`, { entry: 0, step })
    await call('PUT', `${at}/ticks`, { entry: 1, step: 0 })
    const { verbs } = (await get<{ verbs: object }>('/api/core')).body
    expect(Object.keys(verbs)).toContain('make')
    // The gauge is the last step of a crimped end.
    const made = (
      await post<{ steps: { id: string; code: string }[] }>('/api/core/make', {
        method: 'crimp',
        pipe: 'pex-cts-3_4',
        region: 'us',
        orientation: 'horizontal',
      })
    ).body
    const fault = { id: randomUUID(), entry: 0, step: made.steps.find(({ code }) => code === 'gauge')!.id }
    for (let i = 0; i < 2; i++) {
      const { status, body } = await call<JointRecord>('POST', `${at}/faults`, fault, { Hand: 'Orla' })
      expect(status).toBe(200)
      expect(body.ticks).toEqual([expect.objectContaining({ entry: 1, step: 'cut' })])
      expect(body.faults).toEqual([expect.objectContaining({ ...fault, code: 'gauge', reused: true, by: 'Orla' })])
    }
    const csv = (await get(`/api/jobs/${slug}/register.csv`)).body as unknown as string
    expect(csv.split('\r\n')[0]).toMatch(/care,failedChecks,reopened,remarks$/)
    expect(csv.split('\r\n')[1]).toMatch(/gauge,,$/)
  })
  it('is one where what was measured is outside the limit of a standard', async () => {
    const { at } = await begun()
    const made = (
      await post<{ steps: { id: string; code: string }[] }>('/api/core/make', {
        method: 'crimp',
        pipe: 'pex-cts-3_4',
        region: 'us',
        orientation: 'horizontal',
      })
    ).body
    const place = { entry: 0, step: made.steps.find(({ code }) => code === 'assemble')!.id }
    expect(await call('PUT', `${at}/ticks`, { ...place, reading: 2 })).toMatchObject({
      status: 422,
      body: { error: { path: 'reading', code: 'range' } },
    })
    const ticked = await call<JointRecord>('PUT', `${at}/ticks`, { ...place, reading: 4.8 }, { Hand: 'Orla' })
    expect(ticked.body.ticks).toEqual([
      expect.objectContaining({ ...place, code: 'assemble', reading: 4.8, by: 'Orla' }),
    ])
    const faulty = await call<JointRecord>('POST', `${at}/faults`, { ...place, id: randomUUID(), reading: 2 })
    expect(faulty.body).toMatchObject({ ticks: [], faults: [{ code: 'assemble', reading: 2, reused: false }] })
  })
  it('is refused for a step there is not, of another way, or without an id', async () => {
    const { at } = await begun()
    expect(await post(`${at}/faults`, { id: randomUUID(), entry: 0, step: 50 })).toMatchObject({
      status: 404,
      body: { error: { path: 'step' } },
    })
    expect(await post(`${at}/faults`, { id: randomUUID(), entry: 0, step: 1, way: 'another' })).toMatchObject({
      status: 409,
    })
    expect(await post(`${at}/faults`, { entry: 0, step: 1 })).toMatchObject({
      status: 422,
      body: { error: { path: 'id' } },
    })
  })
})

describe('a signed joint', () => {
  it('is opened again with its reason: the sign-off stays, the step is done again, and it is signed anew', async () => {
    const { slug, joint, at } = await begun()
    const places = cardsOf({ region: 'us', year: null, policy: {}, tools: null, finds: [] }, joint).flatMap(
      ({ entry, answer }) => (answer.ok ? answer.value.steps.map(({ id }) => ({ entry, step: id })) : []),
    )
    for (const place of places) await call('PUT', `${at}/ticks`, place)
    const signed = (await post<JointRecord>(`${at}/signoffs`, { initials: 'OL' })).body
    expect(await call('DELETE', `${at}/ticks`, places[0]!)).toMatchObject({
      status: 409,
      body: { error: { message: expect.stringContaining('open the joint again') } },
    })
    const body = { id: randomUUID(), signoff: signed.signoffs[0]!.id, reason: 'no ring on the left end', ...places[2]! }
    expect(await post(`${at}/reopenings`, { ...body, reason: '' })).toMatchObject({
      status: 422,
      body: { error: { path: 'reason' } },
    })
    for (let i = 0; i < 2; i++) {
      const again = await call<JointRecord>('POST', `${at}/reopenings`, body, { Hand: 'Wyn' })
      expect(again.status).toBe(200)
      expect(again.body).toMatchObject({
        signoffs: [{ initials: 'OL' }],
        reopenings: [{ reason: body.reason, by: 'Wyn', signoff: body.signoff }],
      })
      expect(again.body.ticks).toHaveLength(places.length - 1)
    }
    expect((await get(`/api/jobs/${slug}/register.csv`)).body).toMatch(/dry-fitted,,,,,no ring on the left end,/)
    expect(await post(`${at}/signoffs`, { initials: 'WY' })).toMatchObject({ status: 422 })
    await call('PUT', `${at}/ticks`, places[2]!)
    expect((await post<JointRecord>(`${at}/signoffs`, { initials: 'WY' })).body.signoffs).toMatchObject([
      { initials: 'OL' },
      { initials: 'WY', corrects: body.signoff },
    ])
  })
})
