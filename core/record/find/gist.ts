import type { FindRecord } from './record'

/** What the overview of a job needs of a find. */
export interface FindGist {
  id: string
  place: string
  pipe: string | null
  /** It leads to a water outlet, so it is no gas pipe. */
  isTraced: boolean
}

export const gistOfFind = ({ id, place, pipe, answers }: FindRecord): FindGist => ({
  id,
  place,
  pipe,
  isTraced: answers.traced === 'water',
})
