import { fail, ok, type Result } from '#core/base'
import type { UnitSystem } from './system'

/* Pressures and temperatures as they are typed: in either system with their unit, a bare one in the job's. */

/** How a figure in one unit is made SI, by the letters it is written with. */
interface Unit {
  letters: RegExp
  toSi: (value: number) => number
}
/** bar: a pound a square inch is 6894.757 Pa (NIST SP 811). */
const PRESSURES: readonly Unit[] = [
  { letters: /^bar$/, toSi: (bar) => bar },
  { letters: /^mbar$/, toSi: (mbar) => mbar / 1000 },
  { letters: /^psi$|^lb\/?in2$/, toSi: (psi) => psi * 0.0689475729 },
  { letters: /^kpa$/, toSi: (kpa) => kpa / 100 },
]
const TEMPERATURES: readonly Unit[] = [
  { letters: /^(?:\u00b0|deg ?)?c$/, toSi: (celsius) => celsius },
  { letters: /^(?:\u00b0|deg ?)?f$/, toSi: (fahrenheit) => (fahrenheit - 32) / 1.8 },
]
const LONGEST = 20
const NUMBER = /^([-\u2212]?\d{1,5}(?:[.,]\d{1,4})?)\s*(.*)$/

/** A figure and its unit, in SI; null where it is neither. */
function readFigure(text: string, units: readonly Unit[], bare: string): number | null {
  const found = NUMBER.exec(
    text
      .trim()
      .slice(0, LONGEST + 1)
      .toLowerCase(),
  )
  if (!found || text.trim().length > LONGEST) return null
  const letters = found[2]!.trim() || bare
  const unit = units.find((one) => one.letters.test(letters))
  return unit ? unit.toSi(Number(found[1]!.replace('\u2212', '-').replace(',', '.'))) : null
}

/** A pressure as it is typed, bar: `3`, `3 bar`, `60 psi`. Issue `not-understood` at `path`. */
export function parsePressure(text: string, system: UnitSystem, path = 'pressure'): Result<number> {
  const bar = readFigure(text, PRESSURES, system === 'inch' ? 'psi' : 'bar')
  const like = system === 'inch' ? '60 or 60 psi' : '3 or 3 bar'
  return bar === null || bar < 0
    ? fail('not-understood', path, `${path}: "${text.trim().slice(0, LONGEST)}" is no pressure. Accepted: ${like}.`)
    : ok(bar)
}

/** A temperature as it is typed, degC: `20`, `20 C`, `68 F`. Issue `not-understood` at `path`. */
export function parseTemperature(text: string, system: UnitSystem, path = 'temperature'): Result<number> {
  const celsius = readFigure(text, TEMPERATURES, system === 'inch' ? 'f' : 'c')
  const like = system === 'inch' ? '68 or 68 F' : '20 or 20 C'
  return celsius === null
    ? fail('not-understood', path, `${path}: "${text.trim().slice(0, LONGEST)}" is no temperature. Accepted: ${like}.`)
    : ok(celsius)
}
