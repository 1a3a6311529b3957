import { getPipe } from '#core/catalogue'
import { paperFor, type Paper } from '#core/gauges'
import { arcOfBend, projectIsometric, type Survey } from '#core/line'
import { markRows, type RunDraft, type RunPiece } from '#core/run'
import {
  formatDecimal,
  formatLength,
  MM_PER_INCH,
  tickRank,
  type Region,
  type UnitSystem,
  unitSystemOf,
} from '#core/units'
import { onTape } from '../exports/tape'
import { FOOT_MM, printSheets, TOP_MM, type Board, type Fonts } from './sheet'

/** A length as the tape of the region reads it. */
type Say = (mm: number) => string

/** Height of a strip with its words and tape, mm; the pipe's drawn height is held to `pipe`. */
const ROW = { height: 46, pipe: 24, tape: 9 } as const
const LINE_MM = 5
/** Columns of the marks table, mm from the margin. */
const COLUMNS = {
  piece: 0,
  points: 14,
  what: 38,
  at: 66,
  hook: 96,
  corner: 122,
  angle: 148,
  turn: 168,
  note: 188,
} as const

/** The largest of 1:1, 1:2, 1:5, 1:10, 1:20 at which a length fits, mm. */
const stateScale = (length: number, room: number): number =>
  [1, 2, 5, 10, 20, 50, 100].find((part) => length / part <= room) ?? 200

/**
 * The tape below a strip by how many times it is drawn smaller: mm a tick, how many to a middle one and to a long one,
 * and the figure of a long one. mm, or inches down to sixteenths.
 */
interface TapeStep {
  most: number
  step: number
  middle: number
  long: number
  figure: (mm: number) => string
}
const IN_MM = (mm: number): string => String(Math.round(mm))
const IN_INCHES = (mm: number): string => String(Math.round(mm / MM_PER_INCH))
const TAPES: Readonly<Record<UnitSystem, readonly TapeStep[]>> = {
  metric: [
    { most: 1, step: 1, middle: 5, long: 10, figure: IN_MM },
    { most: 2, step: 5, middle: 5, long: 10, figure: IN_MM },
    { most: 10, step: 10, middle: 5, long: 10, figure: IN_MM },
    { most: Infinity, step: 100, middle: 5, long: 10, figure: IN_MM },
  ],
  inch: [
    { most: 1, step: MM_PER_INCH / 16, middle: 8, long: 16, figure: IN_INCHES },
    { most: 2, step: MM_PER_INCH / 8, middle: 4, long: 8, figure: IN_INCHES },
    { most: 10, step: MM_PER_INCH, middle: 6, long: 12, figure: IN_INCHES },
    { most: Infinity, step: 12 * MM_PER_INCH, middle: 5, long: 10, figure: IN_INCHES },
  ],
}
const TICK_LENGTH = { long: 4, middle: 3, short: 2 } as const

/** One piece to scale: pipe, marks right across, the region's tape below. */
function drawStrip(board: Board, { piece, from, to }: RunPiece, y: number, paper: Paper, region: Region, say: Say) {
  const pipe = getPipe(piece.pipe)
  const left = paper.margin
  if (piece.cut === null) {
    board.text(`${piece.id}, ${from} to ${to}, ${pipe.label}: no cut until its fitting is measured`, left, y + 6, {
      size: 3.6,
    })
    return
  }
  const part = stateScale(piece.cut, paper.width - 2 * paper.margin)
  const x = (mm: number) => left + mm / part
  const half = Math.min(ROW.pipe, pipe.od / part) / 2
  const cy = y + 14 + half
  board.text(
    `${piece.id}, ${from} to ${to}, ${pipe.label}, cut ${formatLength(piece.cut, unitSystemOf(region))}`,
    left,
    y + 4,
    { size: 3.6, bold: true },
  )
  board.text(part === 1 ? 'true size: cut out, lay along the pipe' : `1:${part}`, paper.width - paper.margin, y + 4, {
    size: 3,
    align: 'right',
  })
  board.outline(
    [
      [x(0), cy - half],
      [x(piece.cut), cy - half],
      [x(piece.cut), cy + half],
      [x(0), cy + half],
    ],
    0.4,
  )
  piece.marks.forEach((mark, i) => {
    const at = mark.what === 'bend' ? mark.hook : mark.at
    board.line(x(at), cy - half - 3, x(at), cy + half + 2, mark.what === 'clip' ? 0.25 : 0.6)
    if (mark.what === 'bend') board.line(x(mark.at), cy, x(mark.at + arcOfBend(mark)), cy, 0.3)
    board.text(
      mark.what === 'bend' ? `${say(at)} bend ${formatDecimal(mark.angle, 1)}°` : `${say(at)} ${mark.what}`,
      x(at) + 0.6,
      cy - half - (i % 2 === 0 ? 1.5 : 4.6),
      { size: 2.6, isOver: true },
    )
  })
  const tape = cy + half + 3
  board.line(x(0), tape, x(piece.cut), tape, 0.2)
  const { step, middle, long, figure } = TAPES[unitSystemOf(region)].find(({ most }) => part <= most)!
  for (let count = 0; count * step <= piece.cut; count += 1) {
    const mm = count * step
    const rank = tickRank(count, long, middle)
    const isLong = rank === 'long'
    board.line(x(mm), tape, x(mm), tape + TICK_LENGTH[rank], isLong ? 0.25 : 0.12)
    if (isLong && mm > 0 && x(piece.cut) - x(mm) > 12) board.text(figure(mm), x(mm) + 0.5, tape + 6, { size: 2.4 })
  }
  board.line(x(piece.cut), cy - half - 3, x(piece.cut), tape + 5, 0.6)
  board.text(say(piece.cut), x(piece.cut) - 0.6, tape + 8.6, { size: 3, bold: true, align: 'right' })
}

/** The run in isometric with letters and lengths, as large as a plain scale allows. */
function drawIsometric(board: Board, { rows }: RunDraft, { laid }: Survey, paper: Paper, say: Say) {
  const places = [[0, 0, 0] as const, ...laid.map(({ end }) => end)].map(projectIsometric)
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)]
  const [roomX, roomY] = [paper.width - 2 * paper.margin - 30, paper.height - 2 * paper.margin - TOP_MM - FOOT_MM - 16]
  const part = Math.max(
    1,
    Math.max((Math.max(...xs) - Math.min(...xs)) / roomX, (Math.max(...ys) - Math.min(...ys)) / roomY),
  )
  const at = (i: number): [number, number] => [
    paper.margin + 10 + (places[i]![0] - Math.min(...xs)) / part,
    paper.margin + TOP_MM + 8 + (places[i]![1] - Math.min(...ys)) / part,
  ]
  laid.forEach((leg, i) => board.line(...at(leg.parent === null ? 0 : leg.parent + 1), ...at(i + 1), 0.9))
  board.text('A', at(0)[0] - 4, at(0)[1], { size: 4, bold: true, isOver: true })
  for (const row of rows) {
    if (!row.legs) continue
    const [x, y] = at(row.legs[1] + 1)
    board.text(row.leg?.name ? `${row.to} ${row.leg.name}` : row.to, x + 2, y - 1.5, {
      size: 4,
      bold: true,
      isOver: true,
    })
    const [x0, y0] = at(laid[row.legs[0]]!.parent === null ? 0 : laid[row.legs[0]]!.parent! + 1)
    board.text(say(row.leg!.length.mm), (x + x0) / 2, (y + y0) / 2 - 1, { size: 3.6, align: 'middle', isOver: true })
  }
  board.text(
    `isometric, 1:${formatDecimal(part, 1)} along each axis; lengths as measured`,
    paper.margin,
    paper.height - paper.margin - FOOT_MM + 1,
    { size: 3 },
  )
}

function drawTable(board: Board, rows: ReturnType<typeof markRows>, paper: Paper, say: Say) {
  const x = (column: keyof typeof COLUMNS) => paper.margin + COLUMNS[column]
  const top = paper.margin + TOP_MM + 4
  for (const [column, words] of [
    ['piece', 'piece'],
    ['points', 'from, to'],
    ['what', 'mark'],
    ['at', 'at'],
    ['hook', 'hook edge'],
    ['corner', 'corner'],
    ['angle', 'angle'],
    ['turn', 'turn'],
    ['note', ''],
  ] as const)
    board.text(words, x(column), top, { size: 3 })
  board.line(paper.margin, top + 1.5, paper.width - paper.margin, top + 1.5, 0.25)
  const figure = (value: number | null) => (value === null ? '' : say(value))
  const degrees = (value: number | null) => (value === null ? '' : formatDecimal(value, 1))
  rows.forEach((row, i) => {
    const y = top + 6 + i * LINE_MM
    const isCut = row.what === 'cut'
    board.text(row.piece, x('piece'), y, { size: 3.2, bold: isCut })
    board.text(`${row.from}, ${row.to}`, x('points'), y, { size: 3.2 })
    board.text(row.what, x('what'), y, { size: 3.2, bold: isCut })
    board.text(row.at === null ? '?' : figure(row.at), x('at'), y, { size: 3.6, bold: true })
    board.text(figure(row.hook), x('hook'), y, { size: 3.4 })
    board.text(figure(row.corner), x('corner'), y, { size: 3.4 })
    board.text(degrees(row.angle), x('angle'), y, { size: 3.2 })
    board.text(degrees(row.turn), x('turn'), y, { size: 3.2 })
    board.text(row.note.slice(0, 48), x('note'), y, { size: 2.8 })
    if (isCut) board.line(paper.margin, y + 1.5, paper.width - paper.margin, y + 1.5, 0.12)
  })
}

/**
 * A line on paper: the run in isometric, its marks table from each piece's left end, and every piece as a strip, at true
 * size where it fits.
 */
export function stripsPdf(
  draft: RunDraft,
  survey: Survey,
  pieces: readonly RunPiece[],
  words: { title: string; about: string },
  region: Region,
  fonts: Fonts,
): Promise<Buffer> {
  const paper = paperFor(region)
  const table = markRows(pieces, region)
  const isInch = unitSystemOf(region) === 'inch'
  const say: Say = (mm) => onTape(mm, region)
  const perTable = Math.floor((paper.height - 2 * paper.margin - TOP_MM - FOOT_MM - 10) / LINE_MM)
  const perSheet = Math.floor((paper.height - 2 * paper.margin - TOP_MM - FOOT_MM) / ROW.height)
  const pages = <T>(rows: readonly T[], size: number) =>
    Array.from({ length: Math.ceil(rows.length / size) }, (_, i) => rows.slice(i * size, (i + 1) * size))
  return printSheets(
    paper,
    {
      ...words,
      region,
      how: `Distances in ${isInch ? 'inches' : 'mm'} from each piece's left end. The fitting's own paper and a measured fitting come first.`,
    },
    fonts,
    [
      (board) => drawIsometric(board, draft, survey, paper, say),
      ...pages(table, perTable).map((rows) => (board: Board) => drawTable(board, rows, paper, say)),
      ...pages(pieces, perSheet).map(
        (rows) => (board: Board) =>
          rows.forEach((piece, i) =>
            drawStrip(board, piece, paper.margin + TOP_MM + i * ROW.height, paper, region, say),
          ),
      ),
    ],
  )
}
