import { layWrapStrip, PAPER_THICKNESS_MM, paperFor, type WrapStrip } from '#core/gauges'
import { diameter, speak } from '#core/speech'
import { unitSystemOf, type Region } from '#core/units'
import { FOOT_MM, printSheets, TOP_MM, type Board, type Fonts } from './sheet'

/** Height of a row of names and of the figures, mm; letters of the names. */
const NAME = { size: 2.5, letter: 1.32, row: 3.3 } as const
const FIGURE = { size: 3.2, height: 9 } as const
const TICK = { long: 5, middle: 3.4, short: 2.2 } as const
/** The head lies on the pipe: its lower half stays seen beside the scale when the tail comes round over it, mm. */
const HEAD = { length: 24, zero: 12, below: 12 } as const

const UNIT_WORDS = { metric: 'outside diameter, mm', inch: 'outside diameter, inches' } as const

/** One strip, cut out along its outline, its zero line `HEAD.zero` from its left end. */
function drawStrip(board: Board, strip: WrapStrip, x: number, y: number) {
  const tail = FIGURE.height + strip.rows * NAME.row + 2
  const right = x + HEAD.zero + strip.length
  board.outline([
    [x, y],
    [right, y],
    [right, y + tail],
    [x + HEAD.length, y + tail],
    [x + HEAD.length, y + tail + HEAD.below],
    [x, y + tail + HEAD.below],
  ])
  const zero = x + HEAD.zero
  board.line(zero, y + tail, zero, y + tail + HEAD.below - 4, 0.4)
  board.outline(
    [
      [zero, y + tail],
      [zero - 1.1, y + tail + 2.6],
      [zero + 1.1, y + tail + 2.6],
    ],
    0.3,
  )
  board.text('read here', zero, y + tail + HEAD.below - 1.2, { size: 2.6, align: 'middle' })
  board.text(UNIT_WORDS[strip.system], x + HEAD.length + 4, y + tail + 4.5, { size: 3 })
  const topOf = (row: number) => y + 1.5 + row * NAME.row
  // Lines first, words over them on white.
  for (const { at, row } of strip.named) board.line(zero + at, y + tail, zero + at, topOf(row), 0.1)
  for (const { at, rank } of strip.ticks)
    board.line(zero + at, y + tail, zero + at, y + tail - TICK[rank], rank === 'long' ? 0.25 : 0.15)
  for (const { at, label, row } of strip.named)
    board.text(label, zero + at + 0.6, topOf(row) + NAME.size * 0.8, { size: NAME.size, isOver: true })
  for (const { at, text } of strip.ticks) {
    if (text !== null && at < strip.length - FIGURE.size)
      board.text(text, zero + at, y + tail - TICK.long - 1, {
        size: FIGURE.size,
        bold: true,
        align: 'middle',
        isOver: true,
      })
  }
  return tail + HEAD.below
}

/** The wrap strip at true size as PDF: the region's own, and one with the sizes of another. */
export function wrapStripPdf(region: Region, fonts: Fonts): Promise<Buffer> {
  const paper = paperFor(region)
  const length = paper.width - 2 * paper.margin - HEAD.zero
  const others: Region = region === 'us' ? 'gb' : 'us'
  const words = {
    region,
    title: 'Wrap strip',
    about: `reads a diameter directly, once round; allows for paper of ${speak(diameter(PAPER_THICKNESS_MM), region)}`,
    how: 'Cut out. Lay the wide end on the clean pipe, wrap the tail tight and square over it, read the scale at the arrow. Names: sizes met here; makers and old pipe differ.',
  }
  return printSheets(paper, words, fonts, [
    (board) => {
      let y = paper.margin + TOP_MM + 4
      for (const one of [region, others]) {
        const height = drawStrip(board, layWrapStrip(one, length, NAME.letter, unitSystemOf(region)), paper.margin, y)
        y += height + 8
      }
      if (y - 8 > paper.height - paper.margin - FOOT_MM) throw new Error('the strips do not go on the sheet')
    },
  ])
}
