import {
  FAMILY_WORDS,
  joinsKind,
  findSocket,
  HAZARDS,
  hazardOf,
  jointRating,
  PIPES,
  pipeRating,
  seriesOf,
  socketDepth,
  type Pipe,
  type SocketMethod,
} from '#core/catalogue'

import { about, diameter, length, pressure as pressureWords, temperature as degrees, w } from '#core/speech'
import { alongOf, drawBackOf } from '../play'
import type { Situation, Tube } from '../types'
import { isListed, ownRating, printsListing } from './common'
import { needsChlorine, PIPE_CONCERNS, PIPE_REFUSALS } from './pipe'
import { care, held, note, refusal, school, type ConcernRule, type RefusalRule, type RuledMethod } from './rule'

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
    return `${capital(method.words)} fittings go up to ${diameter(near.od)}. This pipe is ${diameter(pipe.od)}.`
  const why =
    method.id === 'solder'
      ? 'Capillarity needs the right gap all round'
      : 'The seal and grip are made for one diameter only'
  return `Made for ${diameter(near.od)}. This pipe is ${diameter(pipe.od)}, ${diameter(Math.abs(off))} ${off < 0 ? 'under' : 'over'}. ${why}.`
}

function ratingReason(tube: Tube, { conditions }: Situation, method: RuledMethod): string | null {
  const { pipe } = tube
  const socket = findSocket(method.id, pipe)
  const { temperature, pressure } = conditions
  const own = ownRating(tube, conditions)
  if (own.kind === 'beyond' && seriesOf(pipe.series).plastic)
    return `No rating for ${FAMILY_WORDS[pipe.family]} at ${degrees(temperature)}. It is not made for that heat.`
  const over = ({ bar, tempC }: { bar: number; tempC: number }) => {
    return `takes ${pressureWords(bar, [pressure])} at ${degrees(tempC)}. The line runs at ${pressureWords(pressure, [bar])}.`
  }
  if (own.kind === 'rated' && own.bar < pressure) return `The pipe ${over(own)}`
  const joint = socket && jointRating(socket, pipe, temperature)
  if (joint?.kind === 'beyond' && !method.sealsOnMetal)
    return `No rating for a ${method.words} joint at ${degrees(temperature)}.`
  if (joint?.kind === 'rated' && joint.bar < pressure) return `The joint ${over(joint)}`
  return null
}

/** A barb has no way to slide: what is done instead. */
const NO_SLIP =
  'No slip coupling is made of it: flex an end aside and over the barb, ' +
  'take a slip coupling of another kind, or put in a piece by two joints.'
const isInsert = ({ drawing }: RuledMethod): boolean => drawing.mouth.startsWith('barb')

function playReason({ pipe }: Tube, { conditions }: Situation, method: RuledMethod): string | null {
  const play = alongOf(conditions)
  const socket = findSocket(method.id, pipe)
  if (play === null || !socket) return null
  const depth = drawBackOf(method.id, pipe)
  // Without a depth nobody can say that the pipe goes in at no play at all.
  const need = depth ?? 0
  if (play >= need && !(depth === null && play === 0)) return null
  const short = `The pipe has to be drawn back ${length(need, [play])} to enter. There is ${length(play, [need])}.`
  return isInsert(method) ? `${short} ${NO_SLIP}` : short
}

function toolReason({ pipe }: Tube, { kit: { tools } }: Situation, method: RuledMethod): string | null {
  if (tools === undefined || method.byHand) return null
  const tool = tools.find(({ method: id }) => id === method.id)
  if (!tool) return `No ${method.words} tool on the ${w.van}.`
  const nominal = findSocket(method.id, pipe)?.fittingNominal
  return tool.sizes === undefined || nominal === undefined || tool.sizes.includes(nominal)
    ? null
    : `The ${method.words} tool on the ${w.van} has no ${nominal}. It has ${tool.sizes.join(', ') || 'no sizes'}.`
}

export function familyReason({ pipe }: Tube, method: RuledMethod): string {
  const hazard = hazardOf(pipe)
  return hazard
    ? HAZARDS[hazard].refusal!
    : `${capital(method.words)} joins ${method.takes}. This is ${FAMILY_WORDS[pipe.family]}.`
}

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
    (tube, _, method) => !joinsKind(method.id, tube.pipe) && familyReason(tube, method),
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
  refusal(
    'tool',
    `the tool or its size is not on the ${w.van}`,
    `The tool is not on the ${w.van}.`,
    `the ${w.van}'s kit`,
    toolReason,
  ),
  refusal(
    'no-figure',
    'the method is made in this size, but no figure is held',
    'No checked figure is held: measure the fitting.',
    'the tables',
    ({ pipe }, _, method) =>
      findSocket(method.id, pipe) ? null : `No checked figure for a ${method.words} joint on ${pipe.label}.`,
  ),
]

/** Straight, round pipe between the mark and a bend, mm: typical. */
const STRAIGHT: Readonly<Partial<Record<SocketMethod, number>>> = {
  'push-fit': 15,
  press: 10,
  crimp: 75,
  clamp: 75,
  expansion: 75,
}

/** How much of the pipe that is, with what stays straight behind it; nothing where no depth is held. */
function lengthOf({ pipe }: Tube, { id }: RuledMethod): string {
  const socket = findSocket(id, pipe)
  const depth = socket && socketDepth(socket).value
  if (depth === null) return ''
  const straight = STRAIGHT[id]
  return `, ${length(depth)}${straight === undefined ? '' : `, and ${about(straight)} more of it straight and round before a bend`}`
}

const METAL = 'bare metal for the whole depth'
/** Compression grips on chrome; solder does not mind a scratch, nor does what grips inside the tube. */
const MINDS_NOT: Readonly<Partial<Record<SocketMethod, readonly Tube['surface'][]>>> = {
  compression: ['plated'],
  solder: ['scored'],
}

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
    (tube, _, method) => {
      const { surface } = tube
      if (surface === undefined || surface === 'bare' || MINDS_NOT[method.id]?.includes(surface)) return null
      const whole = lengthOf(tube, method)
      if (surface === 'scored' || surface === 'corroded')
        return `The end is ${surface}: cut back to sound pipe for the whole depth${whole}.`
      const covered = surface === 'painted' ? 'painted or lacquered' : 'plated'
      return `The end is ${covered}: take it to ${METAL} first${whole}.`
    },
  ),
  note(
    'one-system',
    'British plastic pipe is joined',
    'Pipe, liner and fitting of one system: walls and liners differ between them. Say once in Kit which it is.',
    'BS 7291; makers',
    ({ pipe }, { policy: { plasticSystem } }) => {
      if (pipe.family !== 'bs7291') return null
      return plasticSystem === '' ? true : `Pipe, liner and fitting all of ${plasticSystem}: walls and liners differ.`
    },
  ),
  school(
    'scored',
    'the end of plastic pipe is scored',
    'Cut back to unmarked pipe is taken here. Others scrape a shallow score out, square and all round: only where no seal lies over it, since a flat under a seal leaks.',
    'typical, trade practice',
    ({ pipe, surface }) => surface === 'scored' && seriesOf(pipe.series).plastic,
  ),
  note(
    'sound-metal',
    'the end is corroded metal',
    'Cut back a little at a time until the cut shows full wall all round and no pit lies in the depth; measure how far that was. Where none is reached, make it temporary, with the day it is come back to.',
    'trade practice',
    ({ pipe, surface }) => surface === 'corroded' && !seriesOf(pipe.series).plastic,
  ),
  care(
    'bare-buried',
    'copper lies in the ground, and the job is not in the US',
    'House copper is thin and never lies bare in the ground: plastic-coated tube, or wrapped for its whole length, joints and all.',
    'WS(WF)R 1999 sch 2; EN 1057',
    ({ pipe }, { region, conditions }) =>
      conditions.service === 'buried' && pipe.family === 'copper' && region !== 'us',
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
        : `No rating held for ${tube.pipe.label} at ${degrees(conditions.temperature)}; the joint's own decides.`,
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
