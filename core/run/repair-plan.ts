import { FAR, OF_LINE, sleeve, sweep, tube, type Assembly, type Places } from './assembly'

/** A bad piece out of a line of which nothing moves, mm: two couplings without a stop. */
export interface RepairSizes {
  od: number
  bore: number
  bad: number
  /** What a coupling has to hold of each pipe, and its length. */
  depth: number
  slip: number
  /** Bare tube between the two couplings. */
  bare: number
  /** Left at each end of the new piece, so that it drops in. */
  gap: number
}
export interface RepairPlan {
  out: number
  piece: number
  /** On all four ends, from each end. */
  mark: number
  assembly: Assembly
  places: Places[]
}
export type RepairAnswer = { ok: true; plan: RepairPlan } | { ok: false; needs: number }

function repairAssembly({ od, bore, slip, gap }: RepairSizes, out: number, piece: number, mark: number): Assembly {
  const round = { od, bore }
  return {
    solids: [
      tube('left', OF_LINE, round),
      tube('right', OF_LINE, round),
      tube('piece', piece, round),
      sleeve('one', slip, round),
      sleeve('other', slip, round),
    ],
    start: {
      left: { x: -OF_LINE, y: 0 },
      right: { x: out, y: 0 },
      one: { x: 0, y: -FAR },
      other: { x: out - slip, y: -2 * FAR },
      piece: { x: gap, y: -3 * FAR },
    },
    moves: [
      { words: 'First coupling straight into the cut', parts: ['one'], by: { aside: FAR } },
      { words: 'Slide all of it onto the left pipe', parts: ['one'], by: { along: -slip } },
      { words: 'Other coupling straight into the cut', parts: ['other'], by: { aside: 2 * FAR } },
      { words: 'Slide all of it onto the right pipe', parts: ['other'], by: { along: slip } },
      { words: 'New piece straight in, in the middle', parts: ['piece'], by: { aside: 3 * FAR } },
      { words: 'Slide the left coupling to both marks', parts: ['one'], by: { along: slip - mark } },
      { words: 'Slide the right coupling to both marks', parts: ['other'], by: { along: mark - slip } },
    ],
  }
}

/** What is cut out, the piece that goes in and its marks, every move swept; or how long the couplings would have to be. */
export function planRepair(sizes: RepairSizes): RepairAnswer {
  const { bad, depth, slip, bare, gap } = sizes
  const mark = (slip - gap) / 2
  if (mark < depth) return { ok: false, needs: 2 * depth + gap }
  const piece = Math.max(bad - 2 * gap, 2 * mark + bare, slip + bare - 2 * gap)
  const out = piece + 2 * gap
  const assembly = repairAssembly(sizes, out, piece, mark)
  const made = sweep(assembly)
  if (!made.ok) throw new Error(`move ${made.stuck.move} meets ${made.stuck.against}`)
  return { ok: true, plan: { out, piece, mark, assembly, places: made.places } }
}
