import type { JobSummary, Shelf } from '#core/record'

/* The list of jobs as a server gives it. */

/** A job in the list: how it stands, whose hands were on it last, and when, ISO 8601. */
export interface ListedJob extends JobSummary {
  by: string
  at: string
}
export const ORDERS = ['newest', 'name'] as const
export type Order = (typeof ORDERS)[number]

/** One page of the list, how many there are on each shelf, and where the next page begins; null at the end. */
export interface JobList {
  jobs: ListedJob[]
  cursor: string | null
  counts: Record<Shelf, number>
  /** Jobs with a mark in the last minutes. */
  now: number
  /** Jobs of this hand, on the shelf that was asked for. */
  mine: number
}

/** So long after its last mark a hand counts as on the job, ms. */
export const NOW_MS = 10 * 60_000
