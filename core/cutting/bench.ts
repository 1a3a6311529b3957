import { TOUCHING, type CutAnswer, type CutQuestion } from './types'

/*
 * The plan as it stands on the bench: bars with the pieces in them, and what was really cut. A wrong cut is a piece of its
 * own from which others may come; the rest is planned again from what lies there. Lengths in mm.
 */

/** A cut this far off is the piece that was wanted, mm; ours: no joint's depth is read closer by eye. */
const CUT_TOLERANCE = 1

/** A piece to be cut, with what is marked on it. */
export interface BenchPiece {
  /** Same for the same piece of the same line, so that it is known again when the line changes. */
  key: string
  name: string
  length: number
  /** Insertion depth at each end; null where nothing is entered. */
  left: number | null
  right: number | null
  /** Pencil marks of its bends from the left end. */
  bends: number[]
  /** Line and job it comes from; null for one typed at the bench. */
  line: string | null
  job: string | null
}

/** A bar as it lies there: a new length, an offcut by its id on the rack, or a wrong cut by the id of its entry. */
export interface BenchBar {
  id: string
  from: 'new' | 'rack' | 'slip'
  /** Row of the stock, offcut or entry it is. */
  stock: string
  length: number
  /** Keys, in the order they are cut. */
  pieces: string[]
}

/** A cut that was made: the piece that was wanted, and the length it came to. */
export interface DoneCut {
  id: string
  bar: string
  piece: string
  length: number
  at: string
  by: string
}

/**
 * What stock is taken, what becomes of it, mm. `kept` goes to the rack; `scrap` holds kerf and rests too short to keep.
 */
export interface CutSum {
  taken: number
  pieces: number
  kept: number
  scrap: number
}

export interface BenchPlan {
  id: string
  pieces: BenchPiece[]
  bars: BenchBar[]
  kerf: number
  /** Shortest rest that is kept. */
  keep: number
  /** New lengths the plan takes in all, and the proven least from what lay there. */
  used: number
  bound: number
  optimal: boolean
  /** How the bound was proved. */
  how: string
  /** Wrong cuts that it was planned around, by their entries. */
  slips: string[]
  /** The sum as it was first planned, before anything was cut. */
  first: CutSum
}

export interface StockRow {
  id: string
  length: number
  quantity: number | null
}
export interface RackRow {
  id: string
  length: number
}
export interface BenchSettings {
  kerf: number
  keep: number
  prefer: 'longest-left' | 'least-waste'
}

const pieceIn = (plan: BenchPlan, key: string): BenchPiece | undefined => plan.pieces.find((piece) => piece.key === key)
/** Whether a cut came to the piece that was wanted of it. */
export function isRight(pieces: readonly BenchPiece[], { piece, length }: Pick<DoneCut, 'piece' | 'length'>): boolean {
  const wanted = pieces.find(({ key }) => key === piece)
  return wanted !== undefined && Math.abs(wanted.length - length) <= CUT_TOLERANCE + TOUCHING
}
const cutsOf = (done: readonly DoneCut[], bar: string): DoneCut[] => done.filter((cut) => cut.bar === bar)

/** What is left of a bar after what was cut off it; the whole bar where nothing was. */
export const restOf = (bar: Pick<BenchBar, 'id' | 'length'>, done: readonly DoneCut[], kerf: number): number =>
  Math.max(
    0,
    cutsOf(done, bar.id).reduce((rest, { length }) => rest - length - kerf, bar.length),
  )

/** Wrong cuts: pieces that lie there and belong nowhere. */
export const slipsOf = (plan: Pick<BenchPlan, 'pieces'>, done: readonly DoneCut[]): DoneCut[] =>
  done.filter((cut) => !isRight(plan.pieces, cut))

const openBars = (plan: BenchPlan, done: readonly DoneCut[]): BenchBar[] =>
  plan.bars.filter(({ id }) => cutsOf(done, id).length > 0)

/** Pieces of which none is cut yet. */
export const openPieces = (pieces: readonly BenchPiece[], done: readonly DoneCut[]): BenchPiece[] =>
  pieces.filter(({ key }) => !done.some((cut) => cut.piece === key && isRight(pieces, cut)))

/**
 * What the verb is asked: the pieces that are not cut yet, from what lies open on the bench, the rack and new lengths.
 * What is open counts as an offcut: it is taken already.
 */
export function cutQuestion(
  pieces: readonly BenchPiece[],
  stock: readonly StockRow[],
  rack: readonly RackRow[],
  before: BenchPlan | null,
  done: readonly DoneCut[],
  settings: BenchSettings,
): CutQuestion {
  const lying: CutQuestion['stock'][number][] = []
  const opened = before ? openBars(before, done) : []
  if (before) {
    for (const bar of opened)
      lying.push({ id: bar.id, length: restOf(bar, done, settings.kerf), quantity: 1, offcut: true })
    for (const { id, length } of slipsOf({ pieces: [...pieces] }, done))
      if (!opened.some((bar) => bar.id === id)) lying.push({ id, length, quantity: 1, offcut: true })
  }
  const taken = (from: BenchBar['from'], id: string) =>
    opened.filter((bar) => bar.from === from && bar.stock === id).length
  return {
    stock: [
      ...lying.filter(({ length }) => length > TOUCHING),
      ...rack
        .filter(({ id }) => taken('rack', id) === 0)
        .map(({ id, length }) => ({ id, length, quantity: 1, offcut: true })),
      ...stock.map(({ id, length, quantity }) => ({
        id,
        length,
        ...(quantity === null ? {} : { quantity: Math.max(0, quantity - taken('new', id)) }),
      })),
    ],
    kerf: settings.kerf,
    keep: settings.keep,
    prefer: settings.prefer,
    pieces: openPieces(pieces, done).map(({ key, length }) => ({ id: key, length, quantity: 1 })),
  }
}

function barFrom(isSlip: boolean, isOffcut: boolean): BenchBar['from'] {
  if (isSlip) return 'slip'
  return isOffcut ? 'rack' : 'new'
}

/**
 * The answer as bars on the bench: those that are open keep their name and what was cut off them. `id` names the plan,
 * and its new bars after it.
 */
export function takeAnswer(
  id: string,
  answer: CutAnswer,
  pieces: readonly BenchPiece[],
  stock: readonly StockRow[],
  rack: readonly RackRow[],
  before: BenchPlan | null,
  done: readonly DoneCut[],
  settings: BenchSettings,
): BenchPlan {
  const opened = before ? openBars(before, done) : []
  const right = (bar: string) =>
    cutsOf(done, bar)
      .filter((cut) => isRight(pieces, cut))
      .map(({ piece }) => piece)
  const bars: BenchBar[] = opened.map((bar) => ({
    ...bar,
    pieces: [...right(bar.id), ...(answer.bars.find(({ stock: own }) => own === bar.id)?.pieces ?? [])],
  }))
  answer.bars.forEach((bar, i) => {
    if (opened.some((open) => open.id === bar.stock)) return
    const slip = done.find((cut) => cut.id === bar.stock)
    const offcut = rack.find((row) => row.id === bar.stock)
    const row = stock.find((one) => one.id === bar.stock)
    bars.push({
      id: slip ? slip.id : `${id.slice(0, 30)}-${i + 1}`,
      from: barFrom(slip !== undefined, offcut !== undefined),
      stock: bar.stock,
      length: (slip ?? offcut ?? row)!.length,
      pieces: [...bar.pieces],
    })
  })
  const opens = opened.filter(({ from }) => from === 'new').length
  const plan: BenchPlan = {
    id,
    pieces: [...pieces],
    bars,
    kerf: settings.kerf,
    keep: settings.keep,
    used: opens + answer.used,
    bound: opens + answer.bound,
    optimal: answer.optimal,
    how: answer.working.at(-1)?.text.replace(/^.*: /, '') ?? '',
    slips: [],
    first: { taken: 0, pieces: 0, kept: 0, scrap: 0 },
  }
  return {
    ...plan,
    slips: slipsOf(plan, done).map((cut) => cut.id),
    first: before && done.length > 0 ? before.first : sumOf(plan, done),
  }
}

/** What a bar is called on the bench: new lengths are counted, an offcut goes by its place. */
export function barWords(bar: BenchBar, plan: BenchPlan, rack: readonly { id: string; place: string }[]): string {
  if (bar.from === 'new')
    return `length ${plan.bars.filter(({ from }) => from === 'new').findIndex(({ id }) => id === bar.id) + 1}`
  if (bar.from === 'slip') return 'wrong cut'
  const place = rack.find(({ id }) => id === bar.stock)?.place
  return place ? `offcut, ${place}` : 'offcut'
}

/** One cut of the list: which piece off which bar, between which marks from the bar's left end. */
export interface CutRow {
  number: number
  bar: BenchBar
  piece: BenchPiece
  length: number
  from: number
  to: number
  /** The entry where it was made. */
  done: DoneCut | null
  /** Made, and not what was wanted. */
  isSlip: boolean
}

/** Every cut in the order it is made: bar by bar, what was made first. */
export function cutRows(plan: BenchPlan, done: readonly DoneCut[]): CutRow[] {
  const rows: CutRow[] = []
  for (const bar of plan.bars) {
    let at = 0
    const add = (piece: BenchPiece, length: number, cut: DoneCut | null) => {
      rows.push({
        number: rows.length + 1,
        bar,
        piece,
        length,
        from: at,
        to: at + length,
        done: cut,
        isSlip: cut !== null && !isRight(plan.pieces, cut),
      })
      at += length + plan.kerf
    }
    for (const cut of cutsOf(done, bar.id))
      add(
        pieceIn(plan, cut.piece) ?? {
          key: cut.piece,
          name: 'a piece no more wanted',
          length: cut.length,
          left: null,
          right: null,
          bends: [],
          line: null,
          job: null,
        },
        cut.length,
        cut,
      )
    for (const key of bar.pieces) {
      const piece = pieceIn(plan, key)
      if (piece && !cutsOf(done, bar.id).some((cut) => cut.piece === key && isRight(plan.pieces, cut)))
        add(piece, piece.length, null)
    }
  }
  return rows
}

/** What is left of a bar once the plan is cut, mm. */
export const plannedRest = (bar: BenchBar, plan: BenchPlan, done: readonly DoneCut[]): number =>
  cutRows({ ...plan, bars: [bar] }, done).reduce(
    (rest, { length }) => Math.max(0, rest - length - plan.kerf),
    bar.length,
  )

/** Stock that a plan takes, mm, and what becomes of it when it is cut as planned from here on. */
export function sumOf(plan: BenchPlan, done: readonly DoneCut[]): CutSum {
  const isSlipUsed = (id: string) => plan.bars.some((bar) => bar.id === id)
  const taken = plan.bars.reduce((sum, { from, length }) => (from === 'slip' ? sum : sum + length), 0)
  const rests = [
    ...plan.bars.map((bar) => plannedRest(bar, plan, done)),
    ...slipsOf(plan, done)
      .filter(({ id }) => !isSlipUsed(id))
      .map(({ length }) => length),
  ]
  const pieces = cutRows(plan, done).reduce((sum, { length, isSlip }) => (isSlip ? sum : sum + length), 0)
  const kept = rests.reduce((sum, rest) => (rest >= plan.keep ? sum + rest : sum), 0)
  return { taken, pieces, kept, scrap: taken - pieces - kept }
}

/** A rest that lies on the bench at the end: of a bar that was begun, or a wrong cut no other piece came from. */
export interface Rest {
  id: string
  of: 'bar' | 'slip'
  length: number
}

/** What lies there once the work stops: bars never begun go back whole and are not among it. */
export function restsOf(plan: BenchPlan, done: readonly DoneCut[]): Rest[] {
  const opened = openBars(plan, done)
  return [
    ...opened.map((bar): Rest => ({ id: bar.id, of: 'bar', length: restOf(bar, done, plan.kerf) })),
    ...slipsOf(plan, done)
      .filter(({ id }) => !opened.some((bar) => bar.id === id))
      .map(({ id, length }): Rest => ({ id, of: 'slip', length })),
  ].filter(({ length }) => length > TOUCHING)
}

/** The true sum: the bars that were begun, the pieces that were cut, what went to the rack, mm. */
export function trueSum(plan: BenchPlan, done: readonly DoneCut[], kept: number): CutSum {
  const taken = openBars(plan, done).reduce((sum, { from, length }) => (from === 'slip' ? sum : sum + length), 0)
  const pieces = done.reduce((sum, cut) => (isRight(plan.pieces, cut) ? sum + cut.length : sum), 0)
  return { taken, pieces, kept, scrap: taken - pieces - kept }
}

/** What is wrong with a plan as it is to be saved, in words; null where it holds: every piece once, no bar overfull. */
export function findPlanFault(plan: BenchPlan, done: readonly DoneCut[]): string | null {
  const lengths = new Map(plan.pieces.map(({ key, length }) => [key, length]))
  if (lengths.size !== plan.pieces.length) return 'two pieces of one name'
  const placed = plan.bars.flatMap(({ pieces }) => pieces)
  if (new Set(placed).size !== placed.length) return 'a piece in two bars'
  if (placed.some((key) => !lengths.has(key))) return 'a piece that is not among its pieces'
  const open = new Set(openPieces(plan.pieces, done).map(({ key }) => key))
  if ([...open].some((key) => !placed.includes(key))) return 'a piece in no bar'
  if (new Set(plan.bars.map(({ id }) => id)).size !== plan.bars.length) return 'two bars of one name'
  for (const bar of plan.bars) {
    const rows = cutRows({ ...plan, bars: [bar] }, done)
    if (
      rows.reduce((sum, { length }) => sum + length, (rows.length - 1) * plan.kerf) >
      bar.length + CUT_TOLERANCE * rows.length
    )
      return `bar ${bar.id} overfull`
  }
  return null
}
