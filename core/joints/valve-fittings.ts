import { INCH_ORDER, VALVES, type SocketMethod, type ThreadForm, type Valve } from '#core/catalogue'
import { fitting, LETTERS, sizeName, socket, thread, words, type Fitting, type Mouth } from './fitting'
import { JOINT_METHODS } from './methods'
import { methodsOf, nominalOf, systemOf, threadsAt, type SizeClass } from './size-classes'

import type { Part } from './types'

/* Valves in line, and at fixtures. */

const VALVE_WORDS: Readonly<Record<Valve, string>> = {
  ball: 'ball valve',
  gate: 'gate valve',
  stop: 'stop valve',
  service: 'service valve',
  angle: 'angle valve',
  straight: 'straight valve',
  check: 'check valve',
  drain: 'drain valve',
  regulator: 'pressure regulator',
}

/** Valves whose water comes in at one end only, by the arrow on the body. */
const ONE_WAY: ReadonlySet<Valve> = new Set<Valve>(['stop', 'check', 'regulator', 'angle', 'straight'])
export const isOneWay = (valve: Valve): boolean => ONE_WAY.has(valve)

/** What kind of valve is among the parts of a way; null where none is. */
export function valveAmong(parts: readonly Pick<Part, 'kind' | 'name'>[]): Valve | null {
  const name = parts.find(({ kind }) => kind === 'valve')?.name
  return (name !== undefined && VALVES.find((valve) => name.includes(VALVE_WORDS[valve]))) || null
}

/** Valves that stand at a fixture: tube in, the fixture's tube or hose out. */
const AT_FIXTURE: ReadonlySet<Valve> = new Set<Valve>(['angle', 'straight'])

/** Opened and shut by a screwdriver or a key in one quarter turn; sold in metric sizes. */
const METRIC_ONLY: ReadonlySet<Valve> = new Set<Valve>(['service'])

const valveOf = (valve: Valve, name: string, size: string, first: Mouth, second: Mouth): Fitting => {
  const made = fitting('valve', name, size, first, second)
  return { ...made, id: `${valve}.${made.id}`, valve }
}

const sold = (size: SizeClass, valve: Valve): SocketMethod[] =>
  systemOf(size) === 'bs' || (METRIC_ONLY.has(valve) && systemOf(size) === 'cts')
    ? []
    : methodsOf(size).filter((method) => JOINT_METHODS[method].valves.includes(valve))

/** In line, with the mouths of one method at both ends. */
const inLine = (valve: Valve, size: SizeClass): Fitting[] =>
  sold(size, valve).map((method) =>
    valveOf(
      valve,
      `${words(method)} ${VALVE_WORDS[valve]}`,
      sizeName(method, size),
      socket(method, size),
      socket(method, size),
    ),
  )

/** Female thread of a valve, with its letters: metric ones are parallel, which a taper male is sealed into. */
const femaleOf = (form: ThreadForm, size: string): { mouth: Mouth; name: string } => ({
  mouth: thread(form === 'npt' ? 'npt' : 'bspp', size, 'female'),
  name: `female ${form === 'npt' ? LETTERS.npt : 'BSP'}`,
})

/** Threaded at both ends. */
function threaded(valve: Valve, form: ThreadForm, size: string): Fitting {
  const { mouth, name } = femaleOf(form, size)
  return valveOf(valve, `${name} ${VALVE_WORDS[valve]}`, size, mouth, mouth)
}

/** Fixture outlets: inch ones by compression, named by the tube's outside; metric ones male parallel for a hose or tap nut. */
const INCH_OUTLETS: readonly SizeClass[] = ['cts:1/8', 'cts:1/4']
const METRIC_OUTLETS = ['1/2', '3/8'] as const

const isSmaller = (one: SizeClass, other: SizeClass): boolean =>
  INCH_ORDER.indexOf(nominalOf(one)) < INCH_ORDER.indexOf(nominalOf(other))

function atFixture(valve: Valve, size: SizeClass): Fitting[] {
  // Small plastic tube leaves a stop, and none takes it in.
  if (systemOf(size) === 'od') return []
  return sold(size, valve).flatMap((method) =>
    systemOf(size) === 'cts'
      ? INCH_OUTLETS.filter((outlet) => isSmaller(outlet, size)).map((outlet) =>
          valveOf(
            valve,
            `${words(method)} x compression ${VALVE_WORDS[valve]}`,
            `${sizeName(method, size)} x ${sizeName('compression', outlet)}`,
            socket(method, size),
            socket('compression', outlet),
          ),
        )
      : METRIC_OUTLETS.map((outlet) =>
          valveOf(
            valve,
            `${words(method)} x male ${LETTERS.bspp} ${VALVE_WORDS[valve]}`,
            `${sizeName(method, size)} x ${outlet}`,
            socket(method, size),
            thread('bspp', outlet, 'male'),
          ),
        ),
  )
}

/** Methods that valves with threads stand for: every kind but those at a fixture. */
const withThreads = (valve: Valve): boolean => !AT_FIXTURE.has(valve) && !METRIC_ONLY.has(valve)

/** Sold with a tube's mouth at one end and a female thread at the other. */
const MIXED: ReadonlySet<Valve> = new Set<Valve>(['ball'])

/** Tube in, threaded pipe or an appliance out: for threads that an end has, by the methods the valve is sold with. */
const mixed = (valve: Valve, size: SizeClass, threads: readonly { form: ThreadForm; size: string }[]): Fitting[] =>
  sold(size, valve).flatMap((method) =>
    threads.map(({ form, size: screwed }) => {
      const { mouth, name } = femaleOf(form, screwed)
      return valveOf(
        valve,
        `${words(method)} x ${name} ${VALVE_WORDS[valve]}`,
        `${sizeName(method, size)} x ${screwed}`,
        socket(method, size),
        mouth,
      )
    }),
  )

/** Every valve of a kind that can stand between ends of these classes and threads. */
export function valvesFor(
  valve: Valve,
  classes: readonly SizeClass[],
  threads: readonly { form: ThreadForm; size: string }[],
): Fitting[] {
  return [
    ...classes.flatMap((size) => (AT_FIXTURE.has(valve) ? atFixture(valve, size) : inLine(valve, size))),
    ...(MIXED.has(valve) ? classes.flatMap((size) => mixed(valve, size, threads)) : []),
    ...(withThreads(valve) ? threadsAt(classes, threads).map(({ form, size }) => threaded(valve, form, size)) : []),
  ]
}
