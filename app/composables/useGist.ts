import type { ShallowRef } from 'vue'
import { gistOfJob, gistWork, type JobGist, type JobRecord } from '#core/record'

/** The gist of a job, worked out once all that is waited for is on the screen. */
export function useGist(job: () => JobRecord | undefined): Readonly<ShallowRef<JobGist | undefined>> {
  const isLast = useInTurn(LAST_IN_TURN)
  return useInSlices(() => (isLast.value ? job() : undefined), gistWork, gistOfJob)
}
