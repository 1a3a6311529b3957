import type { Region } from '#core/catalogue'

export interface AskQuestion { text: string, region: Region }

/** A word, or a few, as they were typed, and what they were taken for. */
export interface AskWord {
  text: string
  as: string
  /** Other words that could stand in its place, likeliest first. */
  others?: string[]
}

/** What a line was understood as: the verb it asks, with its question. */
export interface Understood { verb: 'ways' | 'identify' | 'make' | 'offset', question: Record<string, unknown>, words: AskWord[] }
