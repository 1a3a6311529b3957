import type { Pipe } from '#core/catalogue'
import type { Service } from '#core/joints'
import type { Region } from '#core/units'
import { speed, speeds, temperature as degrees, w } from '#core/speech'

/*
 * How fast water may run: by region, material, temperature and what the line does. Lesser figures hold where a line
 * runs all day.
 */

/** m/s in a foot a second, exact. */
const FT_S = 0.3048
/** A speed that practice says in feet a second, in the reader's. */
const feetASecond = (feet: number): string => speed(feet * FT_S)
/** Water counts as cold up to this, degC. Ours: codes say "cold" without a figure. */
const COLD_C = 30
/** Hot copper is slowed from here up, degC. */
const HOT_C = 60

export interface VelocityLimit {
  /** m/s */
  limit: number
  source: string
}

export interface Asked {
  pipe: Pipe
  temperature: number
  region: Region | undefined
  service: Service | undefined
}

const isUs = ({ region, pipe }: Asked): boolean =>
  region === 'us' || (region === undefined && pipe.regions.length === 1 && pipe.regions[0] === 'us')

/** A loop that runs all day: copper 3 and 2 ft/s, plastic 2; on the continent 0.5 usual and 1 at most. */
function inLoop(asked: Asked): VelocityLimit {
  if (!isUs(asked)) return { limit: 1, source: `DVGW W 553: ${speed(1)} in a loop at most, ${speed(0.5)} usual` }
  if (asked.pipe.family === 'copper' && asked.temperature <= HOT_C)
    return { limit: 3 * FT_S, source: `typical, practice for copper in a loop to ${degrees(HOT_C)}: ${feetASecond(3)}` }
  const what = asked.pipe.family === 'copper' ? `copper in a loop above ${degrees(HOT_C)}` : 'plastic in a loop'
  return { limit: 2 * FT_S, source: `typical, practice for ${what}: ${feetASecond(2)}` }
}

const QUIET: VelocityLimit = {
  limit: 1,
  source: `typical, heating stays quiet to about ${speed(1)}; ${speeds(0.3, 1.5)} is met`,
}

/** Copper in the United States by temperature. */
function usCopper(temperature: number): VelocityLimit {
  if (temperature <= COLD_C) return { limit: 8 * FT_S, source: `copper tube practice, cold: ${feetASecond(8)}` }
  return temperature <= HOT_C
    ? { limit: 5 * FT_S, source: `copper tube practice, hot to ${degrees(HOT_C)}: ${feetASecond(5)}` }
    : { limit: 2.5 * FT_S, source: `copper tube practice, above ${degrees(HOT_C)}: ${speeds(2 * FT_S, 3 * FT_S)}` }
}

/** What a material takes at most wherever it is laid, m/s: typical, makers and practice; null where none is held. */
function byMaterial({ pipe, temperature }: Asked): VelocityLimit | null {
  const typical = (limit: number, what: string) => ({ limit, source: `typical, practice for ${what}` })
  switch (pipe.family) {
    case 'pex':
    case 'pert':
      return typical(8 * FT_S, `PEX: ${feetASecond(8)}`)
    case 'cpvc':
      return typical(8 * FT_S, `CPVC: ${feetASecond(8)}; ${speeds(5 * FT_S, 10 * FT_S)} is met`)
    case 'pvc':
      return typical(5 * FT_S, `PVC: ${feetASecond(5)}`)
    case 'pe':
      return typical(1.8, `polyethylene: ${speed(1.8)}`)
    case 'bs7291':
      return typical(2.5, `plastic to BS 7291: ${speed(2.5)}`)
    case 'multilayer':
      return typical(2.25, `multilayer: ${speed(2.25)}`)
    case 'pp-r':
      return typical(2, `PP-R: ${speed(2)}`)
    case 'stainless':
      return typical(3, `stainless: ${speed(3)}`)
    case 'steel':
      return temperature <= COLD_C
        ? typical(2.2, `${w.galvanised} steel, cold: ${speed(2.2)}`)
        : typical(1.5, `${w.galvanised} steel, hot: ${speed(1.5)}`)
    default:
      return null
  }
}

const EN_806_3: VelocityLimit = {
  limit: 2,
  source: `typical, EN 806-3: ${speed(2)}; to a single outlet ${speed(4)}; British practice ${speed(3)} at ${degrees(10)} falling to ${speed(2)} at ${degrees(90)}`,
}

/** What holds for every pipe of a region; of the United States' only copper has such a rule. */
function generalLimit(asked: Asked): VelocityLimit | null {
  if (!isUs(asked)) return EN_806_3
  return asked.pipe.family === 'copper' ? usCopper(asked.temperature) : null
}

/** Greatest velocity, m/s, with where it is from: the least of what holds. */
export function velocityLimit(asked: Asked): VelocityLimit {
  if (asked.service === 'recirculation') return inLoop(asked)
  const own = byMaterial(asked)
  const general = generalLimit(asked)
  const limits = [own, general, asked.service === 'heating' ? QUIET : null].filter((one) => one !== null)
  const [least] = limits.sort((one, other) => one.limit - other.limit)
  return least ?? { limit: 8 * FT_S, source: `ours: as for PEX, ${feetASecond(8)}` }
}
