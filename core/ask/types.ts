import type { Method, Service } from '#core/joints'
import type { Word } from '#core/shorthand'
import type { Region } from '#core/units'

/** What the job says, which fills what a line does not. */
export interface JobSaid {
  /** Catalogue ids of the pipes found or joined on it. */
  pipes?: readonly string[]
  service?: Service
  /** How its pipes are joined. */
  methods?: readonly Method[]
}

export interface AskQuestion {
  text: string
  region: Region
  /** What the job says, which fills what the line does not. */
  job?: JobSaid
}

/** What a line was understood as: the verb it asks, with its question. */
export interface Understood {
  verb: 'ways' | 'identify' | 'make' | 'offset' | 'fix' | 'flow' | 'line' | 'pipes'
  question: Record<string, unknown>
  words: Word[]
  /** What the job filled in, in words; left out where it did not. */
  filled?: string[]
}
