import { markRows, type MarkRow, type RunDraft, type RunPiece } from '#core/run'
import { csv } from './csv'

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

/** Cuts and marks as CSV (RFC 4180, UTF-8), mm from each piece's left end, to a tenth. */
export const marksCsv = (pieces: readonly RunPiece[]): string =>
  csv(
    MARK_COLUMNS,
    markRows(pieces).map(
      (row) =>
        Object.fromEntries(
          Object.entries(row).map(([key, value]) => [
            key,
            typeof value === 'number' ? Math.round(value * 10) / 10 : value,
          ]),
        ) as unknown as MarkRow,
    ),
  )

/** Legs as CSV, as they were typed, with the points they run between. */
export const legsCsv = ({ rows }: RunDraft): string =>
  csv(
    ['from', 'to', 'leg', 'wrong'],
    rows.map(({ from, to, text, issue }) => ({ from, to, leg: text, wrong: issue?.message ?? '' })),
  )
