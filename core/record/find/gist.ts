import type { FindRecord } from './record'

/** What the overview of a job needs of a find. */
export interface FindGist {
  id: string
  place: string
  pipe: string | null
  /** It leads to a water outlet, so it is no gas pipe. */
  isTraced: boolean
  /** What was measured, as typed. */
  typed: string
}

/** Letters of a measure that stand in the overview. */
const MOST_TYPED = 12

export const gistOfFind = ({ id, place, pipe, answers, typed }: FindRecord): FindGist => ({
  id,
  place,
  pipe,
  isTraced: answers.traced === 'water',
  typed: typed.slice(0, MOST_TYPED),
})
