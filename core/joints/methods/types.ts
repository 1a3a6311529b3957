import type { Figure } from '#core/base'
import type { Pipe, SocketMethod, Valve } from '#core/catalogue'
import type { Apart, Card, Consumable, DraftStep, Remedy, StepCode, Weep } from '../card/types'
import type { ConcernRule, RefusalRule, RuledMethod } from '../rules/rule'
import type { OfferedMethod, Part, Tube } from '../types'
import type { Region } from '#core/units'

/** What can be looked at on a finished joint of some methods only. */
export type MethodLook =
  | 'mark'
  | 'pressed'
  | 'gauge'
  | 'ringDistance'
  | 'liner'
  | 'solderRing'
  | 'olive'
  | 'threads'
  | 'system'
  | 'metals'
  | 'flux'

/**
 * How a mouth is drawn, cut through: what holds the tube in it, what the body is of, and its wall in diameters of the
 * tube.
 */
interface MouthDrawing {
  mouth:
    | 'cup'
    | 'bead'
    | 'grip'
    | 'nut'
    | 'sealed-nut'
    | 'flared-nut'
    | 'barb-ring'
    | 'barb-sleeve'
    | 'barb-expanded'
    | 'barb-nut'
    | 'crests'
  material: 'copper' | 'brass' | 'plastic'
  wall: number
}

/** What every way of joining has, threads too. */
export interface MethodTraits {
  id: OfferedMethod
  /**
   * Place among those made at one fitting, the first 0: flame, threads, cement, presses, what has a seal, nuts last.
   */
  order: number
  /**
   * Of work at one reachable end of 15 to 22 mm (cut, ream, clean and mark with it), and of waiting after. Ours: the
   * middle of the spread met.
   */
  minutes: { work: number; wait: number }
  /** Of one end of a fitting at 15 mm or 1/2 in, in the job's money; it grows with the outside diameter. Ours. */
  price: { low: number; high: number }
  /** Names it is called by in shorthand. */
  spoken: readonly string[]
  /** Among the first that shorthand offers. */
  isSuggested?: true
  /** A finished end is ticked with a pen. */
  isTicked?: true
  /** What is done, or how long it waits, goes by the air it is made in. */
  goesByAir?: true
  /** It has a seal that heat would spoil. */
  hasSeal?: true
  /** Its fitting goes into the tube and narrows it. */
  narrowsBore?: true
  /** Its inserts are sold in brass and composite: the job's policy says which. */
  takesInsertPolicy?: true
  looks: readonly MethodLook[]
  weeps: Weep
  apart: Apart
  drawing: MouthDrawing
  /** Where the check of a step fails. */
  remedies: Readonly<Partial<Record<StepCode, Remedy>>>
}

/** A body with one mouth, or a barb without a bore. */
export type Closer = 'cap' | 'stop-end' | 'plug'

/** What one way of joining tube is: what refuses it, what it asks for, how it is made, how it comes apart. */
export interface JointMethod extends MethodTraits, Omit<RuledMethod, 'drawing'> {
  id: SocketMethod
  /** Its own, asked after the shared rule of the same code. */
  rules: readonly RefusalRule[]
  concerns: readonly ConcernRule[]
  /** Loose parts one end needs beside the fitting. */
  looseParts: (tube: Tube, region: Region) => Part[]
  /** What is used up at one end beside rings and liners, for a tube in a fitting of a nominal size. */
  consumables?: (tube: Tube, fittingNominal: string) => Consumable[]
  /** Bare pipe left between two fittings for jaw, spanner or torch, mm: least of the range met. */
  bareBetweenMm: number
  /** Its metal bodies are sold with a swivel nut and washer for a tap's or valve's parallel thread. */
  hasSwivel?: true
  /** It has couplings without a stop, which slide wholly onto one pipe and back over the gap. */
  slips?: true
  /** Its parts for inch tube go by the tube's outside diameter at the counter. */
  isNamedByOutside?: true
  /** What closes a tube of it; none where nothing is made. */
  closer?: Closer
  /** Valves that are sold with its mouths. */
  valves: readonly Valve[]
  /** It has outlet elbows that are screwed to the wall. */
  hasDropEar?: true
  /** End of a transition between rigid tube and PEX that it is sold at. */
  transition?: 'rigid' | 'plastic'
  /** Distance of its ring's near edge from the tube end, mm. */
  ringOf?: (pipe: Pipe) => Figure | null
  /** Go and no-go of its finished ring, mm. */
  gaugeOf?: (pipe: Pipe) => { goMm: number; noGoMm: number } | null
  /** Another method whose word is said of this one too, where the pipe tells which is meant. */
  alsoSaidAs?: SocketMethod
  steps: (card: Card) => DraftStep[]
}
