import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { start, stop } from '../../scripts/db.mjs'
import type { WaysAnswer } from '#core/joints'
import type { MakeAnswer } from '#core/making'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { call, get, patch, post } from './client'

const FIND = { place: 'north wall', typed: '21.5', by: 'calliper', answers: { colour: 'copper' }, pipe: null }
const JOINT = {
  place: 'at the riser',
  a: { pipe: 'cu-en-x-22' },
  b: { pipe: 'cu-en-x-15' },
  findA: null,
  conditions: { service: 'cold' },
  orientation: 'horizontal',
  wayId: null,
  depths: {},
}

async function newJob(name = 'Test yard') {
  return (await post<JobRecord>('/api/jobs', { name, place: 'here', region: 'gb' })).body
}
async function takenJoint(slug: string, conditions = {}, b = 'cu-en-x-15') {
  const question = { region: 'gb', a: JOINT.a, b: { pipe: b }, conditions }
  const { ways } = (await post<WaysAnswer>('/api/core/ways', question)).body
  const created = (await post<JointRecord>(`/api/jobs/${slug}/joints`, { ...JOINT, b: { pipe: b }, conditions })).body
  return (
    await patch<JointRecord>(`/api/jobs/${slug}/joints/${created.id}`, {
      version: created.version,
      wayId: ways.find(({ parts }) => parts[0]!.name.startsWith('press'))!.id,
    })
  ).body
}
async function tickAll(slug: string, joint: JointRecord) {
  let last = joint
  for (const [entry, one] of joint.way!.joints.entries()) {
    const { steps } = (
      await post<MakeAnswer>('/api/core/make', {
        method: one.method,
        pipe: one.pipe,
        region: 'gb',
        orientation: 'horizontal',
      })
    ).body
    for (let step = 0; step < steps.length; step++)
      last = (await call<JointRecord>('PUT', `/api/jobs/${slug}/joints/${joint.id}/ticks`, { entry, step })).body
  }
  return last
}

describe('jobs', () => {
  it('list the demo: four jobs, one held at Find, one handed over', async () => {
    const { jobs } = (await get<{ jobs: JobRecord[] }>('/api/jobs')).body
    expect(jobs.slice(0, 4).map(({ name }) => name)).toEqual([
      'Kiln Lane bakehouse',
      'Boat-shed wash-down',
      'Glaze kiln room',
      'Net loft drying coil',
    ])
    expect(jobs[2]!.finds[0]!.pipe).toBeNull()
    expect(jobs[3]!.handedOver).toMatch(/^2026-11-19T/)
  })

  it('get an address of their own, numbered when the name is used again', async () => {
    const one = await newJob('Öld Mill, No. 4')
    const two = await newJob('Öld Mill, No. 4')
    expect(one.slug).toMatch(/^[a-z0-9-]+$/)
    expect(two.slug).toBe(`${one.slug}-2`)
  })

  it('refuse a nameless one, naming the field', async () => {
    expect(await post('/api/jobs', { name: '  ', place: '', region: 'gb' })).toMatchObject({
      status: 422,
      body: { error: { path: 'name' } },
    })
    expect(await get('/api/jobs/no-such')).toMatchObject({
      status: 404,
      body: { error: { code: 'unknown-id', path: 'job' } },
    })
  })
})

describe('finds', () => {
  it('keep what was typed, right or wrong', async () => {
    const { slug } = await newJob()
    const made = await post<FindRecord>(`/api/jobs/${slug}/finds`, { ...FIND, typed: 'abc' })
    expect(made.body).toMatchObject({ typed: 'abc', version: 1 })
    const saved = await patch<FindRecord>(`/api/jobs/${slug}/finds/${made.body.id}`, {
      version: 1,
      typed: '21,5 mm',
      pipe: 'cu-bs-imp-3_4',
    })
    expect(saved.body).toMatchObject({ typed: '21,5 mm', pipe: 'cu-bs-imp-3_4', version: 2 })
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds[0]).toEqual(saved.body)
  })

  it('never overwrite in silence: an old version gets the saved one back', async () => {
    const { slug } = await newJob()
    const { id } = (await post<FindRecord>(`/api/jobs/${slug}/finds`, FIND)).body
    await patch(`/api/jobs/${slug}/finds/${id}`, { version: 1, typed: '22' })
    expect(await patch(`/api/jobs/${slug}/finds/${id}`, { version: 1, typed: '15' })).toMatchObject({
      status: 409,
      body: { error: { path: 'version' }, saved: { typed: '22', version: 2 } },
    })
  })

  it('refuse a pipe that is not in the catalogue, an unknown field, and the find of another job', async () => {
    const [one, two] = [await newJob(), await newJob()]
    const { id } = (await post<FindRecord>(`/api/jobs/${one.slug}/finds`, FIND)).body
    expect(await patch(`/api/jobs/${one.slug}/finds/${id}`, { version: 1, pipe: 'bamboo' })).toMatchObject({
      status: 422,
      body: { error: { code: 'unknown-id', path: 'pipe' } },
    })
    expect(await patch(`/api/jobs/${one.slug}/finds/${id}`, { version: 1, smell: 'x' })).toMatchObject({
      status: 422,
      body: { error: { code: 'unknown-field', path: 'smell' } },
    })
    expect(await patch(`/api/jobs/${two.slug}/finds/${id}`, { version: 1, typed: '1' })).toMatchObject({
      status: 404,
      body: { error: { path: 'find' } },
    })
  })

  it('refuse a paste far too long, and stay up', async () => {
    const { slug } = await newJob()
    expect((await post(`/api/jobs/${slug}/finds`, { ...FIND, typed: 'x'.repeat(5000) })).body.error).toMatchObject({
      code: 'range',
      path: 'typed',
    })
    expect(await post(`/api/jobs/${slug}/finds`, { ...FIND, typed: 'x'.repeat(2_000_000) })).toMatchObject({
      status: 413,
      body: { error: { code: 'too-many' } },
    })
    expect((await get(`/api/jobs/${slug}`)).status).toBe(200)
  })
})

describe('joints', () => {
  it('are numbered from 1 on each job, also when two are begun at once', async () => {
    const { slug } = await newJob()
    await Promise.all(Array.from({ length: 5 }, () => post(`/api/jobs/${slug}/joints`, JOINT)))
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.joints.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5])
  })

  it('take only a way that stands, and drop it when the conditions refuse it', async () => {
    const { slug } = await newJob()
    const joint = await takenJoint(slug)
    expect(joint.way!.parts[0]!.name).toBe('press reducing coupling')
    expect(
      await patch(`/api/jobs/${slug}/joints/${joint.id}`, { version: joint.version, wayId: 'magic' }),
    ).toMatchObject({ status: 422, body: { error: { path: 'wayId' } } })
    const tight = await patch(`/api/jobs/${slug}/joints/${joint.id}`, {
      version: joint.version,
      conditions: { room: 'tight' },
    })
    expect(tight.body).toMatchObject({ wayId: null, way: null })
  })

  it('tick twice as once, and take a tick back', async () => {
    const { slug } = await newJob()
    const joint = await takenJoint(slug)
    const at = `/api/jobs/${slug}/joints/${joint.id}/ticks`
    await call('PUT', at, { entry: 0, step: 0 })
    expect((await call<JointRecord>('PUT', at, { entry: 0, step: 0 })).body.ticks).toMatchObject([
      { entry: 0, step: 'cut', code: 'cut', did: expect.stringContaining('Cut square') },
    ])
    // An entry of an earlier version names the step by its place.
    expect((await call<JointRecord>('PUT', at, { entry: 0, step: 'cut' })).body.ticks).toHaveLength(1)
    expect((await call<JointRecord>('DELETE', at, { entry: 0, step: 0 })).body.ticks).toEqual([])
    expect(await call('PUT', at, { entry: 0, step: 50 })).toMatchObject({
      status: 404,
      body: { error: { path: 'step' } },
    })
  })

  it('run a wait by the clock and start it once', async () => {
    const { slug } = await newJob()
    const question = { region: 'gb', a: JOINT.a, b: JOINT.b, conditions: {} }
    const way = (await post<WaysAnswer>('/api/core/ways', question)).body.ways.find(
      ({ parts }) => parts[0]!.name === 'solder reducing coupling',
    )!
    const created = (await post<JointRecord>(`/api/jobs/${slug}/joints`, { ...JOINT, conditions: {} })).body
    const joint = (await patch<JointRecord>(`/api/jobs/${slug}/joints/${created.id}`, { version: 1, wayId: way.id }))
      .body
    const { steps } = (
      await post<MakeAnswer>('/api/core/make', {
        method: 'solder',
        pipe: 'cu-en-x-22',
        region: 'gb',
        orientation: 'horizontal',
      })
    ).body
    const step = steps.findIndex(({ code }) => code === 'wait')
    const first = (await call<JointRecord>('PUT', `/api/jobs/${slug}/joints/${joint.id}/timers`, { entry: 0, step }))
      .body.timers
    const second = (await call<JointRecord>('PUT', `/api/jobs/${slug}/joints/${joint.id}/timers`, { entry: 0, step }))
      .body.timers
    expect(second).toEqual(first)
    expect(first[0]).toMatchObject({ seconds: 300 })
    expect((await call('PUT', `/api/jobs/${slug}/joints/${joint.id}/timers`, { entry: 0, step: 0 })).status).toBe(422)
  })

  it('are signed only when every step is done, once, with the depth of each end', async () => {
    const { slug } = await newJob()
    const joint = await takenJoint(slug)
    const sign = (initials: string) => post(`/api/jobs/${slug}/joints/${joint.id}/signoffs`, { initials })
    expect(await sign('AB')).toMatchObject({
      status: 422,
      body: { error: { path: 'ticks', message: expect.stringContaining('steps to go') } },
    })
    const version = (await tickAll(slug, joint)).version
    expect(await sign('')).toMatchObject({ status: 422, body: { error: { path: 'initials' } } })
    await patch(`/api/jobs/${slug}/joints/${joint.id}`, { version, depths: { 1: '20,5' } })
    // Two windows sign at once: one entry, the other is told.
    const both = await Promise.all([sign('AB'), sign('CD')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const signed = (await get<JobRecord>(`/api/jobs/${slug}`)).body.joints[0]!
    expect(signed.signoffs).toHaveLength(1)
    expect(signed.signoffs[0]!.marks).toMatchObject([
      { entry: 0, mm: 22.5, measured: false },
      { entry: 1, mm: 20.5, measured: true },
    ])
    expect(await patch(`/api/jobs/${slug}/joints/${joint.id}`, { version: signed.version, place: 'x' })).toMatchObject({
      status: 409,
    })
    expect(await call('DELETE', `/api/jobs/${slug}/joints/${joint.id}/ticks`, { entry: 0, step: 0 })).toMatchObject({
      status: 409,
    })
  })

  it('ask for a measure where no figure is held', async () => {
    const { slug } = await newJob()
    const question = { region: 'gb', a: { pipe: 'cu-bs-imp-3_4' }, b: { pipe: 'cu-en-x-22' } }
    const way = (await post<WaysAnswer>('/api/core/ways', question)).body.ways.find(
      ({ parts }) => parts[0]!.name === 'compression converter coupling',
    )!
    const created = (
      await post<JointRecord>(`/api/jobs/${slug}/joints`, { ...JOINT, a: question.a, b: question.b, conditions: {} })
    ).body
    const joint = (await patch<JointRecord>(`/api/jobs/${slug}/joints/${created.id}`, { version: 1, wayId: way.id }))
      .body
    // Steps past the last of a card are refused and change nothing.
    for (const entry of [0, 1])
      for (let step = 0; step < 12; step++)
        await call('PUT', `/api/jobs/${slug}/joints/${joint.id}/ticks`, { entry, step })
    expect(await post(`/api/jobs/${slug}/joints/${joint.id}/signoffs`, { initials: 'AB' })).toMatchObject({
      status: 422,
      body: { error: { path: 'depths.0' } },
    })
  })
})

describe('the register', () => {
  it('goes out as CSV, one row a joint, safe to open in a spreadsheet', async () => {
    const job = await newJob('=CMD yard')
    const joint = await takenJoint(job.slug)
    await patch(`/api/jobs/${job.slug}/joints/${joint.id}`, { version: joint.version, place: '=1+1, "quoted"' })
    const { body } = await get<string>(`/api/jobs/${job.slug}/register.csv`)
    const lines = body.split('\r\n')
    expect(lines[0]).toBe(
      'joint,where,pipes,methods,marksMm,measured,status,madeBy,at,care,failedChecks,reopened,remarks',
    )
    expect(lines[1]).toContain('"\'=1+1, ""quoted"""')
    expect(lines).toHaveLength(2)
  })
  it("goes out as JSON with its version, the demo's marks in mm", async () => {
    const { body } = await get<{ joints: unknown[] }>('/api/jobs/kiln-lane-bakehouse/register.json')
    expect(body).toMatchObject({ format: 'jolvet-register', version: 1, job: { name: 'Kiln Lane bakehouse' } })
    expect(body.joints[0]).toMatchObject({ joint: 'J1', marksMm: '55.5, 23.5', status: 'made', madeBy: 'WY' })
    expect(body.joints).toHaveLength(4)
  })
})

describe('the database', () => {
  it('gone for a moment gives a plain 503, and nothing saved is lost over its restart', async () => {
    const dir = ownBed().databaseFolder
    const { slug } = await newJob('Outlasts a restart')
    const find = (await post<FindRecord>(`/api/jobs/${slug}/finds`, FIND)).body
    const { port } = await start({ dir })
    await stop({ dir })
    const away = await get(`/api/jobs/${slug}`)
    expect(away.status).toBe(503)
    expect(JSON.stringify(away.body)).not.toMatch(/select|sql|at \//i)
    await start({ dir, port })
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds).toEqual([find])
  })
})
