/*
 * Reads how wide the letters of the screen's face are, for labels that are laid out before they are drawn:
 * node scripts/face-widths.mjs writes app/drawing/advance-widths.json.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import PDFDocument from 'pdfkit'
import { format } from 'prettier'

const FACE = '../node_modules/@expo-google-fonts/atkinson-hyperlegible-next/'
const FILES = {
  400: '400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  700: '700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
}
const PRINTABLE = Array.from({ length: 95 }, (_, i) => String.fromCharCode(32 + i))
const MORE = ['\u00a0', '×', '±', '°', '÷', '½']

/** Widths in thousandths of the size, figures all as wide as each other, as the screen sets them. */
export function faceWidths() {
  const doc = new PDFDocument()
  return Object.fromEntries(
    Object.entries(FILES).map(([weight, file]) => {
      doc.font(readFileSync(new URL(FACE + file, import.meta.url))).fontSize(1000)
      const widths = [...PRINTABLE, ...MORE].map((letter) => [
        letter,
        Math.round(doc.widthOfString(letter, { features: ['tnum', 'lnum'] })),
      ])
      return [weight, Object.fromEntries(widths)]
    }),
  )
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const to = new URL('../app/drawing/advance-widths.json', import.meta.url)
  writeFileSync(to, await format(JSON.stringify(faceWidths()), { parser: 'json' }))
}
