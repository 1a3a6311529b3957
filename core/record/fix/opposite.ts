import type { Vector } from '#core/line'
import { offOpposite, type LaidSupports, type LineSupport } from '#core/supports'
import type { JobRecord } from '../job/record'
import type { LineRecord } from '../line/record'
import type { LineRules } from '../line/work'
import { fixLine, holdLine } from './work'

/** Nearer than this two supports stand opposite, mm: less than a pencil mark. Ours. */
const OPPOSITE_MM = 1

/** A support of a line beside another, by its name. */
export interface Opposed {
  name: string
  /** Still to go along its leg to stand opposite, mm; null where nothing runs beside it. */
  off: number | null
}

/** How a line stands to the one beside it: its supports, and the moves that bring them opposite as far as they may. */
export interface Beside {
  other: LineRecord
  supports: Opposed[]
  opposite: number
  moves: { support: string; mm: number }[]
}

const originOf = ({ fix: { beside } }: LineRecord): Vector => [beside?.right ?? 0, beside?.away ?? 0, beside?.up ?? 0]

/** The line that another was said to run beside; null where none was, or it is gone. */
const otherOf = ({ lines }: Pick<JobRecord, 'lines'>, { id, fix: { beside } }: LineRecord): LineRecord | null =>
  (beside && lines.find((one) => one.id === beside.line && one.id !== id)) ?? null

const canReach = ({ may, fixedAt }: LineSupport, mm: number): boolean =>
  fixedAt === null && may !== null && mm >= may.from - 1e-6 && mm <= may.to + 1e-6
const isOff = (off: number | null): off is number => off !== null && Math.abs(off) >= OPPOSITE_MM

/** A line as it is held; null while it cannot be laid. */
function heldOf(job: LineRules, line: LineRecord): LaidSupports | null {
  const held = holdLine(job, line)
  return held && { laid: held.line.survey.laid, supports: held.supports }
}

/** Goes over the supports so often: one that moved may give another room. */
const MOST_ROUNDS = 4

/**
 * How a line's supports stand to those of the line beside it. Moves are tried one after another: a support moves where
 * it reaches its opposite and may sit there while the others stay, else not at all; one that is fixed stays. null where
 * the line runs beside none.
 */
export function besideOf(job: LineRules & Pick<JobRecord, 'lines'>, line: LineRecord): Beside | null {
  const other = otherOf(job, line)
  const [theirs, named] = [other && heldOf(job, other), fixLine(job, line)]
  if (!other || !theirs || !named) return null
  const origin = originOf(line)
  const moves = new Map<string, number>()
  const standing = () => {
    const moved = Object.fromEntries([...moves].map(([key, mm]) => [key, { mm, at: null, by: '' }]))
    const now = heldOf(job, { ...line, clips: { ...line.clips, ...moved } })!
    return now.supports.map((support) => ({ support, off: offOpposite(now, support, theirs, origin) }))
  }
  const next = () => standing().find(({ support, off }) => isOff(off) && canReach(support, support.at + off))
  const most = named.supports.length * MOST_ROUNDS
  for (let one = next(), n = 0; one && n < most; one = next(), n++)
    moves.set(one.support.key, one.support.at + one.off!)
  const offs = new Map(standing().map(({ support: { key }, off }) => [key, off]))
  const supports = named.supports.map(({ key, name }) => ({ name, off: offs.get(key) ?? null }))
  return {
    other,
    supports,
    opposite: supports.filter(({ off }) => off !== null && !isOff(off)).length,
    moves: [...moves].map(([support, mm]) => ({ support, mm })),
  }
}
