import { fail, ok, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import { surveyLine, type Survey } from '#core/line'
import { draftRun, piecesOf, type RunDraft, type RunPiece } from '#core/run'
import { benderFor, kitOf } from '../kit/work'
import type { Hand, Next } from '../hand'
import type { LineBody } from './schema'
import type { JobRecord } from '../job/record'
import type { CutRecord } from '../cut/record'
import type { LineRecord } from './record'

/* What each piece of work makes of a line, asked on the tablet and by the server alike: see `work.ts` for joints. */

/** What of a job its lines are worked out by. */
export type LineRules = Pick<JobRecord, 'region' | 'policy' | 'tools' | 'fittings' | 'benders'>

/** Most lines of one job. */
const MOST_LINES = 100

/** What of a line its legs are worked out by. */
type Laid = Omit<LineBody, 'name' | 'fix'>

/**
 * A line with some fields changed. Its legs may be wrong: they are kept as typed. Fails at `pipe` where the catalogue
 * has no such pipe.
 */
export function changeLine(line: LineRecord, changes: Partial<LineBody>): Result<LineRecord> {
  const found = changes.pipe === undefined ? ok(null) : findPipe(changes.pipe, 'pipe')
  return found.ok ? ok({ ...line, ...changes }) : found
}

/** A line as it is begun, at version 1. */
export function beginLine(id: string, next: Next, body: LineBody, { at, by }: Hand): Result<LineRecord> {
  if (next.count >= MOST_LINES)
    return fail(
      'too-many',
      'lines',
      `lines: ${MOST_LINES} lines are on this job. Use one of them, or begin another job.`,
    )
  return changeLine(
    { ...body, id, number: next.number, clips: {}, pulled: {}, version: 1, updatedAt: at, updatedBy: by },
    { pipe: body.pipe },
  )
}

/** A line of a job as the line verb is asked about it: with the job's bender and measured fittings. */
export const draftLine = (rules: LineRules, line: Laid): RunDraft =>
  draftRun({ ...line, region: rules.region }, line.legs, { bender: benderFor(rules, line.pipe), kit: kitOf(rules) })

interface Surveyed {
  draft: RunDraft
  survey: Survey | null
}
/** A line is laid once for as long as nothing of it is changed: most of what is done to one leaves its legs alone. */
const LAID = new WeakMap<readonly string[], { rests: readonly unknown[]; found: Surveyed }>()

/** A line of a job as it was drafted, and as far as it can be laid; `survey` null where no leg can be. */
export function surveyed(rules: LineRules, line: Laid): Surveyed {
  const rests = [
    ...[rules.region, rules.policy, rules.tools, rules.fittings, rules.benders],
    ...[line.pipe, line.method, line.corners, line.start, line.walls],
  ]
  const known = LAID.get(line.legs)
  if (known && rests.every((one, i) => one === known.rests[i])) return known.found
  const draft = draftLine(rules, line)
  const survey = draft.question ? surveyLine(draft.question) : null
  const found = { draft, survey: survey?.ok ? survey.value : null }
  LAID.set(line.legs, { rests, found })
  return found
}

/** The tubes of a line of a job that can be made, with the points they run between. */
export function tubesOf(rules: LineRules, line: Laid): RunPiece[] {
  const { draft, survey } = surveyed(rules, line)
  return survey ? piecesOf(draft, survey) : []
}

/** Whether every leg of a line is understood and can be made. */
export function isLineRight(rules: LineRules, line: Laid): boolean {
  const { draft, survey } = surveyed(rules, line)
  return (
    survey !== null &&
    draft.issues.length === 0 &&
    draft.rows.every(({ issue }) => issue === null) &&
    survey.runs.every(({ piece }) => piece.ok)
  )
}

/** A line taken out. Fails at `line` where a cut sheet takes of it, or something of it was fixed or bent. */
export function dropLine(
  { cuts }: { cuts: readonly Pick<CutRecord, 'number' | 'sources'>[] },
  { id, number, clips, pulled }: LineRecord,
): Result<null> {
  const refuse = (why: string) => fail('impossible', 'line', `line: ${why}`)
  const sheet = cuts.find(({ sources }) => sources.some(({ line }) => line === id))
  if (sheet) return refuse(`C${sheet.number} is cut from L${number}. Take it off that sheet first.`)
  if (Object.values(clips).some(({ at }) => at !== null))
    return refuse(`supports of L${number} are fixed. Take them back first.`)
  if (Object.keys(pulled).length > 0) return refuse(`bends of L${number} are made. Take their steps back first.`)
  return ok(null)
}
