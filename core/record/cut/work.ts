import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { findPipe, getPipe, soldAs } from '#core/catalogue'
import {
  CUTTER_KERF,
  findPlanFault,
  isRight,
  openPieces,
  restOf,
  restsOf,
  slipsOf,
  trueSum,
  type BenchPiece,
  type BenchPlan,
  type BenchSettings,
  type DoneCut,
  type StockRow,
} from '#core/cutting'
import { fillPolicy } from '#core/joints'
import { BEND_SPARE } from '#core/line'
import { piecesOf, plainMessage } from '#core/run'
import { formatDecimal, formatLength, parseLength, type UnitSystem, unitSystemOf, type Region } from '#core/units'
import { length as mm, lengths, speakAll } from '#core/speech'
import type { CutBody, DoneCutBody, FinishBody } from './schema'
import type { Hand, Next } from '../hand'
import { surveyed } from '../line/work'
import type { CutRecord } from './record'
import type { JobRecord } from '../job/record'

/* What each piece of work makes of a cut sheet, asked on the tablet and by the server alike: see `work.ts`. */

/** Why a finished sheet is not changed. */
export const FINISHED: Issue = issue(
  'impossible',
  'cut',
  'This sheet is finished and its rests are on the rack. Begin another for what is still to cut.',
)
/** Why a cut of one plan is not counted for another. */
export const OTHER_PLAN: Issue = issue(
  'impossible',
  'plan',
  'The rest was planned anew meanwhile. Look at the bars as they are now, then enter that cut.',
)

/** Most cut sheets of one job. */
const MOST_CUTS = 100

/** What a piece of a line goes by on every sheet. */
export const pieceKey = (line: string, piece: string): string => `${line}:${piece}`

/** A piece that cannot be cut yet, and why. */
interface WaitingPiece {
  name: string
  why: string
  line: string | null
}
export interface SheetPieces {
  pieces: BenchPiece[]
  waiting: WaitingPiece[]
  issues: Issue[]
  others: string[]
}

/** A length as it was typed that may be left empty. */
function readTyped(text: string, system: UnitSystem, path: string, usual: number): Result<number> {
  if (text.trim() === '') return ok(usual)
  if (/^0+([.,]0*)?$/.test(text.trim())) return ok(0)
  const read = parseLength(text, system, path)
  return read.ok ? ok(read.value.mm) : read
}

/**
 * The pieces of a sheet: of its lines as they are now, and typed ones. What has no length yet waits, with the reason;
 * `others` are pipes of those lines that want a sheet of their own.
 */
export function piecesFor(
  job: JobRecord,
  sheet: Pick<CutBody, 'pipe' | 'sources' | 'extras' | 'spare'>,
  jobs: readonly JobRecord[],
): SheetPieces {
  const system = unitSystemOf(job.region)
  const found: SheetPieces = { pieces: [], waiting: [], issues: [], others: [] }
  const spare = readTyped(sheet.spare, system, 'spare', BEND_SPARE)
  if (!spare.ok) found.issues.push(spare.error)
  sheet.sources.forEach(({ job: id, line: lineId }, i) => {
    const from = id === job.id ? job : jobs.find((one) => one.id === id)
    const line = from?.lines.find((one) => one.id === lineId)
    if (!from || !line) {
      found.issues.push(
        issue(
          'unknown-id',
          `sources.${i}`,
          `sources.${i}: this line is not there any more, or its job is not on this tablet. Take it off the sheet, or open its job once.`,
        ),
      )
      return
    }
    const isHook = fillPolicy(from.policy).bendMark === 'hook'
    const prefix = from === job ? `L${line.number}` : `${from.name.split(' ')[0]} L${line.number}`
    const { draft, survey } = surveyed(from, line)
    for (const wrong of [...draft.issues, ...draft.rows.flatMap((row) => (row.issue ? [row.issue] : []))].slice(0, 1))
      found.waiting.push({ name: prefix, why: plainMessage(wrong), line: line.id })
    if (!survey) return
    for (const { piece } of survey.runs)
      if (!piece.ok) found.waiting.push({ name: prefix, why: plainMessage(piece.error), line: line.id })
    for (const { piece, isGuess } of piecesOf(draft, survey)) {
      if (piece.pipe !== sheet.pipe) {
        if (!found.others.includes(piece.pipe)) found.others.push(piece.pipe)
        continue
      }
      const name = `${prefix} ${piece.id}`
      if (piece.cut === null) {
        found.waiting.push({ name, why: "a fitting's take-out has to be measured first", line: line.id })
        continue
      }
      if (isGuess) {
        found.waiting.push({ name, why: 'a length of it is not measured yet: type it without ~', line: line.id })
        continue
      }
      const bends = piece.marks.flatMap((mark) => (mark.what === 'bend' ? [isHook ? mark.hook : mark.corner] : []))
      const depth = (end: 0 | 1) => (piece.ends[end].into === 'free' ? null : piece.ends[end].insertion)
      found.pieces.push({
        key: pieceKey(line.id, piece.id),
        name,
        length: piece.cut + (bends.length > 0 && spare.ok ? spare.value : 0),
        left: depth(0),
        right: depth(1),
        bends,
        line: line.id,
        job: from.id,
      })
    }
  })
  sheet.extras.forEach((extra, i) => {
    const read = parseLength(extra.length, system, `extras.${i}.length`)
    if (!read.ok) {
      found.issues.push(read.error)
      return
    }
    for (let n = 1; n <= extra.quantity; n++)
      found.pieces.push({
        key: `${extra.id}:${n}`,
        name: `${extra.name || 'piece'}${extra.quantity > 1 ? ` ${n}` : ''}`,
        length: read.value.mm,
        left: null,
        right: null,
        bends: [],
        line: null,
        job: null,
      })
  })
  return found
}

/** Usual shortest rest worth keeping, mm; ours. */
export const USUAL_KEEP_MM = 300

/** A sheet's figures as typed, read; the first that cannot be read is named. */
export function readSheet(
  job: Pick<JobRecord, 'region'>,
  sheet: Pick<CutBody, 'cutter' | 'kerf' | 'keep' | 'prefer' | 'stock'>,
): Result<BenchSettings & { stock: (StockRow & { price: number | null })[] }> {
  const system = unitSystemOf(job.region)
  const kerf = readTyped(sheet.kerf, system, 'kerf', CUTTER_KERF[sheet.cutter].value!)
  if (!kerf.ok) return kerf
  if (kerf.value > 50) return fail('range', 'kerf', `kerf: what one cut takes away, ${lengths(0, 50)}.`)
  const keep = readTyped(sheet.keep, system, 'keep', USUAL_KEEP_MM)
  if (!keep.ok) return keep
  const stock: (StockRow & { price: number | null })[] = []
  for (const [i, row] of sheet.stock.entries()) {
    const length = parseLength(row.length, system, `stock.${i}.length`)
    if (!length.ok) return length
    if (length.value.mm > 100_000)
      return fail(
        'range',
        `stock.${i}.length`,
        `stock.${i}.length: up to ${formatLength(100_000, system)} in one length.`,
      )
    stock.push({ id: row.id, length: length.value.mm, quantity: row.quantity, price: row.price })
  }
  return ok({ kerf: kerf.value, keep: keep.value, prefer: sheet.prefer, stock })
}

/**
 * The stock a sheet of a pipe begins with: that of the last sheet of the same pipe, else the length it is most often
 * sold in.
 */
export function usualStock(
  job: Pick<JobRecord, 'region' | 'cuts'>,
  pipe: string,
  newId: () => string,
): CutBody['stock'] {
  const last = job.cuts.findLast((cut) => cut.pipe === pipe && cut.stock.length > 0)
  if (last) return last.stock.map((row) => ({ ...row }))
  const { length } = soldAs(getPipe(pipe), job.region)
  const typed =
    job.region === 'us' ? `${Math.round(length.value! / 304.8)} ft` : `${formatDecimal(length.value! / 1000, 2)} m`
  return [{ id: newId(), length: typed, quantity: null, price: null }]
}

/** A cut sheet as it is begun, at version 1. */
export function beginCut(id: string, { number, count }: Next, body: CutBody, { at, by }: Hand): Result<CutRecord> {
  if (count >= MOST_CUTS)
    return fail('too-many', 'cuts', `cuts: ${MOST_CUTS} cut sheets are on this job. Use one of them.`)
  return changeCut(
    { ...body, id, number, plan: null, done: [], result: null, version: 1, updatedAt: at, updatedBy: by },
    { pipe: body.pipe },
  )
}

/**
 * A sheet with some fields changed; what is wrong in them is kept as typed. Fails once it is finished, and where another
 * pipe is asked of one that is being cut.
 */
export function changeCut(sheet: CutRecord, changes: Partial<CutBody>): Result<CutRecord> {
  if (sheet.result) return { ok: false, error: FINISHED }
  if (changes.pipe !== undefined) {
    const found = findPipe(changes.pipe, 'pipe')
    if (!found.ok) return found
    if (changes.pipe !== sheet.pipe && sheet.done.length > 0)
      return fail(
        'impossible',
        'pipe',
        'pipe: pieces of this sheet are cut already. Begin another sheet for another pipe.',
      )
  }
  return ok({
    ...sheet,
    ...changes,
    ...(changes.pipe !== undefined && changes.pipe !== sheet.pipe ? { plan: null } : {}),
  })
}

/**
 * A plan taken for a sheet. Fails with `OTHER_PLAN` where bars that were begun are not in it, and where it does not hold
 * or an offcut is promised elsewhere.
 */
export function planCut({ rack }: Pick<JobRecord, 'rack'>, sheet: CutRecord, plan: BenchPlan): Result<CutRecord> {
  if (sheet.result) return { ok: false, error: FINISHED }
  const isThere = (bar: string) => {
    const [was, now] = [sheet.plan, plan].map((one) => one?.bars.find(({ id }) => id === bar))
    return was && now && was.from === now.from && was.stock === now.stock && was.length === now.length
  }
  if (sheet.done.some(({ bar }) => !isThere(bar))) return { ok: false, error: OTHER_PLAN }
  const fault = findPlanFault(plan, sheet.done)
  if (fault) return fail('impossible', 'plan', `plan: it does not hold, ${fault}.`)
  for (const [i, { from, stock, length, id }] of plan.bars.entries()) {
    if (from !== 'rack' || sheet.done.some(({ bar }) => bar === id)) continue
    const offcut = rack.find((one) => one.id === stock)
    const path = `plan.bars.${i}.stock`
    if (!offcut)
      return fail('impossible', path, `An offcut of ${mm(length)} is not on the rack any more. Plan again without it.`)
    if (offcut.promised && offcut.promised.cut !== sheet.id)
      return fail(
        'impossible',
        path,
        `The offcut of ${mm(length)} is promised to ${offcut.promised.name}, sheet C${offcut.promised.number}. Plan again without it.`,
      )
    if (Math.abs(offcut.length - length) > 0.01)
      return fail('impossible', path, `The offcut of ${mm(length)} is ${mm(offcut.length)} by now. Plan again.`)
  }
  return ok({ ...sheet, plan })
}

/** A cut that was made, right or wrong. Entering one twice changes nothing. */
export function enterCut(
  sheet: CutRecord,
  { id, bar, piece, length }: DoneCutBody,
  { at, by }: Hand,
): Result<CutRecord> {
  if (sheet.done.some((cut) => cut.id === id)) return ok(sheet)
  if (sheet.result) return { ok: false, error: FINISHED }
  const [on, wanted] = [
    sheet.plan?.bars.find((one) => one.id === bar),
    sheet.plan?.pieces.find((one) => one.key === piece),
  ]
  if (!sheet.plan || !on || !wanted) return { ok: false, error: OTHER_PLAN }
  // Two hands at one bench: the piece is there, another of it is not wanted.
  if (sheet.done.some((cut) => cut.piece === piece && isRight(sheet.plan!.pieces, cut)))
    return fail('impossible', 'piece', `piece: ${wanted.name} is cut already.`)
  const rest = restOf(on, sheet.done, sheet.plan.kerf)
  if (length > rest + 1)
    return fail('range', 'length', `length: ${mm(length)} is longer than what is left of this bar, ${mm(rest)}.`)
  return ok({ ...sheet, done: [...sheet.done, { id, bar, piece, length, at, by }] })
}

/** The last cut taken back: it was entered by mistake. One whose rest is planned already stays. */
export function takeBackCut(sheet: CutRecord, id: string): Result<CutRecord> {
  const cut = sheet.done.find((one) => one.id === id)
  if (!cut) return ok(sheet)
  if (sheet.result) return { ok: false, error: FINISHED }
  if (sheet.plan?.slips.includes(id))
    return fail('impossible', 'cut', 'The rest is planned from that cut. It stays as it was entered.')
  return ok({ ...sheet, done: sheet.done.filter((one) => one.id !== id) })
}

/** The sheet closed: what was taken, what went to the rack, what is scrap, beside what was planned. */
export function finishCut(
  { rack }: Pick<JobRecord, 'rack'>,
  sheet: CutRecord,
  { kept }: FinishBody,
  { at, by }: Hand,
): Result<CutRecord> {
  if (sheet.result) return ok(sheet)
  const { plan, done } = sheet
  if (!plan || done.length === 0)
    return fail('missing', 'done', 'Nothing is cut yet. Tick a cut first, or take the sheet out.')
  const rests = restsOf(plan, done)
  for (const [i, { id, rest, length }] of kept.entries()) {
    if (rack.some((one) => one.id === id) || kept.findIndex((one) => one.id === id) !== i)
      return fail('impossible', `kept.${i}.id`, `kept.${i}.id: an offcut of this id is there already.`)
    const found = rests.find((one) => one.id === rest)
    if (!found) return fail('unknown-id', `kept.${i}.rest`, `kept.${i}.rest: there is no such rest on this bench.`)
    if (length > found.length + 10)
      return fail(
        'range',
        `kept.${i}.length`,
        `kept.${i}.length: no more than ${mm(found.length)} can be left there. Measure it again.`,
      )
  }
  const sum = trueSum(
    plan,
    done,
    kept.reduce((all, { length }) => all + length, 0),
  )
  return ok({ ...sheet, result: { at, by, sum, first: plan.first, kept, uncut: openPieces(plan.pieces, done).length } })
}

/** How far a sheet is: cuts made of cuts there are; null while it has no plan. */
export const progressOf = ({ plan, done }: Pick<CutRecord, 'plan' | 'done'>): { made: number; of: number } | null =>
  plan && { made: plan.pieces.length - openPieces(plan.pieces, done).length, of: plan.pieces.length }

/**
 * What a plan no longer fits, in words: pieces whose length has changed, that are new or gone, and a wrong cut not
 * planned around.
 */
export function staleness(
  plan: BenchPlan,
  pieces: readonly BenchPiece[],
  done: readonly DoneCut[],
  settings: Pick<BenchSettings, 'kerf' | 'keep'> | null,
  region: Region,
): string[] {
  const now = new Map(pieces.map((piece) => [piece.key, piece]))
  const was = new Map(plan.pieces.map((piece) => [piece.key, piece]))
  const words: string[] = []
  for (const piece of pieces) {
    const before = was.get(piece.key)
    if (!before) words.push(`${piece.name} is new`)
    else if (Math.abs(before.length - piece.length) > 0.05)
      words.push(`${piece.name} is ${mm(piece.length, [before.length])} now, was ${mm(before.length, [piece.length])}`)
  }
  for (const piece of plan.pieces) if (!now.has(piece.key)) words.push(`${piece.name} is not wanted any more`)
  if (settings && settings.kerf !== plan.kerf)
    words.push(`a cut takes ${mm(settings.kerf, [plan.kerf])} now, was ${mm(plan.kerf, [settings.kerf])}`)
  if (settings && settings.keep !== plan.keep) words.push('the shortest rest to keep has changed')
  if (slipsOf(plan, done).some(({ id }) => !plan.slips.includes(id))) words.push('a cut came out wrong')
  return speakAll(words, region)
}

/** A sheet taken out. Fails with `FINISHED` once finished, at `cut` where something was cut for it. */
export function dropCut({ number, done, result }: CutRecord): Result<null> {
  if (result) return { ok: false, error: FINISHED }
  return done.length === 0
    ? ok(null)
    : fail(
        'impossible',
        'cut',
        `cut: ${done.length} of C${number} ${done.length === 1 ? 'is' : 'are'} cut. Take them back first.`,
      )
}
