import { describe, expect, it } from 'vitest'
import { orderBends, planLine, type LineLeg } from '#core/line'

const OD = 22
const order = (lengths: readonly [number, number, number], set = 'up' as LineLeg['to']) => {
  const answer = planLine({
    region: 'gb',
    pipe: 'cu-en-x-22',
    method: 'solder',
    bender: { radius: 77, setback: 92 },
    start: { kind: 'free' },
    legs: [
      { length: lengths[0], to: 'right', end: { kind: 'bend' } },
      { length: lengths[1], to: set, end: { kind: 'bend' } },
      { length: lengths[2], to: 'right', end: { kind: 'free' } },
    ],
  })
  if (!answer.ok) throw new Error(answer.error.message)
  return { piece: answer.value.pieces[0]!, pulls: orderBends(answer.value.pieces[0]!, OD) }
}

describe('orderBends', () => {
  it('begins at the end with less pipe and holds it while it is straight', () => {
    expect(order([300, 400, 900]).pulls.map(({ bend, holds }) => [bend, holds])).toEqual([
      [1, 'left'],
      [2, 'left'],
    ])
    expect(order([900, 400, 300]).pulls.map(({ bend, holds }) => [bend, holds])).toEqual([
      [2, 'right'],
      [1, 'right'],
    ])
  })
  // 160 aside leaves 6 straight between two arcs of radius 77; two diameters are 44. Then the second is held by its
  // other side.
  it('holds the other side where too little is straight between the bends, with the hook edge there', () => {
    const { piece, pulls } = order([300, 160, 900])
    expect(pulls[1]).toMatchObject({ bend: 2, holds: 'right' })
    // The arc of 90 degrees is 120.95 long; the hook stands 15 (set-back less radius) past its end.
    const second = piece.marks.filter((mark) => mark.what === 'bend')[1]!
    expect(pulls[1]!.hook).toBeCloseTo(second.at + 120.951 + 15, 2)
    expect(pulls[1]!.straight).toBeGreaterThan(800)
  })
  it('says how little there is where neither end can be held', () => {
    const [first] = order([90, 400, 95]).pulls
    expect(first!.straight < first!.needs || first!.holds === 'right').toBe(true)
    expect(order([90, 400, 300]).pulls[0]).toMatchObject({ holds: 'right' })
  })
})
