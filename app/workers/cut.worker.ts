import * as Comlink from 'comlink'
import type { Result } from '#core/base'
import { searchCuts, type CutAnswer, type CutQuestion } from '#core/cutting'

/** What a search has found so far: the best plan, the bound proved, and how long it looks, ms. */
export interface SearchNews {
  best: CutAnswer | null
  bound: number
  ms: number
}

/** Time between two pieces of news, ms; in each pause a stop is heard. */
const NEWS_EVERY_MS = 120

let stopped = 0

/** Searching beside the page, so that it stays in hand: news as it goes, and a stop that gives the best plan so far. */
export const cutSearch = {
  async plan(question: CutQuestion, run: number, onNews: (news: SearchNews) => void): Promise<Result<CutAnswer>> {
    const searching = searchCuts(question)
    const began = performance.now()
    let said = began
    for (;;) {
      const step = searching.next()
      if (step.done) return step.value
      const now = performance.now()
      if (now - said < NEWS_EVERY_MS) continue
      said = now
      const best = step.value.best()
      onNews({ best, bound: step.value.bound, ms: now - began })
      // Lets the message that stops it in.
      await new Promise<void>((resolve) => setTimeout(resolve))
      if (stopped >= run && best) return { ok: true, value: best }
    }
  },
  /** Stops every search up to a run; a search without a plan yet goes on to its first. */
  stop(run: number) {
    stopped = Math.max(stopped, run)
  },
}

Comlink.expose(cutSearch)
