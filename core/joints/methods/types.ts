import type { SocketMethod } from '#core/catalogue'
import type { ConcernRule, RefusalRule } from '../rules/rule'
import type { Part, Tube } from '../types'

/** What one way of joining is: what refuses it, what it asks for, how it comes apart. */
export interface JointMethod {
  id: SocketMethod
  /** Start of a part's name, e.g. "press" in "press coupling". */
  words: string
  /** What it takes, for a refusal by family. */
  takes: string
  undo: string
  comesApart: boolean
  needsFlame: boolean
  /** Done without a tool of its own (contract: kit). */
  byHand: boolean
  /** Fitting standards a tube in copper sizes carries in its print where it is listed for this method; any of them. */
  listings?: readonly string[]
  /** Its own, asked after the shared rule of the same code. */
  rules: readonly RefusalRule[]
  concerns: readonly ConcernRule[]
  /** Loose parts one end needs beside the fitting. */
  looseParts: (tube: Tube) => Part[]
}
