import { stepsPutAside, type JobRecord, type JointBody, type JointRecord } from '#core/record'

/** A change that would put ticked steps aside, until it is said whether it is made. */
export interface PendingChange {
  job: JobRecord
  joint: JointRecord
  changes: Partial<JointBody>
  count: number
  then?: () => void
}

/** Steps are never put aside without a word: a change that would is asked about first, wherever it is made. */
export function useKeepSteps() {
  const store = useJobStore()
  const asked = useState<PendingChange | null>('keep-steps', () => shallowRef(null))

  function make({ job, joint, changes, then }: Omit<PendingChange, 'count'>) {
    store.do(job.slug, 'joint/change', joint.id, changes)
    then?.()
  }
  function ask(job: JobRecord, joint: JointRecord, changes: Partial<JointBody>, then?: () => void) {
    const count = joint.ticks.length === 0 ? 0 : stepsPutAside(job, joint, changes)
    if (count > 0) asked.value = { job, joint, changes, count, then }
    else make({ job, joint, changes, then })
  }
  function answer(isMade: boolean) {
    const one = asked.value
    asked.value = null
    if (one && isMade) make(one)
  }
  return { asked, ask, answer }
}
