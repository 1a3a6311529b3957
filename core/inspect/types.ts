import type { EndFacts } from '#core/catalogue'
import type { Note } from '#core/base'
import type { Method, Policy, RefusalCode, Service } from '#core/joints'
import type { Region } from '#core/units'

/** What can be seen at a joint that is made already. Lengths mm. */
export interface Seen {
  leak?: 'dry' | 'stain' | 'weeps'
  /** The depth mark: at the edge of the fitting, away from it, or none drawn. */
  mark?: 'at-edge' | 'away' | 'none'
  liner?: 'in' | 'missing'
  /** Tube end to the near edge of a crimp or clamp ring. */
  ringDistance?: number
  gauge?: 'passes' | 'fails'
  /** Marks of the jaw all round. */
  pressed?: boolean
  /** A ring of solder all round the mouth. */
  solderRing?: 'all-round' | 'gap'
  flux?: 'clean' | 'green'
  olive?: 'even' | 'pinched'
  /** Threads that show outside the fitting. */
  threads?: number
  /** Along the pipe to the nearest clip. */
  support?: number
  reach?: 'reached' | 'hidden'
  inLine?: boolean
  daylight?: boolean
  /** Pipe left blind beyond the joint, where nothing draws, along it. */
  deadLeg?: number
  /** Zinc and copper: with brass between them, bare on each other, or no zinc there. */
  metals?: 'no-zinc' | 'brass-between' | 'bare'
  /** What the hand feels when the pipe is pulled and turned: nothing, a turn, or a slide. */
  pull?: 'firm' | 'turns' | 'slides'
  /** Plastic at a thread: none, the outer (female) of the two, or the inner. */
  plastic?: 'none' | 'outside' | 'inside'
  /** What lies over it: nothing, a board or panel that opens, or what does not open. */
  cover?: 'none' | 'opens' | 'closed'
  /** A valve turned shut and open: freely, stiffly, not at all, or water comes past it shut. */
  turns?: 'free' | 'stiff' | 'stuck' | 'lets-by'
  /** The arrow on its body against the way the water runs. */
  arrow?: 'with' | 'against' | 'none'
  /** Where its spindle comes out. */
  gland?: 'dry' | 'weeps'
  /** A closed end: meant to stay so, or for a time with or without a day that is booked. */
  closed?: 'stays' | 'booked' | 'not-booked'
  /** Pipe, fitting and ring of one system. */
  system?: 'one' | 'mixed'
}
export type SeenName = keyof Seen

export const LOOK_PARTS = ['cap', 'valve'] as const
/** What is joined, where it is no plain fitting. */
export type LookPart = (typeof LOOK_PARTS)[number]

/** What is known of the end stands beside its pipe; what is not given is unknown, never hard or b. */
export interface InspectQuestion extends EndFacts {
  region: Region
  method: Method
  pipe?: string
  part?: LookPart
  service?: Service
  drinking?: boolean
  hidden?: boolean
  temporary?: boolean
  policy?: Partial<Policy>
  seen: Seen
}

export type Finding = 'sound' | 'care' | 'wrong'

export interface InspectAnswer {
  /** The worst of the findings; `care` while nothing was looked at. */
  verdict: Finding
  findings: { code: SeenName | RefusalCode; verdict: Finding; text: string; remedy?: string }[]
  /** Pipe that is left alone, and what nobody knows of the end, in the words of a way. */
  cautions: Note[]
  /** What can be seen at such a joint and was not said, most telling first. */
  unseen: { code: SeenName | 'service'; ask: string }[]
}
