import { describe, expect, it } from 'vitest'
import { clockOffset } from './server-clock'

const at = Date.parse('2026-11-24T10:00:00.400Z')
const header = (ms: number) => new Date(at + ms).toUTCString()

describe('clockOffset', () => {
  it('is nothing where both clocks agree, whatever part of a second the header leaves out', () => {
    for (const ms of [-900, -500, 0, 500, 900]) expect(clockOffset(header(ms), at)).toBe(0)
  })
  it('is how far the server is ahead or behind, to a second', () => {
    expect(clockOffset(header(180_000), at)).toBeCloseTo(180_000, -3.1)
    expect(clockOffset(header(-7_200_000), at)).toBeCloseTo(-7_200_000, -3.1)
  })
  it('is unknown without a header that can be read', () => {
    expect([clockOffset(null, at), clockOffset('soon', at)]).toEqual([null, null])
  })
})
