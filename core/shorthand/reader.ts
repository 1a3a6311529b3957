import { parseLength, type Region, unitSystemOf } from '#core/units'
import { startsWith } from './words'

/** A word, or a few, as they were typed, and what they were taken for. */
export interface Word {
  text: string
  as: string
  /** Other words that could stand in its place, likeliest first. */
  others?: string[]
}

/** Signs that stand for a plain one. */
const PLAIN_SIGNS: Readonly<Record<string, string>> = {
  '\u00d7': 'x',
  '\u2033': '"',
  '\u201d': '"',
  '\u201c': '"',
  '\u2032': "'",
  '\u2019': "'",
}
/** Letters as they are compared; same length as the text. */
const plainOf = (text: string): string =>
  [...text]
    .map((char) => {
      const plain = PLAIN_SIGNS[char] ?? char.toLowerCase()
      return plain.length === char.length ? plain : '?'.repeat(char.length)
    })
    .join('')

const LENGTH =
  /^(?:\d+' ?(?:\d+[- ])?\d*(?:\/\d+)?(?:"|''| ?in)?|(?:\d+[- ])?\d+\/\d+(?: ?(?:"|''|in(?:ch(?:es)?)?\b))?|\d+(?:[.,]\d+)?(?: ?(?:mm|cm|m|in(?:ch(?:es)?)?|ft|"|')(?![a-z]))?)/

/** A line being read from left to right, with what was understood of it so far. */
export class Reader {
  private at = 0
  readonly words: Word[] = []
  private readonly plain: string

  constructor(
    private readonly text: string,
    readonly region: Region,
  ) {
    this.plain = plainOf(text)
    this.skip()
  }

  /** How many letters are read: where the next word begins. */
  get position(): number {
    return this.at
  }

  /** What is left, as it was typed. */
  get typed(): string {
    return this.text.slice(this.at)
  }

  get rest(): string {
    return this.plain.slice(this.at)
  }

  get isDone(): boolean {
    return this.rest.trim() === ''
  }

  private take(length: number, as: string, others?: string[]) {
    const text = this.text.slice(this.at, this.at + length).trim()
    this.words.push({ text, as, ...(others && others.length > 0 ? { others } : {}) })
    this.at += length
    this.skip()
  }

  private skip() {
    while (/[\s,]/.test(this.plain[this.at] ?? '')) this.at++
  }

  /** One of some words, taken as `as` says. */
  word<T extends { name: string }>(list: readonly T[], as: (found: T) => string): T | undefined {
    const found = startsWith(this.rest, list)
    if (found) this.take(found.name.length, as(found))
    return found
  }

  sign(pattern: RegExp, as: string): boolean {
    return this.match(pattern, as) !== null
  }

  /** What a pattern finds here, taken. */
  match(pattern: RegExp, as: string): RegExpExecArray | null {
    const found = pattern.exec(this.rest)
    if (found) this.take(found[0].length, as)
    return found
  }

  /** A length in mm, read as the trade writes it. */
  length(as: (mm: number) => string): number | null {
    const found = LENGTH.exec(this.rest)
    const parsed = found && parseLength(found[0], unitSystemOf(this.region))
    if (!found || !parsed?.ok) return null
    this.take(found[0].length, as(parsed.value.mm))
    return parsed.value.mm
  }

  number(as: string): number | null {
    const found = /^\d+(?:[.,]\d+)?/.exec(this.rest)
    if (!found) return null
    this.take(found[0].length, as)
    return Number(found[0].replace(',', '.'))
  }

  /** A size as pipe is called: `22`, `22 mm`, `3/4`, `1 1/4 in`. */
  nominal(): { nominal: string; length: number } | null {
    const found = /^(?:(\d+)[- ])?(\d+)\/(\d+)(?: ?(?:"|in(?:ch)?\b))?|^(\d+) ?(mm|"|in(?:ch)?\b)?(?![\d.,/])/.exec(
      this.rest,
    )
    if (!found) return null
    const [all, whole, over, under, plain] = found
    return { nominal: plain ?? (whole ? `${whole}-${over}/${under}` : `${over}/${under}`), length: all.length }
  }

  takeNominal(size: { nominal: string; length: number }) {
    this.take(size.length, `size ${size.nominal}`)
  }

  takeAs(length: number, as: string, others?: string[]) {
    this.take(length, as, others)
  }
}
