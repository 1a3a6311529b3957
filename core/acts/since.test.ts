import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyToJob, withChanges, withSame, type JobChanges } from '#core/acts'
import type { JobRecord } from '#core/record'
import { HAND, SAMPLES } from '../../tests/act-samples'
import { aFind, aJob, aJoint } from '../../tests/records'

const changes = (over: Partial<JobChanges>): JobChanges => ({
  ...{ id: 'job-1', since: 1, acts: 2, own: null, records: [], gists: {} },
  ...over,
})
const job = aJob({
  acts: 1,
  finds: [aFind({ id: 'a' }), aFind({ id: 'b' })],
  joints: [aJoint({ id: 'j', number: 1 }), aJoint({ id: 'k', number: 3 })],
})

describe('what changed of a job', () => {
  it('is put in its place; all else stays the very object it is', () => {
    const now = withChanges(
      job,
      changes({ records: [{ kind: 'finds', id: 'a', record: aFind({ id: 'a', version: 2, typed: '22' }) }] }),
    )
    expect(now.finds[0]).toMatchObject({ typed: '22', version: 2 })
    expect([now.finds[1], now.joints, now.acts]).toEqual([job.finds[1], job.joints, 2])
    expect(now.finds[1]).toBe(job.finds[1])
    expect(now.joints).toBe(job.joints)
  })
  it('takes out what is gone, and puts what is new by its number', () => {
    const records: JobChanges['records'] = [
      { kind: 'finds', id: 'b', record: null },
      { kind: 'joints', id: 'n', record: aJoint({ id: 'n', number: 2 }) },
    ]
    const now = withChanges(job, changes({ records }))
    expect(now.finds.map(({ id }) => id)).toEqual(['a'])
    expect(now.joints.map(({ id }) => id)).toEqual(['j', 'n', 'k'])
  })
  it('that is nothing gives the very same job', () => {
    expect(withChanges(job, changes({ acts: 1 }))).toBe(job)
    const again: JobChanges['records'] = [{ kind: 'finds', id: 'a', record: { ...job.finds[0]! } }]
    expect(withChanges(job, changes({ acts: 1, records: again }))).toBe(job)
  })
  it('told twice, or in parts, comes to the same', () => {
    const samples = Object.values(SAMPLES).filter(({ act }) => /^(find|line|joint|cut|look)\//.test(act.name))
    fc.assert(
      fc.property(fc.constantFrom(...samples), ({ act, record, job: before }) => {
        const made = applyToJob(before, act, record, { key: 'key-00001', ...HAND })
        if (!made.ok || !made.value) return
        const after: JobRecord = made.value
        const kinds = ['finds', 'lines', 'cuts', 'joints', 'looks'] as const
        const records = kinds.flatMap((kind) => {
          const now = after[kind].find(({ id }) => id === record) ?? null
          const was = before[kind].find(({ id }) => id === record) ?? null
          // The server raises the version of what an act changed.
          return now === was
            ? []
            : [{ kind, id: record, record: now && { ...now, version: now.version + (was ? 1 : 0) } }]
        })
        const told = changes({ acts: before.acts + 1, records })
        const once = withChanges(before, told)
        expect(withChanges(once, told)).toBe(once)
        for (const kind of kinds)
          expect(once[kind].map(({ version: _, ...one }) => one)).toEqual(
            after[kind].map(({ version: _, ...one }) => one),
          )
      }),
    )
  })
})

describe('a job given whole', () => {
  it('keeps the records that are here by their versions', () => {
    const whole: JobRecord = structuredClone({ ...job, finds: [job.finds[0]!, { ...job.finds[1]!, version: 4 }] })
    const now = withSame(job, whole)
    expect(now.finds[0]).toBe(job.finds[0])
    expect(now.finds[1]).not.toBe(job.finds[1])
    expect(now).toEqual(whole)
    expect(withSame(undefined, whole)).toBe(whole)
  })
})
