import type { ShallowRef } from 'vue'
import type { Steps } from '#core/base'
import { nextTask } from '~/reading/next-task'

/** So long one task works at it, ms: a phone four times as slow still answers a tap at once. */
const SLICE_MS = 8

/** What came of it, with what it was worked out of. */
export interface Found<S, T> {
  of: S
  value: T
}

/**
 * What is worked out of something in steps, a few ms in a task, so that a slow phone answers a tap in between. Undefined
 * till it is there first; then the last one stands while a newer one is worked out.
 */
export function useSteps<S, T>(
  source: () => S | null | undefined,
  stepsOf: (source: S) => Steps<T>,
): Readonly<ShallowRef<Found<S, T> | undefined>> {
  const found = shallowRef<Found<S, T>>()
  let latest = 0
  watch(
    source,
    async (now) => {
      const own = ++latest
      if (now === null || now === undefined) return
      const steps = stepsOf(now)
      for (;;) {
        await nextTask()
        if (own !== latest) return
        const value = workOn(steps)
        if (value.done) {
          found.value = { of: now, value: value.value }
          return
        }
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    latest = -1
  })
  return found
}

/** Steps of one task's time. */
function workOn<T>(steps: Steps<T>): IteratorResult<void, T> {
  const until = performance.now() + SLICE_MS
  for (;;) {
    const step = steps.next()
    if (step.done || performance.now() >= until) return step
  }
}
