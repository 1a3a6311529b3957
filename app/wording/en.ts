import type { Allowed, SeriesFacts, Use } from '#core/catalogue'
import type { CheckName } from '#core/identify'
import type { Method, RefusalCode, Service, Verdict } from '#core/joints'
import type { HotWork, JointStatus, Means, SeenName } from '#core/record'
import type { Region } from '#core/units'
import { w } from '#core/speech'

/** Words of the screen, in one place; trade words follow the job's region. */
export const STATUS_WORDS: Readonly<Record<JointStatus, string>> = {
  planned: 'planned',
  'dry-fitted': 'begun',
  made: 'made',
}

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', care: 'with care', held: 'held' }

export const MEANS_WORDS: Readonly<Record<Means, string>> = {
  calliper: w.calliper,
  'tape-round': 'tape round',
  rule: 'rule',
  gauge: 'gauge',
  strip: 'wrap strip',
}

/** What is asked of a find: what tells which pipe it is, and what is looked at before it is cut or joined. */
export type AskedName = CheckName | SeenName
export const CHECK_WORDS: Readonly<Record<AskedName, string>> = {
  'outside-diameter': 'Outside diameter',
  print: 'Print along it',
  wall: 'Wall at the cut',
  bore: 'Bore at the cut',
  colour: `${w.Colour}, wiped clean`,
  stripe: 'Stripe along it',
  flex: 'Flexes in the hand',
  magnet: 'Magnet',
  scratch: 'Scratch it with a key',
  'held-by': 'What holds the joints',
  lagging: w.Lagging,
  warm: 'Warm to the hand',
  traced: 'Traced to',
  surface: 'Outside, where it is joined',
  water: 'Water in it',
  earth: `Clamp of ${w.anEarth} wire`,
}

const ANSWER_WORDS: Readonly<Record<string, string>> = {
  true: 'holds',
  false: 'does not',
  'copper-ring': 'copper ring',
  'pinch-ring': 'pinch ring',
  'expansion-ring': 'expansion ring',
  'metal-sleeve': 'metal sleeve',
  'bright-silver': 'bright silver',
  'dull-silver': 'dull silver',
  cement: 'cement',
  wiped: 'wiped lead',
  'hard-white': 'hard white',
  grey: w.grey,
  olive: w.olive,
}
/** Answers that another check says with the same letters. */
const OWN_WORDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  warm: { true: 'warm', false: 'cold' },
  traced: { unknown: 'not yet' },
  water: { live: 'under pressure', drips: 'shut, still drips', drained: 'shut and drained' },
  earth: { none: 'none', clamped: 'there is one', bridged: 'bridged over' },
}
export const answerWords = (answer: string, check?: string): string =>
  (check === undefined ? undefined : OWN_WORDS[check]?.[answer]) ?? ANSWER_WORDS[answer] ?? answer

const METHOD_WORDS: Readonly<Record<Method, string>> = {
  solder: 'solder',
  press: 'press',
  'push-fit': 'push-fit',
  compression: 'compression',
  crimp: 'crimp',
  clamp: 'clamp',
  expansion: 'expansion',
  'sliding-sleeve': 'sliding sleeve',
  'ml-press': 'multilayer press',
  'ml-compression': 'multilayer compression',
  'solvent-cement': 'solvent cement',
  thread: 'thread',
  'pe-compression': 'PE compression',
  union: 'union',
  flare: 'flare',
  'socket-fusion': 'fused',
  'insert-clamp': 'insert and clamps',
  cone: 'cone joint',
}
export const methodWords = (method: Method): string => METHOD_WORDS[method]

export const REFUSAL_WORDS: Readonly<Record<RefusalCode, string>> = {
  family: 'other pipe',
  size: 'size',
  temper: 'temper',
  surface: 'surface',
  'pex-type': 'PEX kind',
  system: 'system',
  rating: 'rating',
  service: 'service',
  drinking: 'drinking water',
  flame: 'flame',
  wet: 'wet',
  hidden: 'hidden',
  room: 'room',
  play: 'play',
  undo: 'undo',
  tool: 'tool',
  policy: 'policy',
  thread: 'thread',
  metals: 'metals',
  'no-figure': 'no figure',
}

export const SERVICE_WORDS: Readonly<Record<Service, string>> = {
  cold: 'cold',
  hot: 'hot',
  recirculation: 'recirculating',
  heating: 'heating',
  buried: 'buried',
}

export const CURRENCY: Readonly<Record<Region, string>> = { gb: '\u00a3', eu: '\u20ac', us: '$' }

export const REGION_WORDS: Readonly<Record<Region, string>> = { gb: 'GB metric', eu: 'EU metric', us: 'US inch' }

export const USE_WORDS: Readonly<Record<Use, string>> = {
  cold: 'cold',
  hot: 'hot',
  recirculation: 'hot, always recirculating',
  heating: 'heating',
  buried: 'buried',
}

export const ALLOWED_WORDS: Readonly<Record<Allowed, string>> = {
  yes: 'yes',
  no: 'no',
  print: 'if its print lists it',
  barrier: 'with an oxygen barrier',
  class: 'if its class is high enough',
  coated: 'coated or wrapped',
  ducted: 'in a duct',
  galvanised: w.galvanised,
  black: 'black, in a closed circuit',
  policy: "by the job's policy",
  'buried only': 'to the entry of the building',
}

export const FACT_WORDS: Readonly<Record<Exclude<keyof SeriesFacts, 'services'>, string>> = {
  hazard: 'look out',
  tempers: 'temper',
  kinds: 'kind',
  listings: 'listed by',
  marks: 'printed on it',
  colours: w.colour,
  barrier: 'oxygen',
  lengths: 'sold as',
}

/** What one use of a flame takes beside the joint. */
export const HOT_WORK_WORDS: Readonly<Record<HotWork, string>> = {
  permit: 'permit, written and signed off',
  watch: 'watch after the flame',
  mat: 'mat behind it',
  extinguisher: 'extinguisher at hand',
  wetting: 'wood wetted',
}
