import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { randomFrom } from '../../scripts/random'
import { meets } from '~/drawing/labels'
import { isOverGap, placeInserts } from '~/drawing/strip-labels'
import { layStrip, type StripFrame } from '~/drawing/strip-layout'

const frameOf = (cut: number, od: number, width: number, isInch: boolean): StripFrame => {
  const layout = layStrip(cut, od, width, { isInch, isPhone: true, margin: 80 })
  const x = (mm: number) => 40 + layout.at(mm)
  return { layout, cut, left: 40, cy: 66, half: layout.half, tapeY: 140, isPhone: true, x, text: String }
}

describe('words on the strip of a phone', () => {
  it('500 pieces: the ends in words beside each other, on the pipe', () => {
    const random = randomFrom(20261202)
    for (let i = 0; i < 500; i++) {
      const { od } = PIPES[Math.floor(random() * PIPES.length)]!
      const frame = frameOf(60 + random() * 4000, od, i % 2 ? 360 : 390, random() < 0.5)
      const [one, other] = placeInserts(
        [
          { isLeft: true, mm: 8 + random() * 30, words: 'stop E' },
          { isLeft: false, mm: 8 + random() * 30, words: 'elbow A' },
        ],
        frame,
      )
      if (!one || !other) continue
      expect(meets(one, other)).toBe(false)
      expect(one.x).toBeGreaterThanOrEqual(frame.left)
      expect(other.x + other.width).toBeLessThanOrEqual(frame.left + frame.layout.width)
    }
  })
  it('and no figure of the tape is cut off by the stretch that is left out', () => {
    const frame = frameOf(3000, 22, 390, false)
    const [from, to] = frame.layout.gap!
    expect(isOverGap('20', frame.left + from - 8, frame)).toBe(true)
    expect(isOverGap('20', frame.left + to - 1, frame)).toBe(true)
    expect(isOverGap('20', frame.left + from - 40, frame)).toBe(false)
    expect(isOverGap('20', frame.left + to, frame)).toBe(false)
  })
})
