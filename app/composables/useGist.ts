import type { ComputedRef } from 'vue'
import { gistSteps, type JobGist, type JobRecord } from '#core/record'

/** The gist of a job, worked out once all that is waited for is on the screen. */
export function useGist(job: () => JobRecord | undefined): ComputedRef<JobGist | undefined> {
  const isLast = useInTurn(LAST_IN_TURN)
  const found = useSteps(() => (isLast.value ? job() : undefined), gistSteps)
  return computed(() => found.value?.value)
}
