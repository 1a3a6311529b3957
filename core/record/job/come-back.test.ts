import { describe, expect, it } from 'vitest'
import { gistOfJob, changeJoint, comingBack, dayWords, jointFields, SIGNED } from '#core/record'
import { aJob, aJoint, aSignoff } from '../../../tests/records'

describe('joints that are come back to', () => {
  const job = aJob({
    joints: [
      aJoint({ id: 'a', number: 1, comeBack: '2026-12-03' }),
      aJoint({ id: 'b', number: 2 }),
      aJoint({ id: 'c', number: 3, comeBack: '2026-11-26' }),
    ],
  })
  it('are listed soonest first, late from their day on', () => {
    expect(comingBack([gistOfJob(job)], '2026-11-26').map(({ joint, on, late }) => [joint.number, on, late])).toEqual([
      [3, '2026-11-26', true],
      [1, '2026-12-03', false],
    ])
    expect(comingBack([gistOfJob(job)], '2026-12-04').every(({ late }) => late)).toBe(true)
  })
  it.each([
    ['2026-12-03', 'Thu 3 Dec, in 7 days'],
    ['2026-11-27', 'Fri 27 Nov, tomorrow'],
    ['2026-11-26', 'Thu 26 Nov, today'],
    ['2026-11-20', 'Fri 20 Nov, 6 days ago'],
  ])('%s is %s', (day, words) => {
    expect(dayWords(day, '2026-11-26', 'gb')).toBe(words)
  })
  it('may be booked anew once they are signed; nothing else of them is changed', () => {
    const signed = aJoint({ signoffs: [aSignoff()], comeBack: '2026-12-03' })
    expect(changeJoint(aJob(), signed, { comeBack: null })).toMatchObject({
      ok: true,
      value: { comeBack: null, signoffs: signed.signoffs },
    })
    expect(changeJoint(aJob(), signed, { comeBack: null, place: 'x' })).toEqual({ ok: false, error: SIGNED })
  })
  it.each(['soon', '2026-13-40', '03/12/2026', '2026-02-30', '2027-02-29', '2026-04-31', '2026-12-3'])(
    'are not booked for "%s"',
    (day) => expect(jointFields.patch.safeParse({ comeBack: day }).success).toBe(false),
  )
  it('are booked for the last days of February that there are', () => {
    for (const comeBack of ['2026-02-28', '2028-02-29'])
      expect(jointFields.patch.safeParse({ comeBack }).success).toBe(true)
  })
})
