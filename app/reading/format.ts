import type { WorkingLine } from '#core/base'
import {
  BAR_PER_PSI,
  lengths,
  MM_PER_FOOT,
  quantityWords,
  speak,
  toFahrenheit,
  unitOf as unitOfQuantity,
  type QuantityName,
} from '#core/speech'
import { formatDecimal, formatLength, MM_PER_INCH, type Region, type UnitSystem, unitSystemOf } from '#core/units'

/** A measured diameter as its instrument reads it: mm to a hundredth, or inches to a thousandth. */
export const formatReading = (mm: number, system: UnitSystem): string =>
  system === 'inch' ? (mm / MM_PER_INCH).toFixed(3) : formatDecimal(mm, 2)

/** The mm beside a reading in inches; nothing beside one in mm. */
export const mmBeside = (mm: number, system: UnitSystem): string =>
  system === 'inch' ? ` (${formatDecimal(mm, 2)} mm)` : ''

export const unitOf = (system: UnitSystem): string => (system === 'inch' ? 'in' : 'mm')

/** A probability as a count in a hundred; never a flat nought or hundred. */
export function inHundred(probability: number): string {
  if (probability < 0.005) return 'under 1'
  return probability > 0.995 ? 'over 99' : String(Math.round(probability * 100))
}

/** A length in the words of its own tape alone: no mm beside inches. */
export const tapeWords = (mm: number, system: UnitSystem): string => formatLength(mm, system).replace(/ \(.*\)$/, '')

/** A diameter with its unit, and mm beside inches. */
export const diameterText = (mm: number, system: UnitSystem): string =>
  `${formatReading(mm, system)} ${unitOf(system)}${mmBeside(mm, system)}`

const regionOf = (system: UnitSystem): Region => (system === 'inch' ? 'us' : 'gb')
/** A figure in SI with the unit of the system: bar, degC, l/s, m/s. `among`: what it stands against. */
export const inUnits = (name: QuantityName, value: number, system: UnitSystem, among: readonly number[] = []): string =>
  quantityWords(name, [value], regionOf(system), among)

/** A figure alone, for a column whose head has the unit. */
export const bare = (name: QuantityName, value: number, system: UnitSystem): string =>
  inUnits(name, value, system).replace(/ .*$/, '')
export const unitName = (name: QuantityName, system: UnitSystem): string => unitOfQuantity(name, regionOf(system))

/** A range of lengths with its unit, mm beside inches. */
export const rangeText = (lo: number, hi: number, system: UnitSystem): string =>
  speak(lengths(lo, hi), regionOf(system))

/** How many of a part, as an order says it. */
export const countText = (quantity: number, region: Region): string =>
  region === 'us' ? `qty ${quantity}` : `${quantity} off`

/** How large a drawing is: so many points of the screen to a unit. */
export const scaleText = (pxPerMm: number, system: UnitSystem): string =>
  system === 'inch'
    ? `1 in drawn ${formatDecimal(pxPerMm * MM_PER_INCH, 1)} px`
    : `1 mm drawn ${formatDecimal(pxPerMm, pxPerMm < 0.1 ? 3 : 2)} px`

/** Units of a sum as inch countries have them: the factor from the SI one, and its letters. Exact by NIST SP 811. */
const INCH_UNITS: Readonly<Record<string, { by: (value: number) => number; unit: string; digits: number }>> = {
  bar: { by: (bar) => bar / BAR_PER_PSI, unit: 'psi', digits: 2 },
  degC: { by: toFahrenheit, unit: '\u00b0F', digits: 0 },
  'mm/(m K)': { by: (alpha) => (alpha * 1.2) / 1.8, unit: 'in/(100 ft \u00b0F)', digits: 3 },
  K: { by: (kelvin) => kelvin * 1.8, unit: '\u00b0F', digits: 1 },
  m: { by: (metres) => (metres * 1000) / MM_PER_FOOT, unit: 'ft', digits: 2 },
  'm/s': { by: (speed) => (speed * 1000) / MM_PER_FOOT, unit: 'ft/s', digits: 2 },
  'kg/m3': { by: (density) => density * 0.0624279606, unit: 'lb/ft3', digits: 2 },
  'mPa s': { by: (viscosity) => viscosity, unit: 'cP', digits: 3 },
  'W/(m K)': { by: (conductivity) => conductivity * 0.577789317, unit: 'Btu/(h ft \u00b0F)', digits: 1 },
  'J/(kg K)': { by: (heat) => heat * 0.000238845897, unit: 'Btu/(lb \u00b0F)', digits: 4 },
  'W/(m2 K)': { by: (loss) => loss * 0.17611018, unit: 'Btu/(h ft2 \u00b0F)', digits: 2 },
}
const METRIC_UNITS: Readonly<Record<string, string>> = { degC: '\u00b0C' }

/** The figure of a sum's line with its unit, in the reader's. */
export function lineValue({ value, unit }: Pick<WorkingLine, 'value' | 'unit'>, region: Region): string {
  const plain = () => `${formatDecimal(value, 2)} ${METRIC_UNITS[unit] ?? unit}`.trim()
  if (unitSystemOf(region) === 'metric') return plain()
  if (unit === 'mm') return `${(value / MM_PER_INCH).toFixed(3)} in (${formatDecimal(value, 2)} mm)`
  const own = INCH_UNITS[unit]
  return own ? `${formatDecimal(own.by(value), own.digits)} ${own.unit}` : plain()
}
