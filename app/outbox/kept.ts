import { memoryStorage, type Storage } from './storage'
import type { Entry } from './entry'

/** A storage that has not answered by then never will, ms. */
export const ANSWER_WITHIN_MS = 3000

class NoAnswer extends Error {
  override name = 'NoAnswer'
}

/** What `work` gives, or a failure once the time is up. */
export function answering<T>(work: Promise<T>, ms = ANSWER_WITHIN_MS): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const timeUp = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new NoAnswer('the storage does not answer')), ms)
  })
  return Promise.race([work, timeUp]).finally(() => clearTimeout(timer))
}

/**
 * Memory in place of a storage that was too slow, which is told all the same, unwaited: what it kept and was then sent
 * would be found by the next page, and go out again as it was before.
 */
function telling(memory: Storage, slow: Storage): Storage {
  let told: Promise<unknown> = Promise.resolve()
  const tell = (work: (storage: Storage) => Promise<unknown>) => {
    told = told.then(() => work(slow)).catch(() => undefined)
  }
  return {
    ...memory,
    add(entry) {
      tell((storage) => storage.add(entry))
      return memory.add(entry)
    },
    replace(key, entry, unsealed) {
      tell((storage) => storage.replace(key, entry, unsealed))
      return memory.replace(key, entry, unsealed)
    },
    seal(key) {
      tell((storage) => storage.seal(key))
      return memory.seal(key)
    },
    remove(key) {
      tell((storage) => storage.remove(key))
      return memory.remove(key)
    },
  }
}

/**
 * Work on a storage, one after another. What fails once is tried again; a storage that fails twice or never answers is
 * left for memory, which loses nothing but the page.
 */
export function createKeeper(first: Storage, entries: () => readonly Entry[], onLost: () => void) {
  let storage = first
  let writing: Promise<unknown> = Promise.resolve()

  async function tryTwice(work: (storage: Storage) => Promise<unknown>): Promise<boolean> {
    for (let tries = 1; tries <= 2; tries++) {
      try {
        await answering(work(storage))
        return true
      } catch (error) {
        if (error instanceof NoAnswer) break
      }
    }
    storage = telling(memoryStorage(entries()), storage)
    onLost()
    return false
  }

  return {
    /** Does work after all work before it; false where it could not be kept. */
    keep(work: (storage: Storage) => Promise<unknown>): Promise<boolean> {
      const done = writing.then(() => tryTwice(work))
      writing = done
      return done
    },
    /** Comes back once all work is done. */
    idle: () => writing,
    get isKept() {
      return storage.isKept
    },
  }
}
