import type { LineBody } from './schema'

/** A support set by hand, mm along its leg; `at` null: moved, not fixed yet. Earlier versions kept no hand. */
export interface ClipRecord {
  mm: number
  at: string | null
  by?: string
}
/** A step of a bend done, and the marks it was done to. Earlier versions kept no hand. */
export interface PullRecord {
  at: string
  marks: string
  by?: string
}
/** Lines are numbered within their job: L1, L2. */
export interface LineRecord extends LineBody {
  id: string
  number: number
  /** Supports moved by hand or fixed, by leg and number such as "0:2". */
  clips: Record<string, ClipRecord>
  /** Steps of its bends done, by piece and step such as "p2:3". */
  pulled: Record<string, PullRecord>
  version: number
  updatedAt: string
  updatedBy: string
}
