import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { call, get, patch, post } from './client'

const begun = async () => {
  const { slug, version } = (await post<JobRecord>('/api/jobs', { name: 'Gauge bench', place: '', region: 'us' })).body
  // A new job begins with the tools of the one before: here every tool is there.
  await patch(`/api/jobs/${slug}`, { version, tools: null })
  const ends = { a: { pipe: 'pex-cts-3_4' }, b: { pipe: 'pex-cts-3_4' } }
  const { ways } = (await post<WaysAnswer>('/api/core/ways', { region: 'us', ...ends })).body
  const joint = (await post<JointRecord>(`/api/jobs/${slug}/joints`, { place: '', ...ends, findA: null, conditions: {}, orientation: 'horizontal', wayId: ways.find(({ joints }) => joints.every(({ method }) => method === 'crimp'))!.id, depths: {} })).body
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
    const made = (await post<{ steps: { code: string }[] }>('/api/core/make', { method: 'crimp', pipe: 'pex-cts-3_4', region: 'us', orientation: 'horizontal' })).body
    const fault = { id: randomUUID(), entry: 0, step: made.steps.findIndex(({ code }) => code === 'gauge') }
    for (let i = 0; i < 2; i++) {
      const { status, body } = await call<JointRecord>('POST', `${at}/faults`, fault, { Hand: 'Orla' })
      expect(status).toBe(200)
      expect(body.ticks).toEqual([expect.objectContaining({ entry: 1, step: 0 })])
      expect(body.faults).toEqual([expect.objectContaining({ ...fault, code: 'gauge', reused: true, by: 'Orla' })])
    }
    const csv = (await get(`/api/jobs/${slug}/register.csv`)).body as unknown as string
    expect(csv.split('\r\n')[0]).toMatch(/care,failedChecks$/)
    expect(csv.split('\r\n')[1]).toMatch(/gauge$/)
  })
  it('is refused for a step there is not, of another way, or without an id', async () => {
    const { at } = await begun()
    expect(await post(`${at}/faults`, { id: randomUUID(), entry: 0, step: 50 })).toMatchObject({ status: 404, body: { error: { path: 'step' } } })
    expect(await post(`${at}/faults`, { id: randomUUID(), entry: 0, step: 1, way: 'another' })).toMatchObject({ status: 409 })
    expect(await post(`${at}/faults`, { entry: 0, step: 1 })).toMatchObject({ status: 422, body: { error: { path: 'id' } } })
  })
})
