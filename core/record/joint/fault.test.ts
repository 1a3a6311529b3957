import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import { makeCards } from '#core/making'
import {
  BLANK_JOINT,
  beginJoint,
  completeJob,
  failStep,
  reusesOf,
  runTimer,
  SIGNED,
  tickStep,
  type JointRecord,
} from '#core/record'
import { aJob, aJoint, aSignoff } from '../../../tests/records'

const JOB = aJob({ region: 'us' })
const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Orla' }
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
/** A crimped joint with some steps of its first end done. */
function made(until: string, rules = JOB): { joint: JointRecord; at: (code: string) => number } {
  const [a, b] = [{ pipe: 'pex-cts-3_4' }, { pipe: 'pex-cts-3_4' }]
  const ways = value(findWays({ region: 'us', a, b, policy: rules.policy })).ways
  const way = ways.find(({ joints }) => joints.every(({ method }) => method === 'crimp'))!
  let joint = value(beginJoint(rules, 'joint-0001', 1, { ...BLANK_JOINT, a, b, wayId: way.id }, { at: '', by: '' }))
  const card = makeCards({
    joints: joint.way!.joints,
    region: 'us',
    orientation: 'horizontal',
    conditions: {},
    policy: rules.policy,
  })[0]!
  const steps = card.answer.ok ? card.answer.value.steps : []
  const at = (code: string) => steps.findIndex((step) => step.code === code)
  for (let step = 0; step < at(until); step++) joint = value(tickStep(rules, joint, { entry: 0, step }, true, HAND))
  return { joint, at }
}
const fail = (joint: JointRecord, step: number, id: string, rules = JOB) =>
  failStep(rules, joint, { id, entry: 0, step }, HAND)

describe('a check that fails', () => {
  it('goes on record with its remedy and begins the end anew; the other end stays', () => {
    const { joint, at } = made('gauge')
    const other = value(tickStep(JOB, joint, { entry: 1, step: 0 }, true, HAND))
    const after = value(fail(other, at('gauge'), 'fault-0001'))
    expect(after.ticks).toEqual([expect.objectContaining({ entry: 1, step: 'cut' })])
    expect(after.faults).toEqual([
      {
        id: 'fault-0001',
        entry: 0,
        step: 'gauge',
        code: 'gauge',
        method: 'crimp',
        remedy: expect.stringMatching(/^Cut the pipe just behind the ring/),
        reused: true,
        reading: null,
        ...HAND,
      },
    ])
    // Come twice, it is one.
    expect(value(fail(after, at('gauge'), 'fault-0001'))).toBe(after)
  })
  it('uses a fitting again only as often as the job allows', () => {
    const once = { ...JOB, policy: { reuseLimit: 1 } }
    const { joint, at } = made('gauge', once)
    const first = value(fail(joint, at('gauge'), 'fault-0001', once))
    const second = value(fail(first, at('gauge'), 'fault-0002', once))
    expect(second.faults.map(({ reused }) => reused)).toEqual([true, false])
    expect(second.faults[1]!.remedy).toMatch(/used again once, as often as this job allows: take a new fitting/)
    expect(reusesOf(second, 0)).toBe(1)
    expect(value(fail(joint, at('gauge'), 'fault-0003', { ...JOB, policy: { reuseLimit: 0 } })).faults[0]!.reused).toBe(
      false,
    )
  })
  it('of a step that is only done again keeps what was before it', () => {
    const { joint, at } = made('gauge')
    const after = value(fail(joint, at('insert'), 'fault-0001'))
    expect(after.ticks.map(({ step }) => step).sort()).toEqual(['clean', 'cut', 'mark', 'ring'])
    expect(after.faults[0]!.reused).toBe(false)
  })
  it('stops the waits of what is begun anew, and changes nothing that is signed', () => {
    const { joint, at } = made('gauge')
    const waiting = {
      ...joint,
      timers: [
        { entry: 0, step: 'cut', seconds: 30, startedAt: HAND.at },
        { entry: 1, step: 'cut', seconds: 30, startedAt: HAND.at },
      ],
    }
    expect(value(fail(waiting, at('gauge'), 'fault-0001')).timers).toEqual([waiting.timers[1]])
    expect(fail({ ...joint, signoffs: [aSignoff()] }, at('gauge'), 'fault-0001')).toEqual({ ok: false, error: SIGNED })
    expect(fail(joint, 99, 'fault-0001')).toMatchObject({ ok: false, error: { path: 'step' } })
    expect(runTimer(JOB, joint, { entry: 0, step: 0 }, true, HAND.at)).toMatchObject({ ok: false })
  })
  it('is none in a joint that an earlier version kept', () => {
    const { faults: _, ...old } = aJoint()
    expect(completeJob({ ...JOB, joints: [old as JointRecord] }).joints[0]!.faults).toEqual([])
  })
})
