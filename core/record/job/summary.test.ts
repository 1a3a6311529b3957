import { describe, expect, it } from 'vitest'
import { gistOfJob, knowGist, summaryOf, workGist, type JobRecord } from '#core/record'
import { aFind, aJob, aJoint, aLine, aSignoff } from '../../../tests/records'

const summary = (job: JobRecord) => summaryOf(gistOfJob(job))
const made = aJoint({ signoffs: [aSignoff()] })

describe('the shelf of a job', () => {
  it.each<[string, Partial<JobRecord>, string, string | null]>([
    ['that is begun', {}, 'open', null],
    ['that was handed over', { handedOver: '2026-11-19T16:30:00.000Z' }, 'handed', null],
    ['put away, handed over or not', { archivedAt: '2026-11-20T08:00:00.000Z', handedOver: 'x' }, 'archive', null],
    ['that a hand put to wait', { waits: { for: 'a boiler', until: '2026-12-03' } }, 'waiting', '2026-12-03'],
    ['that waits for no known day', { waits: { for: 'a boiler', until: null } }, 'waiting', null],
    [
      'all made, with joints to come back to',
      { joints: [{ ...made, comeBack: '2026-12-09' }] },
      'waiting',
      '2026-12-09',
    ],
    [
      'with work left beside them',
      { joints: [{ ...made, comeBack: '2026-12-09' }, aJoint({ id: 'k' })] },
      'open',
      null,
    ],
    ['all made', { joints: [made] }, 'open', null],
  ])('%s', (_, changes, shelf, wakes) => expect(summary(aJob(changes))).toMatchObject({ shelf, wakes }))
})

describe('a summary', () => {
  it('counts joints, names the pipe that stands there most, and says what comes next', () => {
    const job = aJob({
      finds: [aFind({ pipe: 'cu-en-x-15' })],
      joints: [made, aJoint({ id: 'k', number: 2, a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })],
    })
    expect(summary(job)).toMatchObject({
      made: 1,
      of: 2,
      pipe: 'cu-en-x-22',
      next: { station: 'joint', words: 'Choose how to make J2' },
      stations: { joint: { of: 2 }, find: { of: 1, isBehind: true } },
    })
  })
  it('is small enough for forty on a page of 40 kB, whatever was typed', () => {
    const long = 'x'.repeat(120)
    const job = aJob({
      name: 'x'.repeat(80),
      place: long,
      joints: [aJoint({ place: long })],
      waits: { for: long, until: null },
    })
    expect(JSON.stringify(summary({ ...job, slug: 'x'.repeat(80) })).length * 25).toBeLessThan(40_000)
    const usual = aJob({
      name: 'Kiln Lane bakehouse',
      place: 'dough sinks and proving-room loop',
      joints: [aJoint({ place: 'hot to sink 1' })],
    })
    expect(JSON.stringify(summary(usual)).length * 40).toBeLessThan(40_000)
  })
})

describe('gists', () => {
  const drawn = aLine({ legs: ['e 640', 'u 480'] })
  it('are worked out once for a record, and anew for another version or other rules', () => {
    const job = aJob({ lines: [drawn] })
    const [first] = gistOfJob(job).lines
    expect(gistOfJob({ ...job, name: 'x' }).lines[0]).toBe(first)
    expect(gistOfJob({ ...job, lines: [{ ...drawn, version: 2 }] }).lines[0]).not.toBe(first)
    expect(gistOfJob({ ...job, policy: { threadSeal: 'tape' } }).lines[0]).not.toBe(first)
  })
  it('that came with a record are taken as they are', () => {
    const job = aJob({ lines: [aLine({ legs: ['e 640'] })] })
    const gist = { ...workGist('lines', job, job.lines[0]!), fixed: 7 }
    knowGist(job, job.lines[0]!, gist)
    expect(gistOfJob(job).lines[0]).toBe(gist)
  })
  it('of one job are always the same', () => {
    const job = aJob({ lines: [drawn] })
    expect(gistOfJob(job)).toBe(gistOfJob(job))
  })
})
