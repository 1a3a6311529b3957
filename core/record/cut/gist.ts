import { cutRows } from '#core/cutting'
import type { CutRecord } from './record'
import { progressOf } from './work'

/** What the overview of a job needs of a cut sheet. */
export interface CutGist {
  id: string
  number: number
  name: string
  pipe: string
  isPlanned: boolean
  isBegun: boolean
  isFinished: boolean
  made: number
  of: number
  /** The next piece to cut and its length, mm. */
  next: { name: string; mm: number } | null
}

export function gistOfCut(cut: CutRecord): CutGist {
  const { made, of } = progressOf(cut) ?? { made: 0, of: 0 }
  const next = cut.plan && !cut.result ? cutRows(cut.plan, cut.done).find(({ done }) => done === null) : undefined
  return {
    id: cut.id,
    number: cut.number,
    name: cut.name,
    pipe: cut.pipe,
    isPlanned: cut.plan !== null,
    isBegun: cut.done.length > 0,
    isFinished: cut.result !== null,
    made,
    of,
    next: next ? { name: next.piece.name, mm: next.length } : null,
  }
}
