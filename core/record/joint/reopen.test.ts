import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import {
  BLANK_JOINT,
  beginJoint,
  cardsOf,
  isMade,
  reopenJoint,
  signJoint,
  standingSignoff,
  statusOf,
  tickStep,
  type JointRecord,
} from '#core/record'
import { aJob } from '../../../tests/records'

const JOB = aJob({ region: 'us' })
const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Orla' }
function value<T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

const ends = { a: { pipe: 'pex-cts-3_4' }, b: { pipe: 'pex-cts-3_4' } }
function begun(): JointRecord {
  const way = value(findWays({ region: 'us', ...ends })).ways.find(({ joints }) =>
    joints.every(({ method }) => method === 'crimp'),
  )!
  return value(beginJoint(JOB, 'joint-0001', 1, { ...BLANK_JOINT, ...ends, wayId: way.id }, { at: '', by: '' }))
}
const places = (joint: JointRecord) =>
  cardsOf(JOB, joint).flatMap(({ entry, answer }) =>
    answer.ok ? answer.value.steps.map(({ id, code }) => ({ entry, step: id, code })) : [],
  )
const ticked = (joint: JointRecord) =>
  places(joint).reduce((made, { entry, step }) => value(tickStep(JOB, made, { entry, step }, true, HAND)), joint)
const signed = () => value(signJoint(JOB, ticked(begun()), { id: 'sign-0001', initials: 'OL' }, HAND))
const reopened = (joint: JointRecord, place = {}) =>
  reopenJoint(JOB, joint, { id: 'open-0001', signoff: 'sign-0001', reason: 'ring was never closed', ...place }, HAND)

describe('a signed joint that is opened again', () => {
  it('keeps its sign-off on record, and stands no longer', () => {
    const joint = value(reopened(signed()))
    expect(joint.signoffs).toEqual(signed().signoffs)
    expect([isMade(signed()), isMade(joint), standingSignoff(joint), statusOf(joint)]).toEqual([
      true,
      false,
      undefined,
      'dry-fitted',
    ])
    expect(joint.reopenings).toMatchObject([{ reason: 'ring was never closed', by: 'Orla', at: HAND.at }])
  })
  it('has only the step to do again that was not done, and is signed anew under its own name', () => {
    const before = signed()
    const press = places(before).find(({ code }) => code === 'press')!
    const joint = value(reopened(before, { entry: press.entry, step: press.step }))
    expect(before.ticks.length - joint.ticks.length).toBe(1)
    expect(signJoint(JOB, joint, { id: 'sign-0002', initials: 'WY' }, HAND)).toMatchObject({
      ok: false,
      error: { path: 'ticks' },
    })
    const again = value(
      signJoint(JOB, value(tickStep(JOB, joint, press, true, HAND)), { id: 'sign-0002', initials: 'WY' }, HAND),
    )
    expect(again.signoffs.map(({ initials, corrects }) => [initials, corrects])).toEqual([
      ['OL', null],
      ['WY', 'sign-0001'],
    ])
    expect(isMade(again)).toBe(true)
  })
  it('is opened once, by whoever is first', () => {
    const joint = value(reopened(signed()))
    expect(value(reopened(joint))).toBe(joint)
    expect(reopenJoint(JOB, joint, { id: 'open-0002', signoff: 'sign-0001', reason: 'x' }, HAND)).toMatchObject({
      ok: false,
      error: { code: 'impossible' },
    })
    expect(reopenJoint(JOB, begun(), { id: 'open-0002', signoff: 'sign-0001', reason: 'x' }, HAND)).toMatchObject({
      ok: false,
    })
    expect(reopenJoint(JOB, signed(), { id: 'open-0002', signoff: 'another', reason: 'x' }, HAND)).toMatchObject({
      ok: false,
      error: { path: 'signoff' },
    })
  })
  it('says what to do where a step of signed work is undone', () => {
    const answer = tickStep(JOB, signed(), { entry: 0, step: 0 }, false, HAND)
    expect(!answer.ok && answer.error.message).toMatch(/open the joint again with the reason/)
  })
})

describe('what was measured at a step', () => {
  const at = (code: string) => {
    const joint = begun()
    return { joint, place: places(joint).find((one) => one.code === code && one.entry === 0)! }
  }
  it('is kept with the tick, with the hand that made it', () => {
    const {
      joint,
      place: { entry, step },
    } = at('assemble')
    expect(value(tickStep(JOB, joint, { entry, step, reading: 4.5 }, true, HAND)).ticks).toMatchObject([
      {
        entry,
        step,
        code: 'assemble',
        at: HAND.at,
        by: 'Orla',
        reading: 4.5,
        did: expect.stringContaining('Set the ring'),
      },
    ])
    expect(value(tickStep(JOB, joint, { entry, step }, true, HAND)).ticks[0]!.reading).toBeNull()
  })
  it("outside a standard's own limit is no tick but a check that fails", () => {
    const {
      joint,
      place: { entry, step },
    } = at('assemble')
    expect(tickStep(JOB, joint, { entry, step, reading: 2 }, true, HAND)).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'reading', message: expect.stringMatching(/1\/8 in .* to 1\/4 in/) },
    })
  })
  it('is refused where a step asks for none', () => {
    expect(tickStep(JOB, begun(), { entry: 0, step: 0, reading: 2 }, true, HAND)).toMatchObject({
      ok: false,
      error: { path: 'reading' },
    })
  })
})
