import { describe, expect, it } from 'vitest'
import { formatReading, inHundred, mmBeside, unitOf } from '~/reading/format'

describe('a reading', () => {
  it('is in hundredths of a mm or thousandths of an inch, with the mm beside', () => {
    expect(formatReading(22.225, 'inch')).toBe('0.875')
    expect(formatReading(21.49, 'metric')).toBe('21.49')
    expect(mmBeside(26.67, 'inch')).toBe(' (26.67 mm)')
    expect(mmBeside(26.67, 'metric')).toBe('')
    expect([unitOf('inch'), unitOf('metric')]).toEqual(['in', 'mm'])
  })
})

describe('a probability', () => {
  it.each([
    [0, 'under 1'],
    [0.004, 'under 1'],
    [0.01, '1'],
    [0.884, '88'],
    [0.99, '99'],
    [0.9951, 'over 99'],
    [1, 'over 99'],
  ])('%f is %s in 100', (share, words) => expect(inHundred(share)).toBe(words))
})
