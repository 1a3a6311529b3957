import type { Figure, RuleRow } from '#core/base'
import { getPipe, seriesOf, type Pipe } from '#core/catalogue'
import {
  ALL_METHODS,
  isByThread,
  JOINT_METHODS,
  THREADS_LEFT,
  weepWords,
  type Method,
  type MethodLook,
} from '#core/joints'
import { refusedHidden } from './facts'
import { decimalsApart, formatDecimal, judgeReading } from '#core/units'
import { about, length, w } from '#core/speech'
import { care, sound, wrong, type Look } from './look'
import { PART_LOOKS } from './part-looks'
import type { SeenName } from './types'

/** At the joints of those methods that have the thing to look at. */
const where =
  (look: MethodLook) =>
  (method: Method): boolean =>
    ALL_METHODS[method].looks.includes(look)
const always = (): boolean => true
const SOFT: ReadonlySet<Pipe['family']> = new Set(['pex', 'pert', 'bs7291', 'pe', 'pb', 'vinyl'])
const isPlastic = (pipe: Pipe | undefined): boolean => pipe !== undefined && seriesOf(pipe.series).plastic

/**
 * Band of a ring's near edge from the tube end, mm: one for every size and both kinds of ring, so the pipe need not be
 * known (ASTM F1807, F2098).
 */
const RING_BAND = bandOf(
  Object.values(JOINT_METHODS)
    .find(({ ringOf }) => ringOf)
    ?.ringOf?.(getPipe('pex-cts-1_2')),
)
/** Of a tube whose rings lie otherwise, where it is known. */
const ringBandOn = (method: Method, pipe: Pipe | undefined): { lo: number; hi: number } => {
  const own = pipe && !isByThread(method) ? JOINT_METHODS[method].ringOf?.(pipe) : null
  return own ? bandOf(own) : RING_BAND
}
function bandOf(ring: Figure | null | undefined): { lo: number; hi: number } {
  if (ring?.lo == null || ring.hi === null) throw new Error('the table of ring positions has no band for 1/2')
  return { lo: ring.lo, hi: ring.hi }
}
/** First clip beside a joint, mm: typical, plastic nearer. */
const CLIP_WITHIN = { metal: 300, plastic: 150 } as const

/** Longest blind end, in diameters of the pipe: none to 3 by edition. HSG274, BS 8558. */
const DEAD_LEG_OD = 3
/** How long plastic stands in the sun before it is harmed, days, where its print is not read: typical, the shorter. */
const SUN_DAYS: Readonly<Partial<Record<Pipe['family'], number>>> = {
  pex: 30,
  bs7291: 30,
  multilayer: 90,
  cpvc: 180,
  pvc: 365,
  pe: 365,
  'pp-r': 180,
}

/** A pipe in a grip ring may be turned by hand, and no other. */
const turnsByDesign = (method: Method): boolean => ALL_METHODS[method].drawing.mouth === 'grip'

/** Things to look at, the most telling first. */
export const LOOKS: { readonly [Name in SeenName]: Look<Name> } = {
  leak: {
    ask: 'Is it dry to a tissue?',
    when: 'it weeps or has wept',
    because: 'Water that gets out does harm and shows that the joint does not hold.',
    source: 'trade practice',
    gravest: 'wrong',
    applies: always,
    says: (value, { method }) => {
      const again = weepWords(ALL_METHODS[method].weeps)
      if (value === 'weeps') return wrong('It weeps.', again)
      if (value === 'stain') return care('It has wept: a stain is left.', 'Dry it and look again under pressure.')
      return sound('Dry.')
    },
  },
  mark: {
    ask: 'Where is the depth mark?',
    when: 'the depth mark stands off the edge, or there is none',
    because: 'Only a mark at the edge shows that it went home and stayed.',
    source: 'trade practice',
    gravest: 'wrong',
    applies: where('mark'),
    says: (value) => {
      const off = 'The mark stands off the edge: it never went home, or has crept out.'
      if (value === 'away') return wrong(off, 'Make it anew to the full depth.')
      const unmarked = 'No depth mark: nobody can see that it went home.'
      if (value === 'none') return care(unmarked, 'Measure from a known point, or make it anew with a mark.')
      return sound('The mark is at the edge.')
    },
  },
  pull: {
    ask: 'Pull the pipe and turn it: what moves?',
    when: 'the pipe slides in the joint, or turns where it should not',
    because: 'What slides was never home, or has lost its grip; a grip ring lets the pipe turn, nothing else does.',
    source: 'trade practice',
    gravest: 'wrong',
    applies: always,
    says: (value, { method }) => {
      if (value === 'firm') return sound('Nothing moves.')
      const { apart } = ALL_METHODS[method]
      const anew = apart.takesPipe ? 'Cut it out and make it anew.' : 'Shut off, take it apart and make it anew.'
      if (value === 'slides') return wrong('The pipe slides: it is not held.', anew)
      return turnsByDesign(method)
        ? sound('It turns and does not slide: a grip ring lets it.')
        : care(
            'It turns: it is loose, or was turned after it was made.',
            'Look at the mark, hold the pipe, and look again under pressure.',
          )
    },
  },
  plastic: {
    ask: 'Is one of the two threads plastic, and which?',
    when: 'a plastic female thread is on a metal male',
    because: 'The metal wedges the plastic open until it splits.',
    source: 'typical, trade practice',
    gravest: 'wrong',
    applies: where('threads'),
    says: (value) => {
      if (value === 'none') return sound('Both threads are metal.')
      if (value === 'inside') return sound('Plastic male in metal: the metal holds it round.')
      return wrong(
        'Plastic outside on a metal thread: it is wedged open and splits, often months later.',
        'Replace it: metal outside and plastic inside, or a plastic fitting with a metal thread moulded in.',
      )
    },
  },
  pressed: {
    ask: 'Marks of the jaw all round?',
    when: 'no marks of the jaw go round',
    because: 'An unpressed joint may hold for months, then part.',
    source: 'typical, makers',
    gravest: 'wrong',
    applies: where('pressed'),
    says: (value) =>
      value
        ? sound('Pressed all round.')
        : wrong(
            'Not pressed: it may hold for months, then part.',
            'Press it now if the mark is at the edge and it was never pressed; else cut it out.',
          ),
  },
  gauge: {
    ask: 'Go and no-go gauge?',
    when: 'the ring does not pass its gauge',
    because: 'A ring out of gauge grips too little, or cuts.',
    source: 'ASTM F1807, F2098',
    gravest: 'wrong',
    applies: where('gauge'),
    says: (value) =>
      value === 'passes'
        ? sound('The gauge passes.')
        : wrong('The gauge fails.', 'Cut the ring off. Never squeeze one ring twice.'),
  },
  ringDistance: {
    ask: 'How far is the ring from the end?',
    when: 'the ring lies nearer to the end, or farther from it, than its band',
    because: 'Off its band the ring does not lie over the barbs.',
    source: 'ASTM F1807, F2098',
    gravest: 'wrong',
    applies: where('ringDistance'),
    says: (value, { method }, pipe) => {
      const { lo, hi } = ringBandOn(method, pipe)
      const among = [value, lo, hi]
      const band = `${length(lo, among)} to ${length(hi, among)}`
      return judgeReading({ lo, hi }, value) === 'within'
        ? sound(`The ring lies ${length(value, among)} from the end, in the band of ${band}.`)
        : wrong(
            `The ring lies ${length(value, among)} from the end; ${band} is the band.`,
            'Cut the ring off and set another in the band.',
          )
    },
  },
  liner: {
    ask: 'Is there a liner in the plastic?',
    when: 'soft plastic has no liner where the grip wants one',
    because: 'Soft pipe gives way under the grip without a liner.',
    source: 'typical, makers',
    gravest: 'wrong',
    applies: (method, pipe) => where('liner')(method) && pipe !== undefined && SOFT.has(pipe.family),
    says: (value) =>
      value === 'in'
        ? sound('The liner is in.')
        : wrong('No liner: the soft pipe gives way under the grip.', 'Make it anew with the liner of this pipe.'),
  },
  solderRing: {
    ask: 'A ring of solder all round?',
    when: 'the ring of solder has a gap',
    because: 'Where no solder shows, the gap is not filled.',
    source: 'ASTM B828; trade practice',
    gravest: 'wrong',
    applies: where('solderRing'),
    says: (value) =>
      value === 'all-round'
        ? sound('A ring shows all round.')
        : wrong('A gap in the ring: it is not filled there.', 'Drain, clean, flux and heat it again, or cut it out.'),
  },
  olive: {
    ask: `Is the pipe pinched at the ${w.olive}?`,
    when: `the pipe is pinched at the ${w.olive}`,
    because: `A pinched pipe splits, or turns loose under its ${w.olive}.`,
    source: 'trade practice',
    gravest: 'wrong',
    applies: where('olive'),
    says: (value) =>
      value === 'even'
        ? sound(`The ${w.olive} sits even.`)
        : wrong('Over-tightened: the pipe is pinched.', `Cut back behind the ${w.olive} and make it anew.`),
  },
  threads: {
    ask: 'How many threads show?',
    when: 'no thread shows, or more than three',
    because: 'A taper joint shows one to three threads when it is made up.',
    source: 'typical, trade practice',
    gravest: 'care',
    applies: where('threads'),
    says: (value) => {
      if (value < THREADS_LEFT.lo)
        return care('No thread shows: it may sit on its end, not on its thread.', 'Take it apart and look.')
      const threads = formatDecimal(value, 0)
      if (value > THREADS_LEFT.hi)
        return care(`${threads} threads show: it is not made up.`, 'Take it apart, clean both threads, seal anew.')
      return sound(`${threads} thread${value === 1 ? '' : 's'} left, as it should be.`)
    },
  },
  system: {
    ask: 'Pipe, fitting and ring of one system?',
    when: 'pipe, fitting and ring are not of one system',
    because: 'Nobody lists parts of different systems together.',
    source: 'typical, makers',
    gravest: 'wrong',
    applies: where('system'),
    says: (value) =>
      value === 'one'
        ? sound('One system.')
        : wrong(
            'Mixed systems: nobody lists them together.',
            "Replace what is foreign, or find its maker's paper and keep it with the job.",
          ),
  },
  metals: {
    ask: 'Does copper meet zinc?',
    when: 'zinc meets copper bare',
    because: 'Zinc on bare copper goes in fresh water.',
    source: 'EN 12502, IPC 605, UPC 605',
    gravest: 'wrong',
    applies: (method, pipe) => where('metals')(method) && !isPlastic(pipe),
    says: (value, { service }) => {
      if (value === 'no-zinc') return sound('No zinc meets copper here.')
      if (value !== 'bare') return sound('Brass stands between zinc and copper.')
      if (service === 'heating')
        return care('Zinc meets copper. In a closed, treated circuit it lasts.', 'See that the inhibitor is kept up.')
      const remedy = `Put brass of ${about(150)} or a dielectric union between, and bond across.`
      return wrong('Zinc meets copper bare: the zinc goes.', remedy)
    },
  },
  reach: {
    ask: 'Can it be reached?',
    applies: always,
    when: 'it cannot be reached, and such a joint may not be hidden',
    because: 'What may need a hand has to be reached; some joints may not be hidden at all.',
    source: "the job's policy; WS(WF)R 1999, IPC",
    gravest: 'wrong',
    says: (value, question) => {
      if (value === 'reached') return sound('It is reached.')
      const refused = refusedHidden(question)
      if (refused !== null) return wrong(refused, 'Give it a panel, or replace it by a joint that may be hidden.')
      return care(
        'Hidden.',
        question.region === 'gb'
          ? 'In Britain it must be reached by a board, panel or duct cover.'
          : 'Note on the record what it is behind.',
      )
    },
  },
  inLine: {
    ask: 'Does the pipe run straight into it?',
    when: 'the pipe pulls to one side',
    because: 'A side load lifts the pipe off its seal.',
    source: 'typical, makers',
    gravest: 'wrong',
    applies: always,
    says: (value, { method }) => {
      if (value) return sound('In line.')
      if (method !== 'push-fit') return care('The pipe pulls to one side.', 'Clip it in line.')
      return wrong('Side load on the grip ring.', 'Move the clip or the bend away, then look at the mark.')
    },
  },
  cover: {
    ask: 'What lies over it?',
    when: 'it is closed in by what does not open, and such a joint may not be hidden',
    because: 'Behind a closed wall nobody sees it weep, and nobody reaches it.',
    source: "the job's policy; WS(WF)R 1999, IPC",
    gravest: 'wrong',
    applies: always,
    says: (value, question) => {
      if (value === 'none') return sound('Nothing lies over it.')
      if (value === 'opens') return sound('A board or panel that opens lies over it.')
      const refused = refusedHidden(question)
      if (refused !== null) return wrong(refused, 'Give it a panel, or replace it by a joint that may be hidden.')
      return care('Closed in.', 'Note on the record what it is behind, and test it before it is closed again.')
    },
  },
  support: {
    ask: 'How far is the nearest clip?',
    when: 'the nearest clip is far off',
    because: 'An unheld joint works loose.',
    source: 'typical, trade practice',
    gravest: 'care',
    applies: always,
    says: (value, _, pipe) => {
      const most = isPlastic(pipe) ? CLIP_WITHIN.plastic : CLIP_WITHIN.metal
      const away = length(value, [most])
      return value > most
        ? care(
            `The nearest clip is ${away} away; within about ${length(most, [value])} is usual.`,
            'Add a clip on each side.',
          )
        : sound(`Held ${away} away.`)
    },
  },
  flux: {
    ask: 'Is the flux wiped off?',
    when: 'flux is left on',
    because: 'Flux left on eats the copper green.',
    source: 'trade practice',
    gravest: 'care',
    applies: where('flux'),
    says: (value) =>
      value === 'clean'
        ? sound('Flux wiped off.')
        : care('Green from flux left on.', 'Wipe it off warm and wet, and watch that spot.'),
  },
  daylight: {
    ask: 'Does the sun get at the pipe?',
    when: 'plastic lies in daylight',
    because: 'Sunlight ages plastic until it cracks.',
    source: 'ASTM F876; typical',
    gravest: 'wrong',
    applies: (_, pipe) => isPlastic(pipe),
    says: (value, _, pipe) => {
      if (!value) return sound('Out of the sun.')
      const days = pipe && SUN_DAYS[pipe.family]
      const stands = days === undefined ? '' : ` Laid open it stands about ${days} days, typical; its print decides.`
      return wrong(`Plastic in daylight ages and cracks.${stands}`, 'Shield it, or replace the aged length by copper.')
    },
  },
  ...PART_LOOKS,
  deadLeg: {
    ask: 'How much blind pipe is left beyond it?',
    when: 'a blind end is left beyond a tee',
    because: 'Water that stands goes bad: cut back to the running pipe.',
    source: 'HSG274, BS 8558',
    gravest: 'wrong',
    applies: (_, pipe) => pipe !== undefined,
    says: (value, _, pipe) => {
      const times = value / pipe!.od
      if (value === 0) return sound('No blind end is left.')
      const long = `${length(value, [DEAD_LEG_OD * pipe!.od])} of blind pipe, ${decimalsApart([times, DEAD_LEG_OD], 1)(times)} times its diameter`
      const remedy = 'Cut back to the running pipe: the tee out, a straight coupling in.'
      if (times > DEAD_LEG_OD) return wrong(`${long}; over ${DEAD_LEG_OD} the water in it goes bad.`, remedy)
      return care(`${long}: none is best.`, `${remedy} Until then flush it each week.`)
    },
  },
}

/** Every look as a rule in words. */
export const LOOK_RULES: readonly RuleRow[] = (Object.keys(LOOKS) as SeenName[]).map((name): RuleRow => {
  const { when, because, source, gravest } = LOOKS[name]
  return { code: name, kind: gravest === 'wrong' ? 'refusal' : 'caution', when, because, source }
})
