import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import type { TextItem } from 'pdfjs-dist/types/src/display/api'

const MM_PER_PT = 25.4 / 72
type Matrix = readonly [number, number, number, number, number, number]
const times = (m: Matrix, [a, b, c, d, e, f]: Matrix): Matrix => [
  m[0] * a + m[2] * b,
  m[1] * a + m[3] * b,
  m[0] * c + m[2] * d,
  m[1] * c + m[3] * d,
  m[0] * e + m[2] * f + m[4],
  m[1] * e + m[3] * f + m[5],
]

/** A page as another library reads it: words and straight lines where they stand, mm from its top left corner. */
export interface ReadPage {
  width: number
  height: number
  words: { text: string; x: number; y: number; width: number }[]
  lines: { x1: number; y1: number; x2: number; y2: number }[]
}

/** Opens a PDF with a library that did not write it. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const pdf = await getDocument({
    data: Uint8Array.from(bytes),
    verbosity: 0,
    isEvalSupported: false,
    useSystemFonts: false,
  }).promise
  const pages: ReadPage[] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number)
    const [, , width, height] = page.view as [number, number, number, number]
    const place = (x: number, y: number) => ({ x: x * MM_PER_PT, y: (height - y) * MM_PER_PT })
    const words = (await page.getTextContent()).items
      .filter((item): item is TextItem => 'str' in item && item.str.trim() !== '')
      .map(({ str, transform, width: long }) => ({
        text: str,
        ...place(transform[4], transform[5]),
        width: long * MM_PER_PT,
      }))
    const lines: ReadPage['lines'] = []
    let matrix: Matrix = [1, 0, 0, 1, 0, 0]
    const kept: Matrix[] = []
    const { fnArray, argsArray } = await page.getOperatorList()
    fnArray.forEach((fn, i) => {
      if (fn === OPS.save) kept.push(matrix)
      else if (fn === OPS.restore) matrix = kept.pop() ?? matrix
      else if (fn === OPS.transform) matrix = times(matrix, argsArray[i] as Matrix)
      else if (fn === OPS.constructPath) {
        const [ops, numbers] = argsArray[i] as [number[], number[]]
        let [at, from]: [number, [number, number] | null] = [0, null]
        for (const op of ops) {
          if (op !== OPS.moveTo && op !== OPS.lineTo) return
          const to: [number, number] = [numbers[at++]!, numbers[at++]!]
          if (op === OPS.lineTo && from) {
            const [start, end] = [from, to].map(([x, y]) =>
              place(matrix[0] * x + matrix[2] * y + matrix[4], matrix[1] * x + matrix[3] * y + matrix[5]),
            ) as [{ x: number; y: number }, { x: number; y: number }]
            lines.push({ x1: start.x, y1: start.y, x2: end.x, y2: end.y })
          }
          from = to
        }
      }
    })
    pages.push({ width: width * MM_PER_PT, height: height * MM_PER_PT, words, lines })
  }
  return pages
}
