import type { Figure } from '#core/base'
import type { Pipe } from '#core/catalogue'
import { formatLength, type UnitSystem, unitSystemOf } from '#core/units'
import { w } from '#core/speech'
import type { Part } from '../types'
import type { Ask, Card, DraftStep, Near } from './types'

/* Steps and words that several methods have in common. */

/** Whether a liner is ordered with an end: then its card has the step. */
export const hasLiner = (parts: readonly Part[]): boolean => parts.some(({ kind }) => kind === 'liner')

export const system = (card: Card): UnitSystem => unitSystemOf(card.question.region)
export const depth = (card: Card): string =>
  card.insertion.fromEnd === null
    ? 'the depth you measured in the socket'
    : formatLength(card.insertion.fromEnd, system(card))

/** Air where the joint is made, degC: 20 where nobody said. */
export const AMBIENT_C = 20
export const ambient = (card: Card): number => card.question.ambient ?? AMBIENT_C
export const isNear = (card: Card, what: Near): boolean => card.question.near?.includes(what) ?? false
const isSoft = (card: Card): boolean => card.tube.temper === 'soft'
/** Soft tube comes off its coil oval, and no mouth takes that. */
export const rounded = (card: Card, words: string): string =>
  isSoft(card) ? `Re-round the end with a former. ${words}` : words

const METALS: ReadonlySet<Pipe['family']> = new Set(['copper', 'stainless', 'steel'])

/** Plastic that cracks under a blade. */
const RIGID: ReadonlySet<Pipe['family']> = new Set(['cpvc', 'pvc'])

export function cut({ pipe: { family } }: Pick<Card, 'pipe'>): DraftStep {
  if (METALS.has(family))
    return {
      code: 'cut',
      do: 'Cut square with a wheel cutter',
      why: 'A slanted end leaves part of the socket empty.',
      caution: `${w.Swarf} and the cut end are sharp.`,
    }
  if (RIGID.has(family))
    return {
      code: 'cut',
      do: `Cut square with a fine saw in a ${w.mitre} box, or a wheel cutter made for plastic`,
      why: `A blade that squeezes cracks ${family === 'cpvc' ? 'CPVC' : 'PVC'} along the pipe, where nobody sees it.`,
      check: 'Square, no crack at the end.',
    }
  return {
    code: 'cut',
    do: 'Cut square with shears',
    why: 'A saw leaves fins that cut the seal.',
    check: 'Square to the eye all round.',
  }
}
export const ream: DraftStep = {
  code: 'ream',
  do: 'Ream the inside',
  why: 'The burr narrows the bore and wears the pipe downstream.',
}
export const deburr = (what: string): DraftStep => ({ code: 'deburr', do: 'Deburr the outside', why: what })
export const mark = (card: Card): DraftStep => ({
  code: 'mark',
  do: `Mark ${depth(card)} from the end, right round`,
  why: 'The mark tells that it went home, and that it stayed.',
  check: card.insertion.fromEnd === null ? 'Offer the fitting alongside: no figure is held.' : undefined,
})
export const liner: DraftStep = {
  code: 'liner',
  do: 'Push the liner in to its flange',
  why: 'Without it the soft pipe gives way under the grip.',
  check: 'Flange flat on the pipe end.',
}

/** Plastic with O-rings inside it: a sharp or oval edge would cut them. */
export const bevel: DraftStep = {
  code: 'deburr',
  do: 'Calibrate and bevel the end',
  why: 'An uncalibrated end tears the O-ring.',
  check: 'A clean bevel all round.',
}

/** How far a nut was turned, as a question to the hand that turned it: typical, the fitting's own paper decides. */
export const turnsAsk = (words: string, { lo, hi }: { lo: number; hi: number }): { ask: Ask } => ({
  ask: { what: 'nut-turns', words, lo, hi, unit: 'turns', source: 'typical, trade practice', isFirm: false },
})

/** Where the ring of an end lies, as a question to the hand that set it. */
export function ringAsk(ring: Figure | null): { ask?: Ask } {
  return ring?.lo == null || ring.hi === null
    ? {}
    : {
        ask: {
          what: 'ring-distance',
          words: 'Ring from the pipe end',
          lo: ring.lo,
          hi: ring.hi,
          unit: 'mm',
          source: ring.source,
          isFirm: true,
        },
      }
}

/** Where a ring lies, from the pipe end, in words. */
export function ringBand(card: Card, ring: Figure | null): string {
  return ring?.lo == null || ring.hi === null
    ? "by the fitting's paper"
    : `${formatLength(ring.lo, system(card))} to ${formatLength(ring.hi, system(card))}`
}
