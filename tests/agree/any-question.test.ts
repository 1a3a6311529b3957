import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer, VERBS } from '../../core/contract'
import { RULES } from '../../core/rulebook'
import { anyQuestion } from './odd-questions'
import { runs, SEEDS } from './questions'

/** Where an answer carries codes of rules (contract). */
const CARRY = [
  'refused',
  'cautions',
  'warnings',
  'because',
  'rules',
  'findings',
  'reasons',
  'stop',
  'contradictions',
] as const

/** Every code that an answer carries, wherever it stands in it. */
function codesIn(given: unknown, isCarried = false): string[] {
  if (Array.isArray(given)) return given.flatMap((one) => codesIn(one, isCarried))
  if (typeof given !== 'object' || given === null) return []
  const own = isCarried && 'code' in given && typeof given.code === 'string' ? [given.code] : []
  return [
    ...own,
    ...Object.entries(given).flatMap(([name, value]) => codesIn(value, (CARRY as readonly string[]).includes(name))),
  ]
}

describe('any question of any verb', () => {
  it.each(SEEDS)(
    'is answered or named as wrong, never thrown, and carries no code that is not in the rules (seed %s)',
    (seed) => {
      const seen = new Set<string>()
      fc.assert(
        fc.property(anyQuestion, ([verb, question]) => {
          // Under the net that keeps one question's fault from the others: it must not be needed.
          const parsed = VERBS[verb]!.question.safeParse(question)
          if (parsed.success) VERBS[verb]!.answer(parsed.data)
          const given = answer(verb, question)
          if (!given.ok) {
            expect(given.error.message.length).toBeGreaterThan(8)
            return
          }
          if (verb === 'rules') return
          for (const code of codesIn(given.value)) {
            seen.add(`${verb} ${code}`)
            expect(
              RULES.some((rule) => rule.verb === verb && rule.code === code),
              `${verb} carries ${code}`,
            ).toBe(true)
          }
        }),
        { seed, numRuns: runs(1_500, 30_000) },
      )
      // A generator that reached few rules would prove little.
      expect(seen.size).toBeGreaterThan(60)
    },
    1_800_000,
  )

  it('costs a batch nothing where one of it is wrong', () => {
    const batch = [{ checks: [] }, { checks: 'x' }, { checks: [{ check: 'colour', value: 'pink' }] }, { checks: [] }]
    const given = answer('identify', batch)
    expect(given.ok && (given.value as object[]).map((one) => 'error' in one)).toEqual([false, true, true, false])
  })
})
