import type { FindBody } from './schema'

/** `updatedBy` names the hand or tablet that wrote last; empty where it gave no name. */
export interface FindRecord extends FindBody {
  id: string
  version: number
  photos: PhotoRecord[]
  verdicts: VerdictRecord[]
  updatedAt: string
  updatedBy: string
}

/**
 * What a find was kept as, or null where it was opened again, with its probability by the checks made until then; only
 * ever added.
 */
export interface VerdictRecord {
  pipe: string | null
  probability: number | null
  at: string
  by: string
}

/** A photo as it is shown, px; `data` is its address on the tablet it was taken with, until the server has it. */
export interface PhotoRecord {
  id: string
  name: string
  width: number
  height: number
  at: string
  by: string
  data?: string
}
