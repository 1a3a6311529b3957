import { useEventListener } from '@vueuse/core'

/**
 * A tapped button keeps no focus on this screen: the next Enter of a foot switch is a step, not the same tap once more.
 * What was reached by keys keeps it.
 */
export function useLetGo() {
  useEventListener('click', ({ detail }: MouseEvent) => {
    if (detail > 0 && document.activeElement instanceof HTMLButtonElement && !document.querySelector('[role="dialog"]'))
      document.activeElement.blur()
  })
}
