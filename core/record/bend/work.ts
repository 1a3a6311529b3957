import { fail, ok, type Result, type Steps } from '#core/base'
import { bendCard, failPull, pulledAt, pullStep, type PulledPiece } from '#core/line'
import { fillPolicy } from '#core/joints'
import type { RunPiece } from '#core/run'
import { tubesOf, type LineRules } from '../line/work'
import type { JobRecord } from '../job/record'
import type { Hand } from '../hand'
import type { LineRecord } from '../line/record'
import type { BendBody, BendPlace } from './schema'

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
      const card = bendCard(tube.piece, fillPolicy(job.policy).bendMark, job.region)
      return card ? [{ ...tube, key: `L${line.number}${tube.piece.id}`, line, card }] : []
    }),
  )

/** The same in steps: one for each line, which is laid once for as long as its legs stay. */
export function* bentSteps(job: LineRules & Pick<JobRecord, 'lines' | 'policy'>): Steps<BentPiece[]> {
  for (const line of job.lines) {
    tubesOf(job, line)
    yield
  }
  return bentPieces(job)
}

/** A bent piece of a line and one of its steps; fails at `piece` or `step` where the card has none such. */
function stepOf(rules: LineRules, line: LineRecord, { piece, step }: BendPlace): Result<BentPiece> {
  const bent = bentPieces({ ...rules, lines: [line] }).find((one) => one.piece.id === piece)
  if (!bent) return fail('unknown-id', 'piece', `piece: this line has no bent piece ${piece} whose length is known.`)
  return bent.card.steps[step - 1]
    ? ok(bent)
    : fail(
        'unknown-id',
        'step',
        `step: the card of ${piece} has ${bent.card.steps.length} steps. One of them is accepted.`,
      )
}

/** A step of a bend done. Fails at `marks` where the piece has other figures by now. Done twice it changes nothing. */
export function tickBend(
  rules: LineRules,
  line: LineRecord,
  { marks, ...place }: BendBody,
  { at, by }: Hand,
): Result<LineRecord> {
  const found = stepOf(rules, line, place)
  if (!found.ok) return found
  const bent = found.value
  if (bent.card.marks !== marks)
    return fail('impossible', 'marks', `marks: ${place.piece} has other figures by now. Look at its card again.`)
  return ok(
    pulledAt(bent, place.step - 1) === undefined
      ? { ...line, pulled: pullStep(bent, place.step - 1, { at, by }) }
      : line,
  )
}

/** A step of a bend that is not done after all. */
export function takeBackBend(rules: LineRules, line: LineRecord, place: BendPlace): Result<LineRecord> {
  const key = `${place.piece}:${place.step}`
  if (!(key in line.pulled)) {
    const found = stepOf(rules, line, place)
    return found.ok ? ok(line) : found
  }
  const { [key]: _, ...pulled } = line.pulled
  return ok({ ...line, pulled })
}

/** The check of a step failed: that step, and what was done of the piece after it, are done again. */
export function failBend(rules: LineRules, line: LineRecord, place: BendPlace): Result<LineRecord> {
  const found = stepOf(rules, line, place)
  return found.ok ? ok({ ...line, pulled: failPull(found.value, place.step - 1) }) : found
}
