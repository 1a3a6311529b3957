import { describe, expect, it } from 'vitest'
import {
  gistOfJob,
  addPhoto,
  beginFind,
  BLANK_FIND,
  changeFind,
  completeJob,
  dropPhoto,
  MOST_PHOTOS,
  nextAction,
  restingOn,
  shiftedEnds,
  type FindRecord,
  type JobRecord,
  type PhotoRecord,
} from '#core/record'
import { aFind, aJob, aJoint } from '../../../tests/records'

const rules = { region: 'gb', year: null } as const
const at = (minute: number) => ({ at: `2026-11-26T08:0${minute}:00.000Z`, by: 'Wyn' })
const value = (result: ReturnType<typeof changeFind>): FindRecord => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

describe('what a find is kept as', () => {
  const measured = value(
    beginFind(rules, 'f', { ...BLANK_FIND, typed: '22', answers: { colour: 'copper', flex: 'rigid' } }, at(0)),
  )
  it('is a verdict with its probability by the checks made until then, the hand and the time', () => {
    expect(measured.verdicts).toEqual([])
    const kept = value(changeFind(rules, measured, { pipe: 'cu-en-x-22' }, at(1)))
    expect(kept.verdicts).toEqual([{ pipe: 'cu-en-x-22', probability: expect.any(Number), ...at(1) }])
    expect(kept.verdicts[0]!.probability).toBeGreaterThan(0.5)
  })
  it('can be corrected; what it was before stays, in order', () => {
    let find = value(changeFind(rules, measured, { pipe: 'cu-en-x-22' }, at(1)))
    find = value(changeFind(rules, find, { notes: 'painted' }, at(2)))
    find = value(changeFind(rules, find, { pipe: null }, at(3)))
    find = value(changeFind(rules, find, { typed: '21.5', pipe: 'cu-bs-imp-3_4' }, at(4)))
    expect(find.verdicts.map(({ pipe, at: when }) => [pipe, when])).toEqual([
      ['cu-en-x-22', at(1).at],
      [null, at(3).at],
      ['cu-bs-imp-3_4', at(4).at],
    ])
  })
  it('is no pipe that the catalogue lacks', () => {
    expect(changeFind(rules, measured, { pipe: 'bamboo' }, at(1))).toMatchObject({ ok: false, error: { path: 'pipe' } })
  })
})

describe('photos of a find', () => {
  const photo = (id: string): PhotoRecord => ({ id, name: 'p.jpg', width: 4, height: 3, ...at(0) })
  it('are added once, taken off, and bounded', () => {
    let find = aFind()
    for (let i = 0; i < MOST_PHOTOS; i++) find = value(addPhoto(find, photo(`p${i}`)))
    expect(value(addPhoto(find, photo('p0')))).toBe(find)
    expect(addPhoto(find, photo('more'))).toMatchObject({ ok: false, error: { code: 'too-many', path: 'photo' } })
    const { photos } = value(dropPhoto(find, 'p3'))
    expect(photos.map(({ id }) => id)).not.toContain('p3')
    expect(photos).toHaveLength(MOST_PHOTOS - 1)
    expect(value(dropPhoto(find, 'gone'))).toBe(find)
  })
})

describe('what rests on a find', () => {
  const find = aFind({ id: 'f', pipe: 'cu-en-x-22' })
  const [a, b, apart] = [
    aJoint({ id: 'a', number: 1, findA: 'f', a: { pipe: 'cu-en-x-22' } }),
    aJoint({ id: 'b', number: 2, findB: 'f', b: { pipe: 'cu-en-x-22' } }),
    aJoint({ id: 'c', number: 3, a: { pipe: 'cu-en-x-22' } }),
  ]
  const job = (kept: string | null): JobRecord => aJob({ finds: [{ ...find, pipe: kept }], joints: [a, b, apart] })
  it('is every joint with an end from it, either end', () =>
    expect(restingOn(job('cu-en-x-22'), find).map(({ id }) => id)).toEqual(['a', 'b']))
  it('is flagged on the end once the find is kept as another pipe, or open again', () => {
    expect(shiftedEnds(job('cu-en-x-22'), a)).toEqual([])
    expect(shiftedEnds(job('cu-bs-imp-3_4'), a)).toMatchObject([{ on: 'a', was: 'cu-en-x-22', now: 'cu-bs-imp-3_4' }])
    expect(shiftedEnds(job(null), b)).toMatchObject([{ on: 'b', now: null }])
    expect(shiftedEnds(job(null), apart)).toEqual([])
  })
  it('comes before all else on the list of jobs', () => {
    expect(nextAction(gistOfJob(job('cu-bs-imp-3_4')))).toMatchObject({
      station: 'joint',
      held: true,
      id: 'a',
      words: 'Look at J1 again',
    })
    expect(nextAction(gistOfJob(job('cu-en-x-22'))).held).toBe(false)
  })
})

describe('a job an earlier version kept', () => {
  it('gets the fields it did not have, and keeps those it has', () => {
    const { notes: _, cannot: __, photos: ___, verdicts: ____, ...oldFind } = aFind({ typed: '22' })
    const { findB: _____, ...oldJoint } = aJoint()
    const job = completeJob({
      ...aJob(),
      finds: [oldFind as FindRecord],
      joints: [oldJoint as JobRecord['joints'][number]],
    })
    expect(job.finds[0]).toEqual(aFind({ typed: '22' }))
    expect(job.joints[0]).toEqual(aJoint())
    const full = aJob({ finds: [aFind({ notes: 'kept' })], joints: [aJoint({ findB: 'f' })] })
    expect(completeJob(full)).toEqual(full)
  })
})
