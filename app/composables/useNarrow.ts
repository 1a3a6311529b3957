import { useMediaQuery } from '@vueuse/core'

/** Under 900 px the screen is one column. */
export const useNarrow = () => useMediaQuery('(max-width: 899px)')
