import { describe, expect, it } from 'vitest'
import { formatReading, mmBeside, unitOf } from '~/reading/format'

describe('a reading', () => {
  it('is in hundredths of a mm or thousandths of an inch, with the mm beside', () => {
    expect(formatReading(22.225, 'inch')).toBe('0.875')
    expect(formatReading(21.49, 'metric')).toBe('21.49')
    expect(mmBeside(26.67, 'inch')).toBe(' (26.67 mm)')
    expect(mmBeside(26.67, 'metric')).toBe('')
    expect([unitOf('inch'), unitOf('metric')]).toEqual(['in', 'mm'])
  })
})
