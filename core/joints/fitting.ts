import type { SocketMethod, ThreadForm } from '#core/catalogue'
import { JOINT_METHODS } from './methods'
import type { SizeClass } from './size-classes'
import type { Gender, Part } from './types'

/**
 * One mouth of a fitting. A swivel seals on a washer, so it takes a parallel thread only. A spigot is a plain tube end
 * of copper size that goes into another fitting.
 */
export type Mouth =
  | { kind: 'socket'; method: SocketMethod; size: SizeClass }
  | { kind: 'spigot'; size: SizeClass }
  | { kind: 'thread'; form: ThreadForm; size: string; gender: Gender; isSwivel?: true; isPlastic?: true; isCone?: true }

export interface Fitting {
  id: string
  kind: Exclude<Part['kind'], 'tail' | 'ring' | 'liner' | 'olive' | 'washer' | 'sleeve'>
  name: string
  size: string
  mouths: readonly [Mouth, Mouth]
}

export const LETTERS: Readonly<Record<ThreadForm, string>> = { npt: 'NPT', bspt: 'BSP', bspp: 'BSP parallel' }

function mouthName(mouth: Mouth): string {
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
export const words = (method: SocketMethod): string => JOINT_METHODS[method].words
