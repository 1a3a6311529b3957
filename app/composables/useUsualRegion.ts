import { useStorage } from '@vueuse/core'
import { REGIONS, type Region } from '#core/units'

/** Sizes of a country by the language a tablet speaks: before anybody said otherwise. */
function regionOf(language: string): Region {
  if (/^en-us\b/i.test(language) || /^es-us\b/i.test(language)) return 'us'
  return /^en\b/i.test(language) ? 'gb' : 'eu'
}

/** The country's sizes outside a job: as they were picked on this tablet, else those of the first job on the list. */
export function useUsualRegion() {
  const list = useListStore()
  const picked = useStorage<Region | ''>('jolvet-region', '', undefined, { writeDefaults: false })
  return computed<Region>({
    get: () => REGIONS.find((id) => id === picked.value) ?? list.shown[0]?.region ?? regionOf(navigator.language),
    set: (region) => {
      picked.value = region
    },
  })
}
