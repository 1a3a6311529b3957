import type { BenchPlan, CutSum, DoneCut } from '#core/cutting'
import type { CutBody, FinishBody } from './schema'

/** Cut sheets are numbered within their job: C1, C2. `done` holds what was really cut. */
export interface CutRecord extends CutBody {
  id: string
  number: number
  plan: BenchPlan | null
  done: DoneCut[]
  result: CutResult | null
  version: number
  updatedAt: string
  updatedBy: string
}

/** What a finished sheet came to beside what was planned, mm; `uncut` counts pieces that were left. */
export interface CutResult {
  at: string
  by: string
  sum: CutSum
  first: CutSum
  kept: FinishBody['kept']
  uncut: number
}
