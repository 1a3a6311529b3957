import { describe, expect, it } from 'vitest'
import { actOf, applyToJob, type Act } from '#core/acts'
import { beginJob, copyActs, gistOfJob, type JobRecord } from '#core/record'
import { SAMPLES } from '../../../tests/act-samples'

/** A copy of a job as a tablet makes it. */
function copyOf(job: JobRecord): JobRecord {
  let made = beginJob('copy-0001', { name: 'Copy', place: job.place, region: job.region })
  for (const [i, { name, body }] of copyActs(job).entries()) {
    const act = { name, body: actOf(name).body.parse(body) } as Act
    const record = name === 'kit/change' ? made.id : `record-${i}`
    const next = applyToJob(made, act, record, { key: `key-${i}`, at: '2026-11-26T09:00:00.000Z', by: '' })
    if (!next.ok) throw new Error(next.error.message)
    made = next.value!
  }
  return made
}

describe('a copied job', () => {
  const signed = SAMPLES['joint/reopen'].job
  const copy = copyOf({ ...signed, policy: { threadSeal: 'tape' } })

  it('has the lines, joints and van of the other, with the ways that were taken', () => {
    expect(copy.policy).toEqual({ threadSeal: 'tape' })
    expect(copy.lines.map(({ legs, pipe }) => ({ legs, pipe }))).toEqual(
      signed.lines.map(({ legs, pipe }) => ({ legs, pipe })),
    )
    expect(copy.joints.map(({ wayId }) => wayId)).toEqual(signed.joints.map(({ wayId }) => wayId))
  })
  it('has nothing of what was measured, ticked, signed or cut there', () => {
    expect(signed.joints[0]!.signoffs).not.toEqual([])
    expect(copy).toMatchObject({ finds: [], cuts: [], counts: [] })
    expect(copy.joints).toMatchObject([{ ticks: [], signoffs: [], findA: null, depths: {} }])
    expect(gistOfJob(copy).joints[0]).toMatchObject({ isMade: false, isBegun: false, isChosen: true })
  })
  it('says nothing of a pipe that was learnt at that one', () => {
    const joint = { ...signed.joints[0]!, signoffs: [], ticks: [], a: { pipe: 'cu-en-x-22', traced: 'water' as const } }
    expect(copyOf({ ...signed, joints: [joint] }).joints[0]!.a).toEqual({ pipe: 'cu-en-x-22' })
  })
})
