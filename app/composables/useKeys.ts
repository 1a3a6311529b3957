import { useEventListener } from '@vueuse/core'
import { KEY_WORDS } from '~/wording/keys'

/**
 * Keys of what stands on the screen now with their words, by the component that bound them; a question before the screen
 * last.
 */
const bound = shallowReactive(new Map<symbol, Readonly<Record<string, string | null | undefined>>>())

/** What each key does on this screen, in the order of the sheet. */
export const useBoundKeys = () =>
  computed(() => {
    const said = Object.assign({}, ...bound.values()) as Record<string, string | null | undefined>
    const order = [...new Set([...Object.keys(said).filter((key) => !(key in KEY_WORDS)), ...Object.keys(KEY_WORDS)])]
    return order.flatMap((key) => {
      const what = said[key]
      return what ? [{ key, what }] : []
    })
  })

const EDITABLE = 'input, textarea, select, [contenteditable="true"]'

interface KeyOptions {
  first?: boolean
  last?: boolean
  words?: Readonly<Record<string, string>>
}

/**
 * Single-key shortcuts of a screen. They are off while a field has focus or a sheet is open, and never take a key
 * that is held with Ctrl, Alt or Meta. Those of a question that stands before the screen go `first`, those of its frame
 * `last`: a bench may have the key for its own. `words` are what a key does where the common words do not tell.
 */
export function useKeys(
  keys: Readonly<Record<string, () => void>>,
  { first = false, last = false, words = {} }: KeyOptions = {},
) {
  const own = Symbol('keys')
  onMounted(() =>
    bound.set(own, Object.fromEntries(Object.keys(keys).map((key) => [key, words[key] ?? KEY_WORDS[key]]))),
  )
  onBeforeUnmount(() => bound.delete(own))
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
      // Every other listener has been asked by then, whenever it was bound.
      if (last) return void setTimeout(() => event.defaultPrevented || act())
      event.preventDefault()
      act()
    },
    { capture: first },
  )
}
