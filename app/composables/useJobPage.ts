import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import type { JobRecord } from '#core/record'

/** How often a job in view is read again, so that another hand's work shows, ms. */
const READ_EVERY_MS = 15_000

/** The job in the address: read when it comes into view and now and then, and kept by the store. */
export function useJobPage() {
  const route = useRoute()
  const store = useJobStore()
  const slug = computed(() => String(route.params.job))
  const job = computed<JobRecord | undefined>(() => store.jobOf(slug.value))
  const missing = ref<string | null>(null)
  const visibility = useDocumentVisibility()

  async function read() {
    const name = slug.value
    const answer = await store.loadJob(name)
    if (slug.value === name) missing.value = answer.ok || store.jobOf(name) ? null : answer.error.message
  }
  watch(
    slug,
    () => {
      missing.value = null
      void read()
    },
    { immediate: true },
  )
  const readAgain = () => {
    if (visibility.value === 'visible') void read()
  }
  useIntervalFn(readAgain, READ_EVERY_MS)
  watch(visibility, readAgain)

  useHead({ title: () => (job.value ? `${job.value.name}: Jolvet` : 'Jolvet') })
  return { slug, job, missing }
}
