import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { bendOf, findPipe, getPipe, PIPES, type Pipe } from '#core/catalogue'
import {
  angleBetween,
  layLine,
  type Direction,
  type LineEnd,
  type LineLeg,
  type LineQuestion,
  type LineStart,
  type Wall,
} from '#core/line'
import { spoken } from '#core/speech'
import { expandLeg } from './expand'
import { readLeg, readStart } from './leg'
import type { EndWord, RunDraft, RunHead, RunRow, RunSurroundings, TypedLeg } from './types'

/** Most legs of one run. */
export const MOST_RUN_LEGS = 500

/** Letters of points in order: A to Z without I and O, which look like figures; then AA and so on. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ'
export const pointLetter = (index: number): string =>
  (index < ALPHABET.length ? '' : ALPHABET[Math.floor(index / ALPHABET.length) - 1]!) +
  ALPHABET[index % ALPHABET.length]!

/** A pipe of another size in the series of the run's own. */
const sizeIn =
  (pipe: Pipe) =>
  (nominal: string): string | null =>
    PIPES.find((one) => one.series === pipe.series && one.nominal === nominal)?.id ?? null

const isNear = (angle: number, to: number) => Math.abs(angle - to) < 0.5

/** What a leg ends in where nothing is said: by the legs that go on from there. */
function usualEnd(
  leg: TypedLeg,
  children: readonly TypedLeg[],
  pipe: Pipe,
  childPipes: readonly Pipe[],
  corners: RunHead['corners'],
): EndWord {
  if (children.length === 0) return 'free'
  const angles = children.map(({ to }) => angleBetween(leg.to.vector, to.vector))
  if (children.length > 1)
    return angles.some((angle) => isNear(angle, 0)) || angles.length > 2 ? 'tee-run' : 'tee-branch'
  const angle = angles[0]!
  if (isNear(angle, 0)) return childPipes[0]!.od === pipe.od ? 'coupling' : 'reducer'
  const isOnePipe = childPipes[0]!.id === pipe.id
  if (corners === 'bends' && isOnePipe && bendOf(pipe)) return 'bend'
  if (isNear(angle, 90)) return 'elbow-90'
  return isNear(angle, 45) ? 'elbow-45' : 'bend'
}

const endOf = (word: EndWord, { takeOut, depth, method }: Pick<TypedLeg, 'takeOut' | 'depth' | 'method'>): LineEnd => {
  const given = { ...(takeOut === null ? {} : { takeOut }), ...(depth === null ? {} : { insertion: depth }) }
  if (word === 'bend' || word === 'free') return { kind: word }
  if (word === 'stop' || word === 'face') return { kind: word, ...(depth === null ? {} : { insertion: depth }) }
  return { kind: 'fitting', fitting: word, ...given, ...(method === null ? {} : { method }) }
}

const DIRECTIONS: Readonly<Record<string, Direction>> = {
  e: 'right',
  w: 'left',
  n: 'away',
  s: 'toward',
  u: 'up',
  d: 'down',
}

function readWalls({ walls, region, pipe }: RunHead): { walls: Wall[]; issues: Issue[] } {
  const read = walls.map((text, i): Result<Wall> => {
    // A wall is written as a leg is: which way, how far; then how thick.
    const [, head, thick] = /^(\S+\s+\S+(?:\s+(?:in|mm|cm|m|ft))?)\s+(.+)$/.exec(text.trim()) ?? []
    const at = head ? readLeg(head, region, `walls.${i}`, sizeIn(getPipe(pipe))) : null
    const through = thick ? readLeg(`e ${thick}`, region, `walls.${i}`, () => null) : null
    if (!at?.ok || !through?.ok || at.value.to.letters.length !== 1)
      return fail(
        'not-understood',
        `walls.${i}`,
        `"${text.slice(0, 30)}" is not a wall. Accepted: which way, how far, how thick, such as e 900 100.`,
      )
    return ok({ to: DIRECTIONS[at.value.to.letters]!, at: at.value.length.mm, thick: through.value.length.mm })
  })
  return {
    walls: read.flatMap((one) => (one.ok ? [one.value] : [])),
    issues: read.flatMap((one) => (one.ok ? [] : [one.error])),
  }
}

/** What a message of the line verb says, without the place it names: the row says that. */
export const plainMessage = (found: Issue): string => {
  const words = found.message.replace(/^legs\.\d+(?:\.\w+)*: /, '')
  return words.charAt(0).toUpperCase() + words.slice(1)
}

interface Read {
  leg: TypedLeg
  parent: number | null
  pipe: Pipe
}

/** Reads every leg in order; each that can not be read, or hangs on one that could not, has an issue instead. */
function readRows(head: RunHead, texts: readonly string[]): Result<Read>[] {
  const run = getPipe(head.pipe)
  const reads: Result<Read>[] = []
  for (const [i, text] of texts.entries()) {
    const leg = readLeg(text, head.region, `legs.${i}`, sizeIn(run))
    if (!leg.ok) {
      reads.push(leg)
      continue
    }
    const { from } = leg.value
    const at = from === null ? i - 1 : texts.findIndex((_, k) => pointLetter(k + 1) === from)
    const wrong = from !== null && (from === 'A' ? i > 0 : at < 0 || at >= i)
    if (wrong) {
      reads.push(
        fail(
          'unknown-id',
          `legs.${i}`,
          from === 'A'
            ? 'A is where the run begins. Begin a line of its own for another leg from there.'
            : `There is no point ${from} before this leg. Accepted: ${
                texts
                  .slice(0, i)
                  .map((_, k) => pointLetter(k + 1))
                  .slice(-6)
                  .join(', ') || 'none yet'
              }.`,
        ),
      )
      continue
    }
    const parent = i === 0 ? null : at
    const before = parent === null ? null : reads[parent]!
    if (before && !before.ok)
      reads.push(fail('missing', `legs.${i}`, `Waits for the leg to ${pointLetter(parent! + 1)}.`))
    else {
      const own = leg.value.pipe === null ? null : findPipe(leg.value.pipe, `legs.${i}`)
      reads.push(own && !own.ok ? own : ok({ leg: leg.value, parent, pipe: own?.value ?? before?.value.pipe ?? run }))
    }
  }
  return reads
}

/** The rows' legs as a question, without those left out and what hangs on them. */
function layRows(
  head: RunHead,
  base: Omit<LineQuestion, 'legs'>,
  reads: readonly Result<Read>[],
  out: ReadonlyMap<number, Issue>,
): { rows: RunRow[]; question: LineQuestion } {
  const rows: RunRow[] = []
  const legs: LineLeg[] = []
  const clips: { leg: number; at: number }[] = []
  for (const [i, read] of reads.entries()) {
    const rowAbove = i === 0 ? null : i - 1
    const parent = read.ok ? read.value.parent : rowAbove
    const row: RunRow = {
      text: '',
      from: parent === null ? 'A' : pointLetter(parent + 1),
      to: pointLetter(i + 1),
      leg: read.ok ? read.value.leg : null,
      issue: read.ok ? (out.get(i) ?? null) : read.error,
      legs: null,
    }
    rows.push(row)
    if (!read.ok || row.issue) continue
    const { leg, pipe } = read.value
    const before = parent === null ? null : rows[parent]!
    if (before && before.legs === null) {
      row.issue = issue('missing', `legs.${i}`, `Waits for the leg to ${before.to}.`)
      continue
    }
    const all = reads.flatMap((other, k) => (other.ok && other.value.parent === i ? [{ ...other.value, k }] : []))
    const children = all.filter(({ k }) => !out.has(k))
    const usual = usualEnd(
      leg,
      children.map((child) => child.leg),
      pipe,
      children.map((child) => child.pipe),
      head.corners,
    )
    // A bend whose next leg cannot be made ends there for now.
    const end = leg.end === 'bend' && children.length === 0 && all.length > 0 ? 'free' : (leg.end ?? usual)
    const expanded = expandLeg({
      leg,
      next: children[0]?.leg.to.vector ?? null,
      end: endOf(end, leg),
      name: `${row.from} to ${row.to}`,
      first: legs.length,
      from: before?.legs?.[1] ?? null,
      path: `legs.${i}`,
    })
    if (!expanded.ok) {
      row.issue = expanded.error
      continue
    }
    row.legs = [legs.length, legs.length + expanded.value.legs.length - 1]
    legs.push(
      ...expanded.value.legs.map((one, k) =>
        k > 0
          ? one
          : {
              ...one,
              ...(leg.pipe === null ? {} : { pipe: leg.pipe }),
              ...(leg.method === null ? {} : { method: leg.method }),
            },
      ),
    )
    clips.push(...expanded.value.clips)
  }
  return { rows, question: { ...base, clips, legs } }
}

/**
 * A run as typed, as a question for the line verb. Each row keeps its text; one that cannot be read or made says why, and
 * what does not hang on it is laid all the same.
 */
export const draftRun = spoken(draft)
function draft(head: RunHead, texts: readonly string[], { bender, kit }: RunSurroundings = {}): RunDraft {
  const reads = readRows(head, texts)
  const start = readStart(head.start, head.region)
  const { walls, issues: wallIssues } = readWalls(head)
  const issues = [...(start.ok ? [] : [start.error]), ...wallIssues]
  const base: Omit<LineQuestion, 'legs'> = {
    region: head.region,
    pipe: head.pipe,
    method: head.method,
    ...(bender ? { bender } : {}),
    ...(kit ? { kit } : {}),
    walls,
    start: (start.ok
      ? endOf(start.value.end ?? 'free', { ...start.value, method: null })
      : { kind: 'free' }) as LineStart,
  }
  const out = new Map<number, Issue>()
  for (;;) {
    const { rows, question } = layRows(head, base, reads, out)
    const draft = { rows: rows.map((row, i) => ({ ...row, text: texts[i]! })), issues }
    if (question.legs.length === 0) return { ...draft, question: null }
    const laid = layLine(question)
    if (laid.ok) return { ...draft, question }
    const at = Number(/^legs\.(\d+)/.exec(laid.error.path)?.[1] ?? Number.NaN)
    const row = rows.findIndex(({ legs }) => legs !== null && at >= legs[0] && at <= legs[1])
    if (row < 0)
      return { ...draft, question: null, issues: [...issues, { ...laid.error, message: plainMessage(laid.error) }] }
    out.set(row, { ...laid.error, path: `legs.${row}`, message: plainMessage(laid.error) })
  }
}
