import type { Figure, Note, WorkingLine } from '#core/base'
import type { EndFacts, PexType, Pipe, SocketMethod, Temper, ThreadForm, Valve } from '#core/catalogue'
import type { Region } from '#core/units'

export const METHODS = [
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
  'thread',
  'pe-compression',
  'union',
  'flare',
  'socket-fusion',
  'insert-clamp',
  'cone',
] as const
export type Method = (typeof METHODS)[number]

/** Methods joints are offered by: those with a socket table, threads, and a union where an end's thread enters one. */
export type OfferedMethod = SocketMethod | 'thread' | 'union'

export const SERVICES = ['cold', 'hot', 'recirculation', 'heating', 'buried'] as const
export type Service = (typeof SERVICES)[number]

export const THREAD_FORMS = ['npt', 'bspt', 'bspp'] as const
export const THREAD_MATERIALS = ['brass', 'steel', 'galvanised', 'stainless', 'plastic'] as const
export type ThreadMaterial = (typeof THREAD_MATERIALS)[number]
export type Gender = 'male' | 'female'

export const SEATS = ['flat', 'cone'] as const
type Seat = (typeof SEATS)[number]

export interface Thread {
  form: ThreadForm
  size: string
  gender: Gender
  material: ThreadMaterial
  /** What a parallel thread seals on; not given where nobody looked. */
  seat?: Seat
}

export interface PipeEnd extends EndFacts {
  pipe: string
  /** Measured wall, mm; wins over the catalogue's. */
  wall?: number
}
export type End = PipeEnd | { thread: Thread }
/** No other end: the first one is closed. */
export interface Closed {
  cap: true
}
export type OtherEnd = End | Closed
export const isClosed = (end: OtherEnd | null | undefined): end is Closed => end != null && 'cap' in end

/** How far one end moves, mm; null or not given is enough. */
export interface EndPlay {
  along?: number | null
  aside?: number | null
}
interface Play {
  a?: EndPlay
  b?: EndPlay
}

export interface Conditions {
  service: Service
  drinking: boolean
  /** degC */
  temperature: number
  /** bar gauge */
  pressure: number
  hidden: boolean
  combustibles: boolean
  wet: boolean
  mustUndo: boolean
  temporary: boolean
  noFlame: boolean
  /**
   * mm the ends can be drawn apart along the pipe; null is enough, 0 not at all. Or for each end, along it and aside.
   */
  play: number | null | Play
  /** mm between the two pipe ends, for a coupling without a stop; not given where nobody measured it. */
  gap?: number
  room: 'open' | 'tight'
  /** End the water comes from, where it is known. */
  flowFrom?: 'a' | 'b'
}

export const REASONS = ['scale', 'pinholes', 'flood'] as const
export type Reason = (typeof REASONS)[number]

export interface Policy {
  pushFitHidden: 'allowed' | 'reachable-only'
  compressionHidden: 'never' | 'temporary-only' | 'allowed'
  typeMDrinking: 'allowed' | 'refused'
  reuseLimit: number
  /** Methods the job likes best, best first: asked before the number of joints and the minutes. */
  order: Method[]
  /** Methods that come after all others, whatever they save: push-fit, or what needs a flame. */
  last: Method[]
  /** What the job minds: each is said at the ways it bears on. */
  reasons: Reason[]
  /** Years of service or warranty of a method, by the user's own figures. */
  years: Partial<Record<Method, number>>
  /** The system that British plastic pipe, liner and fitting are all of, by the user's own word; empty: not said. */
  plasticSystem: string
  /** Why the methods stand in this order, in the job's own words. */
  orderReason: string
  threadSeal: 'tape' | 'paste' | 'both'
  insertFittings: 'brass' | 'composite' | 'either'
  /** First mark of a bend: at the former's hook edge by its set-back, or the corner sighted with an offcut. */
  bendMark: 'hook' | 'corner'
}

export interface Kit {
  tools?: readonly { method: Method; sizes?: readonly string[] }[]
  parts?: readonly { name: string; size: string; quantity: number }[]
  measured?: readonly { method: Method; nominal: string; fitting: string; insertion?: number; takeOut?: number }[]
  /** The user's own minutes at one end; they win over ours. */
  minutes?: readonly { method: Method; nominal?: string; work: number; wait: number }[]
  /** The user's own price of a part. */
  /** What one use of a flame takes beside the joint: permit, watch, mat, extinguisher, wetted wood. Minutes of a hand. */
  hotWork?: { minutes: number; price: number }
  prices?: readonly { name: string; size: string; price: number }[]
}

export interface WaysQuestion {
  region: Region
  a: End
  /** The other end, or that the first is closed. */
  b: OtherEnd
  /** A valve of this kind in each way, and no other. */
  valve?: Valve
  conditions?: Partial<Conditions>
  policy?: Partial<Policy>
  kit?: Kit
}

/** A tube end as the rules see it. */
export interface Tube extends Omit<EndFacts, 'temper' | 'pexType'> {
  pipe: Pipe
  wall: number | null
  temper: Temper
  pexType: PexType
}

/** What is offered to the next mouth of a chain. */
export type Offer =
  | { kind: 'tube'; tube: Tube; on: Place; isSpigot?: true }
  /** `tube`: steel pipe, which is met by the thread cut on it. */
  | { kind: 'thread'; thread: Thread & { isSwivel?: true }; on: Place; tube?: Tube }
  /** Nothing: what meets it closes the line. */
  | { kind: 'shut'; on: Place; tube?: undefined }

/** An end that is there. */
export type OpenOffer = Exclude<Offer, { kind: 'shut' }>

/** Everything the rules of one question look at beside the tube. */
export interface Situation {
  region: Region
  conditions: Conditions
  policy: Policy
  kit: Kit
}

export const REFUSAL_CODES = [
  'family',
  'size',
  'temper',
  'surface',
  'pex-type',
  'system',
  'rating',
  'service',
  'drinking',
  'flame',
  'wet',
  'hidden',
  'room',
  'play',
  'undo',
  'tool',
  'policy',
  'thread',
  'metals',
  'no-figure',
] as const
export type RefusalCode = (typeof REFUSAL_CODES)[number]

export interface Refusal {
  method: Method
  on: 'a' | 'b'
  code: RefusalCode
  reason: string
}
export type Verdict = 'fits' | 'care' | 'held'
export type Place = 'a' | 'b' | 'between'

export interface Joint {
  method: OfferedMethod
  on: Place
  pipe: string | null
  /** `material` where one of the two is plastic, which is made up gently. */
  thread?: { form: ThreadForm; size: string; gender: Gender; material?: 'plastic' }
  insertion: Figure
  /** The plain end of a fitting that goes into the next one. */
  isSpigot?: true
}

/** Made at a face: nothing goes in, so there is no depth to mark. */
export const isAtFace = ({ thread, insertion }: Pick<Joint, 'thread' | 'insertion'>): boolean =>
  thread?.form === 'bspp' || insertion.value === 0

/** What a part is, as it is counted (contract). */
export type PartKind =
  | 'coupling'
  | 'converter'
  | 'slip'
  | 'elbow'
  | 'tee'
  | 'adapter'
  | 'reducer'
  | 'bush'
  | 'union'
  | 'tail'
  | 'cap'
  | 'plug'
  | 'valve'
  | 'liner'
  | 'olive'
  | 'ring'
  | 'sleeve'
  | 'washer'
  | 'thread-seal'
  | 'other'

export interface Part {
  kind: PartKind
  name: string
  size: string
  quantity: number
  /** Cut length of a tail, mm. */
  length?: number
  /** What a threaded fitting is ordered in. */
  material?: 'brass' | 'plastic'
}

/** Counted out beside the fittings, not a thing in the line. */
const LOOSE: ReadonlySet<PartKind> = new Set(['ring', 'liner', 'olive', 'washer', 'sleeve', 'thread-seal'])
export const isLoose = ({ kind }: Pick<Part, 'kind'>): boolean => LOOSE.has(kind)

export interface Way {
  id: string
  verdict: Verdict
  because: Note[]
  joints: Joint[]
  parts: Part[]
  minutes: { work: number; wait: number }
  cost: { low: number; high: number }
  undo: string
  margin: { bar: number | null; at: string }
  cautions: Note[]
  working: WorkingLine[]
}

/** `cautions`: pipe that is left alone, or not cut until one thing is known of it. */
export interface WaysAnswer {
  ways: Way[]
  refused: Refusal[]
  cautions: Note[]
  instead?: string[]
}
