import { run, speak } from '#core/speech'
import type { Region } from '#core/units'
import type { OrderGroup, OrderRow } from './order'

export const GROUP_WORDS: Readonly<Record<OrderGroup, string>> = {
  pipe: 'Pipe',
  fittings: 'Fittings',
  valves: 'Valves',
  ends: 'Caps and plugs',
  supports: 'Clips and brackets',
  small: 'Small parts',
}

/** A row as it is read out at the counter. */
export interface OrderWords {
  quantity: string
  name: string
  size: string
  /** What stands beside it: pieces and whole lengths of pipe. */
  note: string
}

const amount = (value: number, unit: OrderRow['unit'], region: Region): string =>
  unit === 'mm' ? speak(run(value), region) : String(value)

/** How much of a row is wanted, held or asked for, in the reader's units. */
export const amountWords = ({ unit }: Pick<OrderRow, 'unit'>, value: number, region: Region): string =>
  value === 0 ? '0' : amount(value, unit, region)

function lengthsNote({ pieces, lengths }: OrderRow, region: Region): string {
  const cut = pieces === undefined ? [] : [pieces === 1 ? '1 piece' : `${pieces} pieces`]
  if (!lengths || lengths.count === 0) return cut.join('; ')
  const of = `${lengths.isCoil ? 'coil' : 'length'}${lengths.count === 1 ? '' : 's'}`
  return [
    ...cut,
    `${lengths.count} ${of} of ${speak(run(lengths.mm), region)}, typical: Cut says it to the piece`,
  ].join('; ')
}

/**
 * What a tee is called for short where its run goes on alike: run x branch. On the Continent the same figures mean another
 * tee, so there is none.
 */
function shortName({ size, group }: OrderRow, region: Region): string {
  const [run, on, branch] = size.split(' x ')
  return region !== 'eu' && group === 'fittings' && branch !== undefined && run === on
    ? `for short ${run} x ${branch}`
    : ''
}

export const orderWords = (row: OrderRow, region: Region): OrderWords => ({
  quantity: amount(row.order, row.unit, region),
  name: row.name,
  size: row.size,
  note: row.group === 'pipe' ? lengthsNote(row, region) : shortName(row, region),
})

/** Rows that are asked for at all: what the van holds enough of is left out. */
export const toAsk = (rows: readonly OrderRow[]): OrderRow[] => rows.filter(({ order }) => order > 0)

/** An order as lines of text, to be copied into a message. */
export const orderText = (rows: readonly OrderRow[], region: Region): string =>
  toAsk(rows)
    .map((row) => orderWords(row, region))
    .map(({ quantity, name, size, note }) => `${quantity} x ${name} ${size}`.trim() + (note ? ` (${note})` : ''))
    .join('\n')
