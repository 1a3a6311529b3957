import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { CUTTER_KERF, cutterFor, CUTTERS } from '#core/cutting'

describe('cutters', () => {
  it('are such as cut the pipe: no shears on metal, no wheel on plastic', () => {
    for (const pipe of PIPES) {
      const isMetal = ['copper', 'stainless', 'steel', 'lead'].includes(pipe.family)
      if (isMetal && pipe.family !== 'lead') expect(cutterFor(pipe), pipe.id).not.toBe('shears')
      if (!isMetal) expect(cutterFor(pipe), pipe.id).toBe('shears')
    }
  })
  it.each(CUTTERS)('%s: what it takes away lies in its range, and its end is said', (cutter) => {
    const { value, lo, hi, leaves } = CUTTER_KERF[cutter]
    expect(lo! <= value! && value! <= hi!).toBe(true)
    expect(leaves).toMatch(/\w/)
  })
  it('take nothing away without teeth', () => {
    expect([CUTTER_KERF.wheel.value, CUTTER_KERF.shears.value]).toEqual([0, 0])
    for (const cutter of ['hacksaw', 'fine-saw', 'power-saw'] as const)
      expect(CUTTER_KERF[cutter].value).toBeGreaterThan(0)
  })
})
