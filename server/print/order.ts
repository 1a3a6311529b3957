import { paperFor } from '#core/gauges'
import { GROUP_WORDS, ORDER_GROUPS, orderWords, toAsk, type OrderRow } from '#core/record'
import type { Region } from '#core/units'
import { FOOT_MM, printSheets, TOP_MM, type Board, type Fonts } from './sheet'

const ROW_MM = 6.2
/** Places of the columns, mm from the sheet's margin. */
const COLUMNS = { tick: 0, quantity: 30, name: 34, size: 118 } as const

type Line = { heading: string } | { row: OrderRow }
/** Headings and rows one below the other. */
const linesOf = (rows: readonly OrderRow[]): Line[] =>
  ORDER_GROUPS.flatMap((group): Line[] => {
    const own = rows.filter((row) => row.group === group)
    return own.length === 0 ? [] : [{ heading: GROUP_WORDS[group] }, ...own.map((row) => ({ row }))]
  })

function drawLine(board: Board, line: Line, left: number, y: number, width: number, region: Region) {
  if ('heading' in line) {
    board.text(line.heading, left, y + 4.4, { size: 3.2, bold: true })
    board.line(left, y + 5.6, left + width, y + 5.6, 0.3)
    return
  }
  const { quantity, name, size, note } = orderWords(line.row, region)
  board.outline(
    [
      [left + COLUMNS.tick, y + 1.6],
      [left + COLUMNS.tick + 3.4, y + 1.6],
      [left + COLUMNS.tick + 3.4, y + 5],
      [left + COLUMNS.tick, y + 5],
    ],
    0.25,
  )
  board.text(quantity, left + COLUMNS.quantity, y + 4.6, { size: 3.6, bold: true, align: 'right' })
  board.text(name, left + COLUMNS.name, y + 4.6, { size: 3.4 })
  board.text(size, left + COLUMNS.size, y + 4.6, { size: 3.6, bold: true })
  if (note) board.text(note, left + COLUMNS.name + board.widthOf(name, 3.4) + 4, y + 4.6, { size: 2.6 })
  board.line(left, y + ROW_MM, left + width, y + ROW_MM, 0.1)
}

/** An order for the counter as sheets with a box to tick beside each line. */
export function orderPdf(rows: readonly OrderRow[], region: Region, about: string, fonts: Fonts): Promise<Buffer> {
  const paper = paperFor(region)
  const lines = linesOf(toAsk(rows))
  const top = paper.margin + TOP_MM
  const perSheet = Math.floor((paper.height - 2 * paper.margin - TOP_MM - FOOT_MM) / ROW_MM)
  const sheets = Array.from(
    { length: Math.max(1, Math.ceil(lines.length / perSheet)) },
    (_, i) => (board: Board) =>
      lines
        .slice(i * perSheet, (i + 1) * perSheet)
        .forEach((line, at) =>
          drawLine(board, line, paper.margin, top + at * ROW_MM, paper.width - 2 * paper.margin, region),
        ),
  )
  return printSheets(
    paper,
    { region, title: 'Order for the counter', about, how: 'Less what the van holds. Tees run x run x branch.' },
    fonts,
    sheets,
  )
}
