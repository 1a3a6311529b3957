import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Ask } from '#core/joints'
import { askVerdict, readAsk } from './ask'

const RING: Ask = {
  what: 'ring-distance',
  words: 'from the end',
  unit: 'mm',
  lo: 3.175,
  hi: 6.35,
  isFirm: true,
  source: 'ASTM F1807',
}
const TURNS: Ask = {
  what: 'nut-turns',
  words: 'turns',
  unit: 'turns',
  lo: 0.75,
  hi: 1.25,
  isFirm: false,
  source: 'typical',
}

describe('a figure that a step asks for', () => {
  it.each<[string, 'metric' | 'inch', number | null]>([
    ['', 'metric', null],
    ['  ', 'metric', null],
    ['4.8', 'metric', 4.8],
    ['4,8', 'metric', 4.8],
    ['3/16', 'inch', 4.7625],
    ['0', 'metric', 0],
    ['0.0', 'metric', 0],
  ])('reads %j in %s', (typed, system, mm) => {
    const { value, problem } = readAsk(RING, typed, system)
    expect(problem).toBeNull()
    if (mm === null) expect(value).toBeNull()
    else expect(value).toBeCloseTo(mm, 6)
  })
  it('says what is accepted where it cannot be read, and judges nothing then', () => {
    for (const typed of ['nearly', '4.8.2', '-3']) {
      expect(readAsk(RING, typed, 'metric')).toMatchObject({ value: null, problem: expect.stringMatching(/\w/) })
      expect(readAsk(TURNS, typed, 'metric')).toMatchObject({ value: null, problem: expect.stringContaining('0.75') })
    }
  })
  it('holds within its limits; outside a firm one it fails, outside a usual one it wants care', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 12, noNaN: true }), (value) => {
        const isWithin = value >= RING.lo - 1e-6 && value <= RING.hi + 1e-6
        expect(askVerdict(RING, value) === 'holds').toBe(isWithin)
        expect(askVerdict({ ...RING, isFirm: false }, value)).toBe(isWithin ? 'holds' : 'care')
        if (!isWithin) expect(askVerdict(RING, value)).toBe('fails')
      }),
    )
  })
})
