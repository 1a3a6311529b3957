import { useStorage } from '@vueuse/core'

/**
 * One step at a time, for gloves and bad light, as it was last chosen on this device: which step is in view, and the
 * turn to another. `of` is what is worked on, by an id; another brings its current step into view.
 */
export function useOneStep(of: () => unknown, current: () => number, count: () => number) {
  const isSingle = useStorage('jolvet-one-step', false)
  const viewed = ref(0)
  watch(
    [of, current, isSingle],
    () => {
      viewed.value = Math.max(0, current())
    },
    { immediate: true },
  )
  const turn = (by: number) => {
    viewed.value = Math.min(Math.max(0, viewed.value + by), Math.max(0, count() - 1))
  }
  return { isSingle, viewed, turn }
}
