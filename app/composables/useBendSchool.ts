import { fillPolicy } from '#core/joints'
import type { JobRecord } from '#core/record'

/** Where a bend's mark goes by the job's policy: at the hook edge of the former, or the corner sighted; and the other way. */
export function useBendSchool(job: Ref<JobRecord>) {
  const store = useJobStore()
  const school = computed(() => fillPolicy(job.value.policy).bendMark)
  const flip = () =>
    store.do(job.value.slug, 'kit/change', null, {
      policy: { ...job.value.policy, bendMark: school.value === 'hook' ? 'corner' : 'hook' },
    })
  return { school, flip }
}
