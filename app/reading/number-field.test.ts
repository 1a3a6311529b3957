import { describe, expect, it } from 'vitest'
import { readNumber } from './number-field'

describe('a number as it is typed', () => {
  it.each([
    ['2.5', 2.5],
    [' 2,5 ', 2.5],
    ['', 0],
    ['0', 0],
    ['100', 100],
    ['101', null],
    ['-1', null],
    ['soon', null],
    ['Infinity', null],
  ])('"%s" to 100 is %s', (text, value) => {
    expect(readNumber(text, 100)).toBe(value)
  })
})
