import { describe, expect, it } from 'vitest'
import { METHODS, STEP_CODES } from '#core/joints'
import { remedyOf } from '#core/making'

describe('a check that fails', () => {
  it('has a remedy for every method and step', () => {
    for (const method of METHODS)
      for (const code of STEP_CODES)
        expect(remedyOf(method, code, 'gb').do.length, `${method} ${code}`).toBeGreaterThan(20)
  })
  it('never uses a pressed fitting again, and a crimped one without its ring', () => {
    for (const code of ['press', 'check', 'gauge'] as const)
      expect(remedyOf('press', code, 'gb')).toMatchObject({ again: 'end', reuses: false })
    expect(remedyOf('ml-press', 'press', 'gb').reuses).toBe(false)
    expect(remedyOf('crimp', 'gauge', 'gb')).toMatchObject({
      again: 'end',
      reuses: true,
      do: expect.stringMatching(/ring never/),
    })
    expect(remedyOf('solvent-cement', 'insert', 'gb')).toMatchObject({ again: 'end', reuses: false })
  })
  it('is a quarter turn for a weeping nut before it is taken apart', () =>
    expect(remedyOf('compression', 'tighten', 'gb')).toMatchObject({
      again: 'step',
      do: expect.stringContaining('quarter turn'),
    }))
})
