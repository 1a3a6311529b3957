import type { Pipe } from '#core/catalogue'
import { layCards, paperFor } from '#core/gauges'
import { formatDecimal, MM_PER_INCH, type Region, unitSystemOf } from '#core/units'
import { unitOf } from '../exports/tape'
import { FOOT_MM, printSheets, TOP_MM, type Fonts } from './sheet'

const figureIn = (region: Region) => (mm: number | null) => {
  if (mm === null) return '?'
  return unitSystemOf(region) === 'inch' ? (mm / MM_PER_INCH).toFixed(3) : formatDecimal(mm, 2)
}

/** Pipe ends at true size as PDF, to hold an end against: outside as a line, bore dashed. */
export function diameterCardsPdf(pipes: readonly Pipe[], region: Region, about: string, fonts: Fonts): Promise<Buffer> {
  const paper = paperFor(region)
  const figure = figureIn(region)
  const words = {
    region,
    title: 'Diameter cards',
    about,
    how: 'Hold the clean, square end on its circle: it has to cover the line all round and no white beyond. Near sizes differ by less than an eye sees: measure too.',
  }
  return printSheets(
    paper,
    words,
    fonts,
    layCards(pipes, paper, TOP_MM, FOOT_MM).map(({ cards }) => (board) => {
      for (const { pipe, x, y, cell } of cards) {
        const radius = pipe.od / 2
        board.circle(x, y, radius)
        if (pipe.bore !== null) board.circle(x, y, pipe.bore / 2, 0.15, true)
        board.line(x - 2, y, x + 2, y, 0.15)
        board.line(x, y - 2, x, y + 2, 0.15)
        const below = y + radius
        board.text(pipe.label, x, below + 5, {
          size: board.widthOf(pipe.label, 3.4, true) > cell.width - 2 ? 2.6 : 3.4,
          bold: true,
          align: 'middle',
        })
        board.text(
          `outside ${figure(pipe.od)}, wall ${figure(pipe.wall)}, bore ${figure(pipe.bore)} ${unitOf(region)}`,
          x,
          below + 9,
          { size: 2.5, align: 'middle' },
        )
        board.text(`${pipe.typical ? 'typical, ' : ''}${pipe.standard}`, x, below + 12.5, {
          size: 2.3,
          align: 'middle',
        })
      }
    }),
  )
}
