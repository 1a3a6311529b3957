import { formatDecimal, formatTape, type UnitSystem } from '#core/units'
import { pointLetter } from './run'
import type { TypedLength } from './types'

/** A length as it is typed in a leg: mm to a tenth, or whole inches and a fraction to the nearest sixteenth. */
export const typeLength = (mm: number, system: UnitSystem): string =>
  system === 'metric' ? formatDecimal(mm, 1) : formatTape(mm)

/** A leg's text with one of its lengths typed anew; the rest stays as it was typed. */
export const withLength = (text: string, length: TypedLength, mm: number, system: UnitSystem): string =>
  `${text.slice(0, length.from)}${typeLength(mm, system)}${text.slice(length.to)}`

const FROM = /^\s*from ([a-z]{1,2})\b/i

/** Index of the leg that runs to the point a text begins from; null where it goes on from the leg before it. */
const fromOf = (text: string, count: number): number | null => {
  const letter = FROM.exec(text)?.[1]?.toUpperCase()
  if (!letter) return null
  const at = Array.from({ length: count }, (_, i) => pointLetter(i + 1)).indexOf(letter)
  return at < 0 ? null : at
}
const withFrom = (text: string, index: number): string =>
  FROM.test(text)
    ? text.replace(FROM, `from ${pointLetter(index + 1).toLowerCase()}`)
    : `from ${pointLetter(index + 1).toLowerCase()} ${text}`

/** Legs with one put in before place `at`; what began from a later point still does. */
export function insertLeg(texts: readonly string[], at: number, text: string): string[] {
  const moved = texts.map((one) => {
    const from = fromOf(one, texts.length)
    return from !== null && from >= at ? withFrom(one, from + 1) : one
  })
  return [...moved.slice(0, at), text, ...moved.slice(at)]
}

/** Legs without one; what hung on it goes on from where it began. */
export function removeLeg(texts: readonly string[], at: number): string[] {
  const removed = texts[at]
  if (removed === undefined) return [...texts]
  const before = fromOf(removed, texts.length) ?? at - 1
  return texts.flatMap((one, i) => {
    if (i === at) return []
    const from = fromOf(one, texts.length)
    if (from !== null && from === at) return [before < 0 ? one.replace(FROM, '').trimStart() : withFrom(one, before)]
    if (from !== null && from > at) return [withFrom(one, from - 1)]
    // The next leg went on from this one without saying so.
    return [from === null && i === at + 1 && before >= 0 && before !== at - 1 ? withFrom(one, before) : one]
  })
}
