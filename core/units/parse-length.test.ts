import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatDecimal, formatLength, formatMm, parseLength, toTape } from '#core/units'

const mm = (text: string, system: 'metric' | 'inch' = 'metric') => {
  const result = parseLength(text, system)
  return result.ok ? result.value.mm : result.error.code
}

describe('parseLength', () => {
  // One inch is 25.4 mm exactly, so each of these is a hand sum.
  it.each([
    ['21.5', 21.5],
    ['21,5 mm', 21.5],
    ['7/8 in', 22.225],
    ['7/8"', 22.225],
    ['1 1/8 in', 28.575],
    ['1-1/8', 28.575],
    ['2\' 3-1/2"', 698.5],
    ['2.4 m', 2400],
    ['22', 22],
    ['1.05 in', 26.67],
    ['2 ft', 609.6],
    ['2,5 cm', 25],
  ])('reads %s in a metric job as %f mm', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9))

  it('reads a bare number in an inch job as inches', () => {
    expect(mm('0.875', 'inch')).toBeCloseTo(22.225, 9)
    expect(mm('22 mm', 'inch')).toBe(22)
  })

  it.each([
    ['', 'missing'],
    ['   ', 'missing'],
    ['abc', 'not-understood'],
    ['-3', 'range'],
    ['0', 'range'],
    ['1/0', 'not-understood'],
    ['1e9', 'not-understood'],
    ['22 mm mm', 'not-understood'],
    ['9'.repeat(2_000_000), 'not-understood'],
  ])('refuses %.12s', (text, code) => {
    expect(mm(text)).toBe(code)
  })

  it('names what is accepted in every refusal', () => {
    for (const text of ['', 'abc', '-3', '0']) {
      const result = parseLength(text, 'metric', 'outside diameter')
      expect(result.ok || `${result.error.path} ${result.error.message}`).toMatch(/^outside diameter .*21\.5/)
    }
  })

  it('reads back any sixteenth it wrote', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 16 * 200 }), (sixteenths) => {
        const { whole, over, under } = toTape((sixteenths / 16) * 25.4)
        const text = [whole > 0 ? String(whole) : '', over > 0 ? `${over}/${under}` : ''].filter(Boolean).join(' ')
        expect(mm(`${text} in`)).toBeCloseTo((sixteenths / 16) * 25.4, 6)
      }),
    )
  })
})

describe('formatting', () => {
  it('puts fractions in lowest terms', () => {
    expect(toTape(15.875)).toEqual({ whole: 0, over: 5, under: 8 })
    expect(toTape(25.4)).toEqual({ whole: 1, over: 0, under: 1 })
    expect(toTape(1095.375)).toEqual({ whole: 43, over: 1, under: 8 })
  })

  it('rounds for the hand', () => {
    expect(formatMm(1125.4)).toBe('1125')
    expect(formatMm(22.5)).toBe('22.5')
    expect(formatDecimal(-1.5, 1)).toBe('\u22121.5')
    expect(formatLength(28.575, 'inch')).toBe('1 1/8 in (28.6 mm)')
    expect(formatLength(3.2, 'inch')).toBe('1/8 in (3.2 mm)')
  })
})
