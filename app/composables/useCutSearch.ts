import * as Comlink from 'comlink'
import type { Result } from '#core/base'
import type { CutAnswer, CutQuestion } from '#core/cutting'
import type { cutSearch, SearchNews } from '~/workers/cut.worker'

type Search = Comlink.Remote<typeof cutSearch>
let search: Search | undefined
let runs = 0
const worker = (): Search =>
  (search ??= Comlink.wrap<typeof cutSearch>(
    new Worker(new URL('../workers/cut.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** A search for the best plan in a worker of its own: what it has so far, and a stop that takes that. */
export function useCutSearch() {
  const news = shallowRef<SearchNews | null>(null)
  const isLooking = ref(false)
  let run = 0
  async function plan(question: CutQuestion): Promise<Result<CutAnswer> | null> {
    const own = (run = ++runs)
    isLooking.value = true
    news.value = null
    void worker().stop(own - 1)
    const answer = await worker().plan(
      question,
      own,
      Comlink.proxy((one: SearchNews) => {
        if (run === own) news.value = one
      }),
    )
    // A later question has taken its place.
    if (run !== own) return null
    isLooking.value = false
    return answer
  }
  const stop = () => {
    void worker().stop(run)
  }
  onBeforeUnmount(stop)
  return { plan, stop, news, isLooking }
}
