import { rules } from '~/outbox/rules'
import { clockWords } from '#core/speech'

export type SaveState = 'reading' | 'saved' | 'saving' | 'kept' | 'away' | 'refused' | 'clash'

/** Where what was done here stands, in one word for programs and a few for people. */
export function useSaveState() {
  const store = useJobStore()
  const state = computed<SaveState>(() => {
    if (store.clashes.length > 0) return 'clash'
    if (store.refused.length > 0) return 'refused'
    if (!store.isRead) return 'reading'
    if (store.away) return store.unsent.length > 0 ? 'kept' : 'away'
    return store.unsent.length > 0 ? 'saving' : 'saved'
  })
  const lastCopy = computed(() =>
    store.lastCopyAt === null ? 'no copy yet' : `last copy ${clockWords(store.lastCopyAt)}`,
  )
  const notKept = computed(() => `${store.unsent.length} not sent: keep this page open`)
  const words = computed(() => {
    switch (state.value) {
      case 'clash':
        return `two entries: ${[...new Set(store.clashes.map((entry) => rules().recordWords(entry, store.jobOf(entry.job))))].join(', ')}`
      case 'refused':
        return `${store.refused.length} came back`
      case 'reading':
        return 'reading'
      case 'kept':
        return store.isKept ? `${store.unsent.length} kept on this tablet, ${lastCopy.value}` : notKept.value
      case 'away':
        return `no server, ${lastCopy.value}`
      case 'saving':
        return store.isKept ? 'saving' : notKept.value
      case 'saved':
        return 'saved'
    }
  })
  return { state, words, lastCopy }
}
