import { speak } from '#core/speech'

/** Says a sentence in the words and units of the page. */
export function useSpeech() {
  const region = useRegion()
  return { region, say: (text: string): string => speak(text, region.value) }
}
