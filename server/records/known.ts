import { LRUCache } from 'lru-cache'
import type { DoubtedFind, FindRecord } from '#core/record'
import type { Transaction } from '../db/client'
import { loadGists, type GistRow } from './gists'
import type { JobRow } from './job-rows'
import { loadDoubted } from './rules'
import type { Listed } from './summaries'

/*
 * What every act on a job asks of the rest of it: read once while it is worked on, and kept in this process under the
 * hash that the job's log ends with. Where another process took an act, or one was not saved, the hash is another.
 */
export interface Known {
  finds: readonly DoubtedFind[]
  gists: readonly GistRow[]
  /** Its row in the list as it was saved last; null until then. */
  listed: Listed | null
}

/** Jobs that are worked on at once. */
const MOST_JOBS = 200
const KNOWN = new LRUCache<string, Known>({ max: MOST_JOBS })

type Place = Pick<JobRow, 'id' | 'head'>
const keyOf = ({ id, head }: Place): string => `${id} ${head}`

/** What is known of a job, whose row is held. */
export async function knownOf(tx: Transaction, job: Place): Promise<Known> {
  const known = KNOWN.get(keyOf(job))
  if (known) return known
  const read = { finds: await loadDoubted(tx, job.id), gists: await loadGists(tx, job.id), listed: null }
  // A job without a log does not say when it changes.
  if (job.head !== '') KNOWN.set(keyOf(job), read)
  return read
}

/** What is known of a job after an act, in place of what was known before it. */
export function keepKnown(before: Place, after: Place, known: Known): void {
  KNOWN.delete(keyOf(before))
  KNOWN.set(keyOf(after), known)
}

/** Nothing is known any more: gists were worked out by other rules. */
export const forgetKnown = (job: Place): void => {
  KNOWN.delete(keyOf(job))
}

/** The finds of a job as an act left one of them. */
export function findsAfter(
  finds: readonly DoubtedFind[],
  id: string,
  after: FindRecord | null,
): readonly DoubtedFind[] {
  const now = after === null ? [] : [after]
  return finds.some((find) => find.id === id)
    ? finds.flatMap((find) => (find.id === id ? now : [find]))
    : [...finds, ...now]
}
