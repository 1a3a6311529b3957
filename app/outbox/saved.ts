import type { JointRecord } from '#core/record'
import type { AnyRecord, Fields } from '#core/acts'
import type { Entry } from './entry'
import { rules } from './rules'

/* What is asked of a record as another hand saved it. */

export const pick = (record: object, fields: Iterable<string>): Fields =>
  Object.fromEntries([...fields].map((field) => [field, (record as Fields)[field]]))
export const isSigned = (record: AnyRecord | undefined): record is JointRecord =>
  record !== undefined && 'signoffs' in record && rules().isMade(record)
/** The depths of a joint as an entry leaves them. */
export function depthsAfter({ act, seen }: Entry, saved: JointRecord): Record<string, string> {
  if (act.name === 'joint/change') return { ...saved.depths, ...act.body.depths }
  return act.name === 'joint/sign' ? ((seen?.depths ?? {}) as Record<string, string>) : {}
}
