import {
  findSocket,
  INCH_ORDER,
  METRIC_COPPER_ORDER,
  PIPES,
  seriesOf,
  threadMadeUp,
  type Pipe,
  type SocketMethod,
  type ThreadForm,
} from '#core/catalogue'
import { JOINT_METHODS, type JointMethod } from './methods'
import type { Gender, Part, Thread } from './types'

/** Outside-diameter series and size, such as `cts:1/2` or `en:22`: tubes of one class enter the same body. */
export type SizeClass = string

/** One mouth of a fitting. A swivel seals on a washer, so it takes a parallel thread only. A spigot is a plain tube end of copper size that goes into another fitting. */
export type Mouth =
  | { kind: 'socket'; method: SocketMethod; size: SizeClass }
  | { kind: 'spigot'; size: SizeClass }
  | { kind: 'thread'; form: ThreadForm; size: string; gender: Gender; isSwivel?: true }

export interface Fitting {
  id: string
  kind: Exclude<Part['kind'], 'tail' | 'ring' | 'liner' | 'olive'>
  name: string
  size: string
  mouths: readonly [Mouth, Mouth]
}

const SYSTEM_OF: Readonly<Record<string, string>> = { cts: 'cts', 'en-od': 'en', 'bs-bore': 'bs' }
/** Tube of copper's outside diameters that has press fittings of its own metal: a copper body looks alike and is not made for it. */
const OWN_METAL: Readonly<Record<string, string>> = { 'ss-en': 'ss', 'cs-en': 'cs' }

const classFor = (pipe: Pipe): SizeClass => {
  const { sizing } = seriesOf(pipe.series)
  return `${OWN_METAL[pipe.series] ?? SYSTEM_OF[sizing] ?? pipe.series}:${pipe.nominal}`
}

const CLASSES = new Map(PIPES.map((pipe) => [pipe.id, classFor(pipe)]))

export const classOf = (pipe: Pipe): SizeClass => CLASSES.get(pipe.id) ?? classFor(pipe)

const nominalOf = (size: SizeClass): string => size.slice(size.indexOf(':') + 1)
const systemOf = (size: SizeClass): string => size.slice(0, size.indexOf(':'))

const PIPES_OF = new Map<SizeClass, Pipe[]>()
for (const pipe of PIPES) PIPES_OF.set(classOf(pipe), [...(PIPES_OF.get(classOf(pipe)) ?? []), pipe])

export const pipesOfClass = (size: SizeClass): readonly Pipe[] => PIPES_OF.get(size) ?? []

/** Methods with a socket for some tube of a class. */
const methodsOf = (size: SizeClass): SocketMethod[] =>
  (Object.keys(JOINT_METHODS) as SocketMethod[]).filter(
    (method) =>
      !(method === 'compression' && compressionBodyOf(size)) &&
      pipesOfClass(size).some((pipe) => findSocket(method, pipe)),
  )

/** Class of the metric body an old tube enters by compression, or null. */
export function metricBodyOf(size: SizeClass): SizeClass | null {
  const pipe = pipesOfClass(size)[0]
  const socket = pipe && systemOf(size) === 'bs' ? findSocket('compression', pipe) : null
  return socket ? `en:${socket.fittingNominal}` : null
}

/** Class of the body a tube enters by compression beside its own: old copper in metric, stainless in copper's. */
export const compressionBodyOf = (size: SizeClass): SizeClass | null =>
  systemOf(size) === 'ss' ? `en:${nominalOf(size)}` : metricBodyOf(size)

/** Class of PVC of the other schedule: one outside diameter, so a cemented socket of either takes both. */
export const otherSchedule = (size: SizeClass): SizeClass | null =>
  systemOf(size) === 'pvc-40'
    ? `pvc-80:${nominalOf(size)}`
    : systemOf(size) === 'pvc-80'
      ? `pvc-40:${nominalOf(size)}`
      : null

/** A mouth made for an old size itself: only converters have one. */
export const isMouthOfOldSize = (size: SizeClass): boolean => metricBodyOf(size) !== null

/** Thread sizes that adaptors are sold with, by tube size: its own first, then one smaller. */
function threadSizes(size: SizeClass): { form: ThreadForm; sizes: readonly string[] } {
  const nominal = nominalOf(size)
  const METRIC: Readonly<Record<string, readonly string[]>> = {
    '12': ['3/8'],
    '15': ['1/2'],
    '18': ['1/2'],
    '22': ['3/4', '1/2'],
    '28': ['1', '3/4'],
    '35': ['1-1/4', '1'],
    '42': ['1-1/2'],
    '54': ['2'],
  }
  const OWN: Readonly<Record<string, readonly string[]>> = {
    'ml-en:14': ['1/2'],
    'ml-en:16': ['1/2'],
    'ml-en:18': ['1/2'],
    'ml-en:20': ['1/2', '3/4'],
    'ml-en:25': ['3/4', '1'],
    'ml-en:26': ['3/4', '1'],
    'ml-en:32': ['1'],
    'ml-en:40': ['1-1/4'],
    'ml-en:50': ['1-1/2'],
    'ml-en:63': ['2'],
    'pex-en:16': ['1/2'],
    'pex-en:20': ['1/2', '3/4'],
    'pex-en:25': ['3/4', '1'],
    'pex-en:32': ['1'],
    'pe-en:20': ['1/2'],
    'pe-en:25': ['3/4', '1/2'],
    'pe-en:32': ['1', '3/4'],
    'pe-en:50': ['1-1/2'],
    'pe-en:63': ['2'],
  }
  if (systemOf(size) === 'cts') {
    const at = INCH_ORDER.indexOf(nominal)
    const smaller = INCH_ORDER[at - 1] === '5/8' ? '1/2' : INCH_ORDER[at - 1]
    const sizes =
      nominal === '5/8'
        ? ['1/2']
        : at >= INCH_ORDER.indexOf('3/4')
          ? [nominal, smaller!]
          : nominal === '1/2'
            ? ['1/2', '3/4']
            : [nominal]
    return { form: 'npt', sizes }
  }
  if (systemOf(size).startsWith('pvc')) return { form: 'npt', sizes: [nominal] }
  return { form: 'bspt', sizes: (['en', 'ss', 'cs'].includes(systemOf(size)) ? METRIC[nominal] : OWN[size]) ?? [] }
}

const LETTERS: Readonly<Record<ThreadForm, string>> = { npt: 'NPT', bspt: 'BSP', bspp: 'BSP parallel' }

const mouthId = (mouth: Mouth): string =>
  (mouth.kind === 'socket'
    ? `${mouth.method}.${mouth.size}`
    : mouth.kind === 'spigot'
      ? `spigot.${mouth.size}`
      : `${mouth.gender}.${mouth.form}.${mouth.size}`
  ).replaceAll('/', '_')

const fitting = (kind: Fitting['kind'], name: string, size: string, first: Mouth, second: Mouth): Fitting => ({
  id: `${mouthId(first)}~${mouthId(second)}`,
  kind,
  name,
  size,
  mouths: [first, second],
})

const socket = (method: SocketMethod, size: SizeClass): Mouth => ({ kind: 'socket', method, size })
const thread = (form: ThreadForm, size: string, gender: Gender): Extract<Mouth, { kind: 'thread' }> => ({
  kind: 'thread',
  form,
  size,
  gender,
})
const words = (method: SocketMethod): string => JOINT_METHODS[method].words

/** Methods of which something is true, in the order they are listed. */
const methodsWith = (isTrue: (method: JointMethod) => unknown): SocketMethod[] =>
  Object.values(JOINT_METHODS)
    .filter(isTrue)
    .map(({ id }) => id)

function couplingsAndThreads(size: SizeClass): Fitting[] {
  // An old tube has no fittings of its own: it enters the metric body.
  if (systemOf(size) === 'bs') return []
  const nominal = nominalOf(size)
  const { form, sizes } = threadSizes(size)
  return methodsOf(size).flatMap((method) => [
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
          `${words(method)} x ${gender} ${LETTERS[form]} ${method === 'solvent-cement' && gender === 'female' ? 'brass-insert ' : ''}adaptor`,
          `${nominal} x ${threadSize}`,
          socket(method, size),
          thread(form, threadSize, gender),
        ),
      ),
    ),
  ])
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
  const both = methodsOf(large).filter((method) => methodsOf(small).includes(method))
  return both.map((method) =>
    fitting(
      'reducer',
      `${words(method)} reducing coupling`,
      `${nominalOf(large)} x ${nominalOf(small)}`,
      socket(method, large),
      socket(method, small),
    ),
  )
}

const ON_PEX = methodsWith(({ transition }) => transition === 'plastic')
const ON_RIGID = methodsWith(({ transition }) => transition === 'rigid')

/** Copper soldered or pressed, or CPVC cemented, at one end, PEX by a ring at the other; also one or two sizes down on the PEX. */
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
        `${words(method)} x ${words(ring)} adaptor`,
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
          nominalOf(size),
          socket(method, size),
          socket(method, size),
        ),
        id: `slip.${mouthId(socket(method, size))}`,
      }))

/** Old tube to metric by a fitting made for both: soldered for every old size, by compression where an olive alone does not close the gap. */
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
      'PE x copper compression adaptor',
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
              `${nominalOf(size)} x ${outlet}`,
              socket(method, size),
              female,
            ),
            id: `drop-ear.${mouthId(socket(method, size))}~${mouthId(female)}`,
          }
        }),
    )
}

/** Thread sizes in order, and how many steps down a bush is made. */
const THREAD_ORDER = ['1/8', '1/4', '3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'] as const
const BUSH_REDUCES = 3

const smallerThan = (size: string): readonly string[] => {
  const at = THREAD_ORDER.indexOf(size as '1/2')
  return at < 0 ? [] : THREAD_ORDER.slice(Math.max(0, at - BUSH_REDUCES), at)
}

const reducingBush = (form: ThreadForm, large: string, small: string): Fitting =>
  fitting(
    'bush',
    `${LETTERS[form]} reducing bush`,
    `${large} x ${small}`,
    thread(form, large, 'male'),
    thread(form, small, 'female'),
  )

/** What is screwed on a threaded end: socket, union, nipple, and pieces that reduce it; in a parallel thread only what seals by a washer. */
function onThread({ form, size }: Pick<Thread, 'form' | 'size'>, classes: readonly SizeClass[]): Fitting[] {
  if (form === 'bspp') return []
  const female = thread(form, size, 'female')
  return [
    fitting('coupling', `${LETTERS[form]} socket`, size, female, female),
    { ...fitting('union', `${LETTERS[form]} union`, size, female, female), id: `union.${mouthId(female)}` },
    fitting('nipple', `${LETTERS[form]} brass nipple`, size, thread(form, size, 'male'), thread(form, size, 'male')),
    ...smallerThan(size).flatMap((small) => [
      reducingBush(form, size, small),
      fitting(
        'reducer',
        `${LETTERS[form]} reducing socket`,
        `${size} x ${small}`,
        female,
        thread(form, small, 'female'),
      ),
    ]),
    ...(form === 'npt'
      ? classes
          .filter((one) => systemOf(one) === 'cts' && methodsOf(one).includes('solder'))
          .map((one) =>
            fitting(
              'union',
              'dielectric union, female NPT x solder',
              `${size} x ${nominalOf(one)}`,
              female,
              socket('solder', one),
            ),
          )
      : []),
  ]
}

/** Bushes between the adaptors of two ends that have no thread in common. */
function bushesBetween(ends: readonly { form: ThreadForm; sizes: readonly string[] }[]): Fitting[] {
  const [one, other] = ends
  if (!one || !other || one.form !== other.form || one.sizes.some((size) => other.sizes.includes(size))) return []
  return [
    ...one.sizes.flatMap((size) => other.sizes.map((small) => [size, small] as const)),
    ...other.sizes.flatMap((size) => one.sizes.map((small) => [size, small] as const)),
  ]
    .filter(([size, small]) => smallerThan(size).includes(small))
    .map(([size, small]) => reducingBush(one.form, size, small))
}

/** Listed adaptors between the two thread families, which never mate directly. */
function threadConverters(): Fitting[] {
  const sizes = INCH_ORDER.filter((size) => threadMadeUp('npt', size) && threadMadeUp('bspt', size))
  return sizes.flatMap((size) => [
    fitting(
      'converter',
      'female NPT x male BSP adaptor',
      size,
      thread('npt', size, 'female'),
      thread('bspt', size, 'male'),
    ),
    fitting(
      'converter',
      'male NPT x female BSP adaptor',
      size,
      thread('npt', size, 'male'),
      thread('bspt', size, 'female'),
    ),
  ])
}

/** Fittings between ends met before: the same few pairs are asked again and again as conditions change. */
const BETWEEN = new Map<string, Fitting[]>()
const MOST_KEPT = 500

/** Every fitting that can stand in a chain between these ends: tubes by their class, threads. */
export function fittingsBetween(
  classes: readonly SizeClass[],
  threads: readonly Pick<Thread, 'form' | 'size'>[] = [],
): readonly Fitting[] {
  const key = [...classes, ...threads.map(({ form, size }) => `${form} ${size}`)].join('|')
  const known = BETWEEN.get(key)
  if (known) return known
  if (BETWEEN.size >= MOST_KEPT) BETWEEN.clear()
  const fittings = listBetween(classes, threads)
  BETWEEN.set(key, fittings)
  return fittings
}

function listBetween(classes: readonly SizeClass[], threads: readonly Pick<Thread, 'form' | 'size'>[]): Fitting[] {
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
    ...all.flatMap(ownSystemTransitions),
    ...all.flatMap(ownMetalToCopper),
    ...(classes.length === 2 && classes[0] === classes[1] ? slips(classes[0]!) : []),
    ...threads.flatMap((one) => onThread(one, all)),
    ...(threads.length > 0 ? all.flatMap(dropEars) : []),
    ...bushesBetween([...threads.map(({ form, size }) => ({ form, sizes: [size] })), ...classes.map(threadSizes)]),
    ...threadConverters(),
  ]
  return [...new Map(list.map((item) => [item.id, item])).values()]
}
