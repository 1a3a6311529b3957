import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readAir, temperatureField } from '~/reading/air'
import { bare, countText, diameterText, inUnits, lineValue, rangeText, scaleText, unitName } from '~/reading/format'

describe('a temperature in a field', () => {
  it.each<[string, 'metric' | 'inch', number | null]>([
    ['', 'metric', null],
    ['14', 'metric', 14],
    ['\u22125', 'metric', -5],
    ['68', 'inch', 20],
    ['20 C', 'inch', 20],
    ['68 F', 'metric', 20],
  ])('%s, %s', (typed, system, value) => expect(readAir(typed, system)).toEqual({ value, problem: null }))
  it('out of its range says the range in the units of the reader', () => {
    expect(readAir('90', 'metric').problem).toContain('60 \u00b0C')
    expect(readAir('200', 'inch').problem).toContain('140 \u00b0F')
    expect(readAir('200', 'inch').problem).not.toContain('\u00b0C')
    expect(readAir('warm', 'metric').problem).not.toBeNull()
  })
  it('stands as it was typed, in either system', () => {
    fc.assert(
      fc.property(fc.integer({ min: -30, max: 130 }), (fahrenheit) => {
        const { value } = readAir(String(fahrenheit), 'inch')
        expect(temperatureField(value, 'inch').replace('\u2212', '-')).toBe(String(fahrenheit))
      }),
    )
    expect(temperatureField(null, 'inch')).toBe('')
  })
})

describe('a figure with its unit', () => {
  it('is in the units of the reader', () => {
    expect([inUnits('pressure', 3, 'metric'), inUnits('pressure', 3, 'inch')]).toEqual(['3 bar', '44 psi'])
    expect([bare('speed', 2, 'inch'), unitName('speed', 'inch')]).toEqual(['6.6', 'ft/s'])
    expect(diameterText(22.22, 'inch')).toBe('0.875 in (22.22 mm)')
    expect(rangeText(14, 18, 'inch')).toBe('9/16 to 11/16 in (14 to 18 mm)')
    expect([scaleText(5.2, 'metric'), scaleText(5, 'inch')]).toEqual(['1 mm drawn 5.2 px', '1 in drawn 127 px'])
    expect([countText(2, 'gb'), countText(2, 'us')]).toEqual(['2 off', 'qty 2'])
  })
  it.each([
    [{ value: 25.4, unit: 'mm' }, '25.4 mm', '1.000 in (25.4 mm)'],
    [{ value: 6.9, unit: 'bar' }, '6.9 bar', '100.08 psi'],
    [{ value: 60, unit: 'degC' }, '60 \u00b0C', '140 \u00b0F'],
    [{ value: 10, unit: 'm' }, '10 m', '32.81 ft'],
    [{ value: 998, unit: 'kg/m3' }, '998 kg/m3', '62.3 lb/ft3'],
    [{ value: 380, unit: 'W/(m K)' }, '380 W/(m K)', '219.6 Btu/(h ft \u00b0F)'],
    [{ value: 4186, unit: 'J/(kg K)' }, '4186 J/(kg K)', '0.9998 Btu/(lb \u00b0F)'],
    [{ value: 3, unit: 'min' }, '3 min', '3 min'],
    [{ value: 0.5, unit: '' }, '0.5', '0.5'],
  ])('a line of a sum: %o', (line, gb, us) => expect([lineValue(line, 'gb'), lineValue(line, 'us')]).toEqual([gb, us]))
})
