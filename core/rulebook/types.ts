import type { RuleRow } from '#core/base'

/** A rule under the verb that can carry it. */
export interface VerbRule extends RuleRow {
  verb: string
}
