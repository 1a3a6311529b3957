import { actOf, type AnyRecord, type Kind } from '#core/acts'
import type { JobRecord } from '#core/record'
import type { Entry } from '~/outbox/entry'
import type { Answer } from '~/outbox/surroundings'

/** Jobs as the server last gave them, by id. */
export function createCopies(onPut: (job: JobRecord) => void, onDrop: (id: string) => void) {
  const copies = new Map<string, JobRecord>()

  function put(job: JobRecord) {
    copies.set(job.id, job)
    onPut(job)
  }

  /** Puts one record into the copy of its job, or takes it out. */
  function putRecord(jobId: string, kind: Kind, id: string, record: AnyRecord | null) {
    if (kind === 'jobs') {
      if (record) put(record as JobRecord)
      return
    }
    const copy = copies.get(jobId)
    if (!copy) return
    const list: readonly AnyRecord[] = copy[kind]
    const others = list.filter((one) => one.id !== id)
    const isThere = others.length < list.length
    const same = isThere && record ? list.map((one) => (one.id === id ? record : one)) : others
    put({ ...copy, [kind]: isThere || !record ? same : [...others, record] })
  }

  return {
    put,
    putRecord,
    /** What the server made of an entry; the rack is the same for every job. */
    take({ job, record: id, act }: Entry, { record, rack }: Extract<Answer, { state: 'taken' }>) {
      const { on } = actOf(act.name)
      if (on !== 'rack') putRecord(job, on, id, record)
      if (rack) for (const copy of [...copies.values()]) put({ ...copy, rack })
    },
    /** A job the server has no more. */
    drop(id: string) {
      copies.delete(id)
      onDrop(id)
    },
    get: (id: string) => copies.get(id),
    ids: () => [...copies.keys()],
    /** Every job anew, in the order they are worked. */
    replace(jobs: readonly JobRecord[]) {
      const there = new Set(jobs.map(({ id }) => id))
      for (const id of copies.keys()) if (!there.has(id)) onDrop(id)
      copies.clear()
      jobs.forEach(put)
    },
    /** As it was kept in this browser. */
    set: (job: JobRecord) => copies.set(job.id, job),
  }
}
