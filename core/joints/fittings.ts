import { findSocket, INCH_ORDER, METRIC_COPPER_ORDER, PIPES, seriesOf, threadMadeUp, type Pipe, type SocketMethod, type ThreadForm } from '#core/catalogue'
import { JOINT_METHODS } from './methods'
import type { Gender, Part } from './types'

/** Outside-diameter series and size, such as `cts:1/2` or `en:22`: tubes of one class enter the same body. */
export type SizeClass = string

/** One mouth of a fitting. A spigot is a plain tube end of copper size that goes into another fitting. */
export type Mouth =
  | { kind: 'socket', method: SocketMethod, size: SizeClass }
  | { kind: 'spigot', size: SizeClass }
  | { kind: 'thread', form: ThreadForm, size: string, gender: Gender }

export interface Fitting {
  id: string
  kind: Exclude<Part['kind'], 'tail' | 'ring' | 'liner' | 'olive'>
  name: string
  size: string
  mouths: readonly [Mouth, Mouth]
}

const SYSTEM_OF: Readonly<Record<string, string>> = { 'cts': 'cts', 'en-od': 'en', 'bs-bore': 'bs' }

export const classOf = (pipe: Pipe): SizeClass => {
  const { sizing } = seriesOf(pipe.series)
  return `${SYSTEM_OF[sizing] ?? pipe.series}:${pipe.nominal}`
}

const nominalOf = (size: SizeClass): string => size.slice(size.indexOf(':') + 1)
const systemOf = (size: SizeClass): string => size.slice(0, size.indexOf(':'))

const PIPES_OF = new Map<SizeClass, Pipe[]>()
for (const pipe of PIPES) PIPES_OF.set(classOf(pipe), [...(PIPES_OF.get(classOf(pipe)) ?? []), pipe])

export const pipesOfClass = (size: SizeClass): readonly Pipe[] => PIPES_OF.get(size) ?? []

/** Methods with a socket for some tube of a class. */
const methodsOf = (size: SizeClass): SocketMethod[] =>
  (Object.keys(JOINT_METHODS) as SocketMethod[]).filter(method => pipesOfClass(size).some(pipe => findSocket(method, pipe)))

/** Class of the metric body an old tube enters by compression, or null. */
export function metricBodyOf(size: SizeClass): SizeClass | null {
  const pipe = pipesOfClass(size)[0]
  const socket = pipe && systemOf(size) === 'bs' ? findSocket('compression', pipe) : null
  return socket ? `en:${socket.fittingNominal}` : null
}

/** A mouth made for an old size itself: only converters have one. */
export const isMouthOfOldSize = (size: SizeClass): boolean => metricBodyOf(size) !== null

/** Thread sizes that adaptors are sold with, by tube size: its own first, then one smaller. */
function threadSizes(size: SizeClass): { form: ThreadForm, sizes: readonly string[] } {
  const nominal = nominalOf(size)
  const METRIC: Readonly<Record<string, readonly string[]>> = {
    '12': ['3/8'], '15': ['1/2'], '18': ['1/2'], '22': ['3/4', '1/2'], '28': ['1', '3/4'], '35': ['1-1/4', '1'], '42': ['1-1/2'], '54': ['2'],
  }
  const OWN: Readonly<Record<string, readonly string[]>> = {
    'ml-en:14': ['1/2'], 'ml-en:16': ['1/2'], 'ml-en:18': ['1/2'], 'ml-en:20': ['1/2', '3/4'], 'ml-en:25': ['3/4', '1'], 'ml-en:26': ['3/4', '1'], 'ml-en:32': ['1'], 'ml-en:40': ['1-1/4'], 'ml-en:50': ['1-1/2'], 'ml-en:63': ['2'],
    'pe-en:20': ['1/2'], 'pe-en:25': ['3/4', '1/2'], 'pe-en:32': ['1', '3/4'], 'pe-en:50': ['1-1/2'], 'pe-en:63': ['2'],
  }
  if (systemOf(size) === 'cts') {
    const at = INCH_ORDER.indexOf(nominal)
    const smaller = INCH_ORDER[at - 1] === '5/8' ? '1/2' : INCH_ORDER[at - 1]
    const sizes = nominal === '5/8' ? ['1/2'] : at >= INCH_ORDER.indexOf('3/4') ? [nominal, smaller!] : nominal === '1/2' ? ['1/2', '3/4'] : [nominal]
    return { form: 'npt', sizes }
  }
  return { form: 'bspt', sizes: (systemOf(size) === 'en' ? METRIC[nominal] : OWN[size]) ?? [] }
}

const LETTERS: Readonly<Record<ThreadForm, string>> = { npt: 'NPT', bspt: 'BSP', bspp: 'BSP parallel' }

const mouthId = (mouth: Mouth): string => (mouth.kind === 'socket' ? `${mouth.method}.${mouth.size}` : mouth.kind === 'spigot' ? `spigot.${mouth.size}` : `${mouth.gender}.${mouth.form}.${mouth.size}`).replaceAll('/', '_')

const fitting = (kind: Fitting['kind'], name: string, size: string, first: Mouth, second: Mouth): Fitting => ({ id: `${mouthId(first)}~${mouthId(second)}`, kind, name, size, mouths: [first, second] })

const socket = (method: SocketMethod, size: SizeClass): Mouth => ({ kind: 'socket', method, size })
const thread = (form: ThreadForm, size: string, gender: Gender): Mouth => ({ kind: 'thread', form, size, gender })
const words = (method: SocketMethod): string => JOINT_METHODS[method].words

function couplingsAndThreads(size: SizeClass): Fitting[] {
  // An old tube has no fittings of its own: it enters the metric body.
  if (systemOf(size) === 'bs') return []
  const nominal = nominalOf(size)
  const { form, sizes } = threadSizes(size)
  return methodsOf(size).flatMap(method => [
    fitting('coupling', `${words(method)} coupling`, nominal, socket(method, size), socket(method, size)),
    ...sizes.flatMap(threadSize => (['male', 'female'] as const).map(gender =>
      fitting('adaptor', `${words(method)} x ${gender} ${LETTERS[form]} adaptor`, `${nominal} x ${threadSize}`, socket(method, size), thread(form, threadSize, gender)))),
  ])
}

const orderOf = (system: string): readonly string[] => (system === 'cts' ? INCH_ORDER : METRIC_COPPER_ORDER)
/** How many sizes down a reducing fitting is made. */
const REDUCES = 3

function reducers(one: SizeClass, other: SizeClass): Fitting[] {
  if (one === other || systemOf(one) !== systemOf(other) || systemOf(one) === 'bs') return []
  const [large, small] = (pipesOfClass(one)[0]?.od ?? 0) > (pipesOfClass(other)[0]?.od ?? 0) ? [one, other] : [other, one]
  const order = orderOf(systemOf(one))
  const [from, to] = [order.indexOf(nominalOf(large)), order.indexOf(nominalOf(small))]
  if (from >= 0 && to >= 0 && from - to > REDUCES) return []
  const both = methodsOf(large).filter(method => methodsOf(small).includes(method))
  return both.map(method => fitting('reducer', `${words(method)} reducing coupling`, `${nominalOf(large)} x ${nominalOf(small)}`, socket(method, large), socket(method, small)))
}

/** Copper soldered or pressed at one end, PEX crimped at the other; also one size down on the PEX. */
function copperToCrimp(copper: SizeClass, plastic: SizeClass): Fitting[] {
  if (systemOf(copper) !== 'cts' || systemOf(plastic) !== 'cts' || !methodsOf(plastic).includes('crimp')) return []
  const steps = INCH_ORDER.indexOf(nominalOf(copper)) - INCH_ORDER.indexOf(nominalOf(plastic))
  if (steps < 0 || steps > 2) return []
  const size = copper === plastic ? nominalOf(copper) : `${nominalOf(copper)} x ${nominalOf(plastic)}`
  return (['solder', 'press'] as const).filter(method => methodsOf(copper).includes(method))
    .map(method => fitting('transition', `${words(method)} x crimp adaptor`, size, socket(method, copper), socket('crimp', plastic)))
}

/** Old tube to metric by a fitting made for both: soldered for every old size, by compression where an olive alone does not close the gap. */
function oldConverters(size: SizeClass): Fitting[] {
  const pipe = pipesOfClass(size)[0]
  const body = metricBodyOf(size)
  if (!pipe || !body) return []
  const between = `${nominalOf(body)} x old ${nominalOf(size)} in`
  return (findSocket('compression', pipe)?.converterOlive ? ['solder', 'compression'] as const : ['solder'] as const)
    .map(method => fitting('converter', `${words(method)} converter coupling`, between, socket(method, body), socket(method, size)))
}

const SPIGOTS: Readonly<Record<string, readonly string[]>> = { '14': ['15'], '16': ['15'], '18': ['15'], '20': ['15', '22'], '25': ['22'], '26': ['22'], '32': ['28'], '40': ['35'], '50': ['42'], '63': ['54'] }
const PE_TO_COPPER: Readonly<Record<string, readonly string[]>> = { '20': ['15'], '25': ['15', '22'], '32': ['28'] }

function ownSystemTransitions(size: SizeClass): Fitting[] {
  const nominal = nominalOf(size)
  if (systemOf(size) === 'ml-en') {
    return (SPIGOTS[nominal] ?? []).map(copper => fitting('transition', 'multilayer press x copper spigot', `${nominal} x ${copper}`, socket('ml-press', size), { kind: 'spigot', size: `en:${copper}` }))
  }
  if (systemOf(size) !== 'pe-en') return []
  return (PE_TO_COPPER[nominal] ?? []).map(copper => fitting('transition', 'PE x copper compression adaptor', `${nominal} x ${copper}`, socket('pe-compression', size), socket('compression', `en:${copper}`)))
}

/** Listed adaptors between the two thread families, which never mate directly. */
function threadConverters(): Fitting[] {
  const sizes = INCH_ORDER.filter(size => threadMadeUp('npt', size) && threadMadeUp('bspt', size))
  return sizes.flatMap(size => [
    fitting('converter', 'female NPT x male BSP adaptor', size, thread('npt', size, 'female'), thread('bspt', size, 'male')),
    fitting('converter', 'male NPT x female BSP adaptor', size, thread('npt', size, 'male'), thread('bspt', size, 'female')),
  ])
}

/** Every fitting that can stand in a chain between these classes. */
export function fittingsBetween(classes: readonly SizeClass[]): Fitting[] {
  const all = [...new Set(classes.flatMap(size => [size, metricBodyOf(size)]).filter((size): size is SizeClass => size !== null))]
  const pairs = all.flatMap((one, i) => all.slice(i + 1).map(other => [one, other] as const))
  const list = [
    ...all.flatMap(couplingsAndThreads),
    ...pairs.flatMap(([one, other]) => reducers(one, other)),
    ...all.flatMap(one => all.flatMap(other => copperToCrimp(one, other))),
    ...all.flatMap(oldConverters),
    ...all.flatMap(ownSystemTransitions),
    ...threadConverters(),
  ]
  return [...new Map(list.map(item => [item.id, item])).values()]
}
