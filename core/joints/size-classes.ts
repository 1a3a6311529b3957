import {
  bodySize,
  findSocket,
  INCH_ORDER,
  NOMINAL_OF_OUTSIDE,
  PIPES,
  seriesOf,
  type Pipe,
  type SocketMethod,
  type ThreadForm,
} from '#core/catalogue'
import { JOINT_METHODS } from './methods'

/* Tubes of one class enter the same body; what is made for a class goes by it. */

/** Outside-diameter series and size, such as `cts:1/2` or `en:22`: tubes of one class enter the same body. */
export type SizeClass = string

const SYSTEM_OF: Readonly<Record<string, string>> = { cts: 'cts', 'en-od': 'en', 'bs-bore': 'bs' }
/**
 * Tube of copper's outside diameters that has press fittings of its own metal: a copper body looks alike and is not made
 * for it.
 */
export const OWN_METAL: Readonly<Record<string, string>> = { 'ss-en': 'ss', 'cs-en': 'cs' }

/** Series whose fittings are shared: one outside diameter, or one bore, in several walls. */
const SHARED_BODY: readonly (readonly [begins: string, system: string])[] = [
  ['ppr-', 'ppr'],
  ['pe-cts', 'pe-cts'],
  ['pe-ips-', 'pe-ips'],
  ['pe-id-', 'pe-id'],
  ['pe-od', 'od'],
  ['vinyl-od', 'od'],
]
const sharedBody = (series: string): string | undefined =>
  SHARED_BODY.find(([begins]) => series.startsWith(begins))?.[1]

const classFor = (pipe: Pipe): SizeClass => {
  const { sizing } = seriesOf(pipe.series)
  return `${OWN_METAL[pipe.series] ?? sharedBody(pipe.series) ?? SYSTEM_OF[sizing] ?? pipe.series}:${bodySize(pipe)}`
}

const CLASSES = new Map(PIPES.map((pipe) => [pipe.id, classFor(pipe)]))

export const classOf = (pipe: Pipe): SizeClass => CLASSES.get(pipe.id) ?? classFor(pipe)

export const nominalOf = (size: SizeClass): string => size.slice(size.indexOf(':') + 1)
export const systemOf = (size: SizeClass): string => size.slice(0, size.indexOf(':'))

const PIPES_OF = new Map<SizeClass, Pipe[]>()
for (const pipe of PIPES) PIPES_OF.set(classOf(pipe), [...(PIPES_OF.get(classOf(pipe)) ?? []), pipe])

export const pipesOfClass = (size: SizeClass): readonly Pipe[] => PIPES_OF.get(size) ?? []

/** Methods with a socket for some tube of a class. */
export const methodsOf = (size: SizeClass): SocketMethod[] =>
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

/**
 * Class of the body a tube enters by compression beside its own: old copper in metric, stainless in copper's, small
 * plastic tube in that of copper with its outside diameter.
 */
export function compressionBodyOf(size: SizeClass): SizeClass | null {
  if (systemOf(size) === 'ss') return `en:${nominalOf(size)}`
  if (systemOf(size) === 'od') return `cts:${NOMINAL_OF_OUTSIDE[nominalOf(size)]}`
  return metricBodyOf(size)
}

/** Class of PVC of the other schedule: one outside diameter, so a cemented socket of either takes both. */
export function otherSchedule(size: SizeClass): SizeClass | null {
  if (systemOf(size) === 'pvc-40') return `pvc-80:${nominalOf(size)}`
  return systemOf(size) === 'pvc-80' ? `pvc-40:${nominalOf(size)}` : null
}

/** A mouth made for an old size itself: only converters have one. */
export const isMouthOfOldSize = (size: SizeClass): boolean => metricBodyOf(size) !== null

/** Systems whose adaptors have NPT threads of the tube's own name. */
const AMERICAN: ReadonlySet<string> = new Set(['ml-astm', 'pe-cts', 'pe-ips', 'pe-id', 'od'])

/** Threads of adaptors for tube in copper sizes, where they are others than its own size and one smaller. */
const INCH_THREADS: Readonly<Record<string, readonly string[]>> = {
  '1/8': ['1/8', '1/4'],
  '1/4': ['1/4', '3/8'],
  '3/8': ['3/8', '1/2'],
  '1/2': ['1/2', '3/4'],
  '5/8': ['1/2'],
}

/** Thread sizes that adaptors are sold with, by tube size: its own first, then one smaller. */
export function threadSizes(size: SizeClass): { form: ThreadForm; sizes: readonly string[] } {
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
    'ppr:16': ['1/2'],
    'ppr:20': ['1/2', '3/4'],
    'ppr:25': ['3/4', '1/2'],
    'ppr:32': ['1', '3/4'],
    'ppr:40': ['1-1/4'],
    'ppr:50': ['1-1/2'],
    'ppr:63': ['2'],
  }
  if (systemOf(size) === 'cts') {
    const at = INCH_ORDER.indexOf(nominal)
    const smaller = INCH_ORDER[at - 1] === '5/8' ? '1/2' : INCH_ORDER[at - 1]
    const usual = at >= INCH_ORDER.indexOf('3/4') ? [nominal, smaller!] : [nominal]
    return { form: 'npt', sizes: INCH_THREADS[nominal] ?? usual }
  }
  if (AMERICAN.has(systemOf(size)) || systemOf(size).startsWith('pvc')) return { form: 'npt', sizes: [nominal] }
  return { form: 'bspt', sizes: (['en', 'ss', 'cs'].includes(systemOf(size)) ? METRIC[nominal] : OWN[size]) ?? [] }
}

/** Threads in play between ends: their own, and those that the adaptors of their tubes are sold with. */
export const threadsAt = (
  classes: readonly SizeClass[],
  threads: readonly { form: ThreadForm; size: string }[],
): { form: ThreadForm; size: string }[] => [
  ...threads,
  ...classes.map(threadSizes).flatMap(({ form, sizes }) => sizes.map((size) => ({ form, size }))),
]

/** Sizes of the threads that adaptors of a tube are sold with, its own first. */
export const adaptorThreads = (pipe: Pipe): readonly string[] => threadSizes(classOf(pipe)).sizes
