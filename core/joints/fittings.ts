import { findSocket, INCH_ORDER, METRIC_COPPER_ORDER, type SocketMethod, type Valve } from '#core/catalogue'
import { w } from '#core/speech'
import { fitting, LETTERS, mouthId, sizeName, socket, thread, words, type Fitting } from './fitting'
import { JOINT_METHODS, type JointMethod } from './methods'
import {
  compressionBodyOf,
  metricBodyOf,
  methodsOf,
  nominalOf,
  otherSchedule,
  OWN_METAL,
  pipesOfClass,
  systemOf,
  threadSizes,
  type SizeClass,
} from './size-classes'
import { closersOn, closersOnThreads } from './closing-fittings'
import { valvesFor } from './valve-fittings'
import { CONE_THREAD } from './rules/seats'
import { reducingSets, streetReducers } from './reducing-fittings'
import { bushesBetween, onThread, threadConverters } from './threaded-fittings'
import type { Thread } from './types'

/** Methods of which something is true, in the order they are listed. */
const methodsWith = (isTrue: (method: JointMethod) => unknown): SocketMethod[] =>
  Object.values(JOINT_METHODS)
    .filter(isTrue)
    .map(({ id }) => id)

function couplingsAndThreads(size: SizeClass): Fitting[] {
  // An old tube has no fittings of its own: it enters the metric body.
  if (systemOf(size) === 'bs') return []
  return methodsOf(size).flatMap((method) => [
    ...(method === 'cone' ? [] : ownFittings(method, size)),
    ...(method === 'cone' ? [coneNut(size)] : []),
  ])
}

/** Nut of a cone joint, on the G 3/4 body of a manifold. */
const coneNut = (size: SizeClass): Fitting =>
  fitting('adaptor', 'manifold cone nut', `${nominalOf(size)} x G ${CONE_THREAD}`, socket('cone', size), {
    ...thread('bspp', CONE_THREAD, 'female'),
    isCone: true,
  })

/** Coupling and thread adaptors of a method. */
function ownFittings(method: SocketMethod, size: SizeClass): Fitting[] {
  const nominal = sizeName(method, size)
  const { form, sizes } = threadSizes(size)
  return [
    fitting('coupling', `${words(method)} coupling`, nominal, socket(method, size), socket(method, size)),
    ...(form === 'bspt' && JOINT_METHODS[method].hasSwivel
      ? sizes
          .slice(0, 1)
          .map((threadSize) =>
            fitting(
              'adaptor',
              `${words(method)} x female swivel BSP connector with washer`,
              `${nominal} x ${threadSize}`,
              socket(method, size),
              { ...thread('bspp', threadSize, 'female'), isSwivel: true },
            ),
          )
      : []),
    ...sizes.flatMap((threadSize) =>
      (['male', 'female'] as const).map((gender) =>
        fitting(
          'adaptor',
          `${words(method)} x ${gender} ${LETTERS[form]} ${method === 'solvent-cement' && gender === 'female' ? 'brass-insert ' : ''}${w.adaptor}`,
          `${nominal} x ${threadSize}`,
          socket(method, size),
          // A cemented male is of the pipe's own plastic; the female is moulded round brass.
          method === 'solvent-cement' && gender === 'male'
            ? { ...thread(form, threadSize, gender), isPlastic: true as const }
            : thread(form, threadSize, gender),
        ),
      ),
    ),
  ]
}

const orderOf = (system: string): readonly string[] =>
  system === 'cts' || system.startsWith('pvc') ? INCH_ORDER : METRIC_COPPER_ORDER
/** How many sizes down a reducing fitting is made. */
const REDUCES = 3

function reducers(one: SizeClass, other: SizeClass): Fitting[] {
  if (one === other || systemOf(one) !== systemOf(other) || systemOf(one) === 'bs') return []
  const [large, small] =
    (pipesOfClass(one)[0]?.od ?? 0) > (pipesOfClass(other)[0]?.od ?? 0) ? [one, other] : [other, one]
  const order = orderOf(systemOf(one))
  const [from, to] = [order.indexOf(nominalOf(large)), order.indexOf(nominalOf(small))]
  if (from >= 0 && to >= 0 && from - to > REDUCES) return []
  const both = methodsOf(large).filter((method) => method !== 'cone' && methodsOf(small).includes(method))
  return both.map((method) =>
    fitting(
      'reducer',
      `${words(method)} reducing coupling`,
      `${sizeName(method, large)} x ${sizeName(method, small)}`,
      socket(method, large),
      socket(method, small),
    ),
  )
}

const ON_PEX = methodsWith(({ transition }) => transition === 'plastic')
const ON_RIGID = methodsWith(({ transition }) => transition === 'rigid')

/**
 * Copper soldered or pressed, or CPVC cemented, at one end, PEX by a ring at the other; also one or two sizes down on
 * the PEX.
 */
function toPex(rigid: SizeClass, plastic: SizeClass): Fitting[] {
  if (systemOf(rigid) !== 'cts' || systemOf(plastic) !== 'cts') return []
  const steps = INCH_ORDER.indexOf(nominalOf(rigid)) - INCH_ORDER.indexOf(nominalOf(plastic))
  if (steps < 0 || steps > 2) return []
  const size = rigid === plastic ? nominalOf(rigid) : `${nominalOf(rigid)} x ${nominalOf(plastic)}`
  const rings = ON_PEX.filter((method) => methodsOf(plastic).includes(method))
  return ON_RIGID.filter((method) => methodsOf(rigid).includes(method)).flatMap((method) =>
    rings.map((ring) =>
      fitting(
        'transition',
        `${words(method)} x ${words(ring)} ${w.adaptor}`,
        size,
        socket(method, rigid),
        socket(ring, plastic),
      ),
    ),
  )
}

/** Stainless or carbon tube pressed at one end, copper of the same outside diameter at the other, in gunmetal. */
function ownMetalToCopper(size: SizeClass): Fitting[] {
  if (!Object.values(OWN_METAL).includes(systemOf(size))) return []
  const copper = `en:${nominalOf(size)}`
  if (!methodsOf(copper).includes('press')) return []
  return [
    fitting(
      'transition',
      `gunmetal press coupling, ${systemOf(size) === 'ss' ? 'stainless' : 'carbon steel'} x copper`,
      nominalOf(size),
      socket('press', size),
      socket('press', copper),
    ),
  ]
}

/** Couplings without a stop, which slide wholly onto one pipe and back over the gap. */
const SLIP_METHODS = methodsWith(({ slips }) => slips)
const slips = (size: SizeClass): Fitting[] =>
  systemOf(size) === 'bs'
    ? []
    : SLIP_METHODS.filter((method) => methodsOf(size).includes(method)).map((method) => ({
        ...fitting(
          'slip',
          `${words(method)} slip coupling`,
          sizeName(method, size),
          socket(method, size),
          socket(method, size),
        ),
        id: `slip.${mouthId(socket(method, size))}`,
      }))

/**
 * Old tube to metric by a fitting made for both: soldered for every old size, by compression where an olive alone does
 * not close the gap.
 */
function oldConverters(size: SizeClass): Fitting[] {
  const pipe = pipesOfClass(size)[0]
  const body = metricBodyOf(size)
  if (!pipe || !body) return []
  const between = `${nominalOf(body)} x old ${nominalOf(size)} in`
  return (
    findSocket('compression', pipe)?.converterOlive ? (['solder', 'compression'] as const) : (['solder'] as const)
  ).map((method) =>
    fitting('converter', `${words(method)} converter coupling`, between, socket(method, body), socket(method, size)),
  )
}

const SPIGOTS: Readonly<Record<string, readonly string[]>> = {
  '14': ['15'],
  '16': ['15'],
  '18': ['15'],
  '20': ['15', '22'],
  '25': ['22'],
  '26': ['22'],
  '32': ['28'],
  '40': ['35'],
  '50': ['42'],
  '63': ['54'],
}
const PE_TO_COPPER: Readonly<Record<string, readonly string[]>> = { '20': ['15'], '25': ['15', '22'], '32': ['28'] }

function ownSystemTransitions(size: SizeClass): Fitting[] {
  const nominal = nominalOf(size)
  if (systemOf(size) === 'ml-en') {
    return (SPIGOTS[nominal] ?? []).map((copper) =>
      fitting('transition', 'multilayer press x copper spigot', `${nominal} x ${copper}`, socket('ml-press', size), {
        kind: 'spigot',
        size: `en:${copper}`,
      }),
    )
  }
  if (systemOf(size) !== 'pe-en') return []
  return (PE_TO_COPPER[nominal] ?? []).flatMap((copper) => [
    fitting(
      'transition',
      `PE x copper compression ${w.adaptor}`,
      `${nominal} x ${copper}`,
      socket('pe-compression', size),
      socket('compression', `en:${copper}`),
    ),
    {
      ...fitting(
        'valve',
        'entry stop valve with drain, PE x copper compression',
        `${nominal} x ${copper}`,
        socket('pe-compression', size),
        socket('compression', `en:${copper}`),
      ),
      id: `valve.${size}.en:${copper}`.replaceAll('/', '_'),
      valve: 'stop' as const,
    },
  ])
}

/** Outlets of the elbows that are screwed to the wall. */
const OUTLETS: ReadonlySet<string> = new Set(['1/2', '3/4'])

/** Elbow with ears by its usual name in each country, tube at one end, female thread for the outlet at the other. */
function dropEars(size: SizeClass): Fitting[] {
  if (systemOf(size) === 'bs') return []
  const { form, sizes } = threadSizes(size)
  return methodsOf(size)
    .filter((method) => JOINT_METHODS[method].hasDropEar)
    .flatMap((method) =>
      sizes
        .filter((outlet) => OUTLETS.has(outlet))
        .map((outlet) => {
          const female = thread(form, outlet, 'female')
          return {
            ...fitting(
              'drop-ear',
              `${words(method)} x female ${LETTERS[form]} ${form === 'npt' ? 'drop-ear' : 'wallplate'} elbow`,
              `${sizeName(method, size)} x ${outlet}`,
              socket(method, size),
              female,
            ),
            id: `drop-ear.${mouthId(socket(method, size))}~${mouthId(female)}`,
          }
        }),
    )
}

/** Fittings between ends met before: the same few pairs are asked again and again as conditions change. */
const BETWEEN = new Map<string, Fitting[]>()
const MOST_KEPT = 500

/** What a question wants beside what joins: a valve of a kind, something that closes. */
export interface Wanted {
  valve?: Valve
  closer?: boolean
}

/** Every fitting that can stand in a chain between these ends: tubes by their class, threads. */
export function fittingsBetween(
  classes: readonly SizeClass[],
  threads: readonly Pick<Thread, 'form' | 'size'>[] = [],
  wanted: Wanted = {},
): readonly Fitting[] {
  const key = [
    ...classes,
    ...threads.map(({ form, size }) => `${form} ${size}`),
    wanted.valve ?? '',
    wanted.closer ? 'closed' : '',
  ].join('|')
  const known = BETWEEN.get(key)
  if (known) return known
  if (BETWEEN.size >= MOST_KEPT) BETWEEN.clear()
  const fittings = listBetween(classes, threads, wanted)
  BETWEEN.set(key, fittings)
  return fittings
}

function listBetween(
  classes: readonly SizeClass[],
  threads: readonly Pick<Thread, 'form' | 'size'>[],
  { valve, closer }: Wanted,
): Fitting[] {
  const all = [
    ...new Set(
      classes
        .flatMap((size) => [size, compressionBodyOf(size), otherSchedule(size)])
        .filter((size): size is SizeClass => size !== null),
    ),
  ]
  const pairs = all.flatMap((one, i) => all.slice(i + 1).map((other) => [one, other] as const))
  const list = [
    ...all.flatMap(couplingsAndThreads),
    ...pairs.flatMap(([one, other]) => reducers(one, other)),
    ...all.flatMap((one) => all.flatMap((other) => toPex(one, other))),
    ...all.flatMap(oldConverters),
    ...reducingSets(all, threads),
    ...pairs.flatMap(([one, other]) => streetReducers(one, other)),
    ...all.flatMap(ownSystemTransitions),
    ...all.flatMap(ownMetalToCopper),
    ...(classes.length === 2 && classes[0] === classes[1] ? slips(classes[0]!) : []),
    ...threads.flatMap((one) => onThread(one, all)),
    ...(threads.length > 0 ? all.flatMap(dropEars) : []),
    ...bushesBetween([...threads.map(({ form, size }) => ({ form, sizes: [size] })), ...classes.map(threadSizes)]),
    ...threadConverters(),
    ...(valve ? valvesFor(valve, all, threads) : []),
    ...(closer ? [...all.flatMap(closersOn), ...closersOnThreads(all, threads)] : []),
  ].filter((item) => valve === undefined || item.valve === undefined || item.valve === valve)
  return [...new Map(list.map((item) => [item.id, item])).values()]
}
