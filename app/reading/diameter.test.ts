import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDiameter, readLength } from '~/reading/diameter'
import { formatReading, mmBeside, unitOf } from '~/reading/format'

const read = (typed: string, by: 'calliper' | 'tape-round' = 'calliper', region: 'gb' | 'us' = 'gb') => readDiameter({ typed, by }, region)

describe('readDiameter', () => {
  it('reads across by the job\'s unit', () => {
    expect(read('21,5 mm')).toMatchObject({ state: 'read', mm: 21.5, working: null })
    expect(read('0.875', 'calliper', 'us')).toMatchObject({ state: 'read', mm: expect.closeTo(22.225, 9) })
    expect(read('  ')).toEqual({ state: 'empty' })
  })

  it('divides a girth by pi and shows it', () => {
    // 67.5 / 3.14159 = 21.486
    expect(read('67.5', 'tape-round')).toMatchObject({ state: 'read', mm: expect.closeTo(21.486, 3), working: '67.5 round it \u00f7 3.1416 = 21.49' })
  })

  it('asks whether inches were meant', () => {
    expect(read('0.875')).toMatchObject({ state: 'wrong', guess: { typed: '0.875 in', words: expect.stringContaining('22.2') } })
    expect(read('0.875 mm')).toMatchObject({ guess: { typed: '0.875 in' } })
  })

  it('asks whether it was measured round', () => {
    expect(read('200')).toMatchObject({ state: 'wrong', guess: { by: 'tape-round', words: expect.stringContaining('63.66 across') } })
  })

  it.each(['abc', '-3', '0', '1e9', '500 m', '1/0'])('says what is wrong with %s', (typed) => {
    const reading = read(typed)
    expect(reading.state).toBe('wrong')
    expect(reading.state === 'wrong' && reading.message.length).toBeGreaterThan(15)
  })

  it('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string({ maxLength: 60 }), fc.constantFrom('gb' as const, 'us' as const), fc.constantFrom('calliper' as const, 'tape-round' as const), (typed, region, by) => {
      const reading = read(typed, by, region)
      if (reading.state === 'read') expect(reading.mm >= 4 && reading.mm <= 120).toBe(true)
    }), { seed: 20261123 })
  })
})

describe('a reading', () => {
  it('is in hundredths of a mm or thousandths of an inch, with the mm beside', () => {
    expect(formatReading(22.225, 'inch')).toBe('0.875')
    expect(formatReading(21.49, 'metric')).toBe('21.49')
    expect(mmBeside(26.67, 'inch')).toBe(' (26.67 mm)')
    expect(mmBeside(26.67, 'metric')).toBe('')
    expect([unitOf('inch'), unitOf('metric')]).toEqual(['in', 'mm'])
  })
})

describe('readLength', () => {
  it('reads a wall or bore by the job\'s unit', () => {
    expect(readLength('wall', '0,9', 'gb', 22)).toEqual({ state: 'read', mm: 0.9 })
    expect(readLength('bore', '3/4', 'us', 22.2)).toMatchObject({ state: 'read', mm: expect.closeTo(19.05, 9) })
    expect(readLength('wall', ' ', 'gb', null)).toEqual({ state: 'empty' })
  })
  it('questions one that does not go into the outside, and one that is no length', () => {
    expect(readLength('bore', '23', 'gb', 22)).toEqual({ state: 'wrong', message: 'A bore of 23 mm does not go into 22 mm outside.' })
    expect(readLength('wall', '11', 'gb', 22)).toMatchObject({ state: 'wrong' })
    expect(readLength('wall', 'thin', 'gb', null)).toMatchObject({ state: 'wrong', message: expect.stringContaining('not a length') })
  })
})
