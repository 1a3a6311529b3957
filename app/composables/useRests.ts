import type { FinishBody, JobRecord, OffcutBody } from '#core/record'

/** The end of a sheet, and the rack its rests go to; a refusal is kept beside where it was asked. */
export function useRests(job: Ref<JobRecord>) {
  const store = useJobStore()
  const finishProblem = ref<string | null>(null)
  const rackProblem = ref<string | null>(null)

  /** Whether the sheet is finished. */
  function finish(sheet: string, body: FinishBody): boolean {
    const made = store.finishCut(job.value.slug, sheet, body)
    finishProblem.value = made.ok ? null : made.error.message
    return made.ok
  }
  function put(body: OffcutBody, id?: string) {
    const made = store.putOffcut(job.value.slug, body, id)
    rackProblem.value = made.ok ? null : made.error.message
  }
  function drop(id: string) {
    const made = store.dropOffcut(job.value.slug, id)
    rackProblem.value = made.ok ? null : made.error.message
  }
  return { finishProblem, rackProblem, finish, put, drop }
}
