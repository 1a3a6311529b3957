import { describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import type { FittingRecord, JobRecord, JointInput, ToolRecord } from '#core/record'
import { acting } from '../acts'
import { call, get, post } from './client'

const { act, begin, newJob: newJobIn, tryAct } = acting()

// In inches, so that no other test's metric job begins with this van.
const newJob = () => newJobIn('Kit yard', 'us')
const TOOLS: ToolRecord[] = [{ method: 'press', sizes: ['1/2'], due: '2026-12-01' }]
const FITTING: FittingRecord = {
  method: 'press',
  nominal: '3/4',
  fitting: 'coupling',
  insertion: 21.5,
  takeOut: null,
  at: '2026-11-26',
}
const PAIR = { region: 'us', a: { pipe: 'cu-l-3_4' }, b: { pipe: 'cu-l-3_4' } }
const JOINT: JointInput = { a: PAIR.a, b: PAIR.b, wayId: 'press.cts:3_4~press.cts:3_4' }

describe('the kit of a job', () => {
  it('is changed field by field, each on the version that was seen', async () => {
    const job = await newJob()
    const changed = await tryAct(
      'kit/change',
      job,
      job.id,
      { policy: { threadSeal: 'tape' }, fittings: [FITTING] },
      { version: job.version, by: 'Wyn' },
    )
    expect(changed).toMatchObject({
      status: 200,
      record: { policy: { threadSeal: 'tape' }, fittings: [FITTING], version: job.version + 1, updatedBy: 'Wyn' },
    })
    expect(await tryAct('kit/change', job, job.id, { tools: TOOLS }, { version: job.version })).toMatchObject({
      status: 409,
      state: 'met',
      saved: { policy: { threadSeal: 'tape' } },
    })
    const { rack: _, ...saved } = changed.record
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body).toMatchObject(saved)
  })

  it('decides what can be taken: a size that is not on the van, a depth that was measured', async () => {
    const job = await newJob()
    await act('kit/change', job, job.id, { tools: TOOLS, fittings: [FITTING] })
    expect(await tryAct('joint/begin', job, 'joint-0001', JOINT)).toMatchObject({
      status: 422,
      issue: { path: 'wayId' },
    })
    await act('kit/change', job, job.id, { tools: null })
    expect((await begin('joint/begin', job, JOINT)).way!.joints[0]!.insertion).toMatchObject({
      value: 21.5,
      source: 'measured',
    })
    const pdf = await call('GET', `/api/jobs/${job.slug}/depth-cards.pdf`)
    expect([pdf.status, String(pdf.body).slice(0, 5)]).toEqual([200, '%PDF-'])
  })

  it('goes on to the next job of its country', async () => {
    const job = await newJob()
    await act('kit/change', job, job.id, { tools: TOOLS, fittings: [FITTING] })
    expect(await newJob()).toMatchObject({ tools: TOOLS, fittings: [FITTING], policy: {} })
    const other = await newJobIn('Kit yard', 'eu')
    expect([other.tools, other.fittings]).toEqual([null, []])
  })

  it.each([
    [{ tools: [{ method: 'hammer', sizes: [], due: null }] }, 'tools.0.method'],
    [{ tools: [{ method: 'press', sizes: [], due: 'soon' }] }, 'tools.0.due'],
    [{ tools: [{ method: 'press', sizes: [], due: '2026-02-30' }] }, 'tools.0.due'],
    [{ counts: [] }, 'counts'],
    [{ tools: [TOOLS[0], TOOLS[0]] }, 'tools'],
    [{ fittings: [{ ...FITTING, insertion: -2 }] }, 'fittings.0.insertion'],
    [{ policy: { threadSeal: 'glue' } }, 'policy.threadSeal'],
    [{ name: 'x' }, 'name'],
  ])('refuses %j at %s', async (changes, path) => {
    const job = await newJob()
    expect(await tryAct('kit/change', job, job.id, changes, { version: job.version })).toMatchObject({
      status: 422,
      issue: { path },
    })
  })
})

describe('the verbs that read a line and look at a joint', () => {
  it('answer over HTTP as on the command line', async () => {
    const line = (
      await post<{ understood: object; answer: WaysAnswer }>('/api/core/ask', {
        text: '3/4 cu to 3/4 cu',
        region: 'us',
      })
    ).body
    expect(line.answer).toEqual((await post<WaysAnswer>('/api/core/ways', PAIR)).body)
    expect(await post('/api/core/ask', { text: 'half a banana', region: 'gb' })).toMatchObject({
      status: 422,
      body: { error: { code: 'not-understood', path: 'text', accepted: expect.any(Array) } },
    })
    expect(
      (
        await post('/api/core/inspect', {
          region: 'gb',
          method: 'crimp',
          pipe: 'pex-cts-1_2',
          seen: { gauge: 'fails' },
        })
      ).body,
    ).toMatchObject({ verdict: 'wrong' })
    expect((await post('/api/core/offset', { set: 60, angle: 45 })).body).toMatchObject({ trueSet: 60 })
  })
})
