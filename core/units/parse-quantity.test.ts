import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parsePressure, parseTemperature } from '#core/units'

const value = (result: ReturnType<typeof parsePressure>) => (result.ok ? result.value : result.error.code)

describe('a pressure as it is typed', () => {
  // 1 psi is 0.0689476 bar, 1 bar 14.5038 psi.
  it.each<[string, 'metric' | 'inch', number]>([
    ['3', 'metric', 3],
    ['3,5 bar', 'inch', 3.5],
    ['60 psi', 'metric', 4.1369],
    ['60', 'inch', 4.1369],
    ['300 kPa', 'metric', 3],
    ['250 mbar', 'metric', 0.25],
  ])('%s, %s', (text, system, bar) => expect(value(parsePressure(text, system))).toBeCloseTo(bar, 3))
  it.each(['', 'much', '-3', '3 buckets', '9'.repeat(60), '60 psi psi'])('"%.12s" is refused', (text) =>
    expect(parsePressure(text, 'inch')).toMatchObject({
      ok: false,
      error: { path: 'pressure', message: expect.stringMatching(/Accepted: 60/) },
    }),
  )
})

describe('a temperature as it is typed', () => {
  it.each<[string, 'metric' | 'inch', number]>([
    ['20', 'metric', 20],
    ['\u22125 C', 'inch', -5],
    ['140 F', 'metric', 60],
    ['68', 'inch', 20],
    ['180 \u00b0F', 'metric', 82.222],
    ['60 degC', 'inch', 60],
  ])('%s, %s', (text, system, celsius) => expect(value(parseTemperature(text, system))).toBeCloseTo(celsius, 2))
  it('reads what it is given in either unit as the same heat', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 200 }), (fahrenheit) => {
        const read = parseTemperature(`${fahrenheit} F`, 'metric')
        expect(read).toEqual(parseTemperature(String(fahrenheit), 'inch'))
        expect(read.ok && read.value * 1.8 + 32).toBeCloseTo(fahrenheit, 9)
      }),
    )
  })
  it.each(['', 'warm', '20 K', '20 bar'])('"%s" is refused', (text) =>
    expect(parseTemperature(text, 'metric')).toMatchObject({ ok: false, error: { path: 'temperature' } }),
  )
})
