import { markRows, type MarkRow, type RunDraft, type RunPiece } from '#core/run'
import type { Region } from '#core/units'
import { csv } from './csv'
import { inUnit, lengthColumns } from './tape'

const MARK_COLUMNS: readonly (keyof MarkRow)[] = [
  'piece',
  'from',
  'to',
  'pipe',
  'cut',
  'what',
  'at',
  'hook',
  'corner',
  'angle',
  'turn',
  'note',
]

const LENGTHS = ['cut', 'at', 'hook', 'corner'] as const satisfies readonly (keyof MarkRow)[]
const isLength = (column: string): boolean => (LENGTHS as readonly string[]).includes(column)
/** A length in the region's unit; an angle to a tenth of a degree. */
const figureOf = (column: string, value: number, region: Region): number =>
  isLength(column) ? inUnit(value, region) : Math.round(value * 10) / 10

/** Cuts and marks as CSV (RFC 4180, UTF-8), from each piece's left end, in the region's unit. */
export const marksCsv = (pieces: readonly RunPiece[], region: Region): string =>
  csv(
    MARK_COLUMNS,
    markRows(pieces, region).map(
      (row) =>
        Object.fromEntries(
          Object.entries(row).map(([key, value]) => [
            key,
            typeof value === 'number' ? figureOf(key, value, region) : value,
          ]),
        ) as unknown as MarkRow,
    ),
    lengthColumns(LENGTHS, {}, region),
  )

/** Legs as CSV, as they were typed, with the points they run between. */
export const legsCsv = ({ rows }: RunDraft): string =>
  csv(
    ['from', 'to', 'leg', 'wrong'],
    rows.map(({ from, to, text, issue }) => ({ from, to, leg: text, wrong: issue?.message ?? '' })),
  )
