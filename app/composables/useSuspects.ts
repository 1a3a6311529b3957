import { isMade, suspectsOf, type JobRecord, type JointRecord, type Suspect } from '#core/record'

/** The pipes of a joint that are held for a doubt, none once it is signed; and the doubt answered. */
export function useSuspects(job: Ref<JobRecord | undefined>, joint: Ref<JointRecord | undefined>) {
  const store = useJobStore()
  const suspects = computed<readonly Suspect[]>(() =>
    job.value && joint.value && !isMade(joint.value) ? suspectsOf(job.value, joint.value) : [],
  )
  /** The find it came from knows it then, or the end itself where it has none. */
  function traced({ on, find, code }: Suspect) {
    if (!job.value || !joint.value) return
    const known = job.value.finds.find(({ id }) => id === find)
    const end = joint.value[on]
    const ruledOut = known?.answers['ruled-out'] ?? []
    const answer = code === 'gas' ? { traced: 'water' as const } : { 'ruled-out': [...ruledOut, code] }
    if (known) store.do(job.value.slug, 'find/change', known.id, { answers: { ...known.answers, ...answer } })
    else if (end && 'pipe' in end)
      store.do(job.value.slug, 'joint/change', joint.value.id, { [on]: { ...end, traced: 'water' } })
  }
  return { suspects, traced }
}
