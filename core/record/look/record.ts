import type { Finding } from '#core/inspect'
import type { LookBody } from './schema'

/** What was seen of a joint that was there already, and what that came to then. Only ever added. */
export interface LookRecord {
  id: string
  number: number
  /** What was asked of the inspect verb, with the place. */
  look: LookBody
  verdict: Finding
  /** Codes of what was found, the worst first. */
  found: { code: string; verdict: Finding; text: string }[]
  version: number
  updatedAt: string
  updatedBy: string
}
