import type { JobGist } from './gist'

/** How far a station of a job is: so many of so many, whether its work is behind, and whether something holds it. */
export interface StationProgress {
  /** How many are done; null where the station counts what is there, not what is done. */
  done: number | null
  of: number
  isBehind: boolean
  isHeld: boolean
}

/** A station of the work: its key, its name, and how far a job is there. */
export interface StationDef {
  /** Digit of its key: its place in the order of the work, kept where a station is left out. */
  key: number
  name: string
  progress: (job: JobGist) => StationProgress
  /** What is counted there, in words. */
  counted: (progress: StationProgress, job: Pick<JobGist, 'lines'>) => string
}

const plural = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`
/** Words for what is there, such as "3 finds". */
export const thereOf =
  (word: string, none = 'none yet') =>
  ({ of }: StationProgress): string =>
    of ? plural(of, word) : none
/** Words for what is done of all, such as "3 of 5 made". */
export const doneOf =
  (word: string) =>
  ({ done, of }: StationProgress): string =>
    of ? `${done} of ${of} ${word}` : 'none yet'

export const sumOf = <T>(list: readonly T[], of: (one: T) => number): number =>
  list.reduce((sum, one) => sum + of(one), 0)
