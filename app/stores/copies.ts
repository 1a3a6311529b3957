import {
  withChanges,
  withSame,
  type AnyRecord,
  type JobChanges,
  type Kind,
  type LineGists,
  type WholeJob,
} from '#core/acts'
import type { JobRecord, OffcutRecord } from '#core/record'
import type { Entry } from '~/outbox/entry'
import type { Answer } from '~/outbox/surroundings'
import { changesOf } from '~/outbox/parts'
import { bringRules, rules } from '~/outbox/rules'
import type { Storage } from '~/outbox/storage'

/** Jobs kept on this tablet, beside those with work that is not sent. */
const MOST_COPIES = 20
/** A copy is written so long after the last change to its job, ms: never in the same breath as a tap. */
const WRITE_AFTER_MS = 400

interface Around {
  storage: () => Storage
  /** Jobs with entries of this tablet or on the screen, which are not let go. */
  isHeld: (id: string) => boolean
  /** Something was put, ms since 1970. */
  onPut: (at: number) => void
}

/**
 * Jobs as the server last gave them, by id: those in view in memory, the last looked at on this tablet. The rack, which
 * is the same for all, is on each of them.
 */
export function createCopies({ storage, isHeld, onPut }: Around) {
  const copies = new Map<string, JobRecord>()
  let rack: OffcutRecord[] = []
  /** Copies that are not written yet, and jobs as they were written last. */
  const unwritten = new Set<string>()
  const written = new Map<string, JobRecord>()
  let timer: ReturnType<typeof setTimeout> | undefined

  async function write(): Promise<void> {
    clearTimeout(timer)
    timer = undefined
    const ids = [...unwritten]
    unwritten.clear()
    for (const id of ids) await writeOne(id).catch(() => undefined)
    await bound()
  }

  async function writeOne(id: string): Promise<void> {
    const job = copies.get(id)
    if (job && (await storage().putCopy(changesOf(job, written.get(id), Date.now())))) written.set(id, job)
  }

  /** Only the last looked at stay on the tablet, and those with work that is not sent. */
  async function bound(): Promise<void> {
    const looked = await storage()
      .looked()
      .catch(() => [])
    for (const { id } of looked.slice(MOST_COPIES)) {
      if (isHeld(id)) continue
      await storage()
        .dropCopy(id)
        .catch(() => undefined)
      copies.delete(id)
      written.delete(id)
    }
  }

  function writeLater(id: string) {
    unwritten.add(id)
    timer ??= setTimeout(() => void write(), WRITE_AFTER_MS)
  }

  function put(job: JobRecord) {
    const before = copies.get(job.id)
    onPut(Date.now())
    if (before === job) return
    copies.set(job.id, job.rack === rack ? job : { ...job, rack })
    writeLater(job.id)
  }

  const know = (job: JobRecord, gists: LineGists) => {
    for (const line of job.lines) if (gists[line.id]) rules().knowGist(job, line, gists[line.id]!)
  }

  /** Puts one record into the copy of its job, or takes it out. */
  function putRecord(jobId: string, kind: Kind, id: string, record: AnyRecord | null) {
    if (kind === 'jobs') {
      if (record) put(withSame(copies.get(jobId), { ...(record as JobRecord), rack }))
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

  function setRack(next: OffcutRecord[]) {
    rack = next
    for (const [id, copy] of copies) copies.set(id, { ...copy, rack })
  }

  return {
    putRecord,
    setRack,
    /** A job is looked at: it is one of the last that are kept. */
    look(id: string) {
      if (copies.has(id)) writeLater(id)
    },
    /**
     * What the server made of an entry. Where the copy is not the state after as many acts as the answer says: false,
     * and it is to be read.
     */
    take(
      { job: id, record, act }: Entry,
      { acts, record: now, rack: onRack }: Extract<Answer, { state: 'taken' }>,
    ): boolean {
      const { on } = rules().actOf(act.name)
      const before = copies.get(id)
      if (onRack) setRack(onRack)
      // A read was quicker than this answer, and what it gave is newer; or the server was put back to an earlier day.
      if (before && acts <= before.acts) return acts === before.acts
      if (on !== 'rack') putRecord(id, on, record, now)
      const copy = copies.get(id)
      if (!copy) return true
      if (before && acts !== before.acts + 1) return false
      put({ ...copy, acts })
      return true
    },
    /**
     * A job as the server gave it whole. An older answer than the copy is let go, unless the server `isPutBack`: a backup
     * was taken back, and it has no later state.
     */
    putWhole({ gists = {}, ...own }: WholeJob, isPutBack = false) {
      const before = isPutBack ? undefined : copies.get(own.id)
      if (before && before.acts > own.acts) return
      const whole = rules().completeJob({ ...own, rack })
      const job = withSame(before, whole)
      know(job, gists)
      put(job)
    },
    putChanges(changes: JobChanges) {
      const before = copies.get(changes.id)
      if (!before || changes.acts < before.acts) return
      const job = withChanges(before, changes)
      know(job, changes.gists)
      put(job)
    },
    /** A job the server has no more. */
    drop(id: string) {
      copies.delete(id)
      unwritten.delete(id)
      written.delete(id)
      void storage()
        .dropCopy(id)
        .catch(() => undefined)
    },
    /** A job kept on this tablet, by its id or the name in its address, into memory. */
    async recall(name: string): Promise<void> {
      if (copies.has(name) || [...copies.values()].some(({ slug }) => slug === name)) return
      const looked = await storage()
        .looked()
        .catch(() => [])
      const own = looked.find(({ slug }) => slug === name) ?? looked.find(({ id }) => id === name)
      const kept =
        own &&
        (await storage()
          .copy(own.id)
          .catch(() => undefined))
      if (!kept || copies.has(kept.id)) return
      const job = (await bringRules()).completeJob(kept.job)
      written.set(kept.id, job)
      copies.set(kept.id, { ...job, rack })
      onPut(kept.at)
    },
    write,
    get: (id: string) => copies.get(id),
    ids: () => [...copies.keys()],
  }
}
