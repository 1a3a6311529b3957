import { useStorage } from '@vueuse/core'
import { clockOffset } from '~/reading/server-clock'

/** The server's clock as this tablet knows it: kept, so that a wait runs right over a reload without a server too. */
export function useServerClock() {
  const offset = useStorage('jolvet-clock-offset', 0)
  return {
    /** ms the server is ahead of this tablet. */
    offset,
    /** Takes the time of an answer that came just now. */
    hear: (header: string | null) => {
      offset.value = clockOffset(header, Date.now()) ?? offset.value
    },
  }
}
