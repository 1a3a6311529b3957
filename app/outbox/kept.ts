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
    storage = memoryStorage(entries())
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
