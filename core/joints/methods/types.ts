import type { Note } from '#core/base'
import type { SocketMethod } from '#core/catalogue'
import type { Part, RefusalCode, Situation, Tube, Verdict } from '../types'

/** Why a method is refused here, in one sentence, or null where this rule does not apply. */
export type Rule = (tube: Tube, situation: Situation) => string | null

/** A note that also lowers the verdict of a way. */
export interface Concern extends Note { verdict: Exclude<Verdict, 'fits'> | 'note' }

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
  rules: Partial<Record<RefusalCode, Rule>>
  concerns: (tube: Tube, situation: Situation) => Concern[]
  /** Loose parts one end needs beside the fitting. */
  looseParts: (tube: Tube) => Part[]
}

export const care = (code: string, text: string): Concern => ({ code, text, verdict: 'care' })
export const held = (code: string, text: string): Concern => ({ code, text, verdict: 'held' })
export const note = (code: string, text: string): Concern => ({ code, text, verdict: 'note' })

/** Only the concerns that are there. */
export const some = (...concerns: readonly (Concern | false)[]): Concern[] => concerns.filter((concern): concern is Concern => concern !== false)
