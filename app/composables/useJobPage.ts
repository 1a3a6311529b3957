import type { JobRecord } from '#core/record'

/** The job in the address: loaded once, then kept by the store. */
export function useJobPage() {
  const route = useRoute()
  const store = useJobStore()
  const slug = computed(() => String(route.params.job))
  const job = computed<JobRecord | undefined>(() => store.jobOf(slug.value))
  const missing = ref<string | null>(null)

  watch(slug, async (name) => {
    missing.value = null
    const answer = await store.loadJob(name)
    if (!answer.ok && !store.jobOf(name)) missing.value = answer.error.message
  }, { immediate: true })

  useHead({ title: () => (job.value ? `${job.value.name}: Jolvet` : 'Jolvet') })
  return { slug, job, missing }
}
