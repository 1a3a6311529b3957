import { useNow } from '@vueuse/core'

/** One tone and one buzz, where the device has them. */
function signal() {
  navigator.vibrate?.(400)
  try {
    const audio = new AudioContext()
    const tone = audio.createOscillator()
    tone.connect(audio.destination)
    tone.start()
    tone.stop(audio.currentTime + 0.4)
  } catch {
    // No sound device: the figure on the screen still says it.
  }
}

/** Seconds left of a wait by the clock, so that sleep and a reload change nothing; null while it is not running. */
export function useWait(timer: () => { startedAt: string; seconds: number } | undefined) {
  const now = useNow({ interval: 250 })
  const { offset } = useServerClock()
  const left = computed(() => {
    const running = timer()
    return running
      ? Math.max(0, running.seconds - (now.value.getTime() + offset.value - Date.parse(running.startedAt)) / 1000)
      : null
  })
  watch(left, (seconds, before) => {
    if (seconds === 0 && before !== null && before !== undefined && before > 0) signal()
  })
  return left
}

export const formatClock = (seconds: number): string => {
  const whole = Math.ceil(seconds)
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
