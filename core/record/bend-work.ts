import { bendCard, type PulledPiece } from '#core/line'
import { fillPolicy } from '#core/joints'
import { unitSystemOf } from '#core/catalogue'
import type { RunPiece } from '#core/run'
import { tubesOf, type LineRules } from './line-work'
import type { JobRecord, LineRecord } from './types'

/** A piece that is bent, with its line and its card. */
export interface BentPiece extends RunPiece, Pick<PulledPiece, 'card'> {
  /** As it stands in an address, such as "L1p2". */
  key: string
  line: LineRecord
}

/** Every piece of a job's lines that has bends and whose length is known, in order. */
export const bentPieces = (job: LineRules & Pick<JobRecord, 'lines' | 'policy'>): BentPiece[] =>
  job.lines.flatMap((line) =>
    tubesOf(job, line).flatMap((tube) => {
      const card = bendCard(tube.piece, fillPolicy(job.policy).bendMark, unitSystemOf(job.region))
      return card ? [{ ...tube, key: `L${line.number}${tube.piece.id}`, line, card }] : []
    }),
  )
