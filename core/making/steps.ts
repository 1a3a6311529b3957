import type { DraftStep, Step } from '#core/joints'

/** How long, in the words of a card. */
function spanWords(seconds: number): string {
  if (seconds < 120) return `${seconds} s`
  return seconds < 7200 ? `${Math.round(seconds / 60)} min` : `${Math.round(seconds / 3600)} h`
}

const OF_CUT_TUBE: ReadonlySet<Step['code']> = new Set(['cut', 'ream', 'deburr'])

/** The plain end of a fitting comes from the works cut and clean inside: it is neither cut nor reamed nor deburred. */
export const ofSpigot = (steps: readonly DraftStep[]): DraftStep[] => steps.filter(({ code }) => !OF_CUT_TUBE.has(code))

/** What a step asks to be done, with its figures: what is kept with its tick, so that a change of them is seen. */
export const figuresOf = ({ do: words, seconds }: Pick<Step, 'do' | 'seconds'>): string =>
  seconds === undefined ? words : `${words} (${spanWords(seconds)})`
