import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { faceWidths } from '../../scripts/face-widths.mjs'
import widths from '~/drawing/advance-widths.json'
import { figureExtent, textWidth } from '~/drawing/face'
import { meets, spread, wordingFor } from '~/drawing/labels'

describe('the width of what is written', () => {
  it("is the face's own, as it is held with the app", () => {
    expect(widths).toEqual(faceWidths())
  })
  it('grows with the size, and with the weight for a word', () => {
    expect(textWidth('mark', 26)).toBeCloseTo(2 * textWidth('mark', 13), 9)
    expect(textWidth('mark', 13, 400)).toBeLessThan(textWidth('mark', 13, 600))
    expect(textWidth('mark', 13, 600)).toBeLessThan(textWidth('mark', 13, 700))
  })
  it('of a figure: digits alike, a fraction no wider than its longer half, the unit beside', () => {
    expect(figureExtent(22.5, 'metric', 40).width).toBeCloseTo(figureExtent(11.3, 'metric', 40).width, 9)
    // 1 1/8 in: a whole, a gap of 0.12 em, a fraction of 0.6 em.
    const inch = figureExtent(28.575, 'inch', 40)
    expect(inch.width).toBeCloseTo(textWidth('1', 40, 700) + 4.8 + textWidth('8', 24, 700), 9)
    expect(figureExtent(28.575, 'inch', 40, true).width).toBeGreaterThan(inch.width + textWidth('28.6 mm', 14))
  })
})

describe('things on one line', () => {
  const wish = fc.record({ middle: fc.integer({ min: -100, max: 500 }), width: fc.integer({ min: 1, max: 80 }) })
  it('touch nowhere, stay within, keep their order, and move only where they must', () => {
    fc.assert(
      fc.property(fc.array(wish, { minLength: 1, maxLength: 6 }), (wishes) => {
        const lefts = spread(wishes, 0, 400, 4)
        const total = wishes.reduce((sum, { width }) => sum + width, 0) + 4 * (wishes.length - 1)
        if (total > 400) {
          expect(lefts).toBeNull()
          return
        }
        const boxes = wishes.map(({ width }, i) => ({ x: lefts![i]!, y: 0, width, height: 1 }))
        boxes.forEach((box, i) => {
          expect(box.x).toBeGreaterThanOrEqual(-1e-9)
          expect(box.x + box.width).toBeLessThanOrEqual(400 + 1e-9)
          for (const [k, other] of boxes.entries()) {
            if (k === i) continue
            expect(meets({ ...box, width: box.width + 4 - 1e-6 }, other) && other.x >= box.x).toBe(false)
            if (wishes[i]!.middle < wishes[k]!.middle) expect(box.x).toBeLessThan(other.x)
          }
        })
        const wanted = wishes.map(({ middle, width }) => ({ x: middle - width / 2, y: 0, width, height: 1 }))
        const isFree = wanted.every(
          (box, i) =>
            box.x >= 0 &&
            box.x + box.width <= 400 &&
            wanted.slice(i + 1).every((other) => !meets({ ...box, x: box.x - 4, width: box.width + 8 }, other)),
        )
        if (isFree) lefts!.forEach((left, i) => expect(left).toBeCloseTo(wanted[i]!.x, 9))
      }),
      { numRuns: 300, seed: 20261202 },
    )
  })
  it('takes the longest wording that goes in', () => {
    expect(wordingFor(['mark, right round', 'mark'], 500, 15)).toBe('mark, right round')
    expect(wordingFor(['mark, right round', 'mark'], 60, 15)).toBe('mark')
    expect(wordingFor(['mark, right round', 'mark'], 2, 15)).toBe('mark')
  })
})
