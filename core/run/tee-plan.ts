import {
  FAR,
  OF_LINE,
  backwards,
  sleeve,
  socketed,
  sweep,
  tube,
  type Assembly,
  type Move,
  type Places,
} from './assembly'

/** What a tee is let into a line with, mm; `along` and `aside`: how far the line's ends move together. */
export interface TeeSizes {
  od: number
  bore: number
  /** Of the tee: what its sockets hold, and what lies between their stops. */
  depth: number
  between: number
  /** Of the coupling without a stop; null where the method has none, or it was not measured. */
  slip: number | null
  /** Bare tube between the tee and the coupling: room for the jaw, the spanner or the flame. */
  bare: number
  along: number
  aside: number
}

/** To spare where a part is dropped in between two ends, mm. Ours. */
export const DROP_SPARE_MM = 1.5

export interface TeePlan {
  /**
   * How it goes in: the tee alone; with a stub and a coupling without a stop; that with an end sprung aside; or, where the
   * coupling is short, with a stub and a coupling on both sides.
   */
  how: 'plain' | 'slip' | 'slip-aside' | 'two-slips'
  /** Cut out of the line, mm, and the two cuts from the middle of the branch. */
  out: number
  left: number
  right: number
  /** The stub, the gap under the coupling with its limits, and the mark on both pipes; null where there is none. */
  stub: { length: number; gap: number; least: number; most: number; mark: number } | null
  assembly: Assembly
  /** Where everything stands before the first move and after each. */
  places: Places[]
}
export type TeeAnswer =
  | { ok: true; plan: TeePlan }
  /** How long the coupling would have to be, mm; null where the method has none. */
  | { ok: false; why: 'slip-short' | 'no-slip'; needs: number | null }

/** Whether the tee goes in by itself, and how far the end is then drawn back: past both sockets, or past one and aside. */
function plainDraw({ along, aside, depth, od }: TeeSizes): number | null {
  if (along >= 2 * depth + DROP_SPARE_MM) return 2 * depth + DROP_SPARE_MM
  return along >= depth && aside >= od ? depth : null
}

function plain(sizes: TeeSizes, draw: number): Assembly {
  const { between, depth, od } = sizes
  const isAside = draw < 2 * depth
  const moves: Move[] = [
    { words: 'Draw the right end back', parts: ['right'], by: { along: draw } },
    ...(isAside ? [{ words: 'Spring it aside', parts: ['right'], by: { aside: od } }] : []),
    { words: 'Tee straight in', parts: ['tee'], by: { aside: FAR } },
    { words: 'Push the tee left, home to the mark', parts: ['tee'], by: { along: -depth } },
    ...(isAside ? [{ words: 'Bring the right end back in line', parts: ['right'], by: { aside: -od } }] : []),
    { words: 'Push the right end in, home to its mark', parts: ['right'], by: { along: -draw } },
  ]
  return {
    solids: [tube('left', OF_LINE, sizes), tube('right', OF_LINE, sizes), socketed('tee', 'tee', sizes)],
    start: { left: { x: -OF_LINE, y: 0 }, right: { x: between, y: 0 }, tee: { x: 0, y: -FAR } },
    moves,
  }
}

/** With a stub and a coupling without a stop: where an end springs aside, the stub passes it. */
function withSlip(
  { between, depth, od, slip, ...sizes }: TeeSizes & { slip: number },
  { stub, gap, mark, out, isAside }: { stub: number; gap: number; mark: number; out: number; isAside: boolean },
): Assembly {
  const along = isAside ? 0 : Math.min(sizes.along, Math.max(0, depth + DROP_SPARE_MM - gap))
  /** The coupling stands so far behind the end that the stub can pass beside it. */
  const park = isAside ? Math.max(0, depth - gap) + DROP_SPARE_MM : 0
  const spare = isAside ? 0 : (gap + along - depth) / 2
  const drawn = (by: number): Move[] =>
    along > 0
      ? [
          {
            words: by > 0 ? 'Draw the right end back' : 'Let the right end come back',
            parts: ['right', 'slip'],
            by: { along: by },
          },
        ]
      : []
  const sprung = (by: number): Move[] =>
    isAside
      ? [
          {
            words: by > 0 ? 'Spring the right end aside' : 'Bring it back in line',
            parts: ['right', 'slip'],
            by: { aside: by },
          },
        ]
      : []
  const round = { od, bore: sizes.bore }
  return {
    solids: [
      tube('left', OF_LINE, round),
      tube('right', OF_LINE, round),
      socketed('tee', 'tee', { depth, between, ...round }),
      tube('stub', stub, round),
      sleeve('slip', slip, round),
    ],
    start: {
      left: { x: -OF_LINE, y: 0 },
      right: { x: out, y: 0 },
      slip: { x: out - slip, y: -FAR },
      tee: { x: spare, y: -2 * FAR },
      // Closed into the tee on the bench: it moves with it.
      stub: { x: spare + depth + between, y: -2 * FAR },
    },
    moves: [
      { words: 'Coupling straight into the cut', parts: ['slip'], by: { aside: FAR } },
      { words: 'Slide all of it onto the right pipe', parts: ['slip'], by: { along: slip + park } },
      ...drawn(along),
      ...sprung(od),
      { words: 'Tee with its stub, straight in', parts: ['tee', 'stub'], by: { aside: 2 * FAR } },
      { words: 'Push it left, home to the mark', parts: ['tee', 'stub'], by: { along: -(depth + spare) } },
      ...sprung(-od),
      ...drawn(-along),
      { words: 'Slide the coupling back to both marks', parts: ['slip'], by: { along: -(park + gap + mark) } },
    ],
  }
}

/** Left at each end where a tee with two stubs is dropped in, mm. Ours. */
const TWO_GAP_MM = 1

/** The tee with a stub on both sides, dropped in with hardly a gap; a coupling slid back over each. */
function twoSlips(sizes: TeeSizes & { slip: number }): Omit<TeePlan, 'places'> | null {
  const { between, depth, slip, bare, od, bore } = sizes
  const [gap, round] = [TWO_GAP_MM, { od, bore }]
  const mark = (slip - gap) / 2
  if (mark < depth) return null
  const stub = depth + bare + mark
  const out = between + 2 * (stub + gap)
  const [left, middle] = [gap, gap + stub]
  const inside = { tee: middle - depth, 'left stub': left, 'right stub': middle + between }
  const both = ['tee', 'left stub', 'right stub']
  const at = (x: number, turns: number) => ({ x, y: -turns * FAR })
  return {
    how: 'two-slips',
    out,
    left: out / 2,
    right: out / 2,
    stub: { length: stub, gap, least: 0, most: slip - 2 * depth, mark },
    assembly: {
      solids: [
        tube('left', OF_LINE, round),
        tube('right', OF_LINE, round),
        socketed('tee', 'tee', sizes),
        tube('left stub', stub, round),
        tube('right stub', stub, round),
        sleeve('left slip', slip, round),
        sleeve('right slip', slip, round),
      ],
      start: {
        left: { x: -OF_LINE, y: 0 },
        right: { x: out, y: 0 },
        'left slip': at(0, 1),
        'right slip': at(out - slip, 2),
        tee: at(inside.tee, 3),
        'left stub': at(inside['left stub'], 3),
        'right stub': at(inside['right stub'], 3),
      },
      moves: [
        { words: 'First coupling straight into the cut', parts: ['left slip'], by: { aside: FAR } },
        { words: 'Slide all of it onto the left pipe', parts: ['left slip'], by: { along: -slip } },
        { words: 'Other coupling straight into the cut', parts: ['right slip'], by: { aside: 2 * FAR } },
        { words: 'Slide all of it onto the right pipe', parts: ['right slip'], by: { along: slip } },
        { words: 'Tee with both stubs, straight in', parts: both, by: { aside: 3 * FAR } },
        { words: 'Slide the left coupling to both marks', parts: ['left slip'], by: { along: slip - mark } },
        { words: 'Slide the right coupling to both marks', parts: ['right slip'], by: { along: mark - slip } },
      ],
    },
  }
}

/**
 * How a tee is let into a line that is fixed: what is cut out, the stub, the gap and the marks, and every move in the
 * order it is made in, swept against the ends. Lengths mm. Where it cannot be: which coupling would do.
 */
export function planTee(sizes: TeeSizes): TeeAnswer {
  const { between, depth, slip, bare, along, aside, od } = sizes
  const swept = (plan: Omit<TeePlan, 'places'>): TeeAnswer => {
    const made = sweep(plan.assembly)
    if (!made.ok) throw new Error(`move ${made.stuck.move} meets ${made.stuck.against}`)
    return { ok: true, plan: { ...plan, places: made.places } }
  }
  const draw = plainDraw(sizes)
  const half = between / 2
  if (draw !== null)
    return swept({ how: 'plain', out: between, left: half, right: half, stub: null, assembly: plain(sizes, draw) })
  if (slip === null) return { ok: false, why: 'no-slip', needs: null }
  const isAside = aside >= od
  const least = isAside ? 0 : Math.max(0, depth - along)
  const gap = least + DROP_SPARE_MM
  const most = slip - 2 * depth
  if (gap > most + 1e-9) {
    const both = twoSlips({ ...sizes, slip })
    return both ? swept(both) : { ok: false, why: 'slip-short', needs: 2 * depth + TWO_GAP_MM }
  }
  const mark = (slip - gap) / 2
  // The coupling itself has to drop into the cut: else the stub is longer.
  const stub = Math.max(depth + bare + mark, slip + DROP_SPARE_MM - between - gap)
  const out = between + stub + gap
  const assembly = withSlip({ ...sizes, slip }, { stub, gap, mark, out, isAside })
  return swept({
    how: isAside ? 'slip-aside' : 'slip',
    out,
    left: half,
    right: out - half,
    stub: { length: stub, gap, least, most, mark },
    assembly,
  })
}

/** The same taken apart again. */
export const takenApart = ({ assembly, places }: Pick<TeePlan, 'assembly' | 'places'>): Assembly =>
  backwards(assembly, places.at(-1)!)
