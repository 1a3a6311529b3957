import { isMade, type Fields, type JointRecord } from '#core/record'
import type { Act, AnyRecord } from './entry'

/* What is asked of a record as another hand saved it. */

export const pick = (record: object, fields: Iterable<string>): Fields =>
  Object.fromEntries([...fields].map((field) => [field, (record as Fields)[field]]))
export const isSigned = (record: AnyRecord | undefined): record is JointRecord =>
  record !== undefined && 'signoffs' in record && isMade(record)
/** The depths of a joint as an act leaves them. */
export function depthsAfter(act: Act, saved: JointRecord): Record<string, string> {
  if (act.do === 'change') return { ...saved.depths, ...(act.changes.depths as JointRecord['depths'] | undefined) }
  return act.do === 'sign' ? (act.seen.depths as Record<string, string>) : {}
}
