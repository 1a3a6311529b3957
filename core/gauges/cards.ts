import type { Pipe } from '#core/catalogue'
import { MM_PER_INCH, type UnitSystem } from '#core/units'
import type { Paper } from './paper'

/** Line printed on every sheet that claims true size: measured, it tells whether the sheet is. */
export const CHECK_LINES: Readonly<Record<UnitSystem, { mm: number; words: string }>> = {
  metric: { mm: 50, words: '50 mm' },
  inch: { mm: 2 * MM_PER_INCH, words: '2 in' },
}

/** One pipe end at true size, its middle in mm from the sheet's top left corner. */
interface Card {
  pipe: Pipe
  x: number
  y: number
  cell: { x: number; y: number; width: number; height: number }
}

export interface CardSheet {
  cards: Card[]
}

/** Room round a circle for its words, mm, and the smallest cell that holds them. */
const ROOM = { beside: 8, below: 17, least: 44 } as const

/**
 * Circles at true size to hold a pipe end against, in rows over as many sheets as they need; one circle for all pipes of
 * one outside diameter and bore. `top` and `foot` (mm) are left free for the sheet's own words.
 */
export function layCards(pipes: readonly Pipe[], paper: Paper, top: number, foot: number): CardSheet[] {
  const sheets: CardSheet[] = []
  let [x, y, rowHeight] = [paper.margin, paper.margin + top, 0]
  let sheet: CardSheet | undefined
  for (const pipe of [...pipes].sort((a, b) => a.od - b.od || (a.bore ?? 0) - (b.bore ?? 0))) {
    const [width, height] = [Math.max(ROOM.least, pipe.od + 2 * ROOM.beside), pipe.od + ROOM.beside + ROOM.below]
    if (x + width > paper.width - paper.margin) [x, y, rowHeight] = [paper.margin, y + rowHeight, 0]
    if (!sheet || y + height > paper.height - paper.margin - foot) {
      sheet = { cards: [] }
      sheets.push(sheet)
      ;[x, y, rowHeight] = [paper.margin, paper.margin + top, 0]
    }
    sheet.cards.push({ pipe, x: x + width / 2, y: y + ROOM.beside + pipe.od / 2, cell: { x, y, width, height } })
    x += width
    rowHeight = Math.max(rowHeight, height)
  }
  return sheets
}
