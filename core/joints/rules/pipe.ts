import { HAZARDS, seriesOf, type Pipe } from '#core/catalogue'
import { perRegion, temperature as degrees, w } from '#core/speech'
import type { Situation, Tube } from '../types'
import { care, held, note, refusal, type ConcernRule, type RefusalRule } from './rule'

/* What is true of a pipe whatever joins it: tube and threaded pipe alike. */

/** Tube with a chlorine digit in its print. */
export const needsChlorine = ({ series }: Pipe): boolean => series === 'pex-cts' || series === 'pert-cts'

/** Greatest lasting temperature of a class of use, degC, and what water it is for. EN ISO 10508. */
const CLASSES: Readonly<Record<string, { most: number; water: 'hot' | 'heating' }>> = {
  '1': { most: 60, water: 'hot' },
  '2': { most: 70, water: 'hot' },
  '4': { most: 60, water: 'heating' },
  '5': { most: 80, water: 'heating' },
}

/** Why no class in the print takes this water; null where one does, or none is read. */
function classReason({ class: printed, pipe }: Tube, { conditions }: Situation): string | null {
  const { service, temperature } = conditions
  if (printed === undefined || !seriesOf(pipe.series).plastic || service === 'cold' || service === 'buried') return null
  const read = [...printed.matchAll(/(?<![\d.])[1245](?![\d.])/g)].map(([digit]) => digit)
  if (read.length === 0) return null
  const takes = (digit: string): boolean => {
    const { most, water } = CLASSES[digit]!
    return most >= temperature && (service === 'heating' || water === 'hot')
  }
  if (read.some(takes)) return null
  const [digit] = read as [string, ...string[]]
  const { most, water } = CLASSES[digit]!
  return service !== 'heating' && water === 'heating'
    ? `Class ${digit} is for heating water: its print has no class for hot water at the ${w.tap}.`
    : `Class ${digit} is for ${degrees(most)}. The line runs at ${degrees(temperature)}.`
}

/** Plastics that carry no warm water. */
const COLD_ONLY: Readonly<Partial<Record<Pipe['family'], string>>> = { pvc: 'PVC', pe: 'PE', vinyl: 'Vinyl' }

/** Services a pipe is not used for, whatever joins it. Asked of tube and of threaded pipe alike. */
export const PIPE_REFUSALS: readonly RefusalRule[] = [
  refusal(
    'service',
    `its print or ${w.colour} says gas`,
    'It is marked for gas. Gas is for a registered person only.',
    'ASTM D2513, EN 1555; GSIUR 1998, IFGC',
    ({ madeFor }) => madeFor === 'gas',
  ),
  refusal(
    'service',
    `its print or ${w.colour} says fire sprinkler`,
    'It is marked for fire sprinklers. Leave it: water supply is not taken from it.',
    'trade practice',
    ({ madeFor }) => madeFor === 'sprinkler',
  ),
  refusal(
    'service',
    'plastic without an oxygen barrier is on heating',
    'No oxygen barrier: it lets air into the water and rusts every steel part of the heating.',
    'DIN 4726, EN 1264-4',
    ({ pipe, barrier }, { conditions }) =>
      conditions.service === 'heating' && seriesOf(pipe.series).plastic && barrier === false,
  ),
  refusal(
    'service',
    'copper type M lies in the ground',
    'Type M is kept out of the ground: its wall is thin. Stricter than the model code.',
    'UPC 604.3',
    ({ pipe }, { conditions }) => conditions.service === 'buried' && pipe.series === 'cu-m',
  ),
  refusal(
    'service',
    'PVC, PE or vinyl carries anything but cold water',
    'It carries cold water only.',
    'IPC 605; EN 12201',
    ({ pipe }, { conditions }) =>
      COLD_ONLY[pipe.family] !== undefined && conditions.service !== 'cold' && conditions.service !== 'buried'
        ? `${COLD_ONLY[pipe.family]} carries cold water only.`
        : null,
  ),
  refusal(
    'service',
    'vinyl tube is under the pressure of the house',
    'Vinyl tube creeps off its joint under constant house pressure. Polyethylene or copper tube of the same outside instead.',
    'typical, trade practice',
    ({ pipe }, { conditions }) => pipe.family === 'vinyl' && conditions.pressure > 0,
  ),
  refusal(
    'service',
    'the class in its print is for a lesser temperature, or for heating water, and hot water runs in it',
    'The class in its print is not made for this.',
    'EN ISO 10508',
    classReason,
  ),
  refusal(
    'service',
    `${w.galvanised} steel lies in the ground and carries drinking water`,
    `${w.Galvanised} steel is not laid in the ground for drinking water: the soil eats it from outside.`,
    'IPC 605, UPC 604; WS(WF)R 1999',
    ({ pipe }, { conditions }) => pipe.family === 'steel' && conditions.service === 'buried' && conditions.drinking,
  ),
  refusal(
    'service',
    'CPVC is on heating',
    `CPVC is for water at the ${w.tap}, not for a heating circuit: glycol and inhibitors crack it.`,
    'typical, makers',
    ({ pipe }, { conditions }) => pipe.family === 'cpvc' && conditions.service === 'heating',
  ),
  refusal(
    'service',
    'thin carbon steel carries anything but heating water',
    'Carbon-steel press tube is for closed, treated heating only.',
    'EN 10305-3; makers',
    ({ pipe }, { conditions }) => pipe.series === 'cs-en' && conditions.service !== 'heating',
  ),
  refusal(
    'service',
    'the PEX code of the print begins with 0, and hot water runs round all the time',
    'Its print says 0 for chlorine: not for hot water that runs round all the time.',
    'ASTM F876',
    ({ pipe, chlorine }, { conditions }) =>
      conditions.service === 'recirculation' && needsChlorine(pipe) && chlorine === 0,
  ),
  refusal(
    'drinking',
    'copper type M would carry drinking water, and the job refuses it',
    'The job refuses type M for drinking water: the thin wall wears under velocity. Some codes allow it.',
    "UPC 604.3, IPC 605; the job's policy",
    ({ pipe }, { conditions, policy }) =>
      pipe.series === 'cu-m' && conditions.drinking && policy.typeMDrinking === 'refused',
  ),
  refusal(
    'drinking',
    'thin carbon steel would carry drinking water',
    'Carbon steel is never used for drinking water: it rusts.',
    'EN 10305-3; makers',
    ({ pipe }, { conditions }) => pipe.series === 'cs-en' && conditions.drinking,
  ),
  refusal(
    'drinking',
    `its print or ${w.colour} says reclaimed water`,
    'It is marked for reclaimed water: never for drinking.',
    'IPC 605; trade practice',
    ({ madeFor }, { conditions }) => madeFor === 'reclaimed' && conditions.drinking,
  ),
  refusal(
    'drinking',
    'its print lists it for heating only',
    'Its print lists it for heating only: not for drinking water without NSF-pw or 61.',
    'NSF 14',
    ({ madeFor }, { conditions }) => madeFor === 'heating' && conditions.drinking,
  ),
]

/** How far from what heats the water plastic begins, in the words of each region: typical, makers differ. */
const METAL_FIRST = perRegion({
  us: '18 in (457 mm) from a heater or boiler',
  gb: `${w.metre} from a boiler or heater (350 mm where its maker agrees)`,
  eu: `${w.metre} from a heat generator`,
})

/** What is asked for on every pipe end, whatever joins it; threaded pipe too. */
export const PIPE_CONCERNS: readonly ConcernRule[] = [
  care(
    'boiler-metre',
    'plastic is on heating',
    `Plastic on heating: keep the first ${METAL_FIRST} in metal.`,
    'BS 7291, UPC 604; makers',
    ({ pipe }, { conditions }) => conditions.service === 'heating' && seriesOf(pipe.series).plastic,
  ),
  note(
    'heater-metal',
    'plastic carries hot water',
    `Keep the first ${METAL_FIRST} in metal.`,
    'UPC 604, BS 7291; makers',
    ({ pipe }, { conditions }) =>
      (conditions.service === 'hot' || conditions.service === 'recirculation') && seriesOf(pipe.series).plastic,
  ),
  held('gas', HAZARDS.gas.when, HAZARDS.gas.text, HAZARDS.gas.source, ({ traced }) => traced === 'unknown'),
  care(
    'reclaimed',
    'reclaimed water is joined on',
    'Reclaimed water: mark it, and never join it to drinking water.',
    'IPC 605; trade practice',
    ({ madeFor }, { conditions }) => madeFor === 'reclaimed' && !conditions.drinking,
  ),
]
