import {
  FAMILY_WORDS,
  familiesOf,
  findSocket,
  HAZARDS,
  hazardOf,
  jointRating,
  PIPES,
  pipeRating,
  seriesOf,
  socketDepth,
  unitSystemOf,
  type Pipe,
  type SocketMethod,
} from '#core/catalogue'
import { decimalsApart, formatDecimal, formatLength } from '#core/units'
import { COMPRESSION_PLAY } from '../prices-and-play'
import { alongOf } from '../play'
import type { Situation, Tube } from '../types'
import { isListed, ownRating, printsListing } from './common'
import { care, held, note, refusal, type ConcernRule, type RefusalRule, type RuledMethod } from './rule'

/*
 * Rules that hold for every method, or for a pipe whatever joins it. Asked of one tube end; ways, cards and looks at a
 * joint all ask these same ones.
 */

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** The size of fitting a hand would reach for: nearest outside diameter the method is made for. */
function nearestMade(method: SocketMethod, pipe: Pipe): Pipe | undefined {
  return PIPES.filter((other) => other.family === pipe.family && findSocket(method, other)).sort(
    (a, b) => Math.abs(a.od - pipe.od) - Math.abs(b.od - pipe.od),
  )[0]
}

/** A size the table has rows both above and below of: made, but nobody has a figure. */
function isBetweenRows(method: SocketMethod, pipe: Pipe): boolean {
  const made = PIPES.filter((other) => other.series === pipe.series && findSocket(method, other))
  return made.some((other) => other.od < pipe.od) && made.some((other) => other.od > pipe.od)
}

function sizeReason({ pipe }: Tube, _: Situation, method: RuledMethod): string | null {
  if (findSocket(method.id, pipe) || isBetweenRows(method.id, pipe)) return null
  const near = nearestMade(method.id, pipe)
  if (!near) return `No ${method.words} fitting is made for ${pipe.label}.`
  const off = pipe.od - near.od
  if (Math.abs(off) > 3)
    return `${capital(method.words)} fittings go up to ${formatDecimal(near.od, 2)}. This pipe is ${formatDecimal(pipe.od, 2)}.`
  const why =
    method.id === 'solder'
      ? 'Capillarity needs the right gap all round'
      : 'The seal and grip are made for one diameter only'
  return `Made for ${near.od.toFixed(2)}. This pipe is ${pipe.od.toFixed(2)}, ${formatDecimal(Math.abs(off), 2)} ${off < 0 ? 'under' : 'over'}. ${why}.`
}

function ratingReason(tube: Tube, { conditions }: Situation, method: RuledMethod): string | null {
  const { pipe } = tube
  const socket = findSocket(method.id, pipe)
  const { temperature, pressure } = conditions
  const own = ownRating(tube, conditions)
  if (own.kind === 'beyond' && seriesOf(pipe.series).plastic)
    return `No rating for ${FAMILY_WORDS[pipe.family]} at ${temperature} °C. It is not made for that heat.`
  const over = ({ bar, tempC }: { bar: number; tempC: number }) => {
    const words = decimalsApart([bar, pressure], 1)
    return `takes ${words(bar)} bar at ${tempC} °C. The line runs at ${words(pressure)}.`
  }
  if (own.kind === 'rated' && own.bar < pressure) return `The pipe ${over(own)}`
  const joint = socket && jointRating(socket, pipe, temperature)
  if (joint?.kind === 'beyond' && !method.sealsOnMetal)
    return `No rating for a ${method.words} joint at ${temperature} °C.`
  if (joint?.kind === 'rated' && joint.bar < pressure) return `The joint ${over(joint)}`
  return null
}

function playReason({ pipe }: Tube, { conditions }: Situation, method: RuledMethod): string | null {
  const play = alongOf(conditions)
  const socket = findSocket(method.id, pipe)
  if (play === null || !socket) return null
  const depth =
    method.id === 'compression'
      ? (COMPRESSION_PLAY[socket.fittingNominal] ?? socketDepth(socket).value)
      : socketDepth(socket).value
  // Without a depth nobody can say that the pipe goes in at no play at all.
  const need = depth ?? 0
  if (play >= need && !(depth === null && play === 0)) return null
  const words = decimalsApart([need, play], 1)
  return `The pipe has to be drawn back ${words(need)} to enter. There is ${words(play)}.`
}

function toolReason({ pipe }: Tube, { kit: { tools } }: Situation, method: RuledMethod): string | null {
  if (tools === undefined || method.byHand) return null
  const tool = tools.find(({ method: id }) => id === method.id)
  if (!tool) return `No ${method.words} tool on the van.`
  const nominal = findSocket(method.id, pipe)?.fittingNominal
  return tool.sizes === undefined || nominal === undefined || tool.sizes.includes(nominal)
    ? null
    : `The ${method.words} tool on the van has no ${nominal}. It has ${tool.sizes.join(', ') || 'no sizes'}.`
}

export function familyReason({ pipe }: Tube, method: RuledMethod): string {
  const hazard = hazardOf(pipe)
  return hazard
    ? HAZARDS[hazard].refusal!
    : `${capital(method.words)} joins ${method.takes}. This is ${FAMILY_WORDS[pipe.family]}.`
}

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
    ? `Class ${digit} is for heating water: its print has no class for hot water at the tap.`
    : `Class ${digit} is for ${most} °C. The line runs at ${temperature}.`
}

/** Services a pipe is not used for, whatever joins it. Asked of tube and of threaded pipe alike. */
export const PIPE_REFUSALS: readonly RefusalRule[] = [
  refusal(
    'service',
    'its print or colour says gas',
    'It is marked for gas. Gas is for a registered person only.',
    'ASTM D2513, EN 1555; GSIUR 1998, IFGC',
    ({ madeFor }) => madeFor === 'gas',
  ),
  refusal(
    'service',
    'its print or colour says fire sprinkler',
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
    'PVC or PE carries anything but cold water',
    'It carries cold water only.',
    'IPC 605; EN 12201',
    ({ pipe }, { conditions }) =>
      (pipe.family === 'pvc' || pipe.family === 'pe') &&
      conditions.service !== 'cold' &&
      conditions.service !== 'buried'
        ? `${pipe.family === 'pvc' ? 'PVC' : 'PE'} carries cold water only.`
        : null,
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
    'galvanised steel lies in the ground and carries drinking water',
    'Galvanised steel is not laid in the ground for drinking water: the soil eats it from outside.',
    'IPC 605, UPC 604; WS(WF)R 1999',
    ({ pipe }, { conditions }) => pipe.family === 'steel' && conditions.service === 'buried' && conditions.drinking,
  ),
  refusal(
    'service',
    'CPVC is on heating',
    'CPVC is for water at the tap, not for a heating circuit: glycol and inhibitors crack it.',
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
    'its print or colour says reclaimed water',
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

/** Tube with a chlorine digit in its print. */
const needsChlorine = ({ series }: Pipe): boolean => series === 'pex-cts' || series === 'pert-cts'
/** Tube whose class or listing says whether hot water may run round in it all the time. */
const NEEDS_CLASS: ReadonlySet<Pipe['family']> = new Set<Pipe['family']>([
  'pex',
  'bs7291',
  'multilayer',
  'cpvc',
  'pp-r',
])
const isLoop = ({ conditions }: Situation): boolean => conditions.service === 'recirculation'

/** Every rule of a tube end that no method has for itself. */
export const SHARED_REFUSALS: readonly RefusalRule[] = [
  refusal(
    'family',
    'the method is not made for this kind of pipe, or the pipe is left alone',
    'The method is not made for this kind of pipe.',
    'the standards of the fittings',
    (tube, _, method) => !familiesOf(method.id).includes(tube.pipe.family) && familyReason(tube, method),
  ),
  refusal(
    'size',
    'no fitting of the method is made for this outside diameter',
    'Fittings go by outside diameter, never by a near one.',
    'the standards of the fittings',
    sizeReason,
  ),
  refusal(
    'pex-type',
    "the print lists fitting standards, and not this method's",
    'Its print does not list this fitting.',
    'ASTM F876',
    (tube, _, { listings }) =>
      listings !== undefined && tube.listing !== undefined && printsListing(tube) && !isListed(tube, listings)
        ? `Its print does not list ${listings.join(' or ')}: a code that is not there is not listed.`
        : null,
  ),
  refusal(
    'rating',
    'pipe or joint takes less than the pressure at this temperature, or has no rating there',
    'Pipe or joint is not rated for this.',
    'the rating tables of pipe and joint',
    ratingReason,
  ),
  ...PIPE_REFUSALS,
  refusal(
    'flame',
    'no flame is allowed',
    'No flame is allowed here.',
    'the job',
    (_, { conditions }, method) => conditions.noFlame && method.needsFlame,
  ),
  refusal(
    'play',
    'the pipes cannot be drawn apart far enough to enter',
    'The pipe has to be drawn back to enter.',
    'geometry',
    playReason,
  ),
  refusal(
    'undo',
    'the joint has to come apart, and this one does not',
    'It does not come apart again.',
    'trade practice',
    (_, { conditions }, method) => conditions.mustUndo && !method.comesApart,
  ),
  refusal('tool', 'the tool or its size is not on the van', 'The tool is not on the van.', "the van's kit", toolReason),
  refusal(
    'no-figure',
    'the method is made in this size, but no figure is held',
    'No checked figure is held: measure the fitting.',
    'the tables',
    ({ pipe }, _, method) =>
      findSocket(method.id, pipe) ? null : `No checked figure for a ${method.words} joint on ${pipe.label}.`,
  ),
]

/** How far from what heats the water plastic begins, in the words of each region: typical, makers differ. */
const METAL_FIRST: Readonly<Record<Situation['region'], string>> = {
  us: '18 in (457 mm) from a heater or boiler',
  gb: 'metre from a boiler or heater (350 mm where its maker agrees)',
  eu: 'metre from a boiler or heater',
}

/** Straight, round pipe between the mark and a bend, mm: typical. */
const STRAIGHT: Readonly<Partial<Record<SocketMethod, number>>> = {
  'push-fit': 15,
  press: 10,
  crimp: 75,
  clamp: 75,
  expansion: 75,
}

/** How much of the pipe that is, with what stays straight behind it; nothing where no depth is held. */
function lengthOf({ pipe }: Tube, region: Situation['region'], { id }: RuledMethod): string {
  const socket = findSocket(id, pipe)
  const depth = socket && socketDepth(socket).value
  if (depth === null) return ''
  const words = (mm: number) => formatLength(mm, unitSystemOf(region))
  const straight = STRAIGHT[id]
  return `, ${words(depth)}${straight === undefined ? '' : `, and ${words(straight)} more of it straight and round before a bend`}`
}

const METAL = 'bare metal for the whole depth'
/** Compression grips on chrome; solder does not mind a scratch, nor does what grips inside the tube. */
const MINDS_NOT: Readonly<Partial<Record<SocketMethod, readonly Tube['surface'][]>>> = {
  compression: ['plated'],
  solder: ['scored'],
}

/** What is asked for on every pipe end, whatever joins it; threaded pipe too. */
export const PIPE_CONCERNS: readonly ConcernRule[] = [
  care(
    'boiler-metre',
    'plastic is on heating',
    'Plastic on heating: keep the first metre from the boiler in metal.',
    'BS 7291, UPC 604; makers',
    ({ pipe }, { conditions, region }) =>
      conditions.service === 'heating' && seriesOf(pipe.series).plastic
        ? `Plastic on heating: keep the first ${METAL_FIRST[region]} in metal.`
        : null,
  ),
  note(
    'heater-metal',
    'plastic carries hot water',
    'Keep the first stretch from a heater in metal.',
    'UPC 604, BS 7291; makers',
    ({ pipe }, { conditions, region }) =>
      (conditions.service === 'hot' || conditions.service === 'recirculation') && seriesOf(pipe.series).plastic
        ? `Keep the first ${METAL_FIRST[region]} in metal.`
        : null,
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

export const SHARED_CONCERNS: readonly ConcernRule[] = [
  ...PIPE_CONCERNS,
  held(
    'unknown-barrier',
    'plastic is on heating, and nobody has read whether it has an oxygen barrier',
    'Read the print: oxygen barrier, DIN 4726 or O2. Without one it rusts the steel parts of the heating.',
    'DIN 4726, EN 1264-4',
    ({ pipe, barrier }, { conditions }) =>
      conditions.service === 'heating' &&
      seriesOf(pipe.series).plastic &&
      (barrier === undefined || barrier === 'unknown'),
  ),
  held(
    'unknown-chlorine',
    'hot water runs round all the time, and nobody has read the PEX code',
    'Read the print: the first digit of the four-figure code must be 5 for constant recirculation. Then it fits.',
    'ASTM F876',
    ({ pipe, chlorine }, situation) =>
      isLoop(situation) && needsChlorine(pipe) && (chlorine === undefined || chlorine === 'unknown'),
  ),
  care(
    'chlorine-share',
    'hot water runs round, and the PEX code allows it for a part of the time',
    'Its code allows hot recirculation for half or a quarter of the time: put the pump on a timer.',
    'ASTM F876',
    ({ pipe, chlorine }, situation) =>
      isLoop(situation) && needsChlorine(pipe) && (chlorine === 3 || chlorine === 1)
        ? `Its code, ${chlorine}, allows hot recirculation ${chlorine === 3 ? 'half' : 'a quarter'} of the time: put the pump on a timer of that share.`
        : null,
  ),
  care(
    'class',
    'hot water runs round in plastic whose class or listing has not been read',
    'Constant recirculation: read on the pipe that its class or listing allows it, at this temperature.',
    'EN ISO 15875, EN ISO 21003, EN ISO 15874, BS 7291, ASTM D2846',
    ({ pipe, class: printed }, situation) =>
      isLoop(situation) && !needsChlorine(pipe) && NEEDS_CLASS.has(pipe.family) && printed === undefined,
  ),
  care(
    'surface',
    'the end is painted, plated, scored or corroded',
    `Bring it to ${METAL}, or cut back to where it is.`,
    'typical, trade practice',
    (tube, { region }, method) => {
      const { surface } = tube
      if (surface === undefined || surface === 'bare' || MINDS_NOT[method.id]?.includes(surface)) return null
      const length = lengthOf(tube, region, method)
      if (surface === 'scored' || surface === 'corroded')
        return `The end is ${surface}: cut back to sound pipe for the whole depth${length}.`
      const covered = surface === 'painted' ? 'painted or lacquered' : 'plated'
      return `The end is ${covered}: take it to ${METAL} first${length}.`
    },
  ),
  held(
    'unknown-temper',
    'soft tube would not take the pressure, and nobody has said whether it is soft',
    'Flex it: soft tube is not rated for this pressure.',
    'ASTM B88',
    ({ pipe, temper }, { conditions: { temperature, pressure } }) => {
      const soft = temper === 'unknown' ? pipeRating(pipe, temperature, 'soft') : null
      return pipe.family === 'copper' && soft?.kind === 'rated' && soft.bar < pressure
    },
  ),
  note(
    'rating-unknown',
    'no rating of the pipe or the joint is held at this temperature',
    "No rating is held: the fitting's own paper decides.",
    'the rating tables',
    (tube, { conditions }) =>
      ownRating(tube, conditions).kind === 'rated'
        ? null
        : `No rating held for ${tube.pipe.label} at ${conditions.temperature} °C; the joint's own decides.`,
  ),
  note(
    'rating-unknown',
    'no rating of the joint is held',
    "No rating is held for this joint: read the fitting's own.",
    'the rating tables',
    ({ pipe }, { conditions: { temperature } }, method) => {
      const socket = findSocket(method.id, pipe)
      return socket && jointRating(socket, pipe, temperature).kind !== 'rated'
        ? `No rating held for this ${method.words} joint: read the fitting's own.`
        : null
    },
  ),
]
