import { bendOf, getPipe } from '#core/catalogue'
import type { Method } from '#core/joints'
import type { Survey } from '#core/line'
import type { LineRecord } from './record'
import { surveyed, type LineRules } from './work'

/** What a line with its corners the other way would take, against what it takes now. */
export interface OtherCorners {
  to: LineRecord['corners']
  /** Fewer (over 0) or more (under 0) fittings, ends by method, and pieces of pipe. */
  fittings: number
  ends: { method: Method; fewer: number }[]
  pieces: number
  /** Why it cannot be made that way, in words; null where every piece can. */
  cannot: string | null
}

const fittingsIn = ({ fittings }: Survey): number => fittings.reduce((sum, { quantity }) => sum + quantity, 0)
function endsIn({ runs }: Survey): Map<Method, number> {
  const ends = new Map<Method, number>()
  for (const { piece } of runs)
    for (const end of piece.ok ? piece.value.ends : [])
      if (end.into !== 'free') ends.set(end.method, (ends.get(end.method) ?? 0) + 1)
  return ends
}

/**
 * A line with its corners pulled in the pipe where they are fittings, or the other way about; null where the pipe is not
 * bent on site, the line has no corner, or cannot be laid.
 */
export function otherCorners(rules: LineRules, line: LineRecord): OtherCorners | null {
  if (!bendOf(getPipe(line.pipe))) return null
  const to = line.corners === 'bends' ? 'fittings' : 'bends'
  // Its own list of legs: the line itself stays known as it is.
  const now = surveyed(rules, line).survey
  const then = surveyed(rules, { ...line, corners: to, legs: [...line.legs] }).survey
  if (!now || !then || now.runs.length === then.runs.length) return null
  const [before, after] = [endsIn(now), endsIn(then)]
  const failed = then.runs.find(({ piece }) => !piece.ok)?.piece
  return {
    to,
    fittings: fittingsIn(now) - fittingsIn(then),
    ends: [...new Set([...before.keys(), ...after.keys()])]
      .map((method) => ({ method, fewer: (before.get(method) ?? 0) - (after.get(method) ?? 0) }))
      .filter(({ fewer }) => fewer !== 0),
    pieces: now.runs.length - then.runs.length,
    cannot: failed && !failed.ok ? failed.error.message : null,
  }
}
