import type { Valve } from '#core/catalogue'
import type { Region } from '#core/units'

/** Valves as the row of choices names them. */
export const VALVE_NAMES: Readonly<Record<Valve, string>> = {
  ball: 'ball',
  gate: 'gate',
  stop: 'stop',
  service: 'service',
  check: 'check',
  drain: 'drain',
  angle: 'angle',
  straight: 'straight',
  regulator: 'regulator',
}

/** Those that are sold in a country, in the order of the row. */
export const valvesOf = (region: Region): Valve[] =>
  (Object.keys(VALVE_NAMES) as Valve[]).filter((valve) => valve !== 'service' || region !== 'us')

/** What is turned, in words; null where it is turned by a screwdriver, or by the water. */
export const TURNED: Readonly<Partial<Record<Valve, string>>> = { ball: 'lever', gate: 'wheel', stop: 'wheel' }

export const SIDE_WORDS = { wall: 'wall', other: 'other side' } as const

/** Which way a valve stands open, as it is seen. */
export const OPEN_WORDS: Readonly<Partial<Record<Valve, string>>> = {
  ball: 'lever along the pipe: open',
  service: 'slot along the pipe: open',
}
