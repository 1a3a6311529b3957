import { Reader, startsWith, type Word } from '#core/shorthand'
import { parseFlow, parseLength, parsePressure, parseTemperature, unitSystemOf, type Region } from '#core/units'
import { flow, pressure, temperature } from '#core/speech'
import { materialNames } from '#core/shorthand'
import { lexicon, SPOKEN_SIZES, TYPE_LETTERS, type Said } from './words'

/** A figure as it stands in a line: a size, a length or a plain number, by what the line asks for. */
export interface Figure {
  kind: 'figure'
  /** Its size as pipe is called; null where it can be none. */
  nominal: string | null
  /** Its length, mm; null where it can be none. */
  mm: number | null
  /** The number alone; null of a fraction. */
  value: number | null
  hasUnit: boolean
  /** Feet or metres: never a size. */
  isRun: boolean
}
type QuantityKind = 'flow' | 'pressure' | 'temperature' | 'angle'
export type Quantity = { [Kind in QuantityKind]: { kind: Kind; value: number } }[QuantityKind]
export type Token = (Said | Figure | Quantity | { kind: 'by' }) & { word: Word; from: number; to: number }
export type TokenOf<Kind extends Token['kind']> = Extract<Token, { kind: Kind }>

/** A line taken apart; `rest` is where a word is not known. */
export interface Lexed {
  tokens: Token[]
  words: Word[]
  rest: string | null
}

const FLOW = /^\d+(?:[.,]\d+)? ?(?:l\/s|ls|l\/min|lpm|gpm|gal\/min|m3\/h)(?![\w/])/
const PRESSURE = /^\d+(?:[.,]\d+)? ?(?:bar|psi|kpa|mbar)(?!\w)/
const TEMPERATURE = /^-?\d+(?:[.,]\d+)? ?(?:\u00b0 ?[cf]|deg ?[cf]|[cf])(?![\w-])/
const ANGLE = /^(\d+(?:[.,]\d+)?) ?(?:\u00b0|deg(?:rees)?)(?!\w)/
const BY = /^x(?=[\s\d.])/
/** Inches as `.840` or `0.840`; a comma is a decimal point too. */
const DECIMAL = /^\d*[.,]\d+(?: ?(?:mm|cm|m|in(?:ch(?:es)?)?|ft|"|')(?![a-z]))?/
const WHOLE =
  /^(?:\d+' ?(?:\d+[- ])?\d*(?:\/\d+)?(?:"|''| ?in)?|(?:\d+[- ])?\d+\/\d+(?: ?(?:"|''|in(?:ch(?:es)?)?\b))?|\d+(?: ?(?:mm|cm|m|in(?:ch(?:es)?)?|ft|feet|"|''|')(?![a-z]))?)/

/** Decimal inches that pipe is called by, as a fraction: .75 is 3/4. */
const FRACTIONS: Readonly<Record<string, string>> = {
  '0.25': '1/4',
  '0.375': '3/8',
  '0.5': '1/2',
  '0.625': '5/8',
  '0.75': '3/4',
  '1.25': '1-1/4',
  '1.5': '1-1/2',
}

/** A size as pipe is called, out of its letters. */
function nominalOf(text: string, region: Region): string | null {
  const found = /^(?:(\d+)[- ])?(\d+)\/(\d+)|^(\d+)(?= ?(?:mm|in|"|$))/.exec(text)
  if (found) {
    const [, whole, over, under, plain] = found
    return plain ?? (whole ? `${whole}-${over}/${under}` : `${over}/${under}`)
  }
  const decimal = /^(\d*)[.,](\d+)( ?(?:in|"))?/.exec(text)
  if (!decimal || (!decimal[3] && region !== 'us')) return null
  return FRACTIONS[String(Number(`${decimal[1] || 0}.${decimal[2]}`))] ?? null
}

function figureOf(text: string, region: Region): Figure | null {
  const length = parseLength(text.replace(/''/g, '"').replace(/ feet$/, ' ft'), unitSystemOf(region))
  const number = /^\d*(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : null
  if (!length.ok && number !== 0) return null
  const isRun = /(?:m|ft|feet|')$/.test(text) && !/mm$|cm$/.test(text)
  return {
    kind: 'figure',
    nominal: isRun ? null : nominalOf(text, region),
    mm: length.ok ? length.value.mm : 0,
    value: number,
    hasUnit: /[a-z"']/.test(text),
    isRun,
  }
}

/** The words of a line in order, each with what it is; it stops at the first that is none of them. */
export function lex(text: string, region: Region): Lexed {
  const reader = new Reader(text, region)
  const tokens: Token[] = []
  const system = unitSystemOf(region)
  const push = (token: Said | Figure | Quantity | { kind: 'by' }, length: number, as: string) => {
    const from = reader.position
    reader.takeAs(length, as)
    tokens.push({ ...token, word: reader.words.at(-1)!, from, to: from + reader.words.at(-1)!.text.length } as Token)
  }
  const quantity = (
    pattern: RegExp,
    kind: QuantityKind,
    read: (typed: string) => number | null,
    say: (value: number) => string,
  ) => {
    const found = pattern.exec(reader.rest)
    const value = found ? read(found[0]) : null
    if (!found || value === null) return false
    push({ kind, value } as Quantity, found[0].length, say(value))
    return true
  }
  const valueOf = (result: ReturnType<typeof parseFlow>) => (result.ok ? result.value : null)
  const isQuantity = () =>
    quantity(
      FLOW,
      'flow',
      (typed) => valueOf(parseFlow(typed.replace(/ls$/, 'l/s'), system)),
      (ls) => `flow ${flow(ls)}`,
    ) ||
    quantity(
      PRESSURE,
      'pressure',
      (typed) => valueOf(parsePressure(typed, system)),
      (bar) => pressure(bar),
    ) ||
    quantity(
      TEMPERATURE,
      'temperature',
      (typed) => valueOf(parseTemperature(typed, system)),
      (c) => temperature(c),
    ) ||
    quantity(
      ANGLE,
      'angle',
      (typed) => Number(ANGLE.exec(typed)![1]!.replace(',', '.')),
      (angle) => `${angle} degrees`,
    )
  /** A letter of copper behind a size; in inch countries nobody measures in metres. */
  const isLetter = () => {
    const [last] = tokens.slice(-1)
    const letter = /^[klm](?![\w-])/.exec(reader.rest)?.[0]
    const longer = startsWith(reader.rest, lexicon(region))
    if (!letter || (longer && longer.name.length > 1)) return false
    if (last?.kind !== 'figure' || last.nominal === null) return false
    const found = materialNames(region).find(({ name }) => name === TYPE_LETTERS[letter])!
    push({ kind: 'material', material: found.material }, 1, `type ${letter.toUpperCase()} copper`)
    return true
  }
  const isFigure = () => {
    const spoken = startsWith(reader.rest, SPOKEN_SIZES)
    if (spoken) {
      const figure = figureOf(`${spoken.nominal} in`, region)!
      push({ ...figure, nominal: spoken.nominal }, spoken.name.length, `size ${spoken.nominal}`)
      return true
    }
    const found = DECIMAL.exec(reader.rest) ?? WHOLE.exec(reader.rest)
    if (!found || found[0] === '') return false
    // 3/4 M is a type of copper, and so is 1 M where lengths are in feet.
    const typed =
      /\d\/\d+ m$/.test(found[0]) ||
      (region === 'us' && / m$/.test(found[0]) && !tokens.some(({ kind }) => kind === 'flow'))
        ? found[0].slice(0, -2)
        : found[0]
    const figure = figureOf(typed.trim(), region)
    if (!figure) return false
    push(figure, typed.length, typed)
    return true
  }
  const isWord = () => {
    const found =
      startsWith(reader.rest, lexicon(region)) ??
      lexicon(region).find(({ name }) => !/\w/.test(name) && reader.rest.startsWith(name))
    if (!found) return false
    push(found.said, found.name.length, found.as)
    return true
  }
  const isBy = () => {
    if (!BY.test(reader.rest)) return false
    push({ kind: 'by' }, 1, 'by')
    return true
  }
  while (!reader.isDone) {
    if (isBy() || isLetter() || isQuantity() || isNumberWord() || isFigure() || isWord()) continue
    return { tokens, words: reader.words, rest: reader.typed }
  }
  return { tokens, words: reader.words, rest: null }

  /** Words that begin with a figure: 45 elbow, 90. */
  function isNumberWord(): boolean {
    const found = lexicon(region).find(
      ({ name }) => /^\d/.test(name) && reader.rest.startsWith(name) && !/^[\w-]/.test(reader.rest.slice(name.length)),
    )
    if (!found || (found.name === '90' && tokens.length === 0) || tokens.at(-1)?.kind === 'at') return false
    push(found.said, found.name.length, found.as)
    return true
  }
}
