import type { ShallowRef } from 'vue'
import { nextTask } from '~/reading/next-task'

/**
 * What is worked out of something in parts, each in a task of its own, so that a slow phone answers a tap between two.
 * Undefined till it is there first; then the last one stands while a newer one is worked out.
 */
export function useInSlices<S, T>(
  source: () => S | undefined,
  parts: (source: S) => readonly (() => void)[],
  whole: (source: S) => T,
): Readonly<ShallowRef<T | undefined>> {
  const found = shallowRef<T>()
  let latest = 0
  watch(
    source,
    async (now) => {
      const own = ++latest
      if (now === undefined) return
      for (const part of parts(now)) {
        await nextTask()
        if (own !== latest) return
        part()
      }
      found.value = whole(now)
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    latest = -1
  })
  return found
}
