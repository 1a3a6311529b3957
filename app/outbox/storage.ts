import { openDB, type DBSchema } from 'idb'
import type { JobRecord } from '#core/record'
import type { Entry } from './entry'

/** A job as the server last gave it. */
interface Copy {
  id: string
  job: JobRecord
  at: number
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
  copies(): Promise<Copy[]>
  putCopy(copy: Copy): Promise<void>
  dropCopy(id: string): Promise<void>
}

interface Schema extends DBSchema {
  entries: { key: number; value: Entry & { seq?: number }; indexes: { key: string } }
  copies: { key: string; value: Copy }
}

const withoutSeq = ({ seq: _, ...entry }: Entry & { seq?: number }): Entry => entry

/** Kept in the browser's own database. Fails where the browser allows none. */
export async function openStorage(name = 'jolvet'): Promise<Storage> {
  const db = await openDB<Schema>(name, 1, {
    upgrade(fresh) {
      fresh
        .createObjectStore('entries', { keyPath: 'seq', autoIncrement: true })
        .createIndex('key', 'key', { unique: true })
      fresh.createObjectStore('copies', { keyPath: 'id' })
    },
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
    copies: () => db.getAll('copies'),
    putCopy: async (copy) => {
      await db.put('copies', copy)
    },
    dropCopy: (id) => db.delete('copies', id),
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
    copies: async () => [],
    putCopy: async () => undefined,
    dropCopy: async () => undefined,
  }
}
