import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { centreLine, layLine, type LaidLeg, type LineQuestion, type Vector } from '#core/line'
import { fitSheet, onSheet, type Point } from './iso'
import { clearance, clearPlace, extensions, layMeasure, letterPlace, toPath, type Stretch } from './run-drawing'

const QUESTION: LineQuestion = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  start: { kind: 'free' },
  legs: [
    { length: 600, to: 'right', end: { kind: 'bend' } },
    { length: 400, to: 'up', end: { kind: 'bend' } },
    { length: 500, to: 'away', end: { kind: 'free' } },
  ],
}
const laid = (): LaidLeg[] => {
  const answer = layLine(QUESTION)
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const apart = (a: Vector, b: Vector) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

describe('the centre line', () => {
  it('runs from end to end, its arcs on their circles', () => {
    const points = centreLine(laid(), 77)
    expect(points[0]).toEqual([0, 0, 0])
    expect(points.at(-1)).toEqual([600, 500, 400])
    // The first arc is about a centre 77 before the corner and 77 above the leg.
    const arc = points.filter(([x, , z]) => x > 523.001 && z < 76.999)
    expect(arc.length).toBeGreaterThan(5)
    for (const at of arc) expect(apart(at, [523, 0, 77])).toBeCloseTo(77, 9)
  })
  it('is as long as legs less gains, to the chords of its arcs', () => {
    const points = centreLine(laid(), 77)
    const length = points.slice(1).reduce((sum, at, i) => sum + apart(at, points[i]!), 0)
    expect(length).toBeCloseTo(1500 - 2 * 0.429204 * 77, 0)
  })
})

describe('on the sheet', () => {
  const points = [
    [0, 0, 0],
    [600, 0, 0],
    [600, 0, 400],
    [600, 500, 400],
  ] as const
  const sheet = fitSheet(points, 640, 480, { left: 60, right: 60, top: 50, bottom: 60 })
  const places = points.map((at) => onSheet(sheet, at))
  const stretches: Stretch[] = places.slice(1).map((to, i) => [places[i]!, to])
  it('a measure lies along its leg, off every other, with its ends drawn out to it', () => {
    const measure = layMeasure(points[0], points[1], sheet, stretches.slice(1), [320, 240])
    const [from, to] = measure.line
    expect([to[0] - from[0], to[1] - from[1]]).toEqual([
      expect.closeTo(places[1]![0] - places[0]![0], 6),
      expect.closeTo(places[1]![1] - places[0]![1], 6),
    ])
    expect(clearance(measure.figure, stretches)).toBeGreaterThan(14)
    for (const [a, b] of extensions([places[0]!, places[1]!], measure))
      expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeGreaterThan(20)
  })
  it('a letter stands off its point, away from the pipe', () => {
    const end = letterPlace(places[3]!, [places[2]!])
    expect(Math.hypot(end[0] - places[3]![0], end[1] - places[3]![1])).toBeCloseTo(17, 6)
    expect(clearance(end, stretches)).toBeCloseTo(17, 6)
    // Straight through: beside it.
    expect(
      clearance(
        letterPlace(
          [100, 100],
          [
            [0, 100],
            [200, 100],
          ],
        ),
        [
          [
            [0, 100],
            [200, 100],
          ],
        ],
      ),
    ).toBeCloseTo(17, 6)
  })
  it('a block stays on the sheet, whatever is drawn', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 640 }), fc.integer({ min: 0, max: 480 })), {
          minLength: 2,
          maxLength: 6,
        }),
        (list) => {
          const lines = list.slice(1).map((to, i): Stretch => [list[i]! as Point, to as Point])
          const [x, y] = clearPlace(640, 480, { width: 190, height: 104 }, lines, [320, 240])
          expect(x >= 0 && y >= 0 && x + 190 <= 640 && y + 104 <= 480).toBe(true)
        },
      ),
      { seed: 20261126 },
    )
  })
  it('a block goes where nothing is drawn, as near as it can', () => {
    // Lines fill the left of the sheet, close together: only the right is clear.
    const lines = [40, 90, 140, 190, 240, 290, 340, 390, 440].map((y): Stretch => [
      [10, y],
      [330, y],
    ])
    const [x] = clearPlace(640, 480, { width: 190, height: 104 }, lines, [320, 240])
    expect(x).toBeGreaterThan(340)
    expect(x).toBeLessThan(450)
  })
  it('a path is written in order', () =>
    expect(
      toPath([
        [0, 0],
        [1.26, 2],
      ]),
    ).toBe('M0 0L1.3 2'))
})
