import type { JobRecord } from '#core/record'

/** How the log of a job stands on the server: so many acts, the hash it ends with, and where it was broken. */
export interface Chain {
  acts: number
  head: string
  brokenAt: number | null
}

/** The log of a job as the server has it, asked again whenever the job was read anew; null while it is not known. */
export function useChain(job: Ref<JobRecord>) {
  const store = useJobStore()
  const api = useApi()
  const chain = ref<Chain | null>(null)
  watch(
    [() => job.value.slug, () => store.lastCopyAt],
    async ([slug]) => {
      const answer = await api.get<Chain>(`/api/jobs/${slug}/chain`)
      if (answer.ok && slug === job.value.slug) chain.value = answer.value
    },
    { immediate: true },
  )
  return { chain }
}
