/** The turn of what nobody waits for: counts of other stations, what is looked at now and then. */
export const LAST_IN_TURN = 4

/** Whether so many tasks have passed since the page was mounted: what is dear to draw or work out waits for its own. */
export function useInTurn(after = 1): Readonly<Ref<boolean>> {
  const left = ref(after)
  let timer: ReturnType<typeof setTimeout> | undefined
  function wait() {
    timer = setTimeout(() => {
      left.value--
      if (left.value > 0) wait()
    })
  }
  onMounted(wait)
  onBeforeUnmount(() => clearTimeout(timer))
  return computed(() => left.value <= 0)
}
