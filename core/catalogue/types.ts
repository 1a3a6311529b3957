import type { Region } from '#core/units'
import type { Source } from '#core/base'

export type { Source } from '#core/base'

export const FAMILIES = [
  'copper',
  'pex',
  'pert',
  'bs7291',
  'multilayer',
  'pb',
  'cpvc',
  'pvc',
  'pp-r',
  'pe',
  'steel',
  'stainless',
  'lead',
  'vinyl',
] as const
export type Family = (typeof FAMILIES)[number]

/** Which outside diameters a series shares: a socket goes by this and the size, never by the name alone. */
export type SizingSystem = 'cts' | 'en-od' | 'bs-bore' | 'ips' | 'own'

/** One row of a pipe standard. Lengths in mm; null where the size is not made with a wall of its own. */
export interface PipeRow {
  series: string
  nominal: string
  odMm: number
  wallMm: number | null
  boreMm: number | null
  /** true: met in the trade, makers differ; false: the standard's own figure. */
  typical: boolean
}

/** One row of a fitting standard: depth a tube enters, mm, with the range met; null where nobody has a figure. */
export interface EndRow {
  nominal: string
  depthMm: number | null
  loMm: number | null
  hiMm: number | null
  maleEndMm?: number | null
  typical: boolean
}

/** Valves by what they do, as they are asked for; a name holds its word. */
export const VALVES = ['ball', 'gate', 'stop', 'service', 'angle', 'straight', 'check', 'drain', 'regulator'] as const
export type Valve = (typeof VALVES)[number]

/** Valves in a line by their kind; `valve` is one of a kind that nobody said. */
export const LINE_VALVES = {
  'ball-valve': 'ball',
  'gate-valve': 'gate',
  'stop-valve': 'stop',
  'service-valve': 'service',
  'check-valve': 'check',
  'drain-valve': 'drain',
  'angle-valve': 'angle',
  'pressure-regulator': 'regulator',
} as const satisfies Readonly<Record<string, Valve>>
type LineValve = keyof typeof LINE_VALVES

/**
 * Fittings that stand in a line, by the mouth a tube enters. A coupling, slip coupling, reducer or valve lies in the
 * tube's own line; a cap ends it, and its point is its outer end; an outlet elbow or stub-out ends it at the wall.
 */
export const LINE_FITTINGS = [
  'elbow-90',
  'elbow-45',
  'swept-90',
  'tee-run',
  'tee-branch',
  'coupling',
  'slip',
  'slip-tee',
  'repair-sleeve',
  'reducer',
  'flange',
  'valve',
  ...(Object.keys(LINE_VALVES) as LineValve[]),
  'drop-ear',
  'stub-out',
  'cap',
] as const
export type LineFitting = (typeof LINE_FITTINGS)[number]

/** Centre of a fitting to the stop inside it, mm, with the range met in the trade. */
export interface TakeOutRow {
  fitting: LineFitting
  nominal: string
  takeOutMm: number
  loMm: number
  hiMm: number
}

/** A reducing coupling, large x small: from stop to stop, mm, with the range met. */
export interface ReducerRow {
  nominal: string
  gapMm: number
  loMm: number
  hiMm: number
}

/** Centreline radius a tube is bent to, mm; `leastMm` is the tightest it takes. */
export interface BendRow {
  series: string
  nominal: string
  radiusMm: number
  loMm: number
  hiMm: number
}

/** Greatest distance between supports, mm, of the sizes of a family from one to another. */
export interface SupportRow {
  family: Family
  from: string
  to: string
  horizontalMm: number
  /** Of a hot pipe, where it sags and is held nearer. */
  hotMm?: number
  verticalMm: number | null
  /** Guided half way up each storey besides. */
  midStorey: boolean
  typical: boolean
}

/** Greatest distance between supports of one size of tube, mm, by practice. */
export interface TubeSupportRow {
  series: string
  nominal: string
  horizontalMm: number
  verticalMm: number | null
}

/** Middle of a valve to the stop inside it, mm, with the range met; `form` where its ends are threads. */
export interface ValveRow {
  valve: Valve | 'double-check'
  method: SocketMethod | 'thread'
  form?: ThreadForm
  family?: Family
  nominal: string
  takeOutMm: number
  loMm: number
  hiMm: number
}

/** A brass valve by its inch size: weight, kg, height over the pipe's middle when open, mm, turns from shut to open. */
export interface ValveBodyRow {
  valve: Valve
  nominal: string
  kg: number
  heightMm: number | null
  turns: number | null
}

/** Whole length of a part, mm, with the range met: a coupling without a stop, a cap, a plug. */
export interface LengthRow {
  nominal: string
  lengthMm: number
  loMm: number
  hiMm: number
}

export interface RingGaugeRow {
  nominal: string
  goMm: number
  noGoMm: number
  typical: boolean
}

/** Pressure in bar gauge up to a temperature; null: withheld because makers differ too far. */
export interface RatingRow {
  of: string
  tempC: number
  maxBar: number | null
  typical: boolean
}

/** Methods whose sockets are in the tables. */
export const SOCKET_METHODS = [
  'solder',
  'press',
  'push-fit',
  'compression',
  'crimp',
  'clamp',
  'expansion',
  'sliding-sleeve',
  'ml-press',
  'ml-compression',
  'solvent-cement',
  'pe-compression',
  'flare',
  'socket-fusion',
  'insert-clamp',
  'cone',
] as const
export type SocketMethod = (typeof SOCKET_METHODS)[number]

export type ThreadForm = 'npt' | 'bspt' | 'bspp'

/** Rows of ratings and whose they are. */
export interface Ratings {
  rows: readonly RatingRow[]
  source: Source
}

/** Which tubes a standard's sockets take by one method, and the pressure of that joint. */
export interface SocketTable {
  method: SocketMethod
  rows: readonly EndRow[]
  families: readonly Family[]
  sizing: SizingSystem
  series?: string
  /** Of its families only this series is joined so: for the others the method is not made. */
  isOfSeriesOnly?: true
  /** Nominal of the fitting for a nominal of the tube, where they differ. */
  rename?: Readonly<Record<string, string>>
  /** Nominals of the tube that enter only with an olive made for them. */
  withOlive?: readonly string[]
  /** Pressure of the joint, whatever the tube; `as-tube`: what the tube takes; null: no figure is held. */
  rating: Ratings | 'as-tube' | null
  /** Its ratings go by size group. */
  isRatedBySize?: true
}

/**
 * How the ratings of a standard's tube are found: one row for the whole series, by series where it holds several, by pipe, by pipe where it is hard, by
 * pipe and temper.
 */
export type RatedBy = 'series' | 'own-series' | 'pipe' | 'hard-pipe' | 'pipe-and-temper'

/** What the file of a standard may hold; every file does with some of it. */
export interface Standard {
  SOURCE: Source
  /** Its tube. */
  ROWS?: readonly PipeRow[]
  /** Pressure of its tube, or of a joint with its fittings where it has no tube. */
  RATINGS?: readonly RatingRow[]
  RATED_BY?: RatedBy
  /** Pressure of its tube in a sealed heating circuit, where that is less; rows by series. */
  HEATING_RATINGS?: readonly RatingRow[]
  SOCKET_TABLES?: readonly SocketTable[]
  TAKE_OUTS?: readonly TakeOutRow[]
  REDUCERS?: readonly ReducerRow[]
  SLIP_LENGTHS?: readonly LengthRow[]
  CAP_LENGTHS?: readonly LengthRow[]
  /** Near edge of a ring from the tube's end. */
  RING_POSITION?: readonly EndRow[]
}

/** What is true of every size of a series. */
export interface Series {
  id: string
  family: Family
  standard: string
  regions: readonly Region[]
  sizing: SizingSystem
  /** Named by its outside diameter, where others of its sizing are named by a bore. */
  calledBy?: 'outside'
  /** Trade words after the size, e.g. "copper, type L". */
  words: string
  plastic: boolean
  /** Whole wall tolerance on the outside diameter, mm each way. */
  odToleranceMm: number
}

/** A catalogue pipe, lengths in mm. Nominal, outside diameter, wall and bore always go together. */
export interface Pipe {
  id: string
  family: Family
  standard: string
  series: string
  nominal: string
  label: string
  od: number
  wall: number | null
  bore: number | null
  typical: boolean
  regions: readonly Region[]
}

/** One thing true of a series, in words, with where it comes from. */
export interface Fact {
  text: string
  source: string
}

/** Uses of a pipe that the trade tells apart. */
export const USES = ['cold', 'hot', 'recirculation', 'heating', 'buried'] as const
export type Use = (typeof USES)[number]

/**
 * Whether a series is used so: by every code here, by none, or where a stated thing is so: its print lists it, it has an
 * oxygen barrier, its class allows it, it is coated, ducted, galvanised or black, or the job's policy takes it.
 */
export type Allowed =
  'yes' | 'no' | 'print' | 'barrier' | 'class' | 'coated' | 'ducted' | 'galvanised' | 'black' | 'policy' | 'buried only'

/**
 * What is true of every size of a series beside its dimensions; null where nothing with a source is held, or it has
 * none.
 */
export interface SeriesFacts {
  tempers: Fact | null
  kinds: Fact | null
  listings: Fact | null
  barrier: Fact | null
  lengths: Fact | null
  marks: Fact | null
  colours: Fact | null
  services: Readonly<Record<Use, Allowed>>
  hazard: Fact | null
}

/** Pressure a tube takes up to a temperature, bar; `temper` where it differs by it. */
export interface PipeRatingRow {
  tempC: number
  bar: number
  temper: 'hard' | 'soft' | null
  source: string
}
