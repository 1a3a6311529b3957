import { usePreferredDark, useStorage } from '@vueuse/core'

/** Light paper or the cellar. Follows the system until it is flipped by hand on this device. */
export function useTheme() {
  const system = usePreferredDark()
  const chosen = useStorage<'light' | 'cellar' | 'system'>('jolvet-theme', 'system')
  const theme = computed(() => {
    if (chosen.value !== 'system') return chosen.value
    return system.value ? 'cellar' : 'light'
  })
  const flip = () => {
    chosen.value = theme.value === 'cellar' ? 'light' : 'cellar'
  }
  return { theme, flip }
}
