import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Vector } from '#core/line'
import { AXES, fitSheet, onSheet, plainScale, project } from '~/drawing/iso'
import { drop, move, press, type Drag } from './drag'
import { beginHistory, record, redo, undo } from './history'

describe('history', () => {
  it('undoes and does again, and lets go of what was undone once something new is done', () => {
    const two = record(record(beginHistory('a'), 'b'), 'c')
    expect(undo(two).now).toBe('b')
    expect(redo(undo(two)).now).toBe('c')
    expect(undo(undo(undo(two))).now).toBe('a')
    expect(redo(record(undo(two), 'd')).now).toBe('d')
  })
  it('comes back to where it was, however many steps', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 50 }), (steps) => {
        const done = steps.reduce((history, step) => record(history, step), beginHistory(-1))
        const back = steps.reduce((history) => undo(history), done)
        expect(back.now).toBe(-1)
        expect(steps.reduce((history) => redo(history), back).now).toBe(steps.at(-1))
      }),
    )
  })
})

describe('isometric', () => {
  it('draws each axis to one scale', () => {
    for (const { on } of AXES) expect(Math.hypot(...on)).toBeCloseTo(1, 9)
  })
  it('says plain scales, never larger than asked', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.002, max: 5, noNaN: true }), (scale) => {
        expect(plainScale(scale)).toBeLessThanOrEqual(Math.min(scale, 2) + 1e-9)
        expect(plainScale(scale)).toBeGreaterThan(Math.min(scale, 2) * 0.6)
      }),
    )
  })
  it('fits any run within its margins', () => {
    const place = fc.tuple(
      ...[0, 1, 2].map(() => fc.integer({ min: -3000, max: 3000 })),
    ) as unknown as fc.Arbitrary<Vector>
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 20 }), (points) => {
        const sheet = fitSheet(points, 640, 520, { left: 60, right: 90, top: 50, bottom: 60 })
        for (const [x, y] of points.map((one) => onSheet(sheet, one)))
          expect(x > 59 && x < 551 && y > 49 && y < 461).toBe(true)
      }),
    )
  })
})

describe('drag', () => {
  const around = { scale: 0.2, system: 'metric' as const }
  const stretch = press({ kind: 'stretch', row: 2, length: 640, along: [1, 0, 0] }, [100, 100])
  it('stretches a leg along its own way, snapped to 5 mm', () => {
    const [dx, dy] = project([101, 0, 0])
    expect(drop(move(stretch, [100 + dx * 0.2, 100 + dy * 0.2], around))).toEqual({ do: 'stretch', row: 2, mm: 740 })
    expect(drop(move(stretch, [100 - 900, 100 - 900], around))).toMatchObject({ mm: 5 })
  })
  it('pulls a leg out of a point along the nearest axis', () => {
    const pull = press({ kind: 'pull', point: 3 }, [0, 0])
    for (const { letter, on } of AXES)
      expect(drop(move(pull, [on[0] * 80, on[1] * 80], around))).toEqual({ do: 'pull', point: 3, letter, mm: 400 })
    expect(drop(move(pull, [2, -80], { ...around, system: 'inch' }))).toMatchObject({
      letter: 'u',
      mm: expect.closeTo(400.05, 6),
    })
  })
  it('is a press where it hardly moved, and nothing where nothing was gripped', () => {
    expect(drop(move(stretch, [102, 101], around))).toMatchObject({ do: 'press' })
    const idle: Drag = { state: 'idle' }
    expect(drop(move(idle, [9, 9], around))).toBeNull()
  })
})
