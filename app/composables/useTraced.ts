import type { JobRecord, JointRecord, Suspect } from '#core/record'

/** A doubt that holds a pipe, answered: the find it came from knows it then, or the end itself where it has none. */
export function useTraced(job: Ref<JobRecord | undefined>, joint: Ref<JointRecord | undefined>) {
  const store = useJobStore()
  return ({ on, find, code }: Suspect) => {
    if (!job.value || !joint.value) return
    const known = job.value.finds.find(({ id }) => id === find)
    const end = joint.value[on]
    const ruledOut = known?.answers['ruled-out'] ?? []
    const answer = code === 'gas' ? { traced: 'water' as const } : { 'ruled-out': [...ruledOut, code] }
    if (known) store.changeFind(job.value.slug, known.id, { answers: { ...known.answers, ...answer } })
    else if (end && 'pipe' in end) store.changeJoint(job.value.slug, joint.value.id, { [on]: { ...end, traced: 'water' } })
  }
}
