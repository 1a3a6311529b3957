import { compareText, fail, mergeRows, ok, rowsOf, type Result, type RuleRow } from '#core/base'
import { HAZARD_CODES, HAZARDS } from '#core/catalogue'
import { FLOW_RULES } from '#core/flow'
import { HEAT_RULES } from '#core/heat'
import { IDENTIFY_RULES } from '#core/identify'
import { ASKED_REFUSALS as ASKED_AT_LOOK, LOOK_RULES, OPEN_CONCERNS } from '#core/inspect'
import { JOINT_RULES } from '#core/joints'
import { LINE_RULES, OFFSET_RULES } from '#core/line'
import { ASKED_REFUSALS as ASKED_AT_MAKE, MAKE_RULES } from '#core/making'
import { FIX_RULES } from '#core/supports'
import { speakAll } from '#core/speech'
import { writePage } from './page'
import type { VerbRule } from './types'

/* Every refusal, caution and school, by the verbs that can carry it: made from the rules themselves. */

export type { VerbRule } from './types'
export interface RulesQuestion {
  verb?: string
  code?: string
}

const hazards: RuleRow[] = HAZARD_CODES.map((code) => ({
  code,
  kind: 'caution',
  when: HAZARDS[code].when,
  because: HAZARDS[code].text,
  source: HAZARDS[code].source,
}))
const { refusals, ofEnds, ofWays } = JOINT_RULES
const among = (rows: readonly RuleRow[], codes: readonly string[]): RuleRow[] =>
  rows.filter(({ code }) => codes.includes(code))

const OWN: Readonly<Record<string, readonly RuleRow[]>> = {
  identify: rowsOf(IDENTIFY_RULES),
  ways: [...refusals, ...ofEnds, ...ofWays, ...hazards],
  make: [...among(refusals, ASKED_AT_MAKE), ...ofEnds, ...rowsOf(MAKE_RULES)],
  inspect: [...among(refusals, ASKED_AT_LOOK), ...among(ofEnds, OPEN_CONCERNS), ...LOOK_RULES, ...hazards],
  offset: rowsOf(OFFSET_RULES),
  line: rowsOf(LINE_RULES),
  fix: rowsOf(FIX_RULES),
  flow: rowsOf(FLOW_RULES),
  heat: rowsOf(HEAT_RULES),
}
/** Verbs that a line of shorthand can ask: its answer holds theirs. */
const ASKED_BY_LINE = ['identify', 'ways', 'make', 'offset', 'fix', 'flow'] as const
const BY_VERB: Readonly<Record<string, readonly RuleRow[]>> = {
  ...OWN,
  ask: ASKED_BY_LINE.flatMap((verb) => OWN[verb]!),
}

/** All of them, by verb, then code. */
export const RULES: readonly VerbRule[] = Object.entries(BY_VERB)
  .flatMap(([verb, rows]) => mergeRows(rows).map((row): VerbRule => ({ ...row, verb })))
  .sort((x, y) => compareText(x.verb, y.verb) || compareText(x.code, y.code))

/** docs/verdicts.md as the rules are. */
export const verdictsPage = (): string => writePage(speakAll(RULES, 'gb'))

const CODES: ReadonlySet<string> = new Set(RULES.map(({ code }) => code))

/**
 * The rules of a verb, of a code, or all: one row for each verb that can carry a code, by verb, then code. `verbs` are the
 * names that are known. Issue `unknown-id` at a verb or code that there is none of.
 */
export function listRules({ verb, code }: RulesQuestion, verbs: readonly string[]): Result<{ rules: VerbRule[] }> {
  if (verb !== undefined && !verbs.includes(verb))
    return fail('unknown-id', 'verb', `verb: there is no verb "${verb.slice(0, 40)}". Accepted: ${verbs.join(', ')}.`)
  if (code !== undefined && !CODES.has(code))
    return fail(
      'unknown-id',
      'code',
      `code: no rule has the code "${code.slice(0, 40)}". Ask without a code for all of them.`,
    )
  return ok({
    rules: RULES.filter(
      (rule) => (verb === undefined || rule.verb === verb) && (code === undefined || rule.code === code),
    ),
  })
}
