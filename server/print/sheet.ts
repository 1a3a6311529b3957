import PDFDocument from 'pdfkit'
import { CHECK_LINES, type Paper } from '#core/gauges'
import { unitSystemOf, type Region } from '#core/units'

const PT_PER_MM = 72 / 25.4
/** Height of the words at the top of a sheet and of the check line at its foot, mm. */
export const TOP_MM = 12
export const FOOT_MM = 12

/** The face of the screen, regular and bold, as TrueType. */
export interface Fonts {
  regular: Buffer
  bold: Buffer
}

export interface SheetWords {
  /** Whose units the sheet is checked in. */
  region: Region
  title: string
  about: string
  how: string
}

/** A drawing board in mm from the sheet's top left corner; black on white. */
export interface Board {
  line: (x1: number, y1: number, x2: number, y2: number, width?: number) => void
  /** A closed outline. */
  outline: (points: readonly (readonly [number, number])[], width?: number) => void
  circle: (x: number, y: number, radius: number, width?: number, isDashed?: boolean) => void
  /** One line of text, its baseline at y; mm high. With `isOver` it stands on white, over lines drawn before. */
  text: (
    text: string,
    x: number,
    y: number,
    options?: { size?: number; bold?: boolean; align?: 'left' | 'middle' | 'right'; isOver?: boolean },
  ) => void
  /** Width of a line of text, mm. */
  widthOf: (text: string, size: number, bold?: boolean) => number
}

function boardOf(doc: PDFKit.PDFDocument): Board {
  const face = (size: number, bold: boolean) => doc.font(bold ? 'bold' : 'regular').fontSize(size)
  const stroked = (width: number) => doc.lineWidth(width).strokeColor('#000')
  const widthOf = (text: string, size: number, bold = false) => face(size, bold).widthOfString(text)
  return {
    line: (x1, y1, x2, y2, width = 0.2) => {
      stroked(width).moveTo(x1, y1).lineTo(x2, y2).stroke()
    },
    outline: ([first, ...rest], width = 0.2) => {
      stroked(width).moveTo(...first!)
      for (const [x, y] of rest) doc.lineTo(x, y)
      doc.closePath().stroke()
    },
    circle: (x, y, radius, width = 0.3, isDashed = false) => {
      doc.save()
      stroked(width)
      if (isDashed) doc.dash(1.5, { space: 1 })
      doc.circle(x, y, radius).stroke()
      doc.restore()
    },
    text: (text, x, y, { size = 3.2, bold = false, align = 'left', isOver = false } = {}) => {
      const width = widthOf(text, size, bold)
      const left = x - { left: 0, middle: width / 2, right: width }[align]
      if (isOver) doc.rect(left - 0.3, y - size * 0.75, width + 0.6, size * 0.9).fill('#fff')
      face(size, bold).fillColor('#000').text(text, left, y, { lineBreak: false, baseline: 'alphabetic' })
    },
    widthOf,
  }
}

/** The sheet's words at the top, and at its foot the line that tells whether it was printed at true size. */
function drawFrame(board: Board, paper: Paper, words: SheetWords, at: string) {
  const { margin, width, height } = paper
  board.text(words.title, margin, margin + 4, { size: 4.6, bold: true })
  board.text(at, width - margin, margin + 4, { size: 3, align: 'right' })
  board.text(words.about, margin + board.widthOf(words.title, 4.6, true) + 4, margin + 4, { size: 3 })
  board.text(words.how, margin, margin + 9, { size: 3.2 })
  const y = height - margin - 4
  const { mm, words: long } = CHECK_LINES[unitSystemOf(words.region)]
  board.line(margin, y, margin + mm, y, 0.4)
  for (const x of [margin, margin + mm]) board.line(x - 1.5, y + 1.5, x + 1.5, y - 1.5, 0.5)
  board.text(
    `${long}: measure me. If not, this sheet is off scale: print it at 100 %, not fitted to the page.`,
    margin + mm + 5,
    y + 1.1,
    { size: 3.2 },
  )
}

/** Sheets at true size as one PDF: each drawn by its own function on a board in mm, inside a common frame. */
export async function printSheets(
  paper: Paper,
  words: SheetWords,
  fonts: Fonts,
  sheets: readonly ((board: Board) => void)[],
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    font: fonts.regular as unknown as string,
    info: { Title: words.title, Creator: 'Jolvet' },
  })
  const chunks: Buffer[] = []
  doc.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<void>((resolve, reject) => doc.on('end', resolve).on('error', reject))
  doc.registerFont('regular', fonts.regular).registerFont('bold', fonts.bold)
  const board = boardOf(doc)
  sheets.forEach((draw, i) => {
    doc.addPage({ size: [paper.width * PT_PER_MM, paper.height * PT_PER_MM], margin: 0 })
    doc.scale(PT_PER_MM)
    drawFrame(board, paper, words, `sheet ${i + 1} of ${sheets.length}`)
    draw(board)
  })
  doc.end()
  await ended
  return Buffer.concat(chunks)
}
