import { computed } from 'vue'
import { StorageSerializers, useStorage } from '@vueuse/core'
import { clockOffset } from '~/reading/server-clock'

/** The server's clock as this tablet knows it: kept, so that a wait runs right over a reload without a server too. */
export function useServerClock() {
  const known = useStorage<number | null>('jolvet-clock-offset', null, undefined, {
    serializer: StorageSerializers.number,
  })
  const offset = computed(() => known.value ?? 0)
  return {
    /** ms the server is ahead of this tablet. */
    offset,
    /** Whether the server's clock was ever heard here. */
    isKnown: computed(() => known.value !== null),
    /** Takes the time of an answer that came just now. */
    hear: (header: string | null) => {
      known.value = clockOffset(header, Date.now()) ?? known.value
    },
  }
}
