import { shiftedEnds, type JobRecord, type JointRecord, type Shifted } from '#core/record'

/** The ends of a joint whose find is kept as another pipe by now. */
export function useShifted(job: Ref<JobRecord | undefined>, joint: Ref<JointRecord | undefined>) {
  const { ask } = useKeepSteps()
  const shifted = computed(() => (job.value && joint.value ? shiftedEnds(job.value, joint.value) : []))
  /** Takes the pipe the find is kept as, or leaves the end as it is, by itself from now on. */
  function follow({ on, now }: Shifted, takesIt: boolean) {
    const ofFind = on === 'a' ? 'findA' : 'findB'
    const changes = takesIt && now !== null ? { [on]: { pipe: now } } : { [ofFind]: null }
    ask(job.value!, joint.value!, changes)
  }
  return { shifted, follow }
}
