import { compareText, fail, ok, type Result } from '#core/base'
import { adaptorThreads } from '#core/joints'
import { spoken } from '#core/speech'
import { layLine } from './lay'
import { checkLine } from './checks'
import { LINE_PARTS } from './parts'
import { planPiece, runsOf } from './pieces'
import type { LaidLeg, LineAnswer, LineQuestion, LineWarning, Piece } from './types'

/** An outlet elbow is ordered tube x thread: by the first thread that its tube's adaptors are sold with. */
const withOutlet = ({ sizes, pipe }: LaidLeg): string => {
  const [outlet] = adaptorThreads(pipe)
  return outlet === undefined ? sizes : `${sizes} x ${outlet}`
}

/** Fittings of a line counted by name and size; by name, then size. */
function fittingsOf(question: LineQuestion, laid: readonly LaidLeg[]): LineAnswer['fittings'] {
  const counted = new Map<string, LineAnswer['fittings'][number]>()
  const count = (name: string, nominal: string) => {
    const key = `${name} ${nominal}`
    counted.set(key, { name, nominal, quantity: (counted.get(key)?.quantity ?? 0) + 1 })
  }
  const { start } = question
  if (start.kind === 'fitting')
    count(`${start.method ?? laid[0]!.method} ${LINE_PARTS[start.fitting].order}`, laid[0]!.pipe.nominal)
  for (const leg of laid) {
    const end = question.legs[leg.index]!.end
    if (end.kind !== 'fitting') continue
    const size = end.fitting === 'drop-ear' ? withOutlet(leg) : leg.sizes
    count(`${end.method ?? leg.method} ${LINE_PARTS[end.fitting].order}`, size)
  }
  return [...counted.values()].sort((a, b) => compareText(a.name, b.name) || compareText(a.nominal, b.nominal))
}

function checkClips({ clips = [] }: LineQuestion, laid: readonly LaidLeg[]): Result<null> {
  for (const [i, { leg, at }] of clips.entries()) {
    if (leg >= laid.length)
      return fail(
        'range',
        `clips.${i}.leg`,
        `clips.${i}.leg: there is no leg ${leg}; 0 to ${laid.length - 1} accepted.`,
      )
    if (at > laid[leg]!.length)
      return fail(
        'range',
        `clips.${i}.at`,
        `clips.${i}.at: the leg is ${Math.round(laid[leg]!.length)} long; at most that is accepted.`,
      )
  }
  return ok(null)
}

/** A line as far as it can be worked out: every tube is there, with its piece or why it cannot be made. */
export interface Survey {
  laid: LaidLeg[]
  runs: { legs: number[]; piece: Result<Piece> }[]
  fittings: LineAnswer['fittings']
  warnings: LineWarning[]
}

/**
 * Works a line out piece by piece, so that one that cannot be made does not hide the others. Fails where the line cannot
 * be laid: see `layLine`.
 */
export const surveyLine = spoken(survey)
function survey(question: LineQuestion): Result<Survey> {
  const read = layLine(question)
  if (!read.ok) return read
  const laid = read.value
  const clips = checkClips(question, laid)
  if (!clips.ok) return clips
  const runs = runsOf(laid, question).map((run, i) => ({
    legs: run.map(({ index }) => index),
    piece: planPiece(run, i + 1, question),
  }))
  const pieces = runs.flatMap(({ piece }) => (piece.ok ? [piece.value] : []))
  const hasBends = runs.some(({ legs }) => legs.length > 1)
  const typical: LineWarning[] =
    hasBends && !question.bender
      ? [
          {
            code: 'bender-typical',
            text: 'Bends are worked out for a typical radius. Calibrate your bender before you mark.',
          },
        ]
      : []
  return ok({
    laid,
    runs,
    fittings: fittingsOf(question, laid),
    warnings: [...typical, ...checkLine(question, laid, pieces)],
  })
}

/**
 * A line worked out: cut length and marks of every piece (mm from the cut end nearer the start), fittings, places and
 * warnings. Issue `impossible` at the leg (`legs.2`) where a turn, a bend or a length cannot be made; see `layLine` for
 * the rest. Take-outs and depths: given, then measured in the kit, then typical from the tables, else null.
 */
export const planLine = spoken(plan)
function plan(question: LineQuestion): Result<LineAnswer> {
  const surveyed = survey(question)
  if (!surveyed.ok) return surveyed
  const { laid, runs, fittings, warnings } = surveyed.value
  const pieces: Piece[] = []
  for (const { piece } of runs) {
    if (!piece.ok) return piece
    pieces.push(piece.value)
  }
  return ok({
    pieces,
    fittings,
    warnings,
    total: pieces.every(({ cut }) => cut !== null) ? pieces.reduce((sum, { cut }) => sum + cut!, 0) : null,
    points: [[0, 0, 0], ...laid.map(({ end }) => end)],
  })
}
