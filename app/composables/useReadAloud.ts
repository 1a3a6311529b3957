import { useStorage } from '@vueuse/core'
import { LOCALES } from '#core/speech'
import type { Region } from '#core/units'
import { aloudWords } from '~/reading/aloud'

/** Reads a text aloud whenever it changes, by the browser's own voice, once a hand has switched it on; on this device. */
export function useReadAloud(text: Ref<string>, region: () => Region) {
  const isOn = useStorage('jolvet-aloud', false)
  const canRead = typeof window !== 'undefined' && 'speechSynthesis' in window
  const hush = () => {
    if (canRead) window.speechSynthesis.cancel()
  }
  /** In the job's own language, in place of what is being said. */
  function read() {
    if (!canRead || !isOn.value) return
    hush()
    const spoken = new SpeechSynthesisUtterance(aloudWords(text.value))
    spoken.lang = LOCALES[region()]
    window.speechSynthesis.speak(spoken)
  }
  function flip() {
    isOn.value = !isOn.value
    if (!isOn.value) hush()
  }
  watch([text, isOn], read, { immediate: true })
  onBeforeUnmount(hush)
  return { canRead, isOn, flip }
}
