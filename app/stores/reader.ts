import type { Issue } from '#core/base'
import type { Answer } from '~/composables/useApi'

/** Pauses before a read that found no server is tried again, ms; the last one is kept to. */
const RETRY_AFTER_MS = [1000, 2000, 4000, 8000, 15_000, 30_000] as const
const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))
/** Tablets that lost one server do not all come back in the same moment. */
const spread = (ms: number) => ms * (0.8 + 0.4 * Math.random())

/** Reads of the server: each until it answers, and one that is under way is not begun twice. */
export function createReader(get: <T>(url: string) => Promise<Answer<T>>, onAway: (why: Issue | null) => void) {
  const reads = new Map<string, Promise<Answer<unknown>>>()

  /** Reads until a server answers; meanwhile it is said why nothing comes. */
  async function readOnce<T>(url: string): Promise<Answer<T>> {
    for (let tries = 0; ; tries++) {
      const answer = await get<T>(url)
      if (answer.ok || !answer.away) {
        onAway(null)
        return answer
      }
      onAway(answer.error)
      await after(spread(RETRY_AFTER_MS[Math.min(tries, RETRY_AFTER_MS.length - 1)]!))
    }
  }

  return {
    read<T>(url: string): Promise<Answer<T>> {
      const begun = reads.get(url) ?? readOnce<T>(url).finally(() => reads.delete(url))
      reads.set(url, begun)
      return begun as Promise<Answer<T>>
    },
  }
}
