import type { BenchBar, CutRow } from '#core/cutting'
import type { Region } from '#core/units'
import { csv } from './csv'
import { inUnit, lengthColumns } from './tape'

interface CutLine {
  number: number
  bar: string
  barLength: number
  piece: string
  cut: number
  from: number
  to: number
  left: number | ''
  right: number | ''
  bends: string
  state: 'to cut' | 'cut' | 'wrong'
}
const COLUMNS: readonly (keyof CutLine)[] = [
  'number',
  'bar',
  'barLength',
  'piece',
  'cut',
  'from',
  'to',
  'left',
  'right',
  'bends',
  'state',
]
const LENGTHS = ['barLength', 'cut', 'from', 'to', 'left', 'right', 'bends'] as const

function stateOf(isSlip: boolean, isCut: boolean): CutLine['state'] {
  if (isSlip) return 'wrong'
  return isCut ? 'cut' : 'to cut'
}

/** The cuts in order as CSV: lengths from each bar's and each piece's left end, in the region's unit. */
export const cutsCsv = (rows: readonly CutRow[], wordsOf: (bar: BenchBar) => string, region: Region): string => {
  const tenth = (mm: number) => inUnit(mm, region)
  return csv(
    COLUMNS,
    rows.map(({ number, bar, piece, length, from, to, done, isSlip }): CutLine => ({
      number,
      bar: wordsOf(bar),
      barLength: tenth(bar.length),
      piece: piece.name,
      cut: tenth(length),
      from: tenth(from),
      to: tenth(to),
      left: piece.left === null ? '' : tenth(piece.left),
      right: piece.right === null ? '' : tenth(piece.right),
      bends: piece.bends.map(tenth).join(' '),
      state: stateOf(isSlip, done !== null),
    })),
    lengthColumns(LENGTHS, { barLength: 'bar length' }, region),
  )
}
