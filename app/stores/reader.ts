import type { Issue } from '#core/base'
import type { Answer } from '~/composables/useApi'

/** Pause before a read that found no server is tried again, ms. */
const RETRY_AFTER_MS = 2000
const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** Reads of the server: each until it answers, and one that is under way is not begun twice. */
export function createReader(get: <T>(url: string) => Promise<Answer<T>>, onAway: (why: Issue | null) => void) {
  /** Counts what the server has taken, so that an answer begun before it is not put over it. */
  let writes = 0
  const reads = new Map<string, Promise<Answer<unknown>>>()

  /** Reads until a server answers; meanwhile it is said why nothing comes. */
  async function readOnce<T>(url: string): Promise<Answer<T>> {
    for (;;) {
      const before = writes
      const answer = await get<T>(url)
      if (answer.ok && before !== writes) continue
      if (answer.ok || !answer.away) {
        onAway(null)
        return answer
      }
      onAway(answer.error)
      await after(RETRY_AFTER_MS)
    }
  }

  return {
    /** The server has taken something. */
    written: () => {
      writes++
    },
    read<T>(url: string): Promise<Answer<T>> {
      const begun = reads.get(url) ?? readOnce<T>(url).finally(() => reads.delete(url))
      reads.set(url, begun)
      return begun as Promise<Answer<T>>
    },
  }
}
