import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import {
  gistOfJob,
  countParts,
  countStates,
  doubtsOf,
  foundThere,
  needsOf,
  nextAction,
  type CountBody,
  type CountRecord,
  type JointRecord,
} from '#core/record'
import { aJob, aJoint, aSignoff } from '../../../tests/records'

/** A compression joint between two tubes: an olive at each end. */
function compression(id: string, number: number, isMade: boolean): JointRecord {
  const answer = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
  if (!answer.ok) throw new Error(answer.error.message)
  const way = answer.value.ways.find(
    ({ parts, joints }) => parts[0]!.name === 'compression coupling' && joints.length === 2,
  )!
  return aJoint({ id, number, way, wayId: way.id, signoffs: isMade ? [aSignoff()] : [] })
}
const joints = [compression('a', 1, true), compression('b', 2, true), compression('c', 3, false)]
const count = (changes: Partial<CountRecord> = {}): CountRecord => ({
  item: 'olive 22',
  unit: 'piece',
  out: 10,
  back: null,
  seen: [],
  at: '',
  by: '',
  ...changes,
})
const job = (counts: CountRecord[]) => aJob({ joints, counts })

describe('parts counted out and back', () => {
  it('are wanted by the joints that take them, two olives a coupling', () => {
    expect(needsOf(gistOfJob(job([])))).toMatchObject([
      { item: 'olive 22', made: 4, open: 2, joints: [{ quantity: 2 }, { quantity: 2 }, { quantity: 2 }] },
    ])
  })
  // Ten out, four in made joints: six come back.
  it.each<[number | null, number, number, number[]]>([
    [null, 0, 0, []],
    [6, 0, 0, []],
    [5, 0, 1, []],
    [7, 1, 0, [1, 2]],
  ])('with %s back: %d too many, %d spoilt, joints %j doubted', (back, over, spoilt, doubted) => {
    const [state] = countStates(gistOfJob(job([count({ back })])))
    expect([state!.over, state!.spoilt, state!.doubted.map(({ number }) => number)]).toEqual([over, spoilt, doubted])
  })
  it('name a joint until it was looked at; open ones are never doubted', () => {
    const some = job([count({ back: 7, seen: ['a'] })])
    expect([doubtsOf(gistOfJob(some), { id: 'a' }), doubtsOf(gistOfJob(some), { id: 'c' })]).toEqual([[], []])
    expect(doubtsOf(gistOfJob(some), { id: 'b' })).toMatchObject([{ over: 1, need: { item: 'olive 22' } }])
    expect(nextAction(gistOfJob(some))).toMatchObject({ station: 'make', words: 'Look at J2', held: true, id: 'b' })
    expect(nextAction(gistOfJob(job([count({ back: 7, seen: ['a', 'b'] })]))).words).toMatch(/^Make J3/)
  })
  const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Wyn' }
  it('are kept with the hand and the time, one count an item; what was looked at before is looked at again', () => {
    const out = countParts(job([]), { item: 'olive 22', out: 10, back: null }, HAND)
    expect(out).toMatchObject({ ok: true, value: { counts: [{ item: 'olive 22', unit: 'piece', out: 10, ...HAND }] } })
    const back = countParts(job([count({ seen: ['a'] })]), { item: 'olive 22', out: 10, back: 7 }, HAND)
    expect(back).toMatchObject({ ok: true, value: { counts: [{ back: 7, seen: [] }] } })
  })
  it.each<[CountBody, string]>([
    [{ item: 'olive 15', out: 4, back: null }, 'item'],
    [{ item: 'jointing paste', out: 4, back: null }, 'item'],
    [{ item: 'olive 22', out: 10, back: 11 }, 'back'],
  ])('refuse what cannot be: %j', (body, path) => {
    expect(countParts(job([]), body, HAND)).toMatchObject({ ok: false, error: { path } })
  })
  it('name a joint as looked at once, where it takes the part and it was counted', () => {
    const counted = job([count({ back: 7 })])
    const once = foundThere(counted, { item: 'olive 22', joint: 'a' })
    expect(once).toMatchObject({ ok: true, value: { counts: [{ seen: ['a'] }] } })
    if (once.ok)
      expect(foundThere(once.value, { item: 'olive 22', joint: 'a' })).toEqual({ ok: true, value: once.value })
    expect(foundThere(job([]), { item: 'olive 22', joint: 'a' })).toMatchObject({ ok: false, error: { path: 'item' } })
    expect(foundThere(counted, { item: 'olive 22', joint: 'z' })).toMatchObject({ ok: false, error: { path: 'joint' } })
  })
  it('doubt solder only where much less was fed than the rule asks', () => {
    const answer = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
    const way = answer.ok ? answer.value.ways.find(({ parts }) => parts[0]!.name === 'solder coupling')! : null
    const soldered = aJob({ joints: [aJoint({ way, wayId: way!.id, signoffs: [aSignoff()] })] })
    expect(needsOf(gistOfJob(soldered))).toMatchObject([{ item: 'lead-free solder wire', unit: 'mm', made: 44 }])
    const wire = (back: number) =>
      countStates(
        gistOfJob({ ...soldered, counts: [count({ item: 'lead-free solder wire', unit: 'mm', out: 1000, back })] }),
      )[0]!
    // 44 mm by the rule: 22 used is half, and no doubt; more than the rule is waste, which nobody counts.
    expect(
      [wire(900), wire(956), wire(978), wire(979)].map(({ over, spoilt, doubted }) => [over, spoilt, doubted.length]),
    ).toEqual([
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
      [23, 0, 1],
    ])
  })
})
