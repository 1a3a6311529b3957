import { getPipe } from '#core/catalogue'
import { barWords, cutRows, plannedRest, sumOf, type BenchPlan, type CutRow } from '#core/cutting'
import { paperFor, type Paper } from '#core/gauges'
import type { CutRecord, OffcutRecord } from '#core/record'
import { formatLength, type Region, unitSystemOf } from '#core/units'
import { onTape } from '../exports/tape'
import { FOOT_MM, printSheets, TOP_MM, type Board, type Fonts } from './sheet'

type Say = (mm: number) => string

/** Height of a bar with its words and of a row of the table, mm. */
const BAR = { height: 12.5, pipe: 5 } as const
const LINE_MM = 5
/** The table stands in two columns; places of a column's figures, mm from its left. */
const COLUMNS = { tick: 0, number: 8, piece: 14, cut: 62, left: 76, right: 89, bends: 92 } as const
const HEAD_MM = 8.5

function drawBar(
  board: Board,
  plan: BenchPlan,
  rows: readonly CutRow[],
  done: CutRecord['done'],
  bar: BenchPlan['bars'][number],
  y: number,
  paper: Paper,
  words: string,
  say: Say,
) {
  const left = paper.margin
  const part = Math.max(...plan.bars.map(({ length }) => length)) / (paper.width - 2 * paper.margin - 24)
  const x = (mm: number) => left + mm / part
  const [top, foot] = [y + 4.5, y + 4.5 + BAR.pipe]
  board.text(`${words}  ${say(bar.length)}`, left, y + 3, { size: 3, bold: true })
  board.outline(
    [
      [left, top],
      [x(bar.length), top],
      [x(bar.length), foot],
      [left, foot],
    ],
    0.4,
  )
  for (const row of rows) {
    board.line(x(row.to), top - 1.5, x(row.to), foot + 1, 0.4)
    const label = `${row.number}: ${row.piece.name}  ${say(row.length)}`
    const room = row.length / part - 1
    const shown = [label, say(row.length), String(row.number)].find((text) => board.widthOf(text, 2.8, true) < room)
    if (shown)
      board.text(shown, x(row.from + row.length / 2), top + 3.6, {
        size: 2.8,
        bold: true,
        align: 'middle',
        isOver: true,
      })
    if (row.length / part > 11) board.text(say(row.to), x(row.to) - 0.5, foot + 3, { size: 2.5, align: 'right' })
  }
  const rest = plannedRest(bar, plan, done)
  if (rest > 0)
    board.text(rest >= plan.keep ? `keep ${say(rest)}` : say(rest), x(bar.length) + 1, top + 3.6, { size: 2.8 })
}

function drawTable(board: Board, rows: readonly CutRow[], top: number, perColumn: number, paper: Paper, say: Say) {
  const width = (paper.width - 2 * paper.margin) / 2
  rows.forEach((row, i) => {
    const column = Math.floor(i / perColumn)
    const x = (name: keyof typeof COLUMNS) => paper.margin + column * width + COLUMNS[name]
    const y = top + HEAD_MM + (i % perColumn) * LINE_MM
    if (i % perColumn === 0) {
      for (const [name, words] of [
        ['number', ''],
        ['piece', 'piece'],
        ['cut', 'cut'],
        ['left', 'left'],
        ['right', 'right'],
      ] as const)
        board.text(words, x(name), top + 3, {
          size: 3,
          align: name === 'piece' || name === 'number' ? 'left' : 'right',
        })
      board.text('bends', x('bends') + 4, top + 3, { size: 3 })
      board.line(x('tick'), top + 4, x('tick') + width - 6, top + 4, 0.25)
    }
    board.outline(
      [
        [x('tick'), y - 2.8],
        [x('tick') + 3, y - 2.8],
        [x('tick') + 3, y + 0.2],
        [x('tick'), y + 0.2],
      ],
      0.25,
    )
    if (row.done) board.text('x', x('tick') + 0.7, y - 0.3, { size: 3.2, bold: true })
    board.text(String(row.number), x('number') + 3, y, { size: 3.2, align: 'right' })
    board.text(row.isSlip ? `${row.piece.name}, wrong` : row.piece.name, x('piece'), y, { size: 3.2 })
    board.text(say(row.length), x('cut'), y, { size: 3.8, bold: true, align: 'right' })
    for (const end of ['left', 'right'] as const)
      if (!row.isSlip && row.piece[end] !== null)
        board.text(say(row.piece[end]), x(end), y, { size: 3.2, align: 'right' })
    if (!row.isSlip) board.text(row.piece.bends.map(say).join(', '), x('bends') + 4, y, { size: 3 })
    board.line(x('tick'), y + 1.3, x('tick') + width - 6, y + 1.3, 0.1)
  })
}

/** A planned sheet on paper: its bars to scale and the cut order with marks, on one page where both fit. */
export function benchPdf(
  sheet: CutRecord & { plan: BenchPlan },
  rack: readonly OffcutRecord[],
  words: { title: string; about: string },
  region: Region,
  fonts: Fonts,
): Promise<Buffer> {
  const paper = paperFor(region)
  const { plan, done } = sheet
  const system = unitSystemOf(region)
  const say: Say = (mm) => onTape(mm, region)
  const rows = cutRows(plan, done)
  const top = paper.margin + TOP_MM
  const room = paper.height - paper.margin - FOOT_MM - top
  const bars = (board: Board, from: number, to: number) =>
    plan.bars.slice(from, to).forEach((bar, i) =>
      drawBar(
        board,
        plan,
        rows.filter((row) => row.bar.id === bar.id),
        done,
        bar,
        top + i * BAR.height,
        paper,
        barWords(bar, plan, rack),
        say,
      ),
    )
  const barsHeight = plan.bars.length * BAR.height + 3
  const [sum, kerf] = [sumOf(plan, done), formatLength(plan.kerf, system)]
  const whole = (mm: number) => formatLength(mm, system)
  const scrap = Math.max(0, sum.scrap)
  const taken = `${whole(sum.taken)} taken, ${whole(sum.pieces)} pieces, ${whole(sum.kept)} kept, ${whole(scrap)} scrap`
  const claim = plan.optimal ? 'No plan takes fewer lengths.' : `At least ${plan.bound} lengths.`
  const how = `${taken}; ${kerf} a cut. ${claim} ${system === 'inch' ? 'Inches' : 'mm'} from the left end. Ream and deburr.`
  const head = { ...words, region, about: `${words.about}, ${getPipe(sheet.pipe).label}`, how }
  if (barsHeight + HEAD_MM + Math.ceil(rows.length / 2) * LINE_MM <= room) {
    return printSheets(paper, head, fonts, [
      (board) => {
        bars(board, 0, plan.bars.length)
        drawTable(board, rows, top + barsHeight, Math.ceil(rows.length / 2), paper, say)
      },
    ])
  }
  const [perBars, perColumn] = [Math.floor(room / BAR.height), Math.floor((room - HEAD_MM) / LINE_MM)]
  const parts = (count: number, size: number) => Array.from({ length: Math.ceil(count / size) }, (_, i) => i * size)
  return printSheets(paper, head, fonts, [
    ...parts(plan.bars.length, perBars).map((from) => (board: Board) => bars(board, from, from + perBars)),
    ...parts(rows.length, 2 * perColumn).map(
      (from) => (board: Board) => drawTable(board, rows.slice(from, from + 2 * perColumn), top, perColumn, paper, say),
    ),
  ])
}
