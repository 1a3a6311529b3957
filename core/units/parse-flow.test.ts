import { describe, expect, it } from 'vitest'
import { parseFlow } from '#core/units'

describe('a flow as it is written', () => {
  it.each<[string, 'metric' | 'inch', number]>([
    ['0.2', 'metric', 0.2],
    ['0,2 l/s', 'metric', 0.2],
    ['12 l/min', 'metric', 0.2],
    ['12 lpm', 'inch', 0.2],
    ['3 gpm', 'metric', 0.18927],
    ['3', 'inch', 0.18927],
    ['1.8 m3/h', 'metric', 0.5],
    ['0', 'metric', 0],
  ])('%s, %s', (text, system, value) => {
    const read = parseFlow(text, system)
    expect(read.ok && read.value).toBeCloseTo(value, 4)
  })
  it.each(['', 'much', '-1', '3 buckets', '1e9', '999999 l/s'])('"%s" is refused with what is accepted', (text) => {
    expect(parseFlow(text, 'metric')).toMatchObject({
      ok: false,
      error: { path: 'flow', message: expect.stringMatching(/accepted/i) },
    })
  })
})
