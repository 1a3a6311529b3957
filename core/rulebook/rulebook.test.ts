import { compareText } from '#core/base'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { ask } from '#core/contract'
import { RULES, verdictsPage, type VerbRule } from '#core/rulebook'

const list = (question: object = {}): VerbRule[] => {
  const answer = ask('rules', question)
  if (!answer.ok) throw new Error(answer.error.message)
  return (answer.value as { rules: VerbRule[] }).rules
}

describe('rules', () => {
  it('are one row for each verb and code, by verb, then code', () => {
    const keys = RULES.map(({ verb, code }) => `${verb} ${code}`)
    expect(new Set(keys).size).toBe(keys.length)
    expect(list().map(({ verb, code }) => `${verb} ${code}`)).toEqual(
      [...keys].sort((x, y) => {
        const [[v, c], [w, d]] = [x.split(' ') as [string, string], y.split(' ') as [string, string]]
        return compareText(v, w) || compareText(c, d)
      }),
    )
  })
  it('say when, why and by what', () => {
    for (const { verb, code, kind, when, because, source } of RULES) {
      expect(['refusal', 'caution', 'school']).toContain(kind)
      for (const text of [when, because, source]) expect([verb, code, text.length > 2]).toEqual([verb, code, true])
    }
  })
  it('are listed by verb, by code, or both', () => {
    expect(new Set(list({ verb: 'make' }).map(({ verb }) => verb))).toEqual(new Set(['make']))
    expect(list({ code: 'gas' }).map(({ verb }) => verb)).toEqual(['ask', 'identify', 'inspect', 'make', 'ways'])
    expect(list({ verb: 'ways', code: 'temper' })).toMatchObject([
      { kind: 'refusal', source: expect.stringContaining('EN 1057') },
    ])
    expect(list({ verb: 'cut' })).toEqual([])
    expect(list({ verb: 'make', code: 'play' })).toEqual([])
  })
  it('name a verb and a code that there is none of', () => {
    expect(ask('rules', { verb: 'weld' })).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'verb' } })
    expect(ask('rules', { code: 'nope' })).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'code' } })
  })
  it('tell refusals, cautions and schools apart', () => {
    const kindOf = (verb: string, code: string) => list({ verb, code })[0]!.kind
    expect([
      kindOf('ways', 'hidden'),
      kindOf('ways', 'gas'),
      kindOf('ways', 'thread-seal'),
      kindOf('fix', 'habit'),
      kindOf('inspect', 'leak'),
      kindOf('inspect', 'support'),
    ]).toEqual(['refusal', 'caution', 'school', 'school', 'refusal', 'caution'])
  })
  it('are what docs/verdicts.md says', () =>
    expect(readFileSync(new URL('../../docs/verdicts.md', import.meta.url), 'utf8')).toBe(verdictsPage()))
})
