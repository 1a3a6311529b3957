import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { start, stop } from '../../scripts/db.mjs'
import type { JobList } from '#core/acts'
import type { WaysAnswer } from '#core/joints'
import type { MakeAnswer } from '#core/making'
import type { JobRecord, JointRecord } from '#core/record'
import { acting } from '../acts'
import { get } from './client'

const DEMO = ['Kiln Lane bakehouse', 'Boat-shed wash-down', 'Glaze kiln room', 'Net loft drying coil']
const { act, ask, begin, newJob, tryAct } = acting()
const ENDS = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-15' } }

async function takenJoint(job: JobRecord, part = 'press reducing coupling', ends = ENDS) {
  const { ways } = await ask<WaysAnswer>('ways', { region: 'gb', ...ends })
  const { id } = await begin('joint/begin', job, { place: 'at the riser', ...ends })
  const wayId = ways.find(({ parts }) => parts[0]!.name === part)!.id
  return act('joint/change', job, id, { wayId })
}
async function tickAll(job: JobRecord, joint: JointRecord) {
  let last = joint
  for (const [entry, one] of joint.way!.joints.entries()) {
    const { steps } = await ask<MakeAnswer>('make', {
      method: one.method,
      pipe: one.pipe,
      region: 'gb',
      orientation: 'horizontal',
    })
    for (let step = 0; step < steps.length; step++) last = await act('joint/tick', job, joint.id, { entry, step })
  }
  return last
}

describe('jobs', () => {
  it('list the demo: four jobs, one held at Find, one handed over', async () => {
    const { jobs } = (await get<JobList>('/api/jobs?limit=60')).body
    const demo = jobs.filter(({ name }) => DEMO.includes(name))
    expect(demo.map(({ name }) => name)).toEqual(DEMO)
    expect(demo[2]).toMatchObject({ shelf: 'open', next: { station: 'find', held: true } })
    expect(demo[3]).toMatchObject({ shelf: 'handed', next: { words: 'Handed over 19 Nov.', done: true } })
  })

  it('get an address of their own, numbered when the name is used again', async () => {
    const one = await newJob('Öld Mill, No. 4')
    const two = await newJob('Öld Mill, No. 4')
    expect(one.slug).toMatch(/^[a-z0-9-]+$/)
    expect(two.slug).toBe(`${one.slug}-2`)
  })

  it('refuse a nameless one, naming the field', async () => {
    const id = randomUUID()
    expect(await tryAct('job/begin', { id }, id, { name: '  ', place: '', region: 'gb' })).toMatchObject({
      status: 422,
      issue: { path: 'name' },
    })
    expect(await get('/api/jobs/no-such')).toMatchObject({
      status: 404,
      body: { error: { code: 'unknown-id', path: 'job' } },
    })
  })
})

describe('finds', () => {
  it('keep what was typed, right or wrong', async () => {
    const job = await newJob()
    const made = await begin('find/begin', job, { typed: 'abc', place: '  behind the copper ' })
    expect(made).toMatchObject({ typed: 'abc', place: '  behind the copper ', version: 1 })
    const saved = await act('find/change', job, made.id, { typed: '21,5 mm', pipe: 'cu-bs-imp-3_4' })
    expect(saved).toMatchObject({ typed: '21,5 mm', pipe: 'cu-bs-imp-3_4', version: 2 })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.finds[0]).toEqual(saved)
  })

  it('never overwrite in silence: an old version gets the saved one back', async () => {
    const job = await newJob()
    const { id } = await begin('find/begin', job, { typed: '21.5' })
    await act('find/change', job, id, { typed: '22' })
    const set = (body: object, about: object) => tryAct('find/change', job, id, body, about)
    expect(await set({ typed: '15' }, { version: 1 })).toMatchObject({
      status: 409,
      issue: { path: 'version' },
      saved: { typed: '22', version: 2 },
      clashes: [],
    })
    // What was seen tells which fields both set; another field goes in beside.
    expect(await set({ typed: '15' }, { version: 1, seen: { typed: '21.5' } })).toMatchObject({
      status: 409,
      clashes: [{ path: 'typed', base: '21.5', mine: '15', theirs: '22' }],
    })
    expect(await set({ place: 'wall' }, { version: 1, seen: { place: '' } })).toMatchObject({
      status: 200,
      record: { typed: '22', place: 'wall', version: 3 },
    })
    expect(await set({ typed: '15' }, {})).toMatchObject({ status: 422, issue: { path: 'version', code: 'missing' } })
  })

  it('refuse a pipe that is not in the catalogue, an unknown field, and the find of another job', async () => {
    const [one, two] = [await newJob(), await newJob()]
    const { id } = await begin('find/begin', one, {})
    const set = (job: JobRecord, body: object) => tryAct('find/change', job, id, body, { version: 1 })
    expect(await set(one, { pipe: 'bamboo' })).toMatchObject({ issue: { code: 'unknown-id', path: 'pipe' } })
    expect(await set(one, { smell: 'x' })).toMatchObject({ issue: { code: 'unknown-field', path: 'smell' } })
    expect(await set(two, { typed: '1' })).toMatchObject({ status: 422, issue: { code: 'unknown-id', path: 'find' } })
  })

  it('refuse a paste far too long, and stay up', async () => {
    const job = await newJob()
    const paste = (letters: number) => tryAct('find/begin', job, randomUUID(), { typed: 'x'.repeat(letters) })
    expect((await paste(5000)).issue).toMatchObject({ code: 'range', path: 'typed' })
    await expect(paste(4_000_000)).rejects.toThrow(/Send less at once/)
    expect((await get(`/api/jobs/${job.slug}`)).status).toBe(200)
  })
})

describe('joints', () => {
  it('are numbered from 1 on each job, also when two are begun at once', async () => {
    const job = await newJob()
    await Promise.all(Array.from({ length: 5 }, () => begin('joint/begin', job, ENDS)))
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.joints.map(({ number }) => number)).toEqual([
      1, 2, 3, 4, 5,
    ])
  })

  it('take only a way that stands, and drop it when the conditions refuse it', async () => {
    const job = await newJob()
    const joint = await takenJoint(job)
    expect(joint.way!.parts[0]!.name).toBe('press reducing coupling')
    const { version } = joint
    expect(await tryAct('joint/change', job, joint.id, { wayId: 'magic' }, { version })).toMatchObject({
      status: 422,
      issue: { path: 'wayId' },
    })
    const tight = await act('joint/change', job, joint.id, { conditions: { room: 'tight' } })
    expect(tight).toMatchObject({ wayId: null, way: null })
  })

  it('tick twice as once, and take a tick back', async () => {
    const job = await newJob()
    const { id } = await takenJoint(job)
    const tick = (step: string | number) => act('joint/tick', job, id, { entry: 0, step })
    await tick(0)
    const ticked = await tick(0)
    expect(ticked.ticks).toMatchObject([
      { entry: 0, step: 'cut', code: 'cut', did: expect.stringContaining('Cut square') },
    ])
    // An entry of an earlier version names the step by its place.
    expect(await tick('cut')).toEqual(ticked)
    expect((await act('joint/untick', job, id, { entry: 0, step: 0 })).ticks).toEqual([])
    expect(await tryAct('joint/tick', job, id, { entry: 0, step: 50 })).toMatchObject({
      status: 422,
      issue: { code: 'unknown-id', path: 'step' },
    })
  })

  it('run a wait by the clock and start it once', async () => {
    const job = await newJob()
    const { id } = await takenJoint(job, 'solder reducing coupling')
    const { steps } = await ask<MakeAnswer>('make', {
      method: 'solder',
      pipe: 'cu-en-x-22',
      region: 'gb',
      orientation: 'horizontal',
    })
    const step = steps.findIndex(({ code }) => code === 'wait')
    const first = (await act('joint/wait', job, id, { entry: 1, step })).timers
    expect((await act('joint/wait', job, id, { entry: 1, step })).timers).toEqual(first)
    expect(first[0]).toMatchObject({ seconds: 300 })
    expect((await tryAct('joint/wait', job, id, { entry: 0, step: 0 })).status).toBe(422)
    expect((await act('joint/stop-wait', job, id, { entry: 1, step })).timers).toEqual([])
  })

  it('are signed only when every step is done, once, with the depth of each end', async () => {
    const job = await newJob()
    const joint = await takenJoint(job)
    const now = async () => (await get<JobRecord>(`/api/jobs/${job.slug}`)).body.joints[0]!
    const sign = async (initials: string) =>
      tryAct('joint/sign', job, joint.id, { initials }, { version: (await now()).version })
    expect(await sign('AB')).toMatchObject({
      status: 422,
      issue: { path: 'ticks', message: expect.stringContaining('steps to go') },
    })
    await tickAll(job, joint)
    expect(await sign('')).toMatchObject({ status: 422, issue: { path: 'initials' } })
    await act('joint/change', job, joint.id, { depths: { 1: '20,5' } })
    // Signed to depths that are not those saved: both are shown.
    const seen = { depths: {}, wayId: joint.wayId }
    expect(await tryAct('joint/sign', job, joint.id, { initials: 'AB' }, { version: 1, seen })).toMatchObject({
      status: 409,
      clashes: [{ path: 'depths.1', theirs: '20,5' }],
    })
    // Two windows sign at once: one entry, the other is told.
    const both = await Promise.all([sign('AB'), sign('CD')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const signed = await now()
    expect(signed.signoffs).toHaveLength(1)
    expect(signed.signoffs[0]!.marks).toMatchObject([
      { entry: 0, mm: 22.5, measured: false },
      { entry: 1, mm: 20.5, measured: true },
    ])
    const { version } = signed
    expect(await tryAct('joint/change', job, joint.id, { place: 'x' }, { version })).toMatchObject({
      status: 409,
      saved: { id: joint.id },
      clashes: [{ path: 'place', mine: 'x', theirs: 'at the riser' }],
    })
    expect(await tryAct('joint/untick', job, joint.id, { entry: 0, step: 0 })).toMatchObject({ status: 409 })
  })

  it('ask for a measure where no figure is held', async () => {
    const job = await newJob()
    const joint = await takenJoint(job, 'compression converter coupling', {
      a: { pipe: 'cu-bs-imp-3_4' },
      b: { pipe: 'cu-en-x-22' },
    })
    // Steps past the last of a card are refused and change nothing.
    for (const entry of [0, 1])
      for (let step = 0; step < 12; step++) await tryAct('joint/tick', job, joint.id, { entry, step })
    const { version } = (await get<JobRecord>(`/api/jobs/${job.slug}`)).body.joints[0]!
    expect(await tryAct('joint/sign', job, joint.id, { initials: 'AB' }, { version })).toMatchObject({
      status: 422,
      issue: { path: 'depths.0' },
    })
  })
})

describe('the register', () => {
  it('goes out as CSV, one row a joint, safe to open in a spreadsheet', async () => {
    const job = await newJob('=CMD yard')
    const joint = await takenJoint(job)
    await act('joint/change', job, joint.id, { place: '=1+1, "quoted"' })
    const { body } = await get<string>(`/api/jobs/${job.slug}/register.csv`)
    const lines = body.split('\r\n')
    expect(lines[0]).toBe(
      'joint,where,pipes,methods,marks (mm),measured,status,madeBy,at,care,failedChecks,reopened,remarks,log',
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
    const job = await newJob('Outlasts a restart')
    const { slug } = job
    const find = await begin('find/begin', job, { place: 'north wall' })
    const { port } = await start({ dir })
    await stop({ dir })
    const away = await get(`/api/jobs/${slug}`)
    expect(away.status).toBe(503)
    expect(JSON.stringify(away.body)).not.toMatch(/select|sql|at \//i)
    await start({ dir, port })
    expect((await get<JobRecord>(`/api/jobs/${slug}`)).body.finds).toEqual([find])
  })
})
