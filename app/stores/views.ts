import type { Result } from '#core/base'
import type { JobRecord } from '#core/record'
import { applyEntry, type Entry } from '~/outbox/entry'
import { rules } from '~/outbox/rules'

interface Seen {
  base: JobRecord
  own: readonly Entry[]
  job: JobRecord | undefined
}
const isSame = (a: readonly Entry[], b: readonly Entry[]): boolean =>
  a.length === b.length && a.every((entry, i) => entry.key === b[i]!.key && entry.act === b[i]!.act)

/**
 * Jobs as they stand with what was done here laid over the copy. The same copy and the same entries give the very same
 * job, so that nothing is drawn for it again.
 */
export function createViews(copyOf: (id: string) => JobRecord | undefined, entries: () => readonly Entry[]) {
  const seen = new Map<string, Seen>()

  function baseOf(id: string, own: readonly Entry[]): JobRecord | undefined {
    const copy = copyOf(id)
    if (copy) return copy
    const begun = own.find(({ act }) => act.name === 'job/begin')?.act
    if (begun?.name !== 'job/begin') return undefined
    const known = seen.get(id)
    return known?.own[0]?.act === begun ? known.base : rules().beginJob(id, begun.body)
  }

  return {
    /** A job as the screen shows it; undefined where there is none, or it is deleted here. */
    of(id: string): JobRecord | undefined {
      const own = entries().filter(({ job }) => job === id)
      const base = baseOf(id, own)
      if (!base) {
        seen.delete(id)
        return undefined
      }
      if (own.length === 0) {
        seen.delete(id)
        return base
      }
      const known = seen.get(id)
      if (known && known.base === base && isSame(known.own, own)) return known.job
      let job: JobRecord | undefined = base
      for (const entry of own) {
        if (!job) break
        const next: Result<JobRecord | null> = applyEntry(job, entry)
        if (next.ok) job = next.value ?? undefined
      }
      seen.set(id, { base, own, job })
      return job
    },
  }
}
