import type { Pipe } from '#core/catalogue'
import type { Method } from '#core/joints'
import type { Finding, InspectQuestion, LookPart, Seen, SeenName } from './types'

export type Said<Name extends SeenName> = NonNullable<Seen[Name]>
interface Found {
  verdict: Finding
  text: string
  remedy?: string
}

/** One thing to look at: what is asked, at which joints, and what each answer says. */
export interface Look<Name extends SeenName> {
  ask: string
  /** The rule in words: what is found amiss, where it is from, and how grave it can be. */
  when: string
  because: string
  source: string
  gravest: Exclude<Finding, 'sound'>
  applies: (method: Method, pipe: Pipe | undefined, part: LookPart | undefined) => boolean
  says: (value: Said<Name>, question: InspectQuestion, pipe: Pipe | undefined) => Found
}

export const sound = (text: string): Found => ({ verdict: 'sound', text })
export const care = (text: string, remedy?: string): Found => ({ verdict: 'care', text, ...(remedy ? { remedy } : {}) })
export const wrong = (text: string, remedy: string): Found => ({ verdict: 'wrong', text, remedy })
