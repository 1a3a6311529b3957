import { VALVES, type EndFacts, type ThreadForm, type Valve } from '#core/catalogue'
import type { Check, Colour } from '#core/identify'
import type { Conditions, Gender, Method, Service } from '#core/joints'
import { longestFirst, materialNames, METHOD_NAMES, type Material } from '#core/shorthand'
import { colourWords, w } from '#core/speech'
import type { Region } from '#core/units'

/* The words that a line may hold, by what they are, in the speech of each region. */

/** What a line asks for where it says so. */
export type Asks = 'od' | 'offset' | 'rolling' | 'depth' | 'clips' | 'bend' | 'flow'
export type FittingWord = 'tee' | 'elbow-90' | 'elbow-45' | 'coupling' | 'slip' | 'cap' | 'reducer'

type Plain = 'to' | 'at' | 'and' | 'filler' | 'radius'
export type Said =
  | { kind: 'asks'; asks: Asks }
  | { [Kind in Plain]: { kind: Kind } }[Plain]
  | { kind: 'material'; material: Material }
  | { kind: 'fact'; facts: EndFacts }
  | { kind: 'thread'; form?: ThreadForm; gender?: Gender }
  | { kind: 'method'; method: Method }
  | { kind: 'fitting'; fitting: FittingWord }
  | { kind: 'valve'; valve: Valve }
  | { kind: 'close' }
  | { kind: 'condition'; set: Partial<Conditions> }
  | { kind: 'colour'; colour: Colour }
  | { kind: 'seen'; check: Check }

interface Entry {
  names: readonly string[]
  only?: Readonly<Partial<Record<Region, readonly string[]>>>
  as: string
  said: Said
}
const entry = (names: readonly string[], as: string, said: Said, only?: Entry['only']): Entry => ({
  names,
  as,
  said,
  ...(only ? { only } : {}),
})

const asks = (verb: Asks): Said => ({ kind: 'asks', asks: verb })
const service = (name: Service): Said => ({ kind: 'condition', set: { service: name } })
const condition = (set: Partial<Conditions>): Said => ({ kind: 'condition', set })
const fact = (facts: EndFacts): Said => ({ kind: 'fact', facts })
const thread = (form: ThreadForm | undefined, gender?: Gender): Said => ({
  kind: 'thread',
  ...(form ? { form } : {}),
  ...(gender ? { gender } : {}),
})
const FILLER: Said = { kind: 'filler' }

/** What each valve is called in a line. */
const VALVE_NAMES: Readonly<
  Record<Valve, { names: readonly string[]; as: string; only?: Readonly<Partial<Record<Region, readonly string[]>>> }>
> = {
  ball: { names: ['ball valve', 'lever valve', 'ballvalve'], as: 'ball valve' },
  gate: { names: ['gate valve', 'gatevalve'], as: 'gate valve' },
  stop: {
    names: ['stop valve', 'stop cock', 'stopcock', 'globe valve'],
    as: 'stop valve',
    only: { gb: ['stop tap', 'stoptap'] },
  },
  service: { names: ['service valve', 'isolating valve', 'isolator', 'isolation valve'], as: 'service valve' },
  angle: { names: ['angle valve', 'angle stop', 'angle stop valve'], as: 'angle valve' },
  straight: { names: ['straight valve', 'straight stop'], as: 'straight valve' },
  check: { names: ['check valve', 'non-return valve', 'non return valve', 'backflow valve'], as: 'check valve' },
  drain: { names: ['drain valve', 'drain cock', 'drain off', 'boiler drain'], as: 'drain valve' },
  regulator: { names: ['regulator', 'pressure regulator', 'pressure reducing valve', 'prv'], as: 'pressure regulator' },
}

const ENTRIES: readonly Entry[] = [
  entry(['od', 'o.d.', 'outside diameter', 'outside', 'diameter', 'dia', 'measures'], 'what is this pipe', asks('od')),
  entry(['what is', 'what pipe is', 'identify', 'which pipe'], 'what is this pipe', asks('od')),
  entry(['offset', 'off', 'set'], 'an offset', asks('offset')),
  entry(['rolling offset', 'rolled offset', 'rolling'], 'a rolling offset', asks('rolling')),
  entry(
    ['depth', 'insertion', 'insertion depth', 'socket depth', 'how deep', 'how far in', 'depth of'],
    'how deep',
    asks('depth'),
  ),
  entry(
    [
      'clip',
      'clips',
      'clip spacing',
      'support spacing',
      'supports',
      'support',
      'bracket spacing',
      'brackets',
      'spacing',
    ],
    'how far apart supports stand',
    asks('clips'),
    { us: ['hanger', 'hangers', 'hanger spacing', 'straps', 'strap spacing'], eu: ['fixings', 'fixing distance'] },
  ),
  entry(
    ['bend radius', 'bending radius', 'radius of a bend', 'least bend', 'bend'],
    'how tight it bends',
    asks('bend'),
  ),
  entry(
    ['flow', 'velocity', 'pressure drop', 'pressure loss', 'friction loss', 'head loss'],
    'what a flow loses',
    asks('flow'),
  ),
  entry(['to', 'into', 'onto', '->', '>', '\u2192'], 'to', { kind: 'to' }),
  entry(['and', '&', '+'], 'and', { kind: 'and' }),
  entry(['@', 'at'], 'at', { kind: 'at' }),
  entry(['r', 'radius'], 'radius', { kind: 'radius' }),

  entry(['cold', 'cold water', 'cw'], 'service: cold', service('cold')),
  entry(['hot', 'hot water', 'dhw', 'hw'], 'service: hot', service('hot')),
  entry(['heating', 'central heating', 'radiator', 'radiators'], 'service: heating', service('heating'), {
    us: ['hydronic', 'boiler loop', 'baseboard'],
    gb: ['ch'],
  }),
  entry(['buried', 'underground', 'in the ground', 'below ground'], 'service: buried', service('buried')),
  entry(
    ['recirculating', 'recirculation', 'recirc', 'circulation', 'hot return'],
    'service: recirculating',
    service('recirculation'),
    { gb: ['secondary return'] },
  ),
  entry(['hidden', 'concealed', 'in the wall', 'in wall', 'out of sight'], 'hidden', condition({ hidden: true })),
  entry(
    ['wet', 'drips', 'dripping', "won't drain", 'wont drain', 'will not drain'],
    'it drips',
    condition({ wet: true }),
  ),
  entry(['wood', 'wood near', 'timber', 'near wood', 'studs'], 'wood near', condition({ combustibles: true })),
  entry(['tight', 'tight room', 'no room'], 'tight for tools', condition({ room: 'tight' })),
  entry(
    ['no flame', 'noflame', 'no torch', 'no heat', 'flameless', 'no hot work'],
    'no flame allowed',
    condition({ noFlame: true }),
  ),
  entry(['undo', 'demountable', 'comes apart', 'must come apart'], 'has to come apart', condition({ mustUndo: true })),
  entry(['temporary', 'for now', 'for a time', 'for the time being'], 'temporary', condition({ temporary: true })),
  entry(['no play', 'fixed', 'no movement'], 'no play', condition({ play: 0 })),
  entry(['drinking', 'drinking water', 'potable', 'potable water'], 'drinking water', condition({ drinking: true })),

  entry(['soft', 'annealed', 'coil', 'coiled'], 'soft', fact({ temper: 'soft' })),
  entry(['hard', 'drawn', 'rigid', 'straight'], 'hard', fact({ temper: 'hard' })),
  entry(['oxygen barrier', 'with barrier'], 'oxygen barrier', fact({ barrier: true })),
  entry(['painted'], 'painted', fact({ surface: 'painted' })),
  entry(['plated', 'chrome', 'chromed'], 'plated', fact({ surface: 'plated' })),
  entry(['scored', 'scratched'], 'scored', fact({ surface: 'scored' })),
  entry(['corroded', 'pitted'], 'corroded', fact({ surface: 'corroded' })),

  entry(['npt', 'npt thread'], 'NPT thread', thread('npt')),
  entry(['bspt', 'bsp', 'bsp taper', 'bsp thread'], 'BSP taper thread', thread('bspt')),
  entry(['bspp', 'bsp parallel'], 'BSP parallel thread', thread('bspp')),
  entry(['male', 'male thread', 'm thread'], 'male', thread(undefined, 'male')),
  entry(['female', 'female thread', 'f thread'], 'female', thread(undefined, 'female')),
  entry(['fip', 'fpt', 'fnpt', 'female npt', 'npt female'], 'female NPT thread', thread('npt', 'female')),
  entry(['mip', 'mpt', 'mnpt', 'male npt', 'npt male'], 'male NPT thread', thread('npt', 'male')),
  entry(['fi', 'female iron', 'female bsp', 'bsp female'], 'female BSP thread', thread('bspt', 'female')),
  entry(['mi', 'male iron', 'male bsp', 'bsp male'], 'male BSP thread', thread('bspt', 'male')),

  entry(['tee', 't'], 'tee', { kind: 'fitting', fitting: 'tee' }),
  entry(
    ['elbow', 'ell', '90 elbow', '90 ell', 'elbow 90'],
    'elbow',
    { kind: 'fitting', fitting: 'elbow-90' },
    { us: ['90'] },
  ),
  entry(['45 elbow', '45 ell', 'elbow 45'], '45 elbow', { kind: 'fitting', fitting: 'elbow-45' }),
  entry(['coupling', 'coupler', 'straight coupling', 'joint coupling'], 'coupling', {
    kind: 'fitting',
    fitting: 'coupling',
  }),
  entry(
    ['slip', 'slip coupling', 'repair coupling', 'slip coupler'],
    'coupling without a stop',
    { kind: 'fitting', fitting: 'slip' },
    { us: ['no-stop coupling'] },
  ),
  entry(['cap', 'end cap'], 'cap', { kind: 'fitting', fitting: 'cap' }, { gb: ['stop end', 'stopend', 'blank end'] }),
  entry(['cap off', 'close', 'close off', 'blank off', 'plug off', 'capped', 'closed'], 'closed by a cap or plug', {
    kind: 'close',
  }),
  ...VALVES.map((valve) =>
    entry(VALVE_NAMES[valve].names, VALVE_NAMES[valve].as, { kind: 'valve', valve }, VALVE_NAMES[valve].only),
  ),
  entry(['reducer', 'reducing coupling', 'reduced to'], 'reducer', { kind: 'fitting', fitting: 'reducer' }),

  ...(['grey', 'white', 'cream', 'red', 'blue', 'black', 'yellow', 'orange', 'green', 'purple', 'silver'] as const).map(
    (colour) => entry(colour === 'grey' ? ['grey', 'gray'] : [colour], colourWords(colour), { kind: 'colour', colour }),
  ),
  entry(['magnetic', 'magnet holds', 'magnet sticks'], 'a magnet holds', {
    kind: 'seen',
    check: { check: 'magnet', value: true },
  }),
  entry(['not magnetic', 'no magnet', 'non-magnetic'], 'a magnet does not hold', {
    kind: 'seen',
    check: { check: 'magnet', value: false },
  }),

  entry(
    [
      'pipe',
      'tube',
      'tubing',
      'the',
      'a',
      'an',
      'of',
      'on',
      'with',
      'for',
      'is',
      'my',
      'line',
      'size',
      'joint',
      'join',
      'connect',
    ],
    'taken as said',
    FILLER,
  ),
  entry(['in', 'from', 'between', 'water', 'fitting', 'fittings', 'by'], 'taken as said', FILLER),
]

interface Named {
  name: string
  as: string
  said: Said
}
const named = (region: Region): Named[] => [
  ...ENTRIES.flatMap(({ names, only, as, said }) =>
    [...names, ...(only?.[region] ?? [])].map((name): Named => ({ name, as, said })),
  ),
  ...materialNames(region).map(({ name, material }): Named => ({
    name,
    as: name,
    said: { kind: 'material', material },
  })),
  ...METHOD_NAMES.map(({ name, method }): Named => ({
    name,
    as: method.replaceAll('-', ' '),
    said: { kind: 'method', method },
  })),
]
const LEXICONS = {
  us: longestFirst(named('us')),
  gb: longestFirst(named('gb')),
  eu: longestFirst(named('eu')),
} as const
/** Every word of a region's speech, the longest first. */
export const lexicon = (region: Region): readonly Named[] => LEXICONS[region]

/** Letters of copper's types, behind a size: 3/4 L. */
export const TYPE_LETTERS: Readonly<Record<string, string>> = { k: 'type k', l: 'type l', m: 'type m' }

/** Sizes that are said in words, in inches. */
export const SPOKEN_SIZES: readonly { name: string; nominal: string }[] = longestFirst(
  (
    [
      ['quarter', '1/4'],
      ['three eighths', '3/8'],
      ['three eighth', '3/8'],
      ['half', '1/2'],
      ['five eighths', '5/8'],
      ['three quarter', '3/4'],
      ['three quarters', '3/4'],
      ['three-quarter', '3/4'],
      ['one', '1'],
      ['inch and a quarter', '1-1/4'],
      ['one and a quarter', '1-1/4'],
      ['inch and a half', '1-1/2'],
      ['one and a half', '1-1/2'],
      ['two', '2'],
    ] as const
  ).flatMap(([name, nominal]) => [
    { name, nominal },
    { name: `${name} inch`, nominal },
    { name: `${name}-inch`, nominal },
  ]),
)

const PLASTIC: readonly Check[] = [{ check: 'scratch', value: 'plastic' }]
const RIGID: readonly Check[] = [...PLASTIC, { check: 'flex', value: 'rigid' }]
const SPRINGY: readonly Check[] = [...PLASTIC, { check: 'flex', value: 'springy' }]
/** What a hand has seen or felt that names a material, by the series it stands for. */
const SEEN_OF_SERIES: readonly (readonly [RegExp, readonly Check[]])[] = [
  [/^cu-/, [{ check: 'scratch', value: 'copper' }]],
  [/^(?:st|cs)-/, [{ check: 'magnet', value: true }]],
  [
    /^ss-/,
    [
      { check: 'scratch', value: 'bright-silver' },
      { check: 'flex', value: 'rigid' },
    ],
  ],
  [
    /^lead/,
    [
      { check: 'scratch', value: 'bright-silver' },
      { check: 'flex', value: 'soft' },
    ],
  ],
  [/^(?:cpvc|pvc)-/, RIGID],
  [/^(?:pex|pe|pert|pb)-/, SPRINGY],
  [/^(?:bs7291|ml|ppr)/, PLASTIC],
]
/** The checks that a material's name says were made; none of one that says nothing. */
export const seenOf = ({ us, gb }: Material): readonly Check[] => {
  const series = us[0] ?? gb[0] ?? ''
  return SEEN_OF_SERIES.find(([names]) => names.test(series))?.[1] ?? []
}

/** A check in a few words. */
export function checkWords(check: Check): string {
  switch (check.check) {
    case 'magnet':
      return check.value ? 'a magnet holds' : 'a magnet does not hold'
    case 'flex':
      return `it feels ${check.value}`
    case 'scratch':
      return `a scratch shows ${check.value.replace('-', ' ')}`
    case 'colour':
      return `${w.colour} ${colourWords(check.value)}`
    default:
      return check.check
  }
}
