import type { BendCard } from './bend-card'

/* How far a piece is bent. A step counts only while the piece has the figures that it was done to. */

/** Steps done of a line's pieces, by piece and step such as "p2:3", with the figures they were done to. */
export type Pulled = Readonly<Record<string, { at: string; marks: string; by?: string }>>

/** A piece with its card, and what was done of its line's pieces. */
export interface PulledPiece {
  piece: { id: string }
  card: BendCard
  line: { pulled: Pulled }
}

const placeOf = ({ piece }: PulledPiece, step: number): string => `${piece.id}:${step + 1}`

/** When a step was done; undefined where it was not, or to other figures than the piece has now. */
export function pulledAt(bent: PulledPiece, step: number): string | undefined {
  const done = bent.line.pulled[placeOf(bent, step)]
  return done?.marks === bent.card.marks ? done.at : undefined
}

/** The first step that is not done; -1 where the piece is bent. */
export const nextPull = (bent: PulledPiece): number =>
  bent.card.steps.findIndex((_, step) => pulledAt(bent, step) === undefined)

/** Whether steps of it were done to figures it no longer has. */
export const isPulledOtherwise = (bent: PulledPiece): boolean =>
  bent.card.steps.some((_, step) => {
    const done = bent.line.pulled[placeOf(bent, step)]
    return done !== undefined && done.marks !== bent.card.marks
  })

/** A line's steps once one of them is done by a hand at a time, ISO 8601. */
export const pullStep = (
  bent: PulledPiece,
  step: number,
  { at, by }: { at: string; by: string },
): Record<string, Pulled[string]> => ({
  ...bent.line.pulled,
  [placeOf(bent, step)]: { at, marks: bent.card.marks, by },
})

/** A line's steps once the check of one failed: that step, and what was done of the piece after it, are done again. */
export function failPull(bent: PulledPiece, step: number): Record<string, Pulled[string]> {
  const again = new Set(bent.card.steps.map((_, i) => placeOf(bent, i)).slice(step))
  return Object.fromEntries(Object.entries(bent.line.pulled).filter(([place]) => !again.has(place)))
}
