import type { Note } from '#core/base'
import type { Consumable, Mark, Step, Verdict } from '#core/joints'

export interface MakeAnswer {
  /** `held`: what stands in `stop` is seen to before anything is cut. */
  verdict: Verdict
  stop: Note[]
  marks: Mark[]
  steps: Step[]
  consumables: Consumable[]
  seconds: { work: number; wait: number }
  /** Outside diameter of a finished ring, mm. */
  gauge?: { go: number; noGo: number }
  cautions: Note[]
}
