import { INCH_ORDER, METRIC_COPPER_ORDER, type ThreadForm } from '#core/catalogue'
import { w } from '#core/speech'
import { fitting, LETTERS, mouthId, nominalPair, socket, thread, words, type Fitting, type Mouth } from './fitting'
import { nominalOf, systemOf, threadSizes, type SizeClass } from './size-classes'
import type { Part, Thread } from './types'

/* Where the fitting itself is not made, or not stocked: a larger one with something in it. */

/** Service pipe whose larger bodies take a reducing set, small to large. */
const SET_ORDER = ['20', '25', '32', '40', '50', '63'] as const
/** How many sizes down a set goes. */
const SET_REDUCES = 2

/** Sizes whose bodies take a set for this one, nearest first; none where no sets are made for its system. */
function bodiesFor(size: SizeClass): SizeClass[] {
  const at = systemOf(size) === 'pe-en' ? SET_ORDER.indexOf(nominalOf(size) as '20') : -1
  return at < 0 ? [] : SET_ORDER.slice(at + 1, at + 1 + SET_REDUCES).map((nominal) => `pe-en:${nominal}`)
}

const METHOD = 'pe-compression'

const SET = 'PE reducing set'
/** What brings a body down to a smaller pipe: ordered beside it, and named with it. */
export const isReducingSet = ({ name }: Pick<Part, 'name'>): boolean => name === SET

/** A larger body whose one mouth is brought down by a set: a fitting by its own name, the set beside it. */
function withSet(made: Fitting, large: SizeClass, small: SizeClass): Fitting {
  const set: Part = { kind: 'sleeve', name: SET, size: nominalPair(large, small), quantity: 1 }
  return { ...made, id: `set.${nominalOf(large)}.${made.id}`, beside: [set] }
}

const coupled = (large: SizeClass, small: SizeClass): Fitting =>
  withSet(
    fitting('coupling', `${words(METHOD)} coupling`, nominalOf(large), socket(METHOD, large), socket(METHOD, small)),
    large,
    small,
  )

/** Adaptors of a larger body to one thread: swivel with washer on a parallel male, else male or female taper. */
function adaptorsTo(large: SizeClass, small: SizeClass, size: string): Fitting[] {
  const pair = `${nominalOf(large)} x ${size}`
  const made = (name: string, mouth: Mouth) =>
    withSet(fitting('adaptor', `${words(METHOD)} x ${name}`, pair, socket(METHOD, small), mouth), large, small)
  return [
    made('female swivel BSP connector with washer', { ...thread('bspp', size, 'female'), isSwivel: true }),
    ...(['male', 'female'] as const).map((gender) =>
      made(`${gender} ${LETTERS.bspt} ${w.adaptor}`, thread('bspt', size, gender)),
    ),
  ]
}

/**
 * Bodies with a reducing set: between two pipes of a system, and to a thread that a pipe's own adaptors do not have, such
 * as a meter's.
 */
export function reducingSets(
  classes: readonly SizeClass[],
  threads: readonly Pick<Thread, 'form' | 'size'>[],
): Fitting[] {
  return classes.flatMap((small) => {
    const bodies = bodiesFor(small)
    const own = threadSizes(small).sizes
    const wanted = threads.filter(({ form, size }) => isBsp(form) && !own.includes(size)).map(({ size }) => size)
    return [
      ...bodies.filter((large) => classes.includes(large)).map((large) => coupled(large, small)),
      ...[...new Set(wanted)].flatMap((size) => {
        const large = bodies.find((body) => threadSizes(body).sizes.includes(size))
        return large ? adaptorsTo(large, small, size) : []
      }),
    ]
  })
}
const isBsp = (form: ThreadForm): boolean => form !== 'npt'

/** Systems of copper sizes that have a fitting with one end of pipe size, which goes into another fitting. */
const STREET_ORDER: Readonly<Record<string, readonly string[]>> = { en: METRIC_COPPER_ORDER, cts: INCH_ORDER }
const STREET_REDUCES = 3

/** Soldered reducer with its large end of pipe size: with a plain coupling it is two for a reducing one. */
export function streetReducers(one: SizeClass, other: SizeClass): Fitting[] {
  const order = STREET_ORDER[systemOf(one)]
  if (!order || systemOf(one) !== systemOf(other)) return []
  const at = (size: SizeClass) => order.indexOf(nominalOf(size))
  const [large, small] = at(one) > at(other) ? [one, other] : [other, one]
  if (at(small) < 0 || at(large) === at(small) || at(large) - at(small) > STREET_REDUCES) return []
  const spigot: Mouth = { kind: 'spigot', size: large }
  const cup = socket('solder', small)
  return [
    {
      ...fitting('reducer', `${words('solder')} street (fit) reducer`, nominalPair(large, small), spigot, cup),
      id: `street.${mouthId(spigot)}~${mouthId(cup)}`,
    },
  ]
}
