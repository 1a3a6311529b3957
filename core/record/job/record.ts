import type { Policy } from '#core/joints'
import type { CutRecord } from '../cut/record'
import type { FindRecord } from '../find/record'
import type { JointRecord } from '../joint/record'
import type {
  BenderRecord,
  CountRecord,
  FittingRecord,
  HotWorkRecord,
  MinutesRecord,
  PriceRecord,
  VanRecord,
  ToolRecord,
} from '../kit/schema'
import type { LineRecord } from '../line/record'
import type { LookRecord } from '../look/record'
import type { OffcutRecord } from '../rack/record'
import type { ClashBody, Waits } from './schema'
import type { Region } from '#core/units'

/** Two entries that met, whichever was kept. */
export interface ClashRecord extends ClashBody {
  id: string
  at: string
}

export interface JobRecord {
  id: string
  slug: string
  name: string
  place: string
  region: Region
  year: number | null
  policy: Partial<Policy>
  /** Tools on the van; null while nothing was said of them. */
  tools: ToolRecord[] | null
  /** Fittings measured by hand. */
  fittings: FittingRecord[]
  /** Benders calibrated by a test bend. */
  benders: BenderRecord[]
  /** Minutes and prices of the user's own; where there are none, ours stand. */
  minutes: MinutesRecord[]
  prices: PriceRecord[]
  /** What the van holds, by an order's names and sizes. */
  van: VanRecord[]
  /** What one use of a flame takes beside the joint. */
  hotWork: HotWorkRecord
  counts: CountRecord[]
  handedOver: string | null
  /** When it was put to the archive; null while it is worked on. */
  archivedAt: string | null
  /** What it waits for, by a hand's word. */
  waits: Waits | null
  /** Acts of its log that this is the state after; 0 while no server has it. */
  acts: number
  version: number
  updatedAt: string
  updatedBy: string
  finds: FindRecord[]
  lines: LineRecord[]
  cuts: CutRecord[]
  /** Offcuts of every pipe, whichever job they came off. */
  rack: OffcutRecord[]
  joints: JointRecord[]
  /** What was looked at: joints that were there already. */
  looks: LookRecord[]
  clashes: ClashRecord[]
}
