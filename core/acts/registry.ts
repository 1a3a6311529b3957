import type * as z from 'zod/mini'
import {
  bendActs,
  cutActs,
  findActs,
  fixActs,
  jobActs,
  jointActs,
  kitActs,
  lineActs,
  lookActs,
  rackActs,
  type ActDef,
  type DoneAct,
} from '#core/record'

/* Everything that can be done. The union of acts, what is sent, the rules on tablet and server, words and docs derive from it. */

export const ACTS = {
  ...jobActs,
  ...kitActs,
  ...findActs,
  ...lineActs,
  ...fixActs,
  ...bendActs,
  ...jointActs,
  ...cutActs,
  ...rackActs,
  ...lookActs,
}

export type ActName = keyof typeof ACTS
export const ACT_NAMES = Object.keys(ACTS) as [ActName, ...ActName[]]
type BodyOf<N extends ActName> = z.output<(typeof ACTS)[N]['body']>
/** What is said of an act: what is left out is filled in by its schema. */
export type InputOf<N extends ActName> = z.input<(typeof ACTS)[N]['body']>
/** One thing done. */
export type Act = { [N in ActName]: { name: N; body: BodyOf<N> } }[ActName]
/** The name of an act on records of a kind. */
export type ActOn<K extends ActDef['on']> = { [N in ActName]: (typeof ACTS)[N]['on'] extends K ? N : never }[ActName]

/** What takes an act back, of what it was done to; null where it stays on record. */
export const takeBackOf = ({ name, body }: Act, done: Omit<DoneAct, 'body'>): Act | null =>
  (actOf(name).undo?.by({ ...done, body }) ?? null) as Act | null

/** An act by its name, whatever its kind. */
export const actOf = (name: ActName): ActDef => ACTS[name] as unknown as ActDef
