import { useStorage } from '@vueuse/core'
import type { MeasuredMinutes } from '#core/record'
import type { Region } from '#core/units'

/** What the joints signed last took, in the sizes of a country; the last answer is kept on this device. */
export function useOwnMinutes(region: MaybeRefOrGetter<Region | undefined>) {
  const kept = useStorage<Partial<Record<Region, MeasuredMinutes[]>>>('jolvet-own-minutes', {})
  const store = useJobStore()
  const measured = computed(() => {
    const here = toValue(region)
    return (here && kept.value[here]) ?? []
  })
  async function read() {
    const here = toValue(region)
    if (!here) return
    const answer = await store.read<{ minutes: MeasuredMinutes[] }>(`/api/minutes?region=${here}`)
    if (answer.ok) kept.value = { ...kept.value, [here]: answer.value.minutes }
  }
  onMounted(read)
  watch(() => toValue(region), read)
  return measured
}
