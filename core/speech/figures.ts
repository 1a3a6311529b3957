import {
  decimalsApart,
  formatDecimal,
  formatMm,
  lengthsApart,
  MM_PER_INCH,
  toTape,
  unitSystemOf,
  type Region,
} from '#core/units'

/*
 * SI figures in the reader's words. Conversions are exact: the foot is 304.8 mm, the US gallon 3.785411784 l, a pound a
 * square inch 6894.757 Pa, and a pound-force 4.448222 N (NIST SP 811). Figures that stand against each other are written as finely as tells them apart.
 */

export const BAR_PER_PSI = 0.0689475729
export const MM_PER_FOOT = 304.8
export const LITRES_PER_GALLON = 3.785411784
const NEWTON_PER_LBF = 4.4482216153

const isUs = (region: Region): boolean => region === 'us'

/** How finely a figure is written: tenths of a small one, whole ones of a large one. */
function digitsFor(values: readonly number[]): number {
  const least = Math.min(...values.map(Math.abs).filter((value) => value > 0))
  if (least < 0.1) return 3
  if (least < 1) return 2
  return least < 10 ? 1 : 0
}

/** Values that share one unit, as `1 to 2 mm` or each with it. */
type Writer = (values: readonly number[]) => (value: number) => string

/** Fractions of an inch that typical lengths are said in, the coarsest first, and how far they may be off. */
const TYPICAL_UNDERS = [1, 2, 4, 8, 16, 32] as const
const TYPICAL_OFF = 0.03

/** Inches of a typical figure, to the coarsest fraction that is near enough: 150 mm is 6, not 5 7/8. */
function typicalInches(mm: number): number {
  const inches = mm / MM_PER_INCH
  const near = TYPICAL_UNDERS.map((under) => Math.round(inches * under) / under)
  return near.find((one) => Math.abs(one - inches) <= TYPICAL_OFF * inches) ?? near.at(-1)!
}

const inchWords = (inches: number): string => {
  const { whole, over, under } = toTape(inches * MM_PER_INCH, 32)
  if (over === 0) return String(whole)
  return whole > 0 ? `${whole} ${over}/${under}` : `${over}/${under}`
}

/** A length along a line that nobody reads off a tape: `30 ft`, `10 m`. */
function runOf(mm: number, region: Region): string {
  if (!isUs(region)) return mm < 1000 ? `${formatMm(mm)} mm` : `${formatDecimal(mm / 1000, 2)} m`
  const feet = mm / MM_PER_FOOT
  if (feet < 1) return lengthsApart([mm], 'inch')(mm)
  if (Math.abs(Math.round(feet) - feet) <= 0.005 * feet) return `${Math.round(feet)} ft`
  const inches = Math.round(feet * 12)
  return inches % 12 === 0 ? `${inches / 12} ft` : `${Math.floor(inches / 12)} ft ${inches % 12} in`
}

/**
 * degF of degC. Whole degrees C of practice are said as the round figure they were made from, a whole ten, where it is
 * within one: 93 is 200, 82 is 180, 60 is 140.
 */
export function toFahrenheit(celsius: number): number {
  const exact = celsius * 1.8 + 32
  const round = Math.round(exact / 10) * 10
  return Number.isInteger(celsius) && Math.abs(round - exact) < 0.9 ? round : exact
}

const unit =
  (toReader: (value: number) => number, digits?: number): Writer =>
  (values) => {
    const read = values.map(toReader)
    const words = decimalsApart(read, digits ?? digitsFor(read))
    return (value) => words(toReader(value))
  }
const plain = (value: number): number => value

/** What a figure is of, with how each system writes it. */
interface Quantity {
  metric: { writer: Writer; unit: string }
  us: { writer: Writer; unit: string }
}
const QUANTITIES = {
  pressure: {
    metric: { writer: unit(plain), unit: 'bar' },
    us: { writer: unit((bar) => bar / BAR_PER_PSI), unit: 'psi' },
  },
  temperature: {
    metric: { writer: unit(plain, 0), unit: '\u00b0C' },
    us: { writer: unit(toFahrenheit, 0), unit: '\u00b0F' },
  },
  rise: { metric: { writer: unit(plain, 1), unit: 'K' }, us: { writer: unit((k) => k * 1.8, 0), unit: '\u00b0F' } },
  flow: {
    metric: { writer: unit(plain), unit: 'l/s' },
    us: { writer: unit((ls) => (ls * 60) / LITRES_PER_GALLON), unit: 'gpm' },
  },
  speed: {
    metric: { writer: unit(plain, 2), unit: 'm/s' },
    us: { writer: unit((ms) => ms / (MM_PER_FOOT / 1000), 1), unit: 'ft/s' },
  },
  force: {
    metric: { writer: unit(plain, 0), unit: 'N' },
    us: { writer: unit((n) => n / NEWTON_PER_LBF, 0), unit: 'lbf' },
  },
  volume: {
    metric: { writer: unit(plain), unit: 'l' },
    us: { writer: unit((l) => l / LITRES_PER_GALLON), unit: 'gal' },
  },
} as const satisfies Record<string, Quantity>
export type QuantityName = keyof typeof QUANTITIES
export const isQuantity = (name: string | undefined): name is QuantityName =>
  name !== undefined && Object.hasOwn(QUANTITIES, name)

const joined = (words: readonly string[]): string => words.join(' to ')

/** One figure, or two as a range, with the unit of the region; written apart from others it stands against. */
export function quantityWords(
  name: QuantityName,
  values: readonly number[],
  region: Region,
  among: readonly number[] = [],
): string {
  const own = QUANTITIES[name][isUs(region) ? 'us' : 'metric']
  const words = own.writer([...values, ...among])
  return `${joined(values.map(words))} ${own.unit}`
}

/** The unit a region writes a quantity in. */
export const unitOf = (name: QuantityName, region: Region): string =>
  QUANTITIES[name][isUs(region) ? 'us' : 'metric'].unit

/** A length as a tape reads it; two as a range. mm stand beside inches. */
export function lengthWords(values: readonly number[], region: Region, among: readonly number[] = []): string {
  if (values.length === 1) return lengthsApart([...values, ...among], unitSystemOf(region))(values[0]!)
  const words = lengthsApart([...values, ...among], 'metric')
  const mm = `${joined(values.map((value) => words(value).replace(' mm', '')))} mm`
  if (!isUs(region)) return mm
  const inches = lengthsApart([...values, ...among], 'inch')
  return `${joined(values.map((value) => inches(value).replace(/ in .*/, '')))} in (${mm})`
}

/** A typical length, or a range of them, as people say it: `6 to 12 in (150 to 300 mm)`. */
export function typicalWords(values: readonly number[], region: Region): string {
  const mm = `${joined(values.map(formatMm))} mm`
  return isUs(region) ? `${joined(values.map((value) => inchWords(typicalInches(value))))} in (${mm})` : mm
}

/** A diameter, or how far two differ, as an instrument reads it: hundredths of a mm, thousandths of an inch. */
export function diameterWords(mm: number, region: Region): string {
  const metric = `${formatDecimal(mm, 2)} mm`
  return isUs(region) ? `${(mm / MM_PER_INCH).toFixed(3)} in (${metric})` : metric
}

export const runWords = runOf

/** Lengths that stock is sold in, mm, in the unit of the region: `2, 3, 6 m`, `10, 20 ft`. */
export function stockWords(values: readonly number[], region: Region): string {
  const words = isUs(region)
    ? values.map((mm) => String(Math.round(mm / MM_PER_FOOT)))
    : values.map((mm) => formatDecimal(mm / 1000, 1))
  return `${words.join(', ')} ${isUs(region) ? 'ft' : 'm'}`
}
