import { useWakeLock } from '@vueuse/core'

/** The screen stays lit while hands are busy, where the browser allows it; it goes dark again with the page. */
export function useStayLit() {
  const { isSupported, request, release } = useWakeLock()
  onMounted(() => {
    if (isSupported.value) void request('screen').catch(() => undefined)
  })
  onBeforeUnmount(() => {
    void release().catch(() => undefined)
  })
}
