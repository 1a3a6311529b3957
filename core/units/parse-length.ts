import { fail, ok, type Result } from '#core/base'
import { MM_PER_INCH, type UnitSystem } from './system'

/** A length as it was typed and as it was understood. `unit` is what the figure was written in. */
export interface ParsedLength {
  mm: number
  unit: 'mm' | 'cm' | 'm' | 'in' | 'ft'
  typed: string
}

/** Longest text that can be a length; anything longer is a paste gone wrong. */
const LONGEST = 40

const ACCEPTED = 'Write it like 21.5, 21,5 mm, 7/8 in or 1 1/8 in.'
const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`
const MIXED = String.raw`(?:(\d+)[\s-]+)?(\d+)\s*/\s*(\d+)`
const METRIC = new RegExp(String.raw`^(${NUMBER})\s*(mm|cm|m)$`)
const BARE = new RegExp(String.raw`^(${NUMBER})$`)
const INCH_DECIMAL = new RegExp(String.raw`^(${NUMBER})\s*(?:in|inch|inches|")$`)
const INCH_FRACTION = new RegExp(String.raw`^${MIXED}\s*(?:in|inch|inches|")?$`)
const FEET = new RegExp(String.raw`^(${NUMBER})\s*(?:ft|feet|')(?:[\s-]*(.+))?$`)

const toNumber = (text: string) => Number(text.replace(',', '.'))

function readInches(text: string): number | null {
  const fraction = INCH_FRACTION.exec(text)
  if (fraction) {
    const [, whole, over, under] = fraction
    return Number(under) === 0 ? null : Number(whole ?? 0) + Number(over) / Number(under)
  }
  const decimal = INCH_DECIMAL.exec(text)
  return decimal ? toNumber(decimal[1]!) : null
}

/**
 * A length as the trade writes it, in mm. A bare number is mm in a metric job and inches in an inch job;
 * a fraction is inches everywhere. A comma is a decimal point.
 * Issues at `path`: `missing` (nothing typed), `not-understood`, `range` (zero, negative, not finite).
 */
export function parseLength(text: string, system: UnitSystem, path = 'value'): Result<ParsedLength> {
  const typed = text.trim()
  if (typed === '') return fail('missing', path, `Nothing typed. ${ACCEPTED}`)
  if (typed.length > LONGEST)
    return fail('not-understood', path, `That is ${typed.length} characters, too long for a length. ${ACCEPTED}`)
  const tidy = typed.toLowerCase().replace(/[″“”]/g, '"').replace(/[′’]/g, "'").replace(/\s+/g, ' ')
  if (/^[-−]/.test(tidy)) return fail('range', path, `A length is more than 0. ${ACCEPTED}`)

  const read = (): Omit<ParsedLength, 'typed'> | null => {
    const metric = METRIC.exec(tidy)
    if (metric) {
      const unit = metric[2] as 'mm' | 'cm' | 'm'
      return { mm: toNumber(metric[1]!) * { mm: 1, cm: 10, m: 1000 }[unit], unit }
    }
    const bare = BARE.exec(tidy)
    if (bare)
      return system === 'inch'
        ? { mm: toNumber(bare[1]!) * MM_PER_INCH, unit: 'in' }
        : { mm: toNumber(bare[1]!), unit: 'mm' }
    const feet = FEET.exec(tidy)
    if (feet) {
      const rest = feet[2] === undefined ? 0 : (readInches(feet[2]) ?? (BARE.test(feet[2]) ? toNumber(feet[2]) : null))
      return rest === null ? null : { mm: (toNumber(feet[1]!) * 12 + rest) * MM_PER_INCH, unit: 'ft' }
    }
    const inches = readInches(tidy)
    return inches === null ? null : { mm: inches * MM_PER_INCH, unit: 'in' }
  }

  const length = read()
  if (!length || !Number.isFinite(length.mm))
    return fail('not-understood', path, `"${typed.slice(0, 20)}" is not a length. ${ACCEPTED}`)
  if (length.mm <= 0) return fail('range', path, `A length is more than 0. ${ACCEPTED}`)
  return ok({ ...length, typed })
}
