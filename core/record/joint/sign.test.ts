import { describe, expect, it } from 'vitest'
import { findWays, type End } from '#core/joints'
import {
  BLANK_JOINT,
  beginJoint,
  cardsOf,
  leftToSign,
  runTimer,
  signJoint,
  tickStep,
  WATCH_SECONDS,
  type JobRecord,
  type JointRecord,
  type LeftCode,
} from '#core/record'
import { aJob } from '../../../tests/records'

const START = Date.parse('2026-11-26T09:00:00.000Z')
const time = (seconds: number) => new Date(START + seconds * 1000).toISOString()
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

/**
 * A joint with every step ticked, so many seconds apart; `waits` starts each wait's clock, and waits it out where it is
 * so.
 */
function made(
  job: JobRecord,
  method: string,
  end: End,
  apart: number,
  waits?: 'started' | 'over',
): { joint: JointRecord; end: number } {
  const ways = value(findWays({ region: job.region, a: end, b: end, policy: job.policy })).ways
  const way = ways.find(({ joints }) => joints.every((joint) => joint.method === method))!
  let joint = value(
    beginJoint(job, 'joint-0001', 1, { ...BLANK_JOINT, a: end, b: end, wayId: way.id }, { at: '', by: '' }),
  )
  let now = 0
  for (const { entry, answer } of cardsOf(job, joint)) {
    for (const { id, seconds, ask } of answer.ok ? answer.value.steps : []) {
      now += apart
      if (seconds !== undefined && waits) {
        joint = value(runTimer(job, joint, { entry, step: id }, true, time(now)))
        if (waits === 'over') now += seconds
      }
      joint = value(
        tickStep(job, joint, { entry, step: id, ...(ask?.unit === 'count' ? { reading: ask.lo } : {}) }, true, {
          at: time(now),
          by: '',
        }),
      )
    }
  }
  return { joint, end: now }
}
const codes = (job: JobRecord, joint: JointRecord, at: number) =>
  leftToSign(job, joint, time(at)).map(({ code }) => code)
const sign = (job: JobRecord, joint: JointRecord, at: number, seen?: LeftCode[]) =>
  signJoint(job, joint, { id: 'sign-0001', initials: 'OL', ...(seen ? { seen } : {}) }, { at: time(at) })
const JOB = aJob()
const COPPER: End = { pipe: 'cu-en-x-22' }

describe('what is left when a joint is to be signed', () => {
  it('is a wait that has not run out, by its clock or by the step before it', () => {
    const { joint, end } = made(JOB, 'solder', COPPER, 60)
    // The last end: fed, held 30 s, then five minutes to cool, with no clock started; two steps of a minute follow.
    expect(codes(JOB, joint, end)).toContain('wait')
    expect(codes(JOB, joint, end + 300)).not.toContain('wait')
    const waited = made(JOB, 'solder', COPPER, 60, 'over')
    expect(codes(JOB, waited.joint, waited.end)).toEqual(['watch'])
  })
  it('is the watch after a flame, an hour from the last that was fed', () => {
    const { joint } = made(JOB, 'solder', COPPER, 60, 'over')
    const fed = Math.max(...joint.ticks.filter(({ code }) => code === 'feed').map(({ at }) => Date.parse(at)))
    const over = (fed - START) / 1000 + WATCH_SECONDS
    expect(codes(JOB, joint, over - 1)).toEqual(['watch'])
    expect(codes(JOB, joint, over)).toEqual([])
    expect(leftToSign(JOB, joint, time(over - 600))[0]).toMatchObject({
      text: expect.stringContaining('10 minutes'),
      until: time(over),
    })
  })
  it('is no watch where there was no flame', () => {
    const { joint, end } = made(JOB, 'press', COPPER, 60)
    expect(codes(JOB, joint, end)).toEqual([])
  })
  it('is a gauge whose check is over, of a tool that this joint was made with', () => {
    const tools = (method: 'crimp' | 'press', due: string) =>
      aJob({
        region: 'us',
        tools: [
          { method: 'crimp', sizes: [], due: null },
          { method: 'press', sizes: [], due: null },
        ].map((tool) => (tool.method === method ? { ...tool, due } : tool)) as JobRecord['tools'],
      })
    const { joint, end } = made(tools('crimp', '2026-11-30'), 'crimp', { pipe: 'pex-cts-3_4' }, 60)
    expect(codes(tools('crimp', '2026-11-25'), joint, end)).toEqual(['gauge'])
    expect(codes(tools('crimp', '2026-11-26'), joint, end)).toEqual([])
    expect(codes(tools('press', '2026-11-25'), joint, end)).toEqual([])
  })
})

describe('signing', () => {
  const { joint, end } = made(JOB, 'solder', COPPER, 60, 'started')
  it('names what is left, and signs once it was seen; what was left stays on record', () => {
    const refused = sign(JOB, joint, end, [])
    expect(refused).toMatchObject({
      ok: false,
      error: { path: 'seen', message: expect.stringMatching(/A wait has .* The watch after the flame has/) },
    })
    expect(sign(JOB, joint, end, ['wait'])).toMatchObject({
      ok: false,
      error: { message: expect.not.stringContaining('A wait has') },
    })
    const signed = value(sign(JOB, joint, end, ['wait', 'watch']))
    expect(signed.signoffs[0]!.remarks.map(({ code }) => code)).toEqual(['wait', 'watch', 'wait-short'])
  })
  it('asks nothing once it is over', () =>
    expect(value(sign(JOB, joint, end + WATCH_SECONDS, [])).signoffs[0]!.remarks.map(({ code }) => code)).toEqual([
      'wait-short',
    ]))
  it('takes what an earlier version signed without asking, with what it left', () =>
    expect(value(sign(JOB, joint, end)).signoffs[0]!.remarks.map(({ code }) => code)).toEqual([
      'wait',
      'watch',
      'wait-short',
    ]))
  it('bears clocks that are half a minute apart', () => {
    const fed = Math.max(...joint.ticks.filter(({ code }) => code === 'feed').map(({ at }) => Date.parse(at)))
    const over = (fed - START) / 1000 + WATCH_SECONDS
    expect(sign(JOB, joint, over - 29, [])).toMatchObject({ ok: true })
    expect(sign(JOB, joint, over - 31, [])).toMatchObject({ ok: false })
  })
  it('keeps its remarks in an entry that corrects it', () => {
    const signed = value(sign(JOB, joint, end, ['wait', 'watch']))
    const corrected = value(
      signJoint(
        JOB,
        signed,
        { id: 'sign-0002', initials: 'OL', corrects: 'sign-0001', depths: { 0: '16' } },
        { at: time(end + 60) },
      ),
    )
    expect(corrected.signoffs[1]!.remarks).toEqual(signed.signoffs[0]!.remarks)
  })
  it("says where its time is the tablet's, and not where a later entry knew the server's", () => {
    const body = { id: 'sign-0001', initials: 'OL', seen: ['wait' as const, 'watch' as const] }
    const codes = ({ signoffs }: JointRecord) => signoffs.at(-1)!.remarks.map(({ code }) => code)
    const alone = value(signJoint(JOB, joint, body, { at: time(end), clock: 'tablet' }))
    expect(codes(alone)).toContain('tablet-clock')
    const anew = { id: 'sign-0002', initials: 'OL', corrects: 'sign-0001' }
    expect(codes(value(signJoint(JOB, alone, anew, { at: time(end + 60) })))).not.toContain('tablet-clock')
    expect(codes(value(signJoint(JOB, joint, body, { at: time(end), clock: 'server' })))).not.toContain('tablet-clock')
  })
})

describe('steps ticked within seconds of each other', () => {
  it.each([
    [1, 16],
    [4.9, 16],
    [5, 0],
    [60, 0],
  ])('%s s apart: %s of them are on record', (apart, count) => {
    const { joint, end } = made(JOB, 'press', COPPER, apart)
    const [remark] = value(sign(JOB, joint, end, [])).signoffs[0]!.remarks
    if (count === 0) expect(remark).toBeUndefined()
    else expect(remark).toEqual({ code: 'quick', text: `${count} steps were ticked within 5 seconds of each other.` })
  })
  it('counts those alone that stand near another', () => {
    const { joint, end } = made(JOB, 'press', COPPER, 60)
    const near = (i: number) => time((Date.parse(joint.ticks[i - 1]!.at) - Date.parse(time(0))) / 1000 + 1)
    const pairs = {
      ...joint,
      ticks: joint.ticks.map((tick, i) => (i === 3 || i === 8 ? { ...tick, at: near(i) } : tick)),
    }
    expect(value(sign(JOB, pairs, end, [])).signoffs[0]!.remarks).toEqual([
      { code: 'quick', text: '4 steps were ticked within 5 seconds of each other.' },
    ])
  })
})
