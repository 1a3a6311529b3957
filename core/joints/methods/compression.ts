import { isSmallPlastic, seriesOf, findSocket, tubeInsert, tubeNut } from '#core/catalogue'
import { formatDecimal, formatLength } from '#core/units'
import { about, w } from '#core/speech'
import { cut, deburr, hasLiner, liner, mark, ream, rounded, system, turnsAsk } from '../card/draft'
import { nutTurns, NUT_TURNS_INCH, NUT_TURNS_PLASTIC } from '../card/facts'
import { step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { BOOKED, IN_GROUND, isInGround, isSoft, mayBeSoft, nutsInReach, TWO_SPANNERS } from '../rules/common'
import { care, note, refusal, school } from '../rules/rule'
import type { Part, Tube } from '../types'
import type { JointMethod } from './types'
import { nutApart } from '../card/apart'

const socketOf = ({ pipe }: Tube) => findSocket('compression', pipe)
/** Thin soft tube; coil called by its outside is thick for its size. */
const wantsSleeve = (tube: Tube): boolean => isSoft(tube) && tube.pipe.series !== 'cu-od'
const isOld = ({ pipe }: Tube): boolean => seriesOf(pipe.series).sizing === 'bs-bore'

/** Small tube called by its outside, plastic: insert inside, plastic ring outside. */
const isSmall = ({ pipe }: Pick<Tube, 'pipe'>): boolean => isSmallPlastic(pipe)

function smallParts({ pipe: { nominal } }: Tube): Part[] {
  return [
    { kind: 'liner', name: 'tube insert', size: `${nominal} OD`, quantity: 1 },
    { kind: 'olive', name: `plastic ${w.olive}`, size: `${nominal} OD`, quantity: 1 },
  ]
}

const looseParts = (tube: Tube): Part[] => {
  if (isSmall(tube)) return smallParts(tube)
  if (tube.pipe.family === 'pex' || tube.pipe.family === 'bs7291')
    return [
      { kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 },
      // A body comes with a brass olive, or one for metal: plastic takes its own.
      ...(tube.pipe.family === 'bs7291'
        ? [{ kind: 'olive' as const, name: `copper ${w.olive}`, size: tube.pipe.nominal, quantity: 1 }]
        : []),
    ]
  const socket = findSocket('compression', tube.pipe)
  const sleeve: Part[] = wantsSleeve(tube)
    ? [{ kind: 'sleeve', name: 'support sleeve', size: tube.pipe.nominal, quantity: 1 }]
    : []
  return [...sleeve, ...oliveOf(tube, socket)]
}

function oliveOf(tube: Tube, socket: ReturnType<typeof socketOf>): Part[] {
  return socket?.converterOlive
    ? [
        {
          kind: 'olive',
          name: `converter ${w.olive}`,
          size: `${socket.fittingNominal} x ${tube.pipe.nominal} in`,
          quantity: 1,
        },
      ]
    : []
}

function oliveWords({ pipe }: Card): string {
  if (isSmall({ pipe })) return `Slide the plastic ${w.olive} on: not a brass one, which cuts into plastic tube`
  if (findSocket('compression', pipe)?.converterOlive) return `Slide on the ${w.olive} made for old ${pipe.nominal} in`
  return pipe.family === 'bs7291'
    ? `Slide a copper ${w.olive} on, dry: not a brass one`
    : `Slide the ${w.olive} on, dry`
}

const isInch = ({ pipe, fittingNominal }: Card): boolean => pipe.family === 'copper' && fittingNominal.includes('/')

function turnsFor(card: Card): { lo: number; hi: number } {
  if (card.pipe.family !== 'copper') return NUT_TURNS_PLASTIC
  return isInch(card) ? NUT_TURNS_INCH : nutTurns(Number(card.fittingNominal))
}

/** Thread of the nut for inch tube, which no tape goes on; nothing where none is held. */
function outsideNut(card: Card): string {
  const nut = isInch(card) || isSmall(card) ? tubeNut(card.fittingNominal) : null
  return nut ? `: ${nut.thread}, no tape on it, ${formatLength(nut.acrossMm, system(card))} across its flats` : ''
}

/** The insert of small tube goes in as far as the ring will grip. */
function linerOf(card: Card): DraftStep {
  const insert = tubeInsert(card.pipe)
  if (!insert?.value) return liner
  return {
    ...liner,
    do: `Push the insert in to its flange: ${formatLength(insert.value, system(card))} of it stands inside`,
    check: 'Flange flat on the tube end. Inserts are sold by the bore: walls of one outside differ.',
  }
}

const supportSleeve: DraftStep = {
  code: 'liner',
  do: 'Push the support sleeve into the soft tube, to its flange',
  why: `It rounds the end and keeps the ${w.olive} from crushing it.`,
  check: 'Flange flat on the tube end.',
}

function steps(card: Card): DraftStep[] {
  const { lo, hi } = turnsFor(card)
  const nut = outsideNut(card)
  return [
    cut(card),
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr(`The ${w.olive} has to slide on.`),
    {
      code: 'clean',
      do: rounded(card, 'Clean bright and dry for the whole depth'),
      check: `Round, no score under the ${w.olive}.`,
    },
    {
      code: 'nut',
      do: `Slide the nut on, thread to the end${nut}`,
      why: `It cannot follow once the ${w.olive} is on.`,
      check: `It runs back ${about(20, 30)} behind its place: a clip or bend there stops it.`,
    },
    { code: 'olive', do: oliveWords(card) },
    ...(hasLiner(looseParts(card.tube)) ? [linerOf(card)] : []),
    ...(wantsSleeve(card.tube) ? [supportSleeve] : []),
    mark(card),
    {
      code: 'insert',
      do: 'Push the pipe to the stop and hold it there',
      check: 'Mark at the face of the nut when it is run up by hand.',
    },
    {
      code: 'tighten',
      do: `Hold the body. Nut hand tight, then ${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)} turns`,
      why: `By the fitting's own paper first. Too tight pinches the tube.${isInch(card) ? ' Charts of industrial makers say up to 2-1/4: on plumbing brass that splits nuts, so stop when it is dry.' : ''} ${w.AnOlive} used before: hand tight and a quarter.`,
      check: 'Draw a line across nut and body.',
      caution: `One ${w.spanner} on the body, the other on its nut, never on the other nut; ${about(150, 250)} long, for a longer one over-tightens. A body too short to hold: a thin ${w.spanner} on its flats.`,
      ...turnsAsk('Turns past hand tight', { lo, hi }),
    },
    { code: 'check', do: 'Under pressure: if it weeps, a quarter turn more, once', isUnderWater: true },
  ]
}

export const compression: JointMethod = {
  id: 'compression',
  words: 'compression',
  takes: 'copper, and plastic tube with a liner',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [
    refusal('service', IN_GROUND, 'A type A compression joint is not for the ground.', 'WS(WF)R 1999', isInGround),
    nutsInReach('A compression joint stays in reach. Hidden only as a temporary repair that is booked.'),
    TWO_SPANNERS,
  ],
  concerns: [
    BOOKED,
    care(
      'converter-olive',
      'old 3/4, 1-1/4 or 1-1/2 in copper enters a metric body',
      `Needs ${w.anOlive} made for the old size: the metric one is too large. Some use a converter fitting instead.`,
      'BS 659, EN 1254-2',
      (tube) =>
        isOld(tube) && socketOf(tube)?.converterOlive === true
          ? `Needs ${w.anOlive} made for old ${tube.pipe.nominal} in: the ${socketOf(tube)!.fittingNominal} one is too large. Some use a converter fitting instead.`
          : null,
    ),
    care(
      'near-match',
      'old 3/8, 1/2, 1 or 2 in copper enters a metric body',
      'Near enough for compression, and only for that. Measure round; clean to bare copper.',
      'BS 659, EN 1254-2',
      (tube) =>
        isOld(tube) && socketOf(tube)?.converterOlive === false
          ? `Old ${tube.pipe.nominal} in enters a ${socketOf(tube)!.fittingNominal} compression body. Measure round; clean to bare copper.`
          : null,
    ),
    care(
      'support-sleeve',
      `soft copper is joined by ${w.anOlive}`,
      'Soft thin tube wants a support sleeve inside: it is counted with the parts.',
      'EN 1254-2',
      wantsSleeve,
    ),
    care(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft and wants a support sleeve inside.',
      'EN 1254-2',
      mayBeSoft,
    ),
    care(
      'retighten',
      `PEX is joined by ${w.anOlive}`,
      'Plastic creeps: liner in, and nip the nut again after a day and after the first heat.',
      'typical, trade practice',
      ({ pipe }) => pipe.family === 'pex',
    ),
    note(
      'retighten',
      `small plastic tube is joined by ${w.anOlive}`,
      `Insert in, plastic ${w.olive} on, the nut nipped again after a day: plastic creeps. Some use a brass ${w.olive} over the insert; plastic is taken here, since brass cuts in as the tube gives.`,
      'typical, trade practice',
      isSmall,
    ),
    school(
      'dry-olive',
      'a compression joint is made',
      `Dry on the ${w.olive} is the maker's rule; a smear of potable paste is a school on metal only.`,
      'typical, trade practice',
    ),
  ],
  looseParts: looseParts,
  consumables: (tube, fittingNominal) => {
    const own = looseParts(tube).find(({ kind }) => kind === 'olive')
    return [{ item: own ? `${own.name} ${own.size}` : `${w.olive} ${fittingNominal}`, quantity: 1, unit: 'piece' }]
  },
  order: 17,
  minutes: { work: 3, wait: 0 },
  price: { low: 0.8, high: 2.2 },
  spoken: ['compression', 'comp'],
  isSuggested: true,
  looks: ['mark', 'liner', 'olive', 'metals'],
  weeps: { once: 'A quarter turn more, once, body held.', then: 'Then cut back and make it anew.' },
  apart: nutApart(
    `${w.AnOlive} that turns on the pipe or is scored: slit it off along the pipe with ${w.anOlive} cutter, and leave no groove`,
    `Seat of the body smooth, nut runs free by hand. The ${w.olive} stays with its pipe and goes back into the same body`,
  ),
  drawing: { mouth: 'nut', material: 'brass', wall: 0.22 },
  isNamedByOutside: true,
  closer: 'stop-end',
  valves: ['ball', 'gate', 'stop', 'service', 'check', 'drain', 'angle', 'straight', 'regulator'],
  bareBetweenMm: 0,
  hasSwivel: true,
  slips: true,
  hasDropEar: true,
  remedies: {
    check: step(
      `A quarter turn more, once. If it still weeps, take it apart: a new ${w.olive} on a fresh end, nothing on it`,
    ),
    tighten: step(
      `Weeping, a quarter turn more. If it still weeps, take it apart: a new ${w.olive} on a fresh end, nothing on it`,
    ),
    insert: step('Slacken, push to the stop, run the nut up by hand and look at the mark again'),
  },
  steps,
}
