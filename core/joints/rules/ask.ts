import type { RuleRow } from '#core/base'
import type { SocketMethod } from '#core/catalogue'
import { JOINT_METHODS } from '../methods'
import { REFUSAL_CODES, type RefusalCode, type Situation, type Tube } from '../types'
import { rowOfConcern, rowOfRefusal, type Concern, type ConcernRule, type RefusalRule } from './rule'
import { PIPE_CONCERNS, PIPE_REFUSALS } from './pipe'
import { SHARED_CONCERNS, SHARED_REFUSALS } from './shared'

/** Why a method cannot be made on an end: the first code that applies, in the order of `REFUSAL_CODES`. */
export interface Refused {
  code: RefusalCode
  reason: string
}

const NONE: ReadonlySet<RefusalCode> = new Set()

/** The rules of each method in the order they are asked, shared ones first within a code. */
const BY_CODE = (rules: readonly RefusalRule[]): RefusalRule[] =>
  REFUSAL_CODES.flatMap((code) => rules.filter((rule) => rule.code === code))
const REFUSALS = new Map(
  Object.values(JOINT_METHODS).map(({ id, rules }) => [id, BY_CODE([...SHARED_REFUSALS, ...rules])]),
)
const CONCERNS = new Map(
  Object.values(JOINT_METHODS).map(({ id, concerns }) => [id, [...SHARED_CONCERNS, ...concerns]]),
)

const firstOf = (rules: readonly RefusalRule[], said: (rule: RefusalRule) => string | null): Refused | null => {
  for (const rule of rules) {
    const reason = said(rule)
    if (reason !== null) return { code: rule.code, reason }
  }
  return null
}
const concernsBy = (rules: readonly ConcernRule[], said: (rule: ConcernRule) => string | null): Concern[] =>
  rules.flatMap((rule): Concern[] => {
    const text = said(rule)
    return text === null ? [] : [{ code: rule.code, text, verdict: rule.verdict }]
  })

/**
 * First refusal of a method on a tube end by the order of `REFUSAL_CODES`, or null where it can be made: directly,
 * or in the mouth of a fitting that answers some codes.
 */
export function refuse(
  id: SocketMethod,
  tube: Tube,
  situation: Situation,
  answered: ReadonlySet<RefusalCode> = NONE,
): Refused | null {
  const method = JOINT_METHODS[id]
  return firstOf(REFUSALS.get(id)!, (rule) => (answered.has(rule.code) ? null : rule.says(tube, situation, method)))
}

/** What a method asks for on a tube end that it can be made on. */
export const concernsOn = (id: SocketMethod, tube: Tube, situation: Situation): Concern[] =>
  concernsBy(CONCERNS.get(id)!, (rule) => rule.says(tube, situation, JOINT_METHODS[id]))

// What is true of a pipe whatever joins it reads no method: any stands for all.
const ANY = JOINT_METHODS.compression
/** Whether threaded pipe may be used so at all. */
export const refusePipe = (tube: Tube, situation: Situation): Refused | null =>
  firstOf(BY_CODE(PIPE_REFUSALS), (rule) => rule.says(tube, situation, ANY))
export const concernsOfPipe = (tube: Tube, situation: Situation): Concern[] =>
  concernsBy(PIPE_CONCERNS, (rule) => rule.says(tube, situation, ANY))

/** Every rule of tube ends in words. */
export const END_REFUSALS: readonly RuleRow[] = [
  ...SHARED_REFUSALS,
  ...Object.values(JOINT_METHODS).flatMap(({ rules }) => rules),
].map(rowOfRefusal)
export const END_CONCERNS: readonly RuleRow[] = [
  ...SHARED_CONCERNS,
  ...Object.values(JOINT_METHODS).flatMap(({ concerns }) => concerns),
].map(rowOfConcern)
