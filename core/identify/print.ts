import { LITERALS, type Literal, type PrintToken } from './print-forms'
import { SHAPES, WORN } from './print-sizes'

export type { PrintToken } from './print-forms'

export interface PrintReading {
  tokens: PrintToken[]
  /** What could not be read or means nothing here, in order. */
  unread: string[]
}

/** A letter of a form as a pattern: itself, or one that cannot be read. */
const letter = (char: string): string => `[${char.replace(/[\\\]^/-]/, '\\$&')}${WORN}]`
/** Separators that are printed or left out between any two letters of a form. */
const GAP = '[ .:\\-/]?'
const patternOf = (text: string): string => [...text.replace(/[-/ ]/g, '')].map(letter).join(GAP)
const LITERAL_PATTERNS = LITERALS.map((literal) => ({
  literal,
  pattern: new RegExp(`(?<![A-Z0-9])${patternOf(literal.text)}(?![A-Z0-9])`, 'g'),
  length: literal.text.replace(/[-/ ]/g, '').length,
}))
/** Of a form's letters at least this share has to be readable, and at least this many. */
const LEAST_SHARE = 0.6
const LEAST_LETTERS = 2

/** The line in one case, with its odd signs made plain, letter for letter in the same places. */
const normalise = (text: string): string =>
  [...text.toUpperCase()]
    .map(
      (char) =>
        (
          ({
            '\u00d7': 'X',
            '\u201d': '"',
            '\u201c': '"',
            '\u2033': '"',
            '\u2013': '-',
            '\u2014': '-',
            '\u2044': '/',
            '\t': ' ',
            '\n': ' ',
          }) as Record<string, string>
        )[char] ?? char,
    )
    .join('')

/** A piece with worn letters is taken for a warning, never for a fact that a joint rests on. */
const wornSays = ({ says }: Literal): Pick<PrintToken, 'says' | 'isWater'> => ({
  says: says?.madeFor && says.madeFor !== 'drinking' ? says : undefined,
  isWater: undefined,
})

interface Found extends PrintToken {
  end: number
  letters: number
}

/**
 * A print line read piece by piece: standards, sizes, materials, listing codes, classes, ratings. Letters that cannot be
 * read may be given as `?`; case, commas, quotes and spaces do not matter. Longer pieces win over shorter ones in them.
 */
export function readPrint(text: string): PrintReading {
  // Letters outside the first plane or that grow in capitals would move all places after them.
  const line = normalise(
    [...text]
      .map((char) => (char.length === 1 && char.toUpperCase().length === 1 ? char : '?'.repeat(char.length)))
      .join(''),
  )
  const found: Found[] = []
  for (const { literal, pattern, length } of LITERAL_PATTERNS) {
    for (const match of line.matchAll(pattern)) {
      const worn = [...match[0]].filter((char) => WORN.includes(char)).length
      if (length - worn < Math.max(LEAST_LETTERS, length * LEAST_SHARE)) continue
      found.push({
        ...literal,
        ...(worn > 0 ? wornSays(literal) : {}),
        text: text.slice(match.index, match.index + match[0].length),
        at: match.index,
        end: match.index + match[0].length,
        letters: length - worn,
      })
    }
  }
  for (const { pattern, read } of SHAPES) {
    for (const match of line.matchAll(pattern)) {
      const token = read(match as RegExpExecArray)
      if (token)
        found.push({
          ...token,
          text: text.slice(match.index, match.index + match[0].length),
          at: match.index,
          end: match.index + match[0].length,
          letters: match[0].length,
        })
    }
  }
  found.sort((a, b) => b.letters - a.letters || a.at - b.at)
  const taken: Found[] = []
  // A worn piece may be one of several: it then says only what they share.
  const alike = ({ at, end, letters }: Found) =>
    found.filter((other) => other.at === at && other.end === end && other.letters === letters)
  const either = (ones: readonly Found[]): Found => ({
    ...ones[0]!,
    meaning: [...new Set(ones.map(({ meaning }) => meaning))].join(', or '),
    ...(ones.every(({ fits }) => fits)
      ? { fits: (pipe) => ones.some(({ fits }) => fits!(pipe)) }
      : { fits: undefined }),
  })
  for (const one of found)
    if (taken.every(({ at, end }) => one.end <= at || one.at >= end)) taken.push(either(alike(one)))
  taken.sort((a, b) => a.at - b.at)
  const unread: string[] = []
  let from = 0
  for (const { at, end } of [...taken, { at: text.length, end: text.length }]) {
    unread.push(
      ...text
        .slice(from, at)
        .split(/\s+/)
        .filter((word) => /[\p{L}\p{N}]/u.test(word)),
    )
    from = end
  }
  return { tokens: taken.map(({ end: _, letters: __, ...token }) => token), unread }
}
