import { isMade, suspectsOf, type JobRecord, type JointRecord, type Suspect } from '#core/record'
import type { SuspectAnswer } from '~/wording/suspects'

/** What holds the cuts of a joint, nothing once it is signed; and each answered. */
export function useSuspects(job: Ref<JobRecord | undefined>, joint: Ref<JointRecord | undefined>) {
  const store = useJobStore()
  const { ask } = useKeepSteps()
  const suspects = computed<readonly Suspect[]>(() =>
    job.value && joint.value && !isMade(joint.value) ? suspectsOf(job.value, joint.value) : [],
  )
  /** The find it came from knows it then, or the end itself where it has none. */
  function answerSuspect({ on, find }: Suspect, { find: told = {}, isWet }: SuspectAnswer) {
    if (!job.value || !joint.value) return
    if (isWet) return ask(job.value, joint.value, { conditions: { ...joint.value.conditions, wet: true } })
    const known = job.value.finds.find(({ id }) => id === find)
    const end = joint.value[on]
    if (known) {
      const ruledOut = [...(known.answers['ruled-out'] ?? []), ...(told['ruled-out'] ?? [])]
      const answers = { ...known.answers, ...told, ...(told['ruled-out'] ? { 'ruled-out': ruledOut } : {}) }
      store.do(job.value.slug, 'find/change', known.id, { answers })
    } else if (end && 'pipe' in end)
      store.do(job.value.slug, 'joint/change', joint.value.id, { [on]: { ...end, traced: 'water' } })
  }
  return { suspects, answerSuspect }
}
