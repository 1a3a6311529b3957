import type { Fitting } from './fitting'
import type { Offer, Situation, ThreadMaterial } from './types'

/*
 * Which metals of a chain the water joins. Of two that touch in fresh water the less noble one goes; a closed, treated
 * circuit has no oxygen left to feed that. Order of nobility: handbooks of the galvanic series, EN 12502.
 */

type Metal = 'galvanised' | 'steel' | 'brass' | 'copper' | 'stainless'
/** `break`: nothing metal goes through it. */
export type Link = Metal | 'break'

const OF_THREAD: Readonly<Record<ThreadMaterial, Link>> = {
  brass: 'brass',
  steel: 'steel',
  galvanised: 'galvanised',
  stainless: 'stainless',
  plastic: 'break',
}

/** What an end is of. Threaded steel pipe that carries fresh water is galvanised. */
export function metalOf(offer: Offer, { conditions }: Pick<Situation, 'conditions'>): Link {
  const { tube } = offer
  if (offer.kind === 'shut') return 'break'
  if (!tube) return OF_THREAD[(offer as Extract<Offer, { kind: 'thread' }>).thread.material]
  if (tube.pipe.family === 'copper' || tube.pipe.family === 'stainless') return tube.pipe.family
  if (tube.pipe.family !== 'steel') return 'break'
  return conditions.service === 'heating' ? 'steel' : 'galvanised'
}

/** What a fitting is of: threaded ones are ordered in brass, cemented ones and dielectric unions part the metals. */
export function metalOfFitting({ name, mouths }: Fitting): Link {
  if (name.startsWith('dielectric')) return 'break'
  const methods = mouths.flatMap((mouth) => (mouth.kind === 'socket' ? [mouth.method] : []))
  if (methods.includes('solvent-cement') || methods.includes('socket-fusion')) return 'break'
  return methods.length > 0 && methods.every((method) => method === 'solder' || method === 'press') ? 'copper' : 'brass'
}

const GIVES: ReadonlySet<Link> = new Set<Link>(['galvanised', 'steel'])
const TAKES: ReadonlySet<Link> = new Set<Link>(['copper', 'stainless'])
export const isLessNoble = (link: Link): link is 'galvanised' | 'steel' => GIVES.has(link)
export const isNoble = (link: Link): link is 'copper' | 'stainless' => TAKES.has(link)

/** Whether fresh water, with its oxygen, stands in it. */
export const isFresh = ({ conditions: { service } }: Pick<Situation, 'conditions'>): boolean => service !== 'heating'

/** A less noble metal and a nobler one that metal joins, in the order of the chain. Brass carries on what it touches. */
export function pairIn(links: readonly Link[]): { less: 'galvanised' | 'steel'; noble: 'copper' | 'stainless' } | null {
  let less: 'galvanised' | 'steel' | null = null
  let noble: 'copper' | 'stainless' | null = null
  for (const link of links) {
    if (link === 'break') [less, noble] = [null, null]
    if (isLessNoble(link)) less = link
    if (isNoble(link)) noble ??= link
    if (less !== null && noble !== null) return { less, noble }
  }
  return null
}
