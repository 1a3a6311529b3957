import type { Word } from '#core/shorthand'
import type { Region } from '#core/units'

export interface AskQuestion {
  text: string
  region: Region
}

/** What a line was understood as: the verb it asks, with its question. */
export interface Understood {
  verb: 'ways' | 'identify' | 'make' | 'offset' | 'fix' | 'flow'
  question: Record<string, unknown>
  words: Word[]
}
