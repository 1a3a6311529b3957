import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb'
import { OWN_KINDS } from '#core/acts'
import type { JobRecord } from '#core/record'
import type { Entry } from './entry'
import { changesOf, jobOfParts, keysOf, type CopyChanges, type CopyHead, type Part } from './parts'

/** A job as the server last gave it. */
interface Copy {
  id: string
  job: JobRecord
  at: number
}
/** Which copies there are, and when each was looked at last, ms since 1970. */
export interface Looked {
  id: string
  slug: string
  at: number
}
/** What else of the server's answers is kept: the first page of the list, and the rack. */
export interface KeptAnswers {
  list: unknown
  rack: unknown
}

/**
 * Where entries and copies are kept. Each call is one transaction, so that two pages of one browser never take or
 * change the same entry at once.
 */
export interface Storage {
  /** Whether what is put here outlives the page. */
  readonly isKept: boolean
  /** Every entry, oldest first. */
  all(): Promise<Entry[]>
  add(entry: Entry): Promise<void>
  /** Replaces an entry that is still there and, with `unsealed`, was not sent yet. False where it was not done. */
  replace(key: string, entry: Entry, unsealed?: boolean): Promise<boolean>
  /** Marks an entry as sent and gives it as it is kept; nothing where it is gone. */
  seal(key: string): Promise<Entry | undefined>
  remove(key: string): Promise<void>
  /** Which jobs are kept here, the last looked at first. */
  looked(): Promise<Looked[]>
  copy(id: string): Promise<Copy | undefined>
  /** Writes what changed of a copy; false where another page of this browser wrote a later state. */
  putCopy(changes: CopyChanges): Promise<boolean>
  dropCopy(id: string): Promise<void>
  answer<K extends keyof KeptAnswers>(name: K): Promise<{ value: KeptAnswers[K]; at: number } | undefined>
  putAnswer<K extends keyof KeptAnswers>(name: K, value: KeptAnswers[K], at: number): Promise<void>
}

interface Schema extends DBSchema {
  entries: { key: number; value: Entry & { seq?: number }; indexes: { key: string } }
  heads: { key: string; value: CopyHead }
  parts: { key: string; value: Part }
  looked: { key: string; value: Looked }
  answers: { key: string; value: { name: string; value: unknown; at: number } }
}

/** What versions before 3 kept a copy in. */
interface Earlier extends DBSchema {
  copies: { key: string; value: Copy }
}
/** Kinds of records that a copy of an earlier version may lack; it is completed when it is looked at. */
const NO_RECORDS = Object.fromEntries(OWN_KINDS.map((kind) => [kind, []]))
/** Version of the browser's database. */
const VERSION = 3

const withoutSeq = ({ seq: _, ...entry }: Entry & { seq?: number }): Entry => entry

/** Kept in the browser's own database. Fails where the browser allows none. */
export async function openStorage(name = 'jolvet'): Promise<Storage> {
  const db = await openDB<Schema>(name, VERSION, {
    async upgrade(fresh, before, _, tx) {
      if (before < 1)
        fresh
          .createObjectStore('entries', { keyPath: 'seq', autoIncrement: true })
          .createIndex('key', 'key', { unique: true })
      if (before < 2) {
        fresh.createObjectStore('looked', { keyPath: 'id' })
        fresh.createObjectStore('answers', { keyPath: 'name' })
      }
      const heads = fresh.createObjectStore('heads', { keyPath: 'id' })
      const parts = fresh.createObjectStore('parts', { keyPath: 'key' })
      if (before === 0) return
      // Earlier versions kept a copy whole.
      const whole = tx as unknown as IDBPTransaction<Earlier, ['copies'], 'versionchange'>
      for (const { job, at } of await whole.objectStore('copies').getAll()) {
        const { head, put } = changesOf({ ...NO_RECORDS, ...job }, undefined, at)
        await heads.put(head)
        for (const part of put) await parts.put(part)
        await tx.objectStore('looked').put({ id: job.id, slug: job.slug, at })
      }
      ;(fresh as unknown as IDBPDatabase<Earlier>).deleteObjectStore('copies')
    },
    // A page of a newer version waits for this one to let go.
    blocking: () => db.close(),
  })
  const change = async (
    key: string,
    work: (kept: Entry & { seq?: number }) => Entry | null | undefined,
  ): Promise<Entry | undefined> => {
    const tx = db.transaction('entries', 'readwrite', { durability: 'strict' })
    const kept = await tx.store.index('key').get(key)
    const next = kept && work(kept)
    if (next === null) await tx.store.delete(kept!.seq!)
    else if (next) await tx.store.put({ ...next, seq: kept!.seq! })
    await tx.done
    return next ?? undefined
  }
  return {
    isKept: true,
    all: async () => (await db.getAll('entries')).map(withoutSeq),
    add: async (entry) => {
      const tx = db.transaction('entries', 'readwrite', { durability: 'strict' })
      // Added again where nobody knows whether it was.
      if ((await tx.store.index('key').getKey(entry.key)) === undefined) await tx.store.add(entry)
      await tx.done
    },
    replace: async (key, entry, unsealed = false) =>
      (await change(key, (kept) => (unsealed && kept.isSealed ? undefined : entry))) !== undefined,
    seal: async (key) => {
      const sealed = await change(key, (kept) => ({ ...kept, isSealed: true }))
      return sealed && withoutSeq(sealed)
    },
    remove: async (key) => {
      await change(key, () => null)
    },
    looked: async () => (await db.getAll('looked')).sort((a, b) => b.at - a.at),
    copy: async (id) => {
      const tx = db.transaction(['heads', 'parts'])
      const head = await tx.objectStore('heads').get(id)
      const parts = head && (await tx.objectStore('parts').getAll(IDBKeyRange.bound(...keysOf(id))))
      return head && { id, at: head.at, job: jobOfParts(head, parts!) }
    },
    putCopy: async ({ head, put, gone }) => {
      const tx = db.transaction(['heads', 'parts', 'looked'], 'readwrite')
      const there = await tx.objectStore('heads').get(head.id)
      if (there && there.own.acts > head.own.acts) return false
      await tx.objectStore('heads').put(head)
      for (const part of put) await tx.objectStore('parts').put(part)
      for (const key of gone) await tx.objectStore('parts').delete(key)
      await tx.objectStore('looked').put({ id: head.id, slug: head.own.slug, at: head.at })
      await tx.done
      return true
    },
    dropCopy: async (id) => {
      const tx = db.transaction(['heads', 'parts', 'looked'], 'readwrite')
      await tx.objectStore('heads').delete(id)
      await tx.objectStore('parts').delete(IDBKeyRange.bound(...keysOf(id)))
      await tx.objectStore('looked').delete(id)
      await tx.done
    },
    answer: (name) => db.get('answers', name) as never,
    putAnswer: async (name, value, at) => {
      await db.put('answers', { name, value, at })
    },
  }
}

/** The same in memory, for a browser that keeps nothing: it lasts as long as the page. */
export function memoryStorage(entries: readonly Entry[] = []): Storage {
  let kept = [...entries]
  const find = (key: string) => kept.find((entry) => entry.key === key)
  return {
    isKept: false,
    all: async () => [...kept],
    add: async (entry) => {
      kept.push(entry)
    },
    replace: async (key, entry, unsealed = false) => {
      const old = find(key)
      if (!old || (unsealed && old.isSealed)) return false
      kept = kept.map((one) => (one === old ? entry : one))
      return true
    },
    seal: async (key) => {
      kept = kept.map((one) => (one.key === key ? { ...one, isSealed: true } : one))
      return find(key)
    },
    remove: async (key) => {
      kept = kept.filter((one) => one.key !== key)
    },
    looked: async () => [],
    copy: async () => undefined,
    putCopy: async () => true,
    dropCopy: async () => undefined,
    answer: async () => undefined,
    putAnswer: async () => undefined,
  }
}
