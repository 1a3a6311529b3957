/** Whose words the page is in: those of the job in the address, else the usual ones of this tablet. */
export function useRegion() {
  const route = useRoute()
  const store = useJobStore()
  const usual = useUsualRegion()
  return computed(() => store.jobOf(String(route.params.job ?? ''))?.region ?? usual.value)
}
