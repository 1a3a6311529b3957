import type { Issue } from '#core/base'
import type { Answer } from '~/composables/useApi'
import { after, pauseAfter } from './pauses'

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
      await after(spread(pauseAfter(tries)))
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
