import * as Comlink from 'comlink'
import { watchDebounced } from '@vueuse/core'
import type { heatAlong, HeatQuestion } from '#core/heat'
import type { heatWork } from '~/workers/heat.worker'

let work: Comlink.Remote<typeof heatWork> | undefined
const worker = () =>
  (work ??= Comlink.wrap<typeof heatWork>(
    new Worker(new URL('../workers/heat.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** What becomes of the heat, asked again as the question changes; `isLooking` while an answer is under way. */
export function useHeat(question: Ref<HeatQuestion | null>) {
  const answer = shallowRef<ReturnType<typeof heatAlong> | null>(null)
  const isLooking = ref(false)
  let run = 0
  watchDebounced(
    question,
    async (now) => {
      const own = ++run
      if (!now) {
        answer.value = null
        isLooking.value = false
        return
      }
      isLooking.value = true
      const found = await worker().follow({ ...now })
      // A later question is under way.
      if (own !== run) return
      answer.value = found
      isLooking.value = false
    },
    { debounce: 120, immediate: true, deep: true },
  )
  return { answer, isLooking }
}
