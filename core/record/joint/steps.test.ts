import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findWays, type End } from '#core/joints'
import { figuresOf } from '#core/making'
import {
  BLANK_JOINT,
  beginJoint,
  bringBack,
  cardsOf,
  changeJoint,
  completeJob,
  cuttingStep,
  failStep,
  heldStep,
  idByCode,
  reopenJoint,
  runTimer,
  signJoint,
  stateOfStep,
  stepsPutAside,
  suspectsOf,
  tickStep,
  type JobRecord,
  type JointBody,
  type JointRecord,
} from '#core/record'
import { aFind, aJob, aSignoff, aTick } from '../../../tests/records'

const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Orla' }
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

function begin(job: JobRecord, method: string, a: End, b: End, body: Partial<JointBody> = {}): JointRecord {
  const ways = value(findWays({ region: job.region, a, b, conditions: body.conditions, policy: job.policy })).ways
  const way =
    ways.find(({ joints }) => joints.every((joint) => joint.method === method)) ??
    ways.find(({ joints }) => joints.some((joint) => joint.method === method))!
  return value(beginJoint(job, 'joint-0001', 1, { ...BLANK_JOINT, a, b, wayId: way.id, ...body }, { at: '', by: '' }))
}
const stepsOf = (job: JobRecord, joint: JointRecord, entry = 0) =>
  cardsOf(job, joint).find((card) => card.entry === entry)!.answer
const tick = (job: JobRecord, joint: JointRecord, ...steps: string[]) =>
  steps.reduce((made, step) => value(tickStep(job, made, { entry: 0, step }, true, HAND)), joint)
const stateOf = (job: JobRecord, joint: JointRecord, id: string) => {
  const card = stepsOf(job, joint)
  const step = card.ok ? card.value.steps.find((one) => one.id === id)! : undefined
  return stateOfStep(
    step!,
    joint.ticks.find((one) => one.entry === 0 && one.step === id),
  )
}

const THREAD: End = { thread: { form: 'npt', size: '3/4', gender: 'male', material: 'brass' } }
const SOLDER: [End, End] = [{ pipe: 'cu-en-x-22' }, { pipe: 'cu-en-x-22' }]

describe('a tick stays on its own step', () => {
  it('when the job seals its threads otherwise: what was not done does not count as done', () => {
    const both = aJob({ region: 'us', policy: { threadSeal: 'both' } })
    const tape = { ...both, policy: { threadSeal: 'tape' as const } }
    const joint = begin(both, 'thread', THREAD, { pipe: 'cu-l-3_4' })
    const done = tick(both, joint, 'clean', 'tape', 'paste')
    const steps = stepsOf(tape, done)
    const left = steps.ok
      ? steps.value.steps
          .filter(({ id }) => !done.ticks.some((one) => one.entry === 0 && one.step === id))
          .map(({ id }) => id)
      : []
    expect(left).toEqual(['assemble', 'tighten'])
  })
  it('and is the same by its place, as an earlier version names it', () => {
    const job = aJob()
    const joint = begin(job, 'solder', ...SOLDER)
    const byPlace = value(tickStep(job, joint, { entry: 0, step: 4 }, true, HAND))
    expect(byPlace.ticks).toEqual(value(tickStep(job, joint, { entry: 0, step: 'mark' }, true, HAND)).ticks)
    expect(tickStep(job, joint, { entry: 0, step: 14 }, true, HAND)).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'step' },
    })
    expect(value(runTimer(job, joint, { entry: 1, step: 11 }, true, HAND.at)).timers).toMatchObject([
      { step: 'wait', seconds: 300 },
    ])
    expect(value(failStep(job, byPlace, { id: 'fault-0001', entry: 1, step: 9 }, HAND)).faults).toMatchObject([
      { step: 'feed', code: 'feed' },
    ])
  })
  it('of a step that is not on the card, and of another way, there is none', () => {
    const job = aJob()
    const joint = begin(job, 'solder', ...SOLDER)
    expect(tickStep(job, joint, { entry: 0, step: 'gauge' }, true, HAND)).toMatchObject({
      ok: false,
      error: { path: 'step' },
    })
    expect(tickStep(job, joint, { entry: 0, step: 'cut', way: 'another' }, true, HAND)).toMatchObject({
      ok: false,
      error: { path: 'way' },
    })
  })
})

describe('a step that says something else since it was ticked', () => {
  const job = aJob({ region: 'us' })
  const EXPANDED: [End, End] = [
    { pipe: 'pex-cts-3_4', pexType: 'a' },
    { pipe: 'pex-cts-3_4', pexType: 'a' },
  ]
  const warm = begin(job, 'expansion', ...EXPANDED, { ambient: 20 })
  const done = tick(job, warm, 'cut', 'clean', 'ring', 'mark', 'expand', 'insert', 'hold', 'wait')

  it('asks to be looked at again, with what it said then', () => {
    const cold = value(changeJoint(job, done, { ambient: 2 }))
    expect(stateOf(job, cold, 'wait')).toBe('changed')
    expect(cold.ticks.find(({ step }) => step === 'wait')!.did).toContain('30 minutes at 68')
    const steps = stepsOf(job, cold)
    expect(steps.ok && figuresOf(steps.value.steps.find(({ id }) => id === 'wait')!)).toContain('3 hours at 36')
    // What says the same stays done.
    expect(stateOf(job, cold, 'ring')).toBe('done')
  })
  it('is not done until it was, and no joint is signed over it', () => {
    const cold = value(changeJoint(job, done, { ambient: 2 }))
    const other = cardsOf(job, cold)[1]!.answer
    const all = (other.ok ? other.value.steps : []).reduce(
      (made, { id }) =>
        value(tickStep(job, made, { entry: 1, step: id, reading: id === 'check' ? 2 : null }, true, HAND)),
      tick(job, cold, 'check'),
    )
    const signed = signJoint(job, all, { id: 'sign-0001', initials: 'OL', seen: ['wait'] }, HAND)
    // Hold and wait were ticked to the warm figures.
    expect(signed).toMatchObject({
      ok: false,
      error: { path: 'ticks', message: expect.stringContaining('2 steps to go') },
    })
    const again = tick(job, all, 'hold', 'wait')
    expect(again.ticks.filter(({ entry, step }) => entry === 0 && step === 'wait')).toHaveLength(1)
    expect(stateOf(job, again, 'wait')).toBe('done')
    expect(signJoint(job, again, { id: 'sign-0001', initials: 'OL', seen: ['wait'] }, HAND)).toMatchObject({ ok: true })
  })
  it('of which an earlier version kept nothing counts as it stands', () =>
    expect(stateOfStep({ id: 'cut', code: 'cut', do: 'Cut square' }, aTick())).toBe('done'))
})

describe('pipe in doubt', () => {
  const find = (answers: object) =>
    aFind({ id: 'f1', typed: '22', answers: { colour: 'copper', ...answers }, pipe: 'cu-en-x-22' })
  const job = (answers: object) => aJob({ finds: [find(answers)] })
  const joint = begin(job({}), 'press', ...SOLDER, { findA: 'f1' })

  it('is not cut until somebody traced it, by its find or at the end itself', () => {
    expect(suspectsOf(job({}), joint)).toMatchObject([{ on: 'a', code: 'gas', find: 'f1' }])
    expect(tickStep(job({}), joint, { entry: 0, step: 'cut' }, true, HAND)).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: 'step', message: expect.stringContaining('gas') },
    })
    expect(tickStep(job({ traced: 'water' }), joint, { entry: 0, step: 'cut' }, true, HAND)).toMatchObject({ ok: true })
    const answered = value(changeJoint(job({}), joint, { a: { pipe: 'cu-en-x-22', traced: 'water' } }))
    expect(suspectsOf(job({}), answered)).toEqual([])
    expect(tickStep(job({}), answered, { entry: 0, step: 'cut' }, true, HAND)).toMatchObject({ ok: true })
  })
  it('holds its own end only, and a cut that is taken back may be', () => {
    expect(tickStep(job({}), joint, { entry: 1, step: 'cut' }, true, HAND)).toMatchObject({ ok: true })
    const cut = tick(job({ traced: 'water' }), joint, 'cut')
    expect(value(tickStep(job({}), cut, { entry: 0, step: 'cut' }, false, HAND)).ticks).toEqual([])
  })
  it('whose end says it was not traced is held without a find', () => {
    const alone = begin(aJob(), 'press', { pipe: 'cu-en-x-22', traced: 'unknown' }, { pipe: 'cu-en-x-22' })
    expect(suspectsOf(aJob(), alone)).toMatchObject([{ on: 'a', find: null }])
    const card = cardsOf(aJob(), alone)[0]!
    expect(heldStep(aJob(), alone, card, { id: 'cut' })).toContain('gas')
    expect(heldStep(aJob(), alone, card, { id: 'ream' })).toBeNull()
  })
  it('that may be lead is held whatever it was kept as, until it was looked at', () => {
    const grey = { colour: 'grey', flex: 'soft', scratch: 'bright-silver', traced: 'water' }
    const lead = aJob({ finds: [aFind({ id: 'f1', typed: '', answers: grey as never, pipe: 'cu-en-x-22' })] })
    expect(suspectsOf(lead, joint)).toMatchObject([{ on: 'a', code: 'lead' }])
    expect(cardsOf(lead, joint)[0]!.answer).toMatchObject({
      ok: true,
      value: { cautions: expect.arrayContaining([expect.objectContaining({ code: 'lead' })]) },
    })
    const looked = aJob({
      finds: [aFind({ id: 'f1', typed: '', answers: { ...grey, 'ruled-out': ['lead'] } as never, pipe: 'cu-en-x-22' })],
    })
    expect(suspectsOf(looked, joint)).toEqual([])
  })
  it('opens with its first step where nothing is cut', () =>
    expect(
      cuttingStep([
        { id: 'clean', code: 'clean', do: '' },
        { id: 'tape', code: 'tape', do: '' },
      ])!.id,
    ).toBe('clean'))
})

describe('another way', () => {
  const job = aJob()
  const joint = tick(job, begin(job, 'solder', ...SOLDER), 'cut', 'ream', 'deburr')
  const press = value(findWays({ region: 'gb', a: SOLDER[0], b: SOLDER[1] })).ways.find(({ joints }) =>
    joints.every(({ method }) => method === 'press'),
  )!

  it('says beforehand how many steps it puts aside, and so does an end or a condition that drops the way', () => {
    expect(stepsPutAside(job, joint, { wayId: press.id })).toBe(3)
    expect(stepsPutAside(job, joint, { conditions: { wet: true } })).toBe(3)
    expect(stepsPutAside(job, joint, { a: { pipe: 'cu-en-x-15' } })).toBe(3)
    expect(stepsPutAside(job, joint, { conditions: { combustibles: true } })).toBe(0)
    expect(stepsPutAside(job, joint, { place: 'riser' })).toBe(0)
    expect(stepsPutAside(job, begin(job, 'solder', ...SOLDER), { wayId: press.id })).toBe(0)
  })
  it('puts them aside, and undo brings back every one, with when and by whom', () => {
    const other = value(changeJoint(job, joint, { wayId: press.id }))
    expect([other.ticks, other.aside[0]?.ticks.length]).toEqual([[], 3])
    const back = value(bringBack(job, other))
    expect([back.ticks, back.wayId, back.way, back.aside]).toEqual([joint.ticks, joint.wayId, joint.way, []])
  })
  it('taken further, both are kept: undo changes places', () => {
    const further = tick(job, value(changeJoint(job, joint, { wayId: press.id })), 'cut')
    const back = value(bringBack(job, further))
    expect([back.ticks.length, back.aside[0]?.wayId, back.aside[0]?.ticks.length]).toEqual([3, press.id, 1])
    expect(value(bringBack(job, back)).ticks).toEqual(further.ticks)
  })
  it('loses none, however often another is taken: undo goes through them all', () => {
    const ids = value(findWays({ region: 'gb', a: SOLDER[0], b: SOLDER[1] }))
      .ways.slice(0, 6)
      .map(({ id }) => id)
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 6 }), (taken) => {
        let now = joint
        const ticked = new Set([joint.ticks])
        for (const wayId of taken) {
          now = value(changeJoint(job, now, { wayId }))
          if (now.ticks.length === 0) now = tick(job, now, value(cardsOf(job, now)[0]!.answer).steps[0]!.id)
          ticked.add(now.ticks)
        }
        const seen = new Set([now.ticks])
        for (let i = 0; i < ticked.size; i++) {
          now = value(bringBack(job, now))
          seen.add(now.ticks)
        }
        expect(seen).toEqual(ticked)
      }),
      { seed: 20261127, numRuns: 30 },
    )
  })
  it('brings back ends and conditions too, and not a way that no rule gives any more', () => {
    const wet = value(changeJoint(job, joint, { conditions: { wet: true } }))
    expect(wet).toMatchObject({ way: null, ticks: [] })
    expect(value(bringBack(job, wet))).toMatchObject({ conditions: {}, wayId: joint.wayId, ticks: joint.ticks })
    expect(bringBack({ ...job, tools: [] }, wet)).toMatchObject({ ok: false, error: { path: 'aside' } })
  })
  it('with nothing put aside, or signed, changes nothing', () => {
    expect(value(bringBack(job, joint))).toBe(joint)
    const other = value(changeJoint(job, joint, { wayId: press.id }))
    expect(bringBack(job, { ...other, signoffs: [aSignoff()] })).toMatchObject({ ok: false })
  })
})

describe('a job that an earlier version kept on a tablet', () => {
  it('has its steps by their ids, whatever stood at their place since', () => {
    const job = aJob()
    const joint = begin(job, 'solder', ...SOLDER)
    const old = {
      ...joint,
      aside: undefined,
      ticks: [{ entry: 0, step: 4, code: 'mark', at: '', by: '', reading: null }],
      timers: [
        { entry: 0, step: 11, seconds: 300, startedAt: HAND.at },
        { entry: 0, step: 40, seconds: 5, startedAt: HAND.at },
      ],
      faults: [
        { id: 'f', entry: 0, step: 9, code: 'feed', method: 'solder', remedy: '', reused: false, at: '', by: '' },
      ],
      signoffs: [{ id: 's', initials: 'AB', at: HAND.at, marks: [], corrects: null }],
    } as unknown as JointRecord
    const [now] = completeJob({ ...job, joints: [old] }).joints
    expect(now).toMatchObject({
      ticks: [{ step: 'mark', did: null }],
      timers: [{ step: 'wait' }],
      faults: [{ step: 'feed' }],
      signoffs: [{ remarks: [] }],
    })
    // Nothing waits at a place that never was.
    expect(now!.timers).toHaveLength(1)
    expect(completeJob({ ...job, joints: [now!] }).joints).toEqual([now])
  })
  it('tells the two tightenings of a union apart', () =>
    expect([
      idByCode('tighten', 3),
      idByCode('tighten', 4),
      idByCode('tighten', 5),
      idByCode('tighten', 6),
      idByCode('check', 5),
    ]).toEqual(['tighten', 'tighten', 'tighten-2', 'tighten-2', 'check']))
  it('is opened again at a step named by its place', () => {
    const job = aJob()
    const joint: JointRecord = { ...tick(job, begin(job, 'solder', ...SOLDER), 'cut', 'ream'), signoffs: [aSignoff()] }
    expect(
      value(reopenJoint(job, joint, { id: 'open-0001', signoff: 's', reason: 'x', entry: 0, step: 1 }, HAND)).ticks.map(
        ({ step }) => step,
      ),
    ).toEqual(['cut'])
  })
})
