import type { SocketMethod, ThreadForm, Valve } from '#core/catalogue'
import { JOINT_METHODS } from './methods'
import { outsideName } from './order'
import { nominalOf, systemOf, type SizeClass } from './size-classes'
import type { Gender, Part, PartKind } from './types'

/**
 * One mouth of a fitting. A swivel seals on a washer, so it takes a parallel thread only. A spigot is a plain tube end
 * of copper size that goes into another fitting.
 */
export type Mouth =
  | { kind: 'socket'; method: SocketMethod; size: SizeClass }
  | { kind: 'spigot'; size: SizeClass }
  | { kind: 'thread'; form: ThreadForm; size: string; gender: Gender; isSwivel?: true; isPlastic?: true; isCone?: true }
  /** Solid: the line ends here. */
  | { kind: 'shut' }

/** Fittings by what the search and the rules tell apart, and what each is counted as. */
const COUNTED_AS = {
  coupling: 'coupling',
  slip: 'slip',
  reducer: 'reducer',
  adaptor: 'adapter',
  converter: 'converter',
  transition: 'adapter',
  valve: 'valve',
  'drop-ear': 'elbow',
  union: 'union',
  nipple: 'other',
  bush: 'bush',
  cap: 'cap',
  plug: 'plug',
} as const satisfies Readonly<Record<string, PartKind>>
export type FittingKind = keyof typeof COUNTED_AS
export const countedAs = (kind: FittingKind): PartKind => COUNTED_AS[kind]

export interface Fitting {
  id: string
  kind: FittingKind
  name: string
  size: string
  mouths: readonly [Mouth, Mouth]
  /** What kind of valve it is. */
  valve?: Valve
  /** What is ordered beside it and put into it. */
  beside?: readonly Part[]
}

export const LETTERS: Readonly<Record<ThreadForm, string>> = { npt: 'NPT', bspt: 'BSP', bspp: 'BSP parallel' }

function mouthName(mouth: Mouth): string {
  if (mouth.kind === 'shut') return 'shut'
  if (mouth.kind === 'socket') return `${mouth.method}.${mouth.size}`
  return mouth.kind === 'spigot' ? `spigot.${mouth.size}` : `${mouth.gender}.${mouth.form}.${mouth.size}`
}
export const mouthId = (mouth: Mouth): string => mouthName(mouth).replaceAll('/', '_')

export const fitting = (kind: Fitting['kind'], name: string, size: string, first: Mouth, second: Mouth): Fitting => ({
  id: `${mouthId(first)}~${mouthId(second)}`,
  kind,
  name,
  size,
  mouths: [first, second],
})

export const socket = (method: SocketMethod, size: SizeClass): Mouth => ({ kind: 'socket', method, size })
export const thread = (form: ThreadForm, size: string, gender: Gender): Extract<Mouth, { kind: 'thread' }> => ({
  kind: 'thread',
  form,
  size,
  gender,
})
/** Large x small, by their plain names. */
export const nominalPair = (large: SizeClass, small: SizeClass): string => `${nominalOf(large)} x ${nominalOf(small)}`
export const SHUT: Mouth = { kind: 'shut' }
export const words = (method: SocketMethod): string => JOINT_METHODS[method].words
/** Size of a mouth as it is ordered. */
export function sizeName(method: SocketMethod, size: SizeClass): string {
  if (systemOf(size) === 'od') return `${nominalOf(size)} OD`
  return JOINT_METHODS[method].isNamedByOutside && systemOf(size) === 'cts'
    ? outsideName(nominalOf(size))
    : nominalOf(size)
}
