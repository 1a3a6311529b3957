import { getPipe, type Family, type SocketMethod } from '#core/catalogue'
import { isByThread, type Method, type Policy } from '#core/joints'

/*
 * Steps by their place on a card, as they were named before steps had ids: what was recorded then, and not sent since,
 * names them so. These lists are frozen; a step that is added later has no place in them.
 */

const END = ['insert', 'tighten', 'check']
const RING = ['cut', 'clean', 'ring', 'mark']

/** By the methods there were then. */
const PLACES: Readonly<Partial<Record<SocketMethod, readonly string[]>>> = {
  solder: [
    'cut',
    'ream',
    'deburr',
    'clean',
    'mark',
    'flux',
    'assemble',
    'protect',
    'heat',
    'feed',
    'hold',
    'wait',
    'wipe',
    'flush',
  ],
  press: ['cut', 'ream', 'deburr', 'clean', 'mark', 'insert', 'press', 'check'],
  'push-fit': ['cut', 'ream?', 'deburr', 'clean', 'liner?', 'mark', 'insert', 'lock', 'tug'],
  compression: ['cut', 'ream?', 'deburr', 'clean', 'nut', 'olive', 'liner?', 'mark', ...END],
  crimp: ['cut', 'clean', 'ring', 'mark', 'insert', 'assemble', 'press', 'gauge'],
  clamp: ['cut', 'clean', 'ring', 'mark', 'insert', 'assemble', 'press', 'check'],
  expansion: [...RING, 'expand', 'insert', 'hold', 'wait', 'check'],
  'sliding-sleeve': [...RING, 'expand', 'insert', 'press', 'check'],
  'ml-press': ['cut', 'deburr', 'clean', 'mark', 'insert', 'press', 'check'],
  'ml-compression': ['cut', 'deburr', 'nut', 'mark', 'insert', 'assemble', 'tighten', 'check'],
  'solvent-cement': ['cut', 'deburr', 'clean', 'check', 'mark', 'prime', 'cement', 'insert', 'hold', 'wipe', 'cure'],
  'pe-compression': ['cut', 'deburr', 'clean', 'nut', 'liner', 'mark', ...END],
}
/** Pipe that had the step of a liner. */
const HAD_LINER: Readonly<Partial<Record<SocketMethod, readonly Family[]>>> = {
  'push-fit': ['pex', 'pert', 'bs7291'],
  compression: ['pex', 'bs7291'],
}
const UNION_END = ['check', 'tighten-2']

/** Id of the step that stood at a place (0 is the first); null where there was none. */
export function stepAtPlace(
  method: Method,
  pipe: string | null,
  threadSeal: Policy['threadSeal'],
  place: number,
): string | null {
  if (isByThread(method)) {
    const ids = [
      'clean',
      ...(threadSeal === 'paste' ? [] : ['tape']),
      ...(threadSeal === 'tape' ? [] : ['paste']),
      'assemble',
      'tighten',
      ...(method === 'union' ? UNION_END : []),
    ]
    return ids[place] ?? null
  }
  const ids = PLACES[method]
  if (pipe === null || !ids) return null
  const { family } = getPipe(pipe)
  // Those with a question mark stood only on some pipes.
  const stood = (id: string) =>
    id === 'ream?' ? family === 'copper' : id !== 'liner?' || HAD_LINER[method]?.includes(family)
  return ids.filter(stood)[place]?.replace('?', '') ?? null
}
