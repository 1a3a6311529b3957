import type { JobRecord } from '#core/record'
import { endOfWait, runningWaits } from '~/reading/waits'

/** One tone and one buzz, where the device has them. */
function signal() {
  // A page that was never tapped may not shake the device.
  if (navigator.userActivation?.hasBeenActive ?? true) navigator.vibrate?.([300, 150, 300])
  try {
    const audio = new AudioContext()
    const tone = audio.createOscillator()
    tone.connect(audio.destination)
    tone.onended = () => void audio.close().catch(() => undefined)
    tone.start()
    tone.stop(audio.currentTime + 0.6)
  } catch {
    // No sound device: the figure on the screen still says it.
  }
}

/** One that was over longer ago, ms, is read and not heard. */
const RECENT_MS = 15_000

/** Tells ear and hand when a wait of the job is over, once each, whichever of its stations is open. */
export function useWaitSignal(job: Ref<JobRecord | undefined>) {
  const { offset } = useServerClock()
  const told = new Set<string>()
  const due = new Map<string, ReturnType<typeof setTimeout>>()
  const running = computed(() =>
    (job.value ? runningWaits(job.value) : []).map(({ joint, timer }) => ({
      id: `${joint.id} ${timer.entry} ${timer.step} ${timer.startedAt}`,
      end: endOfWait(timer),
    })),
  )
  watch(
    [running, offset],
    ([now]) => {
      for (const timeout of due.values()) clearTimeout(timeout)
      due.clear()
      for (const { id, end } of now) {
        const left = end - Date.now() - offset.value
        if (told.has(id) || left < -RECENT_MS) continue
        const tell = () => {
          told.add(id)
          signal()
        }
        due.set(id, setTimeout(tell, Math.max(0, left)))
      }
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    for (const timeout of due.values()) clearTimeout(timeout)
  })
}
