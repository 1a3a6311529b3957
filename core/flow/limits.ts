import type { Pipe, Region } from '#core/catalogue'
import type { Service } from '#core/joints'

/*
 * How fast water may run: by region, material, temperature and what the line does. Lesser figures hold where a line
 * runs all day.
 */

/** m/s in a foot a second, exact. */
const FT_S = 0.3048
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
  if (!isUs(asked)) return { limit: 1, source: 'DVGW W 553: 1 m/s in a loop at most, 0.5 usual' }
  if (asked.pipe.family === 'copper' && asked.temperature <= HOT_C)
    return { limit: 3 * FT_S, source: 'typical, practice for copper in a loop to 60 °C: 3 ft/s' }
  const what = asked.pipe.family === 'copper' ? 'copper in a loop above 60 °C' : 'plastic in a loop'
  return { limit: 2 * FT_S, source: `typical, practice for ${what}: 2 ft/s` }
}

const QUIET: VelocityLimit = { limit: 1, source: 'typical, heating stays quiet to about 1 m/s; 0.3 to 1.5 is met' }

/** Copper in the United States by temperature. */
function usCopper(temperature: number): VelocityLimit {
  if (temperature <= COLD_C) return { limit: 8 * FT_S, source: 'copper tube practice, cold: 8 ft/s' }
  return temperature <= HOT_C
    ? { limit: 5 * FT_S, source: 'copper tube practice, hot to 60 °C: 5 ft/s' }
    : { limit: 2.5 * FT_S, source: 'copper tube practice, above 60 °C: 2 to 3 ft/s' }
}

/** What a material takes at most wherever it is laid, m/s: typical, makers and practice; null where none is held. */
function byMaterial({ pipe, temperature }: Asked): VelocityLimit | null {
  const typical = (limit: number, what: string) => ({ limit, source: `typical, practice for ${what}` })
  switch (pipe.family) {
    case 'pex':
    case 'pert':
      return typical(8 * FT_S, 'PEX: 8 ft/s')
    case 'cpvc':
      return typical(8 * FT_S, 'CPVC: 8 ft/s; 5 to 10 is met')
    case 'pvc':
      return typical(5 * FT_S, 'PVC: 5 ft/s')
    case 'pe':
      return typical(1.8, 'polyethylene: 1.8 m/s')
    case 'bs7291':
      return typical(2.5, 'plastic to BS 7291: 2.5 m/s')
    case 'multilayer':
      return typical(2.25, 'multilayer: 2.25 m/s')
    case 'pp-r':
      return typical(2, 'PP-R: 2 m/s')
    case 'stainless':
      return typical(3, 'stainless: 3 m/s')
    case 'steel':
      return temperature <= COLD_C
        ? typical(2.2, 'galvanised steel, cold: 2.2 m/s')
        : typical(1.5, 'galvanised steel, hot: 1.5 m/s')
    default:
      return null
  }
}

const EN_806_3: VelocityLimit = {
  limit: 2,
  source: 'typical, EN 806-3: 2 m/s; to a single outlet 4; British practice 3 at 10 °C falling to 2 at 90',
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
  return least ?? { limit: 8 * FT_S, source: 'ours: as for PEX, 8 ft/s' }
}
