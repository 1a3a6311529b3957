import { useEventListener } from '@vueuse/core'

const EDITABLE = 'input, textarea, select, [contenteditable="true"]'

/**
 * Single-key shortcuts of a screen. They are off while a field has focus or a sheet is open, and never take a key
 * that is held with Ctrl, Alt or Meta. Those of a question that stands before the screen go `first`.
 */
export function useKeys(keys: Readonly<Record<string, () => void>>, { first = false } = {}) {
  useEventListener(
    window,
    'keydown',
    (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented) return
      const target = event.target as HTMLElement | null
      if (target?.closest(EDITABLE) || document.querySelector('[role="dialog"]')) return
      // Enter and Space belong to a control that has focus.
      if ((event.key === 'Enter' || event.key === ' ') && target?.closest('button, a, [role="button"]')) return
      const act = keys[event.key] ?? keys[event.key.toLowerCase()]
      if (!act) return
      event.preventDefault()
      act()
    },
    { capture: first },
  )
}
