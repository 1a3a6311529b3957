import type { Region } from '#core/units'
import { markOf } from './marks'

/*
 * The words that differ from region to region, each with what it means. British by default; `eu` where the EN standards
 * have a word of their own.
 */

interface Term {
  gb: string
  us: string
  eu?: string
  /** Where the words are from. */
  source: string
}
const TRADE = 'trade usage'
const SPELLING = 'spelling'
const word = (gb: string, us: string, source = TRADE, eu?: string): Term => ({
  gb,
  us,
  source,
  ...(eu === undefined ? {} : { eu }),
})
const OLIVE = 'EN 1254-2; trade usage'
const LAG = 'EN 806-4; trade usage'
const EARTH = 'BS 7671; NEC'

export const TERMS = {
  olive: word('olive', 'ferrule', OLIVE, 'compression ring'),
  olives: word('olives', 'ferrules', OLIVE, 'compression rings'),
  anOlive: word('an olive', 'a ferrule', OLIVE, 'a compression ring'),
  spanner: word('spanner', 'wrench'),
  spanners: word('spanners', 'wrenches'),
  tap: word('tap', 'faucet'),
  aTap: word('a tap', 'a faucet'),
  taps: word('taps', 'faucets'),
  outdoorTap: word('outdoor tap', 'hose bibb'),
  anOutdoorTap: word('an outdoor tap', 'a hose bibb'),
  adaptor: word('adaptor', 'adapter', 'EN 1254; ASME B16.22'),
  adaptors: word('adaptors', 'adapters', 'EN 1254; ASME B16.22'),
  calliper: word('calliper', 'caliper', SPELLING),
  colour: word('colour', 'color', SPELLING),
  colours: word('colours', 'colors', SPELLING),
  galvanised: word('galvanised', 'galvanized', SPELLING),
  aluminium: word('aluminium', 'aluminum', SPELLING),
  grey: word('grey', 'gray', SPELLING),
  centre: word('centre', 'center', SPELLING),
  centres: word('centres', 'centers', SPELLING),
  fibre: word('fibre', 'fiber', SPELLING),
  moulded: word('moulded', 'molded', SPELLING),
  mitre: word('mitre', 'miter', SPELLING),
  metre: word('metre', 'meter', SPELLING),
  storey: word('storey', 'story', SPELLING),
  storeys: word('storeys', 'stories', SPELLING),
  earth: word('earth', 'ground', EARTH),
  anEarth: word('an earth', 'a ground', EARTH),
  swarf: word('swarf', 'chips', TRADE),
  lag: word('lag', 'insulate', LAG, 'insulate'),
  lagged: word('lagged', 'insulated', LAG, 'insulated'),
  lagging: word('lagging', 'insulation', LAG, 'insulation'),
  van: word('van', 'truck'),
  stopEnd: word('stop end', 'cap', TRADE, 'end cap'),
  dropEar: word('wallplate elbow', 'drop-ear elbow', TRADE, 'wall-plate elbow'),
  aDropEar: word('a wallplate elbow', 'a drop-ear elbow', TRADE, 'a wall-plate elbow'),
  stopValve: word('stopcock', 'shutoff valve', 'BS 1010; trade usage', 'stop valve'),
  occupier: word('occupier', 'occupant'),
  spoilt: word('spoilt', 'spoiled', SPELLING),
  catalogue: word('catalogue', 'catalog', SPELLING),
  noggin: word('noggin', 'blocking'),
  neighbours: word('neighbours', 'neighbors', SPELLING),
  anticlockwise: word('anticlockwise', 'counterclockwise'),
} as const satisfies Readonly<Record<string, Term>>
export type TermName = keyof typeof TERMS

/** The word of a region; with a capital where it begins a sentence. */
export function termWords(name: string, region: Region): string {
  const key = (name.charAt(0).toLowerCase() + name.slice(1)) as TermName
  if (!Object.hasOwn(TERMS, key)) return ''
  const { gb, us, eu }: Term = TERMS[key]
  const own = { gb, us, eu: eu ?? gb }[region]
  return key === name ? own : own.charAt(0).toUpperCase() + own.slice(1)
}

/** A colour as the region spells it. */
export const colourWords = (colour: string): string => (colour === 'grey' ? markOf('term', 'grey') : colour)

type Words = Readonly<Record<TermName | Capitalize<TermName>, string>>
const NAMES = Object.keys(TERMS) as TermName[]
/** Marks for the words, to be put into a sentence: `w.olive`, or `w.Olive` where it begins one. */
export const w = Object.fromEntries(
  NAMES.flatMap((name) => {
    const capital = name.charAt(0).toUpperCase() + name.slice(1)
    return [name, capital].map((one) => [one, markOf('term', one)])
  }),
) as Words
