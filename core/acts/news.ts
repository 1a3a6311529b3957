import type { ListedJob } from './list'

/** What a server tells its tablets as it happens: jobs that were worked on, those that are gone, and the rack. */
export interface News {
  /** Each as it stands in the list, with how many acts it has by now. */
  jobs: readonly (ListedJob & { acts: number })[]
  gone: readonly string[]
  isRack: boolean
}
