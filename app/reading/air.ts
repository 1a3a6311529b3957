import { quantityWords } from '#core/speech'
import { formatDecimal, parseTemperature, type UnitSystem } from '#core/units'

const LEAST_C = -40
const MOST_C = 60

/** Letters of a temperature's unit. */
export const degreesOf = (system: UnitSystem): string => (system === 'inch' ? '\u00b0F' : '\u00b0C')
/** The same as it is spoken. */
export const degreesSpoken = (system: UnitSystem): string =>
  system === 'inch' ? 'degrees Fahrenheit' : 'degrees Celsius'

/** A temperature kept in degC, as it stands in a field of the job's system; empty where none is kept. */
export function temperatureField(celsius: number | null | undefined, system: UnitSystem): string {
  if (celsius === null || celsius === undefined) return ''
  // Degrees Fahrenheit are finer: nobody types their tenths.
  return system === 'inch' ? formatDecimal(celsius * 1.8 + 32, 0) : formatDecimal(celsius, 1)
}

/** A temperature as it was typed, in degC: either unit, a bare one in the job's; empty is not said. */
export function readAir(
  typed: string,
  system: UnitSystem,
  { least = LEAST_C, most = MOST_C }: { least?: number; most?: number } = {},
): { value: number | null; problem: string | null } {
  if (typed.trim() === '') return { value: null, problem: null }
  const read = parseTemperature(typed, system)
  if (read.ok && read.value >= least - 1e-9 && read.value <= most + 1e-9) {
    // A degree Fahrenheit is no round figure in Celsius: so finely that it reads back as it was typed.
    return { value: Math.round(read.value * 1000) / 1000, problem: null }
  }
  const region = system === 'inch' ? 'us' : 'gb'
  const like = system === 'inch' ? '57 or 14 C' : '14 or 57 F'
  return {
    value: null,
    problem: `A temperature of ${quantityWords('temperature', [least, most], region)}, such as ${like}.`,
  }
}
