import { bendCard, type BendCard } from '#core/line'
import { fillPolicy } from '#core/joints'
import { unitSystemOf } from '#core/catalogue'
import type { RunPiece } from '#core/run'
import { tubesOf, type LineRules } from './line-work'
import type { JobRecord, LineRecord } from './types'

/* Pieces of a job that are bent, with what was done of each. */

export interface BentPiece extends RunPiece {
  /** As it stands in an address, such as "L1p2". */
  key: string
  line: LineRecord
  card: BendCard
}

const placeOf = ({ piece }: Pick<BentPiece, 'piece'>, step: number): string => `${piece.id}:${step + 1}`

/** Every piece of a job's lines that has bends and whose length is known, in order. */
export const bentPieces = (job: LineRules & Pick<JobRecord, 'lines' | 'policy'>): BentPiece[] =>
  job.lines.flatMap((line) =>
    tubesOf(job, line).flatMap((tube) => {
      const card = bendCard(tube.piece, fillPolicy(job.policy).bendMark, unitSystemOf(job.region))
      return card ? [{ ...tube, key: `L${line.number}${tube.piece.id}`, line, card }] : []
    }),
  )

/** When a step of a bent piece was done; undefined where it was not, or to other figures than it has now. */
export function pulledAt(bent: BentPiece, step: number): string | undefined {
  const done = bent.line.pulled[placeOf(bent, step)]
  return done?.marks === bent.card.marks ? done.at : undefined
}

/** Whether steps of it were done to figures it no longer has. */
export const isPulledOtherwise = (bent: BentPiece): boolean =>
  bent.card.steps.some((_, step) => {
    const done = bent.line.pulled[placeOf(bent, step)]
    return done !== undefined && done.marks !== bent.card.marks
  })

/** What is done of a line's bends once a step is ticked, or from a step on taken back. */
export function pullStep(bent: BentPiece, step: number, done: boolean, at: string): LineRecord['pulled'] {
  if (done) return { ...bent.line.pulled, [placeOf(bent, step)]: { at, marks: bent.card.marks } }
  const { [placeOf(bent, step)]: _, ...others } = bent.line.pulled
  return others
}
