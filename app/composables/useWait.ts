import { useNow } from '@vueuse/core'
import { endOfWait } from '~/reading/waits'

/** Seconds left of a wait by the clock, so that sleep and a reload change nothing; null while it is not running. */
export function useWait(timer: () => { startedAt: string; seconds: number } | undefined) {
  const now = useNow({ interval: 250 })
  const { offset } = useServerClock()
  const left = computed(() => {
    const running = timer()
    return running ? Math.max(0, (endOfWait(running) - now.value.getTime() - offset.value) / 1000) : null
  })
  return left
}

export const formatClock = (seconds: number): string => {
  const whole = Math.ceil(seconds)
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
