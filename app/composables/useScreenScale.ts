import { useDevicePixelRatio, useStorage } from '@vueuse/core'
import { checkScale, scaleFrom, type ScreenScale } from '#core/gauges'

/**
 * How large a mm is on this screen: set once by a bank card, kept on this device, asked anew once the page is zoomed.
 */
export function useScreenScale() {
  const kept = useStorage<ScreenScale | null>('jolvet-screen', null, undefined, {
    serializer: { read: (text) => JSON.parse(text) as ScreenScale, write: JSON.stringify },
  })
  const { pixelRatio } = useDevicePixelRatio()
  const scale = computed(() => checkScale(kept.value, pixelRatio.value))
  /** Sets it by the width of a card, px; fails where no screen is like that. */
  function set(cardWidthPx: number) {
    const result = scaleFrom(cardWidthPx, pixelRatio.value, new Date().toISOString())
    if (result.ok) kept.value = result.value
    return result
  }
  return {
    scale,
    wasSet: computed(() => kept.value !== null),
    set,
    forget: () => {
      kept.value = null
    },
  }
}
