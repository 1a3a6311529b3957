import { surveyLine, type Piece } from '#core/line'
import { unitSystemOf } from '#core/units'
import { length as mm, spoken } from '#core/speech'
import { draftRun } from './run'
import type { RunHead, RunSurroundings, TypedLeg } from './types'
import { withLength } from './write'

/** A change that makes a leg possible again, with what it comes to. */
export interface WayOut {
  name: string
  text: string
  legs: string[]
  cut: number | null
  straight: number | null
}

/** Angles that benders are marked with, steepest first; degrees. */
const ANGLES = [60, 45, 30, 22.5, 15] as const
/** A leg is lengthened in steps of this, mm. */
const STEP_MM = 5

/** A leg's text with its step aside or crossover at another angle. */
function withAngle(text: string, leg: TypedLeg, angle: number): string {
  if (/@\s*[\d.,]+/.test(text)) return text.replace(/@\s*[\d.,]+/, `@ ${angle}`)
  const step = leg.offset ?? leg.over!
  // "at 45" was taken for the angle where it stood alone.
  if (step.at === null && /\bat\s*[\d.,]+/.test(text)) return text.replace(/\bat\s*[\d.,]+/, `@ ${angle}`)
  const after = leg.offset ? leg.offset.set.to : leg.over!.height.to
  return `${text.slice(0, after)} @ ${angle}${text.slice(after)}`
}

const withElbow = (text: string, leg: TypedLeg): string =>
  leg.offset && (leg.offset.angle === 45 || leg.offset.angle === 90) ? `${text} elbows` : text

/**
 * Ways out for a row whose bends do not fit: another angle of its step, elbows for bends, a longer leg; each tried on the
 * whole run and given only where that piece can then be made.
 */
export const findWaysOut = spoken(waysOut)
function waysOut(head: RunHead, texts: readonly string[], row: number, surroundings: RunSurroundings): WayOut[] {
  const { leg } = draftRun(head, texts, surroundings).rows[row] ?? {}
  if (!leg) return []
  const system = unitSystemOf(head.region)
  const tryText = (text: string): Piece | null => {
    const legs = texts.map((one, i) => (i === row ? text : one))
    const { rows, question } = draftRun(head, legs, surroundings)
    const at = rows[row]?.legs?.[0]
    const survey = question && at !== undefined ? surveyLine(question) : null
    const run = survey?.ok ? survey.value.runs.find((one) => one.legs.includes(at!)) : undefined
    return run?.piece.ok ? run.piece.value : null
  }
  const ways: WayOut[] = []
  const offer = (name: string, text: string, words: (piece: Piece) => string) => {
    const piece = text === texts[row] ? null : tryText(text)
    if (piece)
      ways.push({
        name,
        text: words(piece),
        legs: texts.map((one, i) => (i === row ? text : one)),
        cut: piece.cut,
        straight: piece.straights.length > 2 ? Math.min(...piece.straights.slice(1, -1)) : null,
      })
    return piece !== null
  }
  const straightWords = ({ straights }: Piece) =>
    straights.length > 2 ? `${mm(Math.min(...straights.slice(1, -1)))} stays straight between the bends.` : 'It fits.'
  const step = leg.offset ?? leg.over
  if (step) {
    for (const angle of [...ANGLES]
      .filter((one) => one !== step.angle)
      .sort((a, b) => Math.abs(a - step.angle) - Math.abs(b - step.angle))) {
      if (offer(`Bends of ${angle}\u00b0`, withAngle(texts[row]!, leg, angle), straightWords)) break
    }
    if (leg.offset) offer('Elbows, not bends', withElbow(texts[row]!, leg), () => 'Two fittings, no bends.')
    // A larger set leaves more between the bends; the smallest that fits.
    const length = leg.offset?.set ?? leg.over!.height
    for (let more = STEP_MM; more <= 200; more += STEP_MM)
      if (
        offer(
          leg.offset ? 'A larger set' : 'A higher peak',
          withLength(texts[row]!, length, Math.ceil(length.mm / STEP_MM) * STEP_MM + more - STEP_MM, system),
          straightWords,
        )
      )
        break
  } else {
    offer(
      'Elbows, not a bend',
      leg.end === 'bend' ? texts[row]!.replace(/\bbend\b/i, 'elbow') : `${texts[row]!} elbow`,
      () => 'A fitting at the corner.',
    )
    for (let more = STEP_MM; more <= 1000; more += STEP_MM)
      if (
        offer(
          'A longer leg',
          withLength(texts[row]!, leg.length, Math.ceil(leg.length.mm / STEP_MM) * STEP_MM + more - STEP_MM, system),
          straightWords,
        )
      )
        break
  }
  return ways
}
