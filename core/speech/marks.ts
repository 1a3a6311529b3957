/*
 * Sentences are written once, with marks where a figure or a word goes by the reader: `speak` puts those of his region
 * there. A mark is text between two letters of Unicode's private use, which no reader types and no font shows.
 */

const OPEN = '\uE000'
const CLOSE = '\uE001'
const BETWEEN = '\uE002'
/** A mark that holds no other. */
export const MARK = new RegExp(`${OPEN}([^${OPEN}${CLOSE}]*)${CLOSE}`, 'g')
export const hasMarks = (text: string): boolean => text.includes(OPEN)

export const markOf = (kind: string, ...args: readonly (string | number)[]): string =>
  OPEN + [kind, ...args].join(BETWEEN) + CLOSE
export const partsOf = (inside: string): string[] => inside.split(BETWEEN)
