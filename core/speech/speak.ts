import type { Region } from '#core/units'
import {
  diameterWords,
  isQuantity,
  lengthWords,
  quantityWords,
  MM_PER_FOOT,
  runWords,
  stockWords,
  typicalWords,
  type QuantityName,
} from './figures'
import { hasMarks, MARK, markOf, partsOf } from './marks'
import { termWords } from './terms'

/* Marks for figures, and how they are read out. Figures are SI: mm, bar, degC, K, l/s, m/s, l. */

const LISTED = ';'
const listed = (values: readonly number[]): string => values.join(LISTED)
const numbers = (text: string | undefined): number[] => (text ? text.split(LISTED).map(Number) : [])

/** A length off the tape, mm; `among`: the figures it stands against, so that they read apart. */
export const length = (mm: number, among: readonly number[] = []): string => markOf('length', mm, listed(among))
/** A range of lengths, mm, measured or firm. */
export const lengths = (lo: number, hi: number): string => markOf('length', listed([lo, hi]))
/** A length of practice, mm, as people say it; with `hi` a range. */
export const about = (lo: number, hi?: number): string => markOf('typical', listed(hi === undefined ? [lo] : [lo, hi]))
/** A diameter or a difference of two, mm, as an instrument reads it. */
export const diameter = (mm: number): string => markOf('diameter', mm)
/** Lengths that stock is sold in, m. */
export const soldInMetres = (...metres: readonly number[]): string =>
  markOf('stock', listed(metres.map((m) => m * 1000)))
/** Lengths that stock is sold in, ft. */
export const soldInFeet = (...feet: readonly number[]): string =>
  markOf('stock', listed(feet.map((ft) => ft * MM_PER_FOOT)))
/** A length of run, mm: metres or feet. */
export const run = (mm: number): string => markOf('run', mm)

const quantity =
  (name: QuantityName) =>
  (value: number, among: readonly number[] = []): string =>
    markOf(name, value, listed(among))
/** bar */
export const pressure = quantity('pressure')
/** degC */
export const temperature = quantity('temperature')
/** A range of temperatures, degC. */
export const temperatures = (lo: number, hi: number): string => markOf('temperature', listed([lo, hi]))
/** A difference of temperatures, K. */
export const rise = quantity('rise')
/** l/s */
export const flow = quantity('flow')
/** m/s */
export const speed = quantity('speed')
export const speeds = (lo: number, hi: number): string => markOf('speed', listed([lo, hi]))
/** N */
export const force = quantity('force')
/** l */
export const volume = quantity('volume')

/** A sentence that differs as a whole; the EN countries say it as Britain does where nothing else stands. */
export const perRegion = (said: { gb: string; us: string; eu?: string }): string =>
  markOf('per', said.us, said.gb, said.eu ?? said.gb)

function read(inside: string, region: Region): string {
  const [kind, first = '', second, third] = partsOf(inside)
  switch (kind) {
    case 'term':
      return termWords(first, region)
    case 'per':
      return { us: first, gb: second ?? '', eu: third ?? '' }[region]
    case 'length':
      return lengthWords(numbers(first), region, numbers(second))
    case 'typical':
      return typicalWords(numbers(first), region)
    case 'diameter':
      return diameterWords(Number(first), region)
    case 'stock':
      return stockWords(numbers(first), region)
    case 'run':
      return runWords(Number(first), region)
    default:
      return isQuantity(kind) ? quantityWords(kind, numbers(first), region, numbers(second)) : ''
  }
}

/** A sentence in the words and units of a region. */
export function speak(text: string, region: Region): string {
  let said = text
  // A mark may stand within another: the innermost are read first. What somebody typed may hold half a mark.
  while (hasMarks(said)) {
    const next = said.replace(MARK, (_, inside: string) => read(inside, region))
    if (next === said) return said
    said = next
  }
  return said
}

/** An answer with each of its sentences in the words of a region; what has none is left as it is, and not copied. */
export function speakAll<T>(value: T, region: Region): T {
  if (typeof value === 'string') return (hasMarks(value) ? speak(value, region) : value) as T
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) {
    let said: unknown[] | undefined
    for (const [i, one] of (value as unknown[]).entries()) {
      const spokenOne = speakAll(one, region)
      if (spokenOne !== one) (said ??= [...(value as unknown[])])[i] = spokenOne
    }
    return (said ?? value) as T
  }
  if (Object.getPrototypeOf(value) !== Object.prototype) return value
  let said: Record<string, unknown> | undefined
  for (const [key, one] of Object.entries(value)) {
    const spokenOne = speakAll(one as unknown, region)
    if (spokenOne !== one) (said ??= { ...(value as Record<string, unknown>) })[key] = spokenOne
  }
  return (said ?? value) as T
}

/** A function that answers questions, with its answers in the words of the question's region; Britain's where none is said. */
export const spoken =
  <Question extends { region?: Region }, Rest extends unknown[], Answer>(
    answer: (question: Question, ...rest: Rest) => Answer,
  ): ((question: Question, ...rest: Rest) => Answer) =>
  (question, ...rest) =>
    speakAll(answer(question, ...rest), question.region ?? 'gb')
