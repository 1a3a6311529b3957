import type { Note, RuleKind, RuleRow, RuleText } from '#core/base'
import type { SocketMethod } from '#core/catalogue'
import type { RefusalCode, Situation, Tube, Verdict } from '../types'

/** What the rules look at of a method. */
export interface RuledMethod {
  id: SocketMethod
  /** Start of a part's name, e.g. "press" in "press coupling". */
  words: string
  /** What it takes, for a refusal by family. */
  takes: string
  undo: string
  comesApart: boolean
  needsFlame: boolean
  /** Metal on metal, with nothing that heat spoils: above its rows the rating is not known rather than none. */
  sealsOnMetal?: true
  drawing: { mouth: string }
  /** Done without a tool of its own (contract: kit). */
  byHand: boolean
  /** Fitting standards a tube in copper sizes carries in its print where it is listed for this method; any of them. */
  listings?: readonly string[]
}

/** Whether a rule applies: true for its own words, a sentence of its own, or null and false where it does not. */
export type Test = (tube: Tube, situation: Situation, method: RuledMethod) => boolean | string | null

/** What refuses a method on a tube end. */
export interface RefusalRule extends RuleText {
  code: RefusalCode
  /** Why, in one sentence; null where it does not apply. */
  says: (...asked: Parameters<Test>) => string | null
}

/** A note that may also lower the verdict of a way. */
export interface Concern extends Note {
  verdict: Exclude<Verdict, 'fits'> | 'note'
}

/** What a method asks for on a tube end that it can be made on. */
export interface ConcernRule extends RuleText {
  code: string
  verdict: Concern['verdict']
  kind: RuleKind
  says: (...asked: Parameters<Test>) => string | null
}

const saying =
  (because: string, test: Test): RefusalRule['says'] =>
  (...asked) => {
    const said = test(...asked)
    return said === true ? because : said || null
  }

export const refusal = (code: RefusalCode, when: string, because: string, source: string, test: Test): RefusalRule => ({
  code,
  when,
  because,
  source,
  says: saying(because, test),
})

const concern =
  (verdict: Concern['verdict'], kind: RuleKind) =>
  (code: string, when: string, because: string, source: string, test: Test = () => true): ConcernRule => ({
    code,
    verdict,
    kind,
    when,
    because,
    source,
    says: saying(because, test),
  })

/** Right once a stated thing is done or known. */
export const held = concern('held', 'caution')
/** Right with care. */
export const care = concern('care', 'caution')
export const note = concern('note', 'caution')
/** Practitioners differ; this side is taken. */
export const school = concern('note', 'school')

/** A rule in words, whatever it is asked of. */
interface Worded extends RuleText {
  code: string
}
export const rowOfRefusal = ({ code, when, because, source }: Worded): RuleRow => ({
  code,
  kind: 'refusal',
  when,
  because,
  source,
})
export const rowOfConcern = ({ code, kind, when, because, source }: Worded & { kind: RuleKind }): RuleRow => ({
  code,
  kind,
  when,
  because,
  source,
})
