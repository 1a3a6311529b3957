import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import {
  beginJoint,
  BLANK_JOINT,
  breakOff,
  brokenOff,
  cardsOf,
  reusesOf,
  signJoint,
  standingSignoff,
  takeApart,
  tickStep,
  weepJoint,
  weepsOf,
  type JobRecord,
  type JointRecord,
} from '#core/record'
import { aJob } from '../../../tests/records'
import { stepsOf } from './steps'

const START = Date.parse('2026-11-26T09:00:00.000Z')
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const hand = (seconds = 0) => ({ at: new Date(START + seconds * 1000).toISOString(), by: 'Wyn' })

/** A coupling on 22 copper both sides, every step ticked. */
function done(job: JobRecord, method: string): JointRecord {
  const end = { pipe: 'cu-en-x-22' }
  const way = value(findWays({ region: 'gb', a: end, b: end })).ways.find(({ joints }) =>
    joints.every((one) => one.method === method),
  )!
  let joint = value(beginJoint(job, 'joint-0001', 1, { ...BLANK_JOINT, a: end, b: end, wayId: way.id }, hand()))
  let seconds = 0
  for (const card of cardsOf(job, joint))
    for (const step of stepsOf(card)) {
      seconds += 30
      joint = value(tickStep(job, joint, { entry: card.entry, step: step.id }, true, hand(seconds)))
    }
  return joint
}
const ticksOf = (joint: JointRecord, entry: number) =>
  joint.ticks.filter((tick) => tick.entry === entry).map(({ step }) => step)

describe('an end that weeps', () => {
  it('of compression is nipped once, and begun anew the second time; each is counted', () => {
    const job = aJob()
    const joint = done(job, 'compression')
    const first = value(weepJoint(job, joint, { id: 'w1', entry: 0 }, hand(900)))
    expect(first.faults.map(({ code, remedy }) => [code, remedy])).toEqual([
      ['weep', 'A quarter turn more, once, body held.'],
    ])
    // By hand: its nut is turned again, and the joint looked at again; the rest stands.
    const gone = joint.ticks.filter(({ entry, step }) => !first.ticks.some((t) => t.entry === entry && t.step === step))
    expect(gone.map(({ code }) => code).sort()).toEqual(['check', 'tighten'])
    const again = value(weepJoint(job, first, { id: 'w2', entry: 0 }, hand(1000)))
    expect(weepsOf(again, 0)).toBe(2)
    expect(again.faults[1]!.remedy).toMatch(/cut back/)
    expect([ticksOf(again, 0), ticksOf(again, 1).length > 0]).toEqual([[], true])
    expect(weepsOf(again, 1)).toBe(0)
  })

  it.each(['press', 'solder', 'push-fit'])('of %s is begun anew at once: it is not made to be tightened', (method) => {
    const job = aJob()
    const joint = value(weepJoint(job, done(job, method), { id: 'w1', entry: 1 }, hand(900)))
    expect([ticksOf(joint, 1), ticksOf(joint, 0).length > 0]).toEqual([[], true])
  })

  it('opens a signed joint again, and twice the same entry changes nothing', () => {
    const job = aJob()
    const joint = done(job, 'compression')
    const signed = value(signJoint(job, joint, { id: 's1', initials: 'WY' }, { ...hand(9999) }))
    const open = value(weepJoint(job, signed, { id: 'w1', entry: 0 }, hand(10_000)))
    expect(standingSignoff(open)).toBeUndefined()
    expect(open.signoffs).toEqual(signed.signoffs)
    expect(open.reopenings.map(({ reason }) => reason)).toEqual(['It weeps'])
    expect(value(weepJoint(job, open, { id: 'w1', entry: 0 }, hand(10_001)))).toEqual(open)
  })

  it('names an end that is there', () => {
    const job = aJob()
    const answer = weepJoint(job, done(job, 'press'), { id: 'w1', entry: 9 }, hand())
    expect(answer.ok ? null : answer.error.path).toBe('entry')
  })
})

describe('an end that is taken apart', () => {
  it('is used again as often as the job allows, then never', () => {
    const job = aJob({ policy: { reuseLimit: 1 } })
    const once = value(takeApart(job, done(job, 'push-fit'), { id: 'a1', entry: 0, reused: true }, hand(900)))
    expect([reusesOf(once, 0), ticksOf(once, 0)]).toEqual([1, []])
    const twice = takeApart(job, once, { id: 'a2', entry: 0, reused: true }, hand(901))
    expect(twice.ok ? null : twice.error.path).toBe('reused')
    const fresh = value(takeApart(job, once, { id: 'a2', entry: 0, reused: false }, hand(901)))
    expect(fresh.faults.map(({ remedy }) => remedy)).toEqual([
      'Taken apart; the fitting used again.',
      'Taken apart; a new fitting.',
    ])
    // Its other end was never apart.
    expect(value(takeApart(job, fresh, { id: 'a3', entry: 1, reused: true }, hand(902))).faults).toHaveLength(3)
  })

  it('of a pressed fitting leaves nothing to use again', () => {
    const job = aJob()
    const answer = takeApart(job, done(job, 'press'), { id: 'a1', entry: 0, reused: true }, hand())
    expect(answer.ok ? null : answer.error.message).toMatch(/nothing of this end is used again/)
  })
})

describe('work that is broken off', () => {
  const begun = (job: JobRecord, n: number): JointRecord => {
    const all = done(job, 'compression')
    return { ...all, ticks: all.ticks.slice(0, n) }
  }

  it('keeps how it was closed, what is cut stays cut, and the rest of an open end is done again', () => {
    const job = aJob()
    const joint = begun(job, 6)
    const stopped = value(breakOff(job, joint, { id: 'b1', closed: 'capped', note: 'rain' }, hand(400)))
    expect(stopped.ticks.map(({ code }) => code)).toEqual(['cut', 'ream', 'deburr'])
    expect(brokenOff(stopped)?.remedy).toMatch(/ends capped: rain/)
    const next = cardsOf(job, stopped)[0]!
    const clean = stepsOf(next).find(({ code }) => code === 'clean')!
    const on = value(tickStep(job, stopped, { entry: next.entry, step: clean.id }, true, hand(500)))
    expect([brokenOff(on), on.faults.length]).toEqual([null, 1])
    expect(value(breakOff(job, stopped, { id: 'b1', closed: 'dry', note: '' }, hand(600)))).toEqual(stopped)
  })

  it('leaves an end that is done as it is', () => {
    const job = aJob()
    const first = done(job, 'press')
    const ends = first.ticks.filter(({ entry }) => entry === 0).length
    const joint = { ...first, ticks: first.ticks.slice(0, ends + 5) }
    const stopped = value(breakOff(job, joint, { id: 'b1', closed: 'plugged', note: '' }, hand(400)))
    expect(ticksOf(stopped, 0)).toHaveLength(ends)
    expect(ticksOf(stopped, 1).length).toBeLessThan(5)
  })

  it('of a soldered fitting leaves no end fluxed over the pause: both are one heat', () => {
    const job = aJob()
    const all = done(job, 'solder')
    const first = all.ticks.filter(({ entry }) => entry === 0).length
    const joint = { ...all, ticks: all.ticks.slice(0, first + 2) }
    const stopped = value(breakOff(job, joint, { id: 'b1', closed: 'capped', note: '' }, hand(4000)))
    expect(stopped.ticks.map(({ code }) => code)).not.toContain('flux')
    expect(stopped.ticks.filter(({ code }) => code === 'cut')).toHaveLength(2)
  })

  it('was begun, and is not signed', () => {
    const job = aJob()
    const refused = (joint: JointRecord) => breakOff(job, joint, { id: 'b', closed: 'dry', note: '' }, hand()).ok
    expect(refused(begun(job, 0))).toBe(false)
    expect(refused(value(signJoint(job, done(job, 'press'), { id: 's1', initials: 'WY' }, { ...hand(9999) })))).toBe(
      false,
    )
  })
})
