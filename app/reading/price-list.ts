import Papa from 'papaparse'
import { fail, ok, type Result } from '#core/base'
import { orderList } from '#core/joints'
import { MOST_PRICES, type JobRecord, type PriceRecord } from '#core/record'
import { speak } from '#core/speech'

/** Largest file read, bytes: far over the most prices. */
const MOST_BYTES = 1024 * 1024
const COLUMNS = 'name, size, price'

/** A price as it is typed: 1.20, 1,20 or with the sign of its money. null where it is none. */
function readPrice(text: string): number | null {
  const bare = text.replace(/[\s£$€]/g, '').replace(/^(\d+),(\d{1,2})$/, '$1.$2')
  const price = /^\d+(\.\d+)?$/.test(bare) ? Number(bare) : null
  return price !== null && price <= 1_000_000 ? price : null
}

/** What a price list says, and which of its rows say no price yet. */
export interface PriceList {
  prices: PriceRecord[]
  /** Rows without a price: they stand in the file to be filled. */
  empty: number
}

/**
 * Reads a supplier's list (CSV, columns name, size, price; others are passed over). Issues: `too-many`,
 * `not-understood` at `columns`, `range` at the first row whose price is none, `impossible` where a part stands twice.
 */
export function readPriceList(text: string): Result<PriceList> {
  if (text.length > MOST_BYTES) return fail('too-many', 'file', 'That file is over 1 MB. Bring in the parts you use.')
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  })
  const has = new Set(meta.fields ?? [])
  if (!['name', 'size', 'price'].every((column) => has.has(column)))
    return fail('not-understood', 'columns', `The first row does not name the columns. Accepted: ${COLUMNS}.`)
  if (data.length > MOST_PRICES)
    return fail('too-many', 'rows', `${data.length} rows; ${MOST_PRICES} are accepted. Bring in the parts you use.`)
  const prices: PriceRecord[] = []
  const seen = new Set<string>()
  let empty = 0
  for (const [i, row] of data.entries()) {
    const [name, size, typed] = ['name', 'size', 'price'].map((column) => (row[column] ?? '').trim()) as [
      string,
      string,
      string,
    ]
    if (typed === '') {
      empty += 1
      continue
    }
    const price = readPrice(typed)
    if (price === null || name === '' || name.length > 80 || size === '' || size.length > 80)
      return fail(
        'range',
        `rows.${i}`,
        `Row ${i + 2}: "${name} ${size}" at "${typed}". A name, a size and a price of 0 or more are accepted.`,
      )
    if (seen.has(`${name} ${size}`))
      return fail('impossible', `rows.${i}`, `Row ${i + 2}: ${name} ${size} stands in the file twice. Keep one.`)
    seen.add(`${name} ${size}`)
    prices.push({ name, size, price })
  }
  return ok({ prices, empty })
}

/** Rows of the list that goes out: the prices held, then the parts of the job's ways that have none, to be filled. */
export function priceRows({ prices, joints, region }: Pick<JobRecord, 'prices' | 'joints' | 'region'>) {
  const keyOf = ({ name, size }: { name: string; size: string }) => `${name} ${size}`
  const known = new Set(prices.map(keyOf))
  const wanted = new Map(
    joints
      .flatMap(({ way }) => (way ? orderList({ parts: way.parts.filter(({ kind }) => kind !== 'tail') }, region) : []))
      .map(({ name, size }) => ({ name: speak(name, region), size }))
      .filter((part) => !known.has(keyOf(part)))
      .map((part) => [keyOf(part), { ...part, price: '' }]),
  )
  return [...prices, ...wanted.values()]
}
