import type { FinishBody, JobRecord, OffcutBody } from '#core/record'

/** The end of a sheet, and the rack its rests go to; a refusal is kept beside where it was asked. */
export function useRests(job: Ref<JobRecord>) {
  const store = useJobStore()
  const finishProblem = ref<string | null>(null)
  const rackProblem = ref<string | null>(null)

  /** Whether the sheet is finished. */
  function finish(sheet: string, body: FinishBody): boolean {
    const made = store.do(job.value.slug, 'cut/finish', sheet, body)
    finishProblem.value = made.ok ? null : made.error.message
    return made.ok
  }
  function put(body: OffcutBody, id?: string) {
    const { slug } = job.value
    const made = id === undefined ? store.begin(slug, 'rack/put', body) : store.do(slug, 'rack/change', id, body)
    rackProblem.value = made.ok ? null : made.error.message
  }
  function drop(id: string) {
    const made = store.do(job.value.slug, 'rack/drop', id, {})
    rackProblem.value = made.ok ? null : made.error.message
  }
  return { finishProblem, rackProblem, finish, put, drop }
}
