import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  ACT_NAMES,
  actOf,
  actsPage,
  applyToJob,
  laneOf,
  overtaken,
  recordOf,
  restOn,
  sent,
  takeBackOf,
  type Act,
} from '#core/acts'
import { BLANK_JOINT, SIGNED, type JobRecord } from '#core/record'
import { after, HAND, SAMPLES, wayBy } from '../../tests/act-samples'
import { aFind, aJob, aJoint, aLine, aSignoff } from '../../tests/records'

const samples = Object.values(SAMPLES)
const done = ({ act, record, job }: (typeof samples)[number], key = 'key-00001') => {
  const result = applyToJob(job, act, record, { key, ...HAND })
  if (!result.ok) throw new Error(`${act.name}: ${result.error.message}`)
  return result.value
}
/** As it was, where an act deleted the job. */
const stays = (sample: (typeof samples)[number]) => done(sample) ?? sample.job
/** A job as it goes over the wire. */
const plain = (job: JobRecord | null) => JSON.parse(JSON.stringify(job)) as JobRecord
/** What does not come back where a record that was taken out is begun again: who did what when, and its photos. */
const GOES_WITH_IT: ReadonlySet<string> = new Set(['verdicts', 'photos', 'from', 'at', 'by', 'updatedAt', 'updatedBy'])
const lasting = (job: JobRecord) =>
  JSON.parse(JSON.stringify(job, (name, value: unknown) => (GOES_WITH_IT.has(name) ? undefined : value))) as JobRecord

describe('every act', () => {
  it('is named after what it is on, and what is done', () => {
    for (const name of ACT_NAMES) expect(name).toMatch(/^[a-z]+\/[a-z]+(-[a-z]+)*$/)
    expect(ACT_NAMES.length).toBe(samples.length)
  })
  it.each(samples)('$act.name takes its own body, and says in words what was done', ({ act, job, words }) => {
    const { body, says, means } = actOf(act.name)
    expect(body.safeParse(act.body)).toMatchObject({ success: true })
    expect(says(act.body, job)).toMatch(words)
    expect(means).toMatch(/^[A-Z].*\.$/)
  })
  it.each(samples)('$act.name goes out and is read as it was', ({ act, record }) => {
    const { name, body } = act
    const out = { key: 'key-00001', name, job: 'job-1', record, version: 1, at: HAND.at, by: 'Wyn', body }
    expect(sent.parse(JSON.parse(JSON.stringify(out)))).toEqual(JSON.parse(JSON.stringify(out)))
  })
  it.each(samples)('$act.name is done by core, and never changes the job it was given', (sample) => {
    const before = plain(sample.job)
    const made = done(sample)
    expect(plain(sample.job)).toEqual(before)
    const { on, does } = actOf(sample.act.name)
    const there = made ? recordOf(made, on, sample.record) : undefined
    expect(there === undefined).toBe(does === 'drops')
    if (sample.act.name !== 'job/begin') expect(plain(made)).not.toEqual(before)
  })
  it.each(samples)('$act.name done twice by one key is done once', (sample) => {
    const once = stays(sample)
    const twice = applyToJob(once, sample.act, sample.record, { key: 'key-00001', ...HAND })
    if (twice.ok) expect(plain(twice.value)).toEqual(plain(done(sample) ? once : null))
    else expect(twice.error.message.length).toBeGreaterThan(10)
  })
  it('that can be taken back names the act that does it, on the same kind of record', () => {
    for (const name of ACT_NAMES) {
      const { undo, on } = actOf(name)
      if (undo !== null) expect(actOf(undo.name as Act['name']).on).toBe(on)
    }
  })
  it('stays on record where a check failed, a hand signed, or something was ordered by it; all else is taken back', () => {
    expect(ACT_NAMES.filter((name) => actOf(name).undo === null)).toEqual([
      ...['job/begin', 'job/drop', 'job/settle', 'kit/found', 'find/drop-photo', 'line/fail-bend'],
      ...[
        'joint/fail',
        'joint/weep',
        'joint/apart',
        'joint/break-off',
        'joint/reopen',
        'joint/sign',
        'cut/plan',
        'cut/finish',
        'look/keep',
      ],
    ])
  })
  it.each(samples.filter(({ act }) => actOf(act.name).undo !== null))(
    '$act.name taken back leaves the job as it was',
    (sample) => {
      const { act, record, job } = sample
      const { on } = actOf(act.name)
      const [before, made] = [recordOf(job, on, record) ?? null, stays(sample)]
      const back = takeBackOf(act, { key: 'key-00001', before, after: recordOf(made, on, record) ?? null })
      // What was counted first has no count before it to go back to.
      if (act.name === 'kit/count') return expect(back).toBeNull()
      const result = applyToJob(made, back!, record, { key: 'key-00002', ...HAND })
      expect(result.ok && lasting(result.value!)).toEqual(lasting(job))
    },
  )
  it('a count taken back is the count before it', () => {
    const { act, record, job } = SAMPLES['kit/count']
    const counted = stays(SAMPLES['kit/count'])
    const more: Act = { ...act, body: { ...act.body, back: 3 } }
    const back = takeBackOf(more, { key: 'k', before: counted, after: counted })
    expect(back).toEqual({ name: 'kit/count', body: act.body })
    expect(job.counts).toEqual([])
    expect(record).toBe(job.id)
  })
  it('another way taken back brings its steps with it', () => {
    const ticked = after(SAMPLES['joint/tick'].job, [SAMPLES['joint/tick'].act, 'joint-0001'])
    const other: Act = { name: 'joint/change', body: { wayId: wayBy('press').id } }
    const moved = after(ticked, [other, 'joint-0001'])
    const [before, then] = [ticked.joints[0]!, moved.joints[0]!]
    const back = takeBackOf(other, { key: 'k', before, after: then })!
    expect(back.name).toBe('joint/bring-back')
    expect(after(moved, [back, 'joint-0001']).joints[0]).toMatchObject({ wayId: before.wayId, ticks: before.ticks })
  })
  it('with any other body is refused in words or done, and never throws', () => {
    let tried = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...samples),
        fc.object({ maxDepth: 2 }),
        fc.boolean(),
        ({ act, record, job }, odd, both) => {
          const given = both ? { ...act.body, ...odd } : odd
          const parsed = actOf(act.name).body.safeParse(given)
          if (!parsed.success) return
          tried++
          const result = applyToJob(job, { name: act.name, body: parsed.data } as Act, record, { key: 'k', ...HAND })
          if (!result.ok) expect(result.error.message.length).toBeGreaterThan(5)
        },
      ),
      { numRuns: 300 },
    )
    expect(tried).toBeGreaterThan(10)
  })
  it('on a record that is not here changes nothing', () => {
    for (const { act, job } of samples) {
      if (actOf(act.name).does === 'begins' || actOf(act.name).on === 'jobs') continue
      expect(applyToJob(job, act, 'nowhere', { key: 'k', ...HAND })).toEqual({ ok: true, value: job })
    }
  })
})

it('are what docs/acts.md says', () => {
  expect(readFileSync(new URL('../../docs/acts.md', import.meta.url), 'utf8')).toBe(actsPage())
})

describe('what an act waits behind', () => {
  it('is its record; the kit of a job never holds its finds and joints, its beginning holds all', () => {
    expect(laneOf('joint/tick', 'job', 'j')).toBe('j')
    expect(laneOf('kit/change', 'job', 'job')).not.toBe('job')
    expect(laneOf('job/begin', 'job', 'job')).toBe('job')
  })
})

describe('rules of their own', () => {
  const refused = (job: JobRecord, act: Act, record: string) => {
    const result = applyToJob(job, act, record, { key: 'key-00001', ...HAND })
    return result.ok ? null : result.error
  }
  it('a clash of no record is not put on record', () => {
    const { act, job } = SAMPLES['job/settle']
    for (const record of ['gone', 'find-0001', ''])
      expect(refused(job, { ...act, body: { ...act.body, record } }, job.id)).toMatchObject({ path: 'record' })
  })
  it('a step that is not on the card of a bend, or was done to other figures, is no step', () => {
    const { act, job, record } = SAMPLES['line/bend-step']
    const bend = (changes: object) => refused(job, { ...act, body: { ...act.body, ...changes } }, record)
    expect(bend({ step: 99 })).toMatchObject({ code: 'unknown-id', path: 'step' })
    expect(bend({ piece: 'p9' })).toMatchObject({ code: 'unknown-id', path: 'piece' })
    expect(bend({ marks: '1/2/3' })).toMatchObject({ code: 'impossible', path: 'marks' })
  })
  it('an end comes from a find of the same job', () => {
    const { job } = SAMPLES['joint/begin']
    for (const on of ['findA', 'findB'] as const) {
      const begin: Act = { name: 'joint/begin', body: { ...BLANK_JOINT, [on]: 'find-of-another' } }
      expect(refused(job, begin, 'joint-0009')).toMatchObject({ code: 'unknown-id', path: on })
      const change: Act = { name: 'joint/change', body: { [on]: 'find-of-another' } }
      expect(refused(job, change, 'joint-0001')).toMatchObject({ code: 'unknown-id', path: on })
      expect(refused(job, { name: 'joint/change', body: { [on]: 'find-0001' } }, 'joint-0001')).toBeNull()
    }
  })
  it('a look says something, and is judged as the verb judges it', () => {
    const { act, job } = SAMPLES['look/keep']
    expect(refused(job, { ...act, body: { ...act.body, seen: {} } }, 'look-0002')).toMatchObject({ path: 'seen' })
    expect(stays(SAMPLES['look/keep']).looks).toMatchObject([
      { number: 1, verdict: 'wrong', found: [{ code: 'gauge', verdict: 'wrong' }], updatedBy: 'Wyn' },
    ])
  })
  it('lines are counted as they are there, not by the highest number', () => {
    const lines = Array.from({ length: 100 }, (_, i) => aLine({ id: `l${i}`, number: i + 1 }))
    const { act } = SAMPLES['line/begin']
    expect(refused(aJob({ lines }), act, 'line-0009')).toMatchObject({ code: 'too-many', path: 'lines' })
    const job = aJob({ lines: [lines[99]!] })
    expect(after(job, [act, 'line-0009']).lines.map(({ number }) => number)).toEqual([100, 101])
  })
})

describe('a record that another hand changed meanwhile', () => {
  const def = actOf('find/change')
  const saved = aFind({ typed: '22', place: 'wall', version: 4 })
  it('takes fields nobody else touched, and meets where both set one', () => {
    const on = (body: object, seen: Record<string, unknown>) => restOn(def, { version: 2, seen }, { ...body }, saved)
    expect(on({ notes: 'wet' }, { notes: '' })).toEqual({ state: 'goes on', body: { notes: 'wet' } })
    expect(on({ typed: '15' }, { typed: '' })).toMatchObject({
      state: 'met',
      clashes: [{ path: 'typed', base: '', mine: '15', theirs: '22' }],
    })
    expect(on({ typed: '22' }, { typed: '' })).toEqual({ state: 'goes on', body: {} })
  })
  it('is told from one that was seen by its version', () => {
    expect(restOn(def, { version: 4 }, { typed: '15' }, saved)).toMatchObject({ state: 'goes on' })
    expect(restOn(def, { version: 3 }, { typed: '15' }, saved)).toMatchObject({ state: 'met', clashes: [] })
    expect(restOn(def, {}, { typed: '15' }, saved)).toMatchObject({ state: 'refused', issue: { path: 'version' } })
    const drop = actOf('line/drop')
    expect(restOn(drop, { version: 1 }, {}, aLine({ version: 2 }))).toMatchObject({ state: 'met' })
    expect(restOn(drop, { version: 1, seen: {} }, {}, aLine({ version: 2 }))).toMatchObject({ state: 'met' })
    expect(restOn(actOf('joint/tick'), {}, {}, aJoint())).toMatchObject({ state: 'goes on' })
  })
  it('signed meanwhile shows what both hold', () => {
    const joint = aJoint({ signoffs: [aSignoff({ initials: 'OL' })], depths: { 0: '20' } })
    const sign = actOf('joint/sign')
    expect(overtaken(sign, { seen: { depths: { 0: '22' } } }, { initials: 'WY' }, joint, SIGNED)).toMatchObject([
      { path: 'signoff', mine: 'WY', theirs: 'OL' },
      { path: 'depths.0', mine: '22', theirs: '20' },
    ])
    expect(overtaken(actOf('joint/change'), {}, { place: 'x' }, joint, SIGNED)).toMatchObject([{ path: 'place' }])
    expect(overtaken(actOf('joint/tick'), {}, {}, joint, SIGNED)).toEqual([])
    const other = { code: 'range', path: 'x', message: 'x' } as const
    expect(overtaken(sign, {}, {}, joint, other)).toBeNull()
  })
})
