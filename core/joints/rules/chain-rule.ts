import type { Figure, RuleKind, RuleText } from '#core/base'
import type { Chain, Meeting } from '../search'
import type { Offer, Situation } from '../types'
import type { Concern } from './rule'

export interface ChainFacts {
  chain: Chain
  insertions: readonly Figure[]
  situation: Situation
  /** The two ends, as they were offered. */
  ends: { a: Offer; b: Offer }
  /** Whether an old tube stands in a metric body, by meeting. */
  isInMetricBody: (meeting: Extract<Meeting, { kind: 'socket' }>) => boolean
}

export interface ChainRule extends RuleText {
  code: string
  verdict: Concern['verdict']
  kind: RuleKind
  says: (facts: ChainFacts) => boolean | string | null
}

const rule =
  (verdict: Concern['verdict'], kind: RuleKind = 'caution') =>
  (code: string, when: string, because: string, source: string, says: ChainRule['says']): ChainRule => ({
    code,
    verdict,
    kind,
    when,
    because,
    source,
    says,
  })
export const held = rule('held')
export const care = rule('care')
export const note = rule('note')
export const school = rule('note', 'school')
