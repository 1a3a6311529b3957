import { paperFor } from '#core/gauges'
import { lengths, speak } from '#core/speech'
import type { Region } from '#core/units'
import { withUnit } from '../exports/tape'
import { FOOT_MM, printSheets, TOP_MM, type Board, type Fonts } from './sheet'

/** One depth to be carried to the pipe: what it is of, the depth with its range, mm, and where it comes from. */
export interface DepthCard {
  title: string
  depth: number | null
  lo: number | null
  hi: number | null
  source: string
}

const CELL = { width: 88, height: 34, bar: 10 } as const

/** One card: the depth as a bar at true size, to lay along the pipe from its end. */
function drawCard(board: Board, { title, depth, lo, hi, source }: DepthCard, x: number, y: number, region: Region) {
  board.outline(
    [
      [x, y],
      [x + CELL.width, y],
      [x + CELL.width, y + CELL.height],
      [x, y + CELL.height],
    ],
    0.1,
  )
  board.text(title, x + 2, y + 5, { size: 3.2, bold: true })
  if (depth === null) {
    board.text('measure the socket', x + 2, y + 14, { size: 3.6 })
  } else {
    board.outline(
      [
        [x, y + 8],
        [x + depth, y + 8],
        [x + depth, y + 8 + CELL.bar],
        [x, y + 8 + CELL.bar],
      ],
      0.3,
    )
    board.line(x + depth, y + 7, x + depth, y + 8 + CELL.bar + 2, 0.7)
    for (const edge of [lo, hi])
      if (edge !== null && edge !== depth && edge < CELL.width)
        board.line(x + edge, y + 8, x + edge, y + 8 + CELL.bar, 0.12)
    board.text(withUnit(depth, region), x + Math.min(depth + 2, CELL.width - 22), y + 15, { size: 5, bold: true })
  }
  board.text(
    lo !== null && hi !== null && lo !== hi ? `met ${speak(lengths(lo, hi), region)}; ${source}` : source,
    x + 2,
    y + CELL.height - 6,
    { size: 2.4 },
  )
  board.text(
    "End of the pipe at this card's left edge; pencil right round at the thick line.",
    x + 2,
    y + CELL.height - 2,
    { size: 2.2 },
  )
}

/** Depths at true size as PDF, cards to cut out and lay along the pipe. */
export function depthCardsPdf(
  cards: readonly DepthCard[],
  region: Region,
  about: string,
  fonts: Fonts,
): Promise<Buffer> {
  const paper = paperFor(region)
  const [across, down] = [
    Math.floor((paper.width - 2 * paper.margin) / CELL.width),
    Math.floor((paper.height - 2 * paper.margin - TOP_MM - FOOT_MM) / (CELL.height + 2)),
  ]
  const sheets = Array.from({ length: Math.ceil(cards.length / (across * down)) }, (_, i) =>
    cards.slice(i * across * down, (i + 1) * across * down),
  )
  const words = {
    region,
    title: 'Depth cards',
    about,
    how: "Cut out along the frames. The fitting's own paper and a measured fitting come before a typical depth.",
  }
  return printSheets(
    paper,
    words,
    fonts,
    sheets.map((sheet) => (board) => {
      sheet.forEach((card, i) =>
        drawCard(
          board,
          card,
          paper.margin + (i % across) * CELL.width,
          paper.margin + TOP_MM + Math.floor(i / across) * (CELL.height + 2),
          region,
        ),
      )
    }),
  )
}
