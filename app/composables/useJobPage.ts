import { useDocumentVisibility, useTimeoutFn } from '@vueuse/core'
import type { JobRecord } from '#core/record'

/** Names in an address that ask for a record of the job. */
const ASKING = ['find', 'from', 'line', 'cut', 'joint'] as const
/** So long the server is waited for where the copy kept here lacks the record that the address asks for, ms. */
const ASKED_FOR_WAIT_MS = 8000

/** The job in the address: read when it comes into view, kept by the store, and read on as others work on it. */
export function useJobPage() {
  const route = useRoute()
  const store = useJobStore()
  const slug = computed(() => String(route.params.job))
  const isLate = ref(false)
  const { start: waitAgain } = useTimeoutFn(
    () => {
      isLate.value = true
    },
    ASKED_FOR_WAIT_MS,
    { immediate: false },
  )
  const holdsAsked = ({ finds, lines, cuts, joints }: JobRecord): boolean => {
    const ids = new Set([...finds, ...lines, ...cuts, ...joints].map(({ id }) => id))
    return ASKING.every((name) => typeof route.query[name] !== 'string' || ids.has(route.query[name]))
  }
  // Another record in the place of the one asked for would be taken for it: a step would be ticked on the wrong joint.
  const job = computed<JobRecord | undefined>(() => {
    const here = store.jobOf(slug.value)
    return here && (isLate.value || store.isHeard(here.id) || holdsAsked(here)) ? here : undefined
  })
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
      isLate.value = false
      waitAgain()
      void read()
    },
    { immediate: true },
  )
  const readAgain = () => {
    if (visibility.value === 'visible') void read()
  }
  watch(visibility, readAgain)
  watch(
    () => job.value?.id,
    (id, was, onCleanup) => {
      if (id !== undefined) onCleanup(store.view(id))
      // It was deleted elsewhere: the server says by whom.
      else if (was !== undefined) void read()
    },
    { immediate: true },
  )

  useHead({ title: () => (job.value ? `${job.value.name}: Jolvet` : 'Jolvet') })
  return { slug, job, missing }
}
