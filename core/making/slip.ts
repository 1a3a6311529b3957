import { findSlipLength, findSocket, getPipe, socketDepth, type Pipe, type SocketMethod } from '#core/catalogue'
import { isByThread, type Ask, type DraftStep, type Joint, type Part, type Step } from '#core/joints'
import { length as mm } from '#core/speech'

/*
 * A coupling without a stop: put wholly over one pipe and slid back over the gap. Nothing stops it, so two marks tell
 * where it stands, each half of its length less the gap as it really is.
 */

/** Bare beyond the coupling's own length, mm: a seal is not pushed up against paint. Ours. */
export const SLIP_SPARE_MM = 7
/** The gap as it is may differ by this much from the one the marks were made by, mm: each is then half of it off. Ours. */
const GAP_OFF_MM = 1

export interface Slip {
  /** mm; the table's typical one where nobody measured it, null where none is held. */
  length: number | null
  isOwn: boolean
  source: string
  /** Between the pipe ends, mm; null where nobody measured it. */
  gap: number | null
  /** From each pipe's end to the coupling's edge, mm. */
  mark: number | null
  /** Least that it has to hold of each pipe, and the widest gap at which it does, mm. */
  least: number
  most: number | null
  /** The pipe it is slid wholly onto, and how far that one is made bare, mm. */
  on: 'a' | 'b'
  bare: number | null
}

export interface SlipQuestion {
  joints: readonly Joint[]
  parts?: readonly Part[]
  slip?: { length?: number; on?: 'a' | 'b' }
  gap?: number
}

/** The coupling without a stop of a way, with its marks; null where the way has none. Lengths mm. */
export function slipOf({ joints, parts = [], slip = {}, gap }: SlipQuestion): Slip | null {
  const [end] = joints
  if (!parts.some(({ kind }) => kind === 'slip') || !end?.pipe || isByThread(end.method)) return null
  const [method, pipe]: [SocketMethod, Pipe] = [end.method as SocketMethod, getPipe(end.pipe)]
  const typical = findSlipLength(method, pipe)
  const length = slip.length ?? typical?.value ?? null
  const least = socketDepth(findSocket(method, pipe)!).lo ?? 0
  const mark = length === null || gap === undefined ? null : (length - gap) / 2
  return {
    length,
    isOwn: slip.length !== undefined,
    source: slip.length === undefined ? (typical?.source ?? 'no figure held') : 'your own measure',
    gap: gap ?? null,
    mark,
    least,
    most: length === null ? null : Math.max(0, length - 2 * least),
    on: slip.on ?? 'a',
    bare: length === null ? null : length + SLIP_SPARE_MM,
  }
}

const SLID: ReadonlySet<Step['code']> = new Set(['assemble', 'insert'])
/** Steps that close an end: of a coupling without a stop both ends are closed once it stands on both marks. */
const CLOSES: Readonly<Partial<Record<Step['code'], string>>> = {
  press: 'Press one end, look at both marks, press the other',
  tighten: 'Tighten one end, look at both marks, tighten the other',
  lock: 'Lock one collar, look at both marks, lock the other',
  heat: 'Both marks at its rims: now heat it',
}

const bareFor = (length: number): Pick<DraftStep, 'do' | 'why'> => ({
  do: `Clean it bare, bright and round ${mm(length + SLIP_SPARE_MM)} from its end, right round`,
  why: 'All of the coupling slides over it: paint or a burr cuts the seals twice.',
})

const gapAsk = (gap: number, most: number): Ask => ({
  what: 'gap',
  words: 'Gap between the ends',
  lo: Math.max(0, gap - GAP_OFF_MM),
  hi: Math.min(most, gap + GAP_OFF_MM),
  unit: 'mm',
  source: 'the gap that both marks were made by, ours',
  isFirm: true,
})

/** The pipe it is slid onto: made ready and marked, the coupling wholly on; closed on the card of the other end. */
export function slidOn(steps: readonly DraftStep[], { length }: { length: number }): DraftStep[] {
  const at = steps.findIndex(({ code }) => SLID.has(code))
  return [
    ...steps
      .slice(0, at < 0 ? steps.length : at)
      .map((step) => (step.code === 'clean' ? { ...step, ...bareFor(length) } : step)),
    {
      code: 'insert',
      do: 'All of the coupling onto this pipe, past the mark',
      why: 'It has no stop inside. Its end stands level with the pipe or behind it.',
    },
  ]
}

/** The other pipe: the ends brought in line, the coupling slid back to both marks, then both ends closed. */
export function slidBack(
  steps: readonly DraftStep[],
  { gap, mark, most }: { gap: number; mark: number; most: number },
): DraftStep[] {
  return steps.flatMap((step): DraftStep[] => {
    if (!SLID.has(step.code)) return [CLOSES[step.code] ? { ...step, do: CLOSES[step.code]! } : step]
    return [
      {
        code: 'insert',
        do: `Bring the ends in line: the gap must read ${mm(gap)}`,
        why: 'Another gap moves both marks by half the difference.',
        ask: gapAsk(gap, most),
      },
      {
        id: 'insert-2',
        code: 'insert',
        do: `Slide the coupling back until both marks show, ${mm(mark)} from each end`,
        check: 'Both marks at its rims: it sits in the middle.',
        caution: 'Nothing stops it: only the two marks tell that it sits in the middle.',
      },
    ]
  })
}

/** One end by itself, where nothing is said of the other. */
export const slidOver = (
  steps: readonly DraftStep[],
  { length, mark }: { length: number; mark: number },
): DraftStep[] =>
  steps.map((step) => {
    if (step.code === 'clean') return { ...step, ...bareFor(length) }
    return SLID.has(step.code)
      ? {
          ...step,
          do: `Slide the coupling wholly onto one pipe, bring the ends in line, slide it back to the mark on both, ${mm(mark)} from each end`,
          check: 'Both marks at its edges: it sits central.',
        }
      : step
  })
