/*
 * Whether parts can be put together at all: each move of each part is a slide along the pipe or straight aside, swept
 * against everything that stands still. Lengths mm; x runs along the line, y aside. A body's own wall is not counted
 * outside its tube: one diameter aside lets a part be put over an end, as the rules of play have it.
 */

/** A stretch of a part, round the axis: hollow up to `inner`, solid to `outer`. */
interface Shell {
  from: number
  to: number
  inner: number
  outer: number
}
export interface Solid {
  id: string
  kind: 'tube' | 'tee' | 'slip' | 'coupling'
  shells: readonly Shell[]
}
interface At {
  x: number
  y: number
}
/** One move: parts that go together, how far along or aside. */
export interface Move {
  words: string
  parts: readonly string[]
  by: { along: number } | { aside: number }
}
export interface Assembly {
  solids: readonly Solid[]
  /** Where each part stands before the first move. */
  start: Readonly<Record<string, At>>
  moves: readonly Move[]
}

/** Where every part stands after a move. */
export type Places = Readonly<Record<string, At>>
export interface Stuck {
  /** The move that cannot be made, and how far it gets. */
  move: number
  after: number
  part: string
  against: string
}
export type Swept = { ok: true; places: Places[] } | { ok: false; stuck: Stuck }

/** Distance between two looks, mm. */
export const SWEEP_MM = 0.5
/** What meets at a face touches and does not collide, mm. */
const TOUCH = 1e-6

function shellsMeet(one: Shell, at: At, other: Shell, there: At): boolean {
  const isBeside = one.to + at.x <= other.from + there.x + TOUCH || other.to + there.x <= one.from + at.x + TOUCH
  if (isBeside) return false
  const off = Math.abs(at.y - there.y)
  const isClear = off >= one.outer + other.outer - TOUCH
  const isWithin = off + one.outer <= other.inner + TOUCH || off + other.outer <= one.inner + TOUCH
  return !isClear && !isWithin
}
const meet = (one: Solid, at: At, other: Solid, there: At): boolean =>
  one.shells.some((shell) => other.shells.some((its) => shellsMeet(shell, at, its, there)))

const shifted = ({ x, y }: At, by: Move['by'], share: number): At =>
  'along' in by ? { x: x + by.along * share, y } : { x, y: y + by.aside * share }

/** The first place of one move at which a part meets something that stands still; null where it is free. */
function stuckIn({ solids }: Assembly, places: Places, { parts, by }: Move): Omit<Stuck, 'move'> | null {
  const far = Math.abs('along' in by ? by.along : by.aside)
  const looks = Math.max(1, Math.ceil(far / SWEEP_MM))
  const moving = solids.filter(({ id }) => parts.includes(id))
  const still = solids.filter(({ id }) => !parts.includes(id))
  for (let look = 0; look <= looks; look++)
    for (const one of moving)
      for (const other of still)
        if (meet(one, shifted(places[one.id]!, by, look / looks), other, places[other.id]!))
          return { after: (far * look) / looks, part: one.id, against: other.id }
  return null
}

/** Every move in its order; where one cannot be made, which, how far it gets and what it meets. */
export function sweep(assembly: Assembly): Swept {
  const places: Places[] = [assembly.start]
  for (const [at, move] of assembly.moves.entries()) {
    const now = places.at(-1)!
    const stuck = stuckIn(assembly, now, move)
    if (stuck) return { ok: false, stuck: { move: at, ...stuck } }
    places.push(
      Object.fromEntries(
        Object.entries(now).map(([id, place]) => [id, move.parts.includes(id) ? shifted(place, move.by, 1) : place]),
      ),
    )
  }
  return { ok: true, places }
}

/** The same taken apart: from where it ends, each move back, the last first. */
export function backwards(assembly: Assembly, end: Places): Assembly {
  const back = (by: Move['by']): Move['by'] => ('along' in by ? { along: -by.along } : { aside: -by.aside })
  return {
    ...assembly,
    start: end,
    moves: [...assembly.moves].reverse().map((move) => ({ ...move, by: back(move.by) })),
  }
}

/** Drawn of the line's own pipes on either side, mm: only their ends matter. */
export const OF_LINE = 400
/** So far aside, mm, a part waits clear of everything. */
export const FAR = 200

/** A straight tube of a length from x = 0. */
export const tube = (id: string, length: number, { od, bore }: { od: number; bore: number }): Solid => ({
  id,
  kind: 'tube',
  shells: [{ from: 0, to: length, inner: bore / 2, outer: od / 2 }],
})
/** A coupling without a stop, or a fitting with two sockets and what lies between their stops, from x = 0. */
export const sleeve = (id: string, length: number, { od }: { od: number }): Solid => ({
  id,
  kind: 'slip',
  shells: [{ from: 0, to: length, inner: od / 2, outer: od / 2 }],
})
export const socketed = (
  id: string,
  kind: 'tee' | 'coupling',
  { depth, between, od, bore }: { depth: number; between: number; od: number; bore: number },
): Solid => ({
  id,
  kind,
  shells: [
    { from: 0, to: depth, inner: od / 2, outer: od / 2 },
    { from: depth, to: depth + between, inner: bore / 2, outer: od / 2 },
    { from: depth + between, to: 2 * depth + between, inner: od / 2, outer: od / 2 },
  ],
})
