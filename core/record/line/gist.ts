import { fixLine } from '../fix/work'
import type { LineRecord } from './record'
import { isLineRight, type LineRules } from './work'

/** What the overview of a job needs of a line, and what is dear to work out: it is done once for each version of it. */
export interface LineGist {
  id: string
  number: number
  name: string
  pipe: string
  legs: number
  isRight: boolean
  /** Supports that are on the wall, of all that it wants, and whether one stands where it must not. */
  fixed: number
  supports: number
  isBroken: boolean
  /** The next support to fix, mm from the left end of its piece, or from its leg's beginning where that is not known. */
  next: { name: string; mm: number } | null
}

export function gistOfLine(rules: LineRules, line: LineRecord): LineGist {
  const supports = line.legs.length === 0 ? [] : (fixLine(rules, line)?.supports ?? [])
  const next = supports.find(({ fixedAt }) => fixedAt === null)
  return {
    id: line.id,
    number: line.number,
    name: line.name,
    pipe: line.pipe,
    legs: line.legs.length,
    isRight: isLineRight(rules, line),
    fixed: supports.filter(({ fixedAt }) => fixedAt !== null).length,
    supports: supports.length,
    isBroken: supports.some(({ broken }) => broken.length > 0),
    next: next ? { name: next.name, mm: next.fromLeft ?? next.at } : null,
  }
}
