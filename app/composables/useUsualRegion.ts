import { useStorage } from '@vueuse/core'
import { REGIONS, type Region } from '#core/catalogue'

/** Sizes of a country by the language a tablet speaks: before anybody said otherwise. */
function regionOf(language: string): Region {
  if (/^en-us\b/i.test(language) || /^es-us\b/i.test(language)) return 'us'
  return /^en\b/i.test(language) ? 'gb' : 'eu'
}

/** The country's sizes outside a job, kept on this tablet. */
export function useUsualRegion() {
  const kept = useStorage<Region>('jolvet-region', regionOf(navigator.language))
  return computed<Region>({
    get: () => (REGIONS.includes(kept.value) ? kept.value : 'gb'),
    set: (region) => {
      kept.value = region
    },
  })
}
