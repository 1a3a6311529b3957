import { findSocket, ringGauge, ringPosition, unitSystemOf, type Pipe } from '#core/catalogue'
import { JOINT_METHODS, type Situation, type Tube } from '#core/joints'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import {
  cementCure,
  CEMENT_HOLD_SECONDS,
  EXPANSION_HOLD_SECONDS,
  EXPANSION_STROKES,
  expansionShrink,
  NUT_TURNS_INCH,
  NUT_TURNS_PLASTIC,
  nutTurns,
  RING_OVER_END_MM,
  SLEEVE_GAP_MM,
  SOLDER_COOL_SECONDS,
  SOLDER_SET_SECONDS,
  tapeTurns,
} from './facts'
import type { Ask, MadeMethod, MakeQuestion, Mark, Near, Step } from './types'

/** A step as it is written here: its id is its code, but where that repeats. */
export type DraftStep = Omit<Step, 'id'> & { id?: string }

export interface Card {
  pipe: Pipe
  tube: Tube
  insertion: Mark
  fittingNominal: string
  situation: Situation
  question: MakeQuestion
}

/** Whether the joint is ordered with a liner for this end: then its card has the step. */
export const needsLiner = (method: Exclude<MadeMethod, 'thread' | 'union'>, tube: Tube): boolean =>
  JOINT_METHODS[method].looseParts(tube).some(({ kind }) => kind === 'liner')

const system = (card: Card): UnitSystem => unitSystemOf(card.question.region)
const depth = (card: Card): string =>
  card.insertion.fromEnd === null
    ? 'the depth you measured in the socket'
    : formatLength(card.insertion.fromEnd, system(card))

/** Air where the joint is made, degC: 20 where nobody said. */
export const AMBIENT_C = 20
const ambient = (card: Card): number => card.question.ambient ?? AMBIENT_C
const isNear = (card: Card, what: Near): boolean => card.question.near?.includes(what) ?? false
const isSoft = (card: Card): boolean => card.tube.temper === 'soft'
/** Soft tube comes off its coil oval, and no mouth takes that. */
const rounded = (card: Card, words: string): string =>
  isSoft(card) ? `Re-round the end with a former. ${words}` : words

const METALS: ReadonlySet<Pipe['family']> = new Set(['copper', 'stainless', 'steel'])

const cut = (card: Card): DraftStep =>
  METALS.has(card.pipe.family)
    ? {
        code: 'cut',
        do: 'Cut square with a wheel cutter',
        why: 'A slanted end leaves part of the socket empty.',
        caution: 'Swarf and the cut end are sharp.',
      }
    : {
        code: 'cut',
        do: 'Cut square with shears',
        why: 'A saw leaves fins that cut the seal.',
        check: 'Square to the eye all round.',
      }
const ream: DraftStep = {
  code: 'ream',
  do: 'Ream the inside',
  why: 'The burr narrows the bore and wears the pipe downstream.',
}
const deburr = (what: string): DraftStep => ({ code: 'deburr', do: 'Deburr the outside', why: what })
const mark = (card: Card): DraftStep => ({
  code: 'mark',
  do: `Mark ${depth(card)} from the end, right round`,
  why: 'The mark tells that it went home, and that it stayed.',
  check: card.insertion.fromEnd === null ? 'Offer the fitting alongside: no figure is held.' : undefined,
})
const liner: DraftStep = {
  code: 'liner',
  do: 'Push the liner in to its flange',
  why: 'Without it the soft pipe gives way under the grip.',
  check: 'Flange flat on the pipe end.',
}

/** What is kept from the heat, and what is opened, before the flame. */
function protection(card: Card): DraftStep {
  const wood = card.situation.conditions.combustibles
  return {
    code: 'protect',
    do: [
      'Open an outlet on both sides',
      ...(isNear(card, 'valve') ? ['open the valve, its washer out or a wet cloth round it'] : []),
      wood ? 'mat behind, wood damped' : 'mat behind',
      isNear(card, 'plastic') ? 'plastic off until it is cold' : 'seals and plastic away',
    ].join('; '),
    why: isNear(card, 'valve')
      ? 'A closed pipe blows the joint; a closed valve traps steam and burns its washer.'
      : 'A closed pipe blows the joint.',
    ...(wood ? { caution: 'Wood near: mat, damp cloth and extinguisher before the flame.' } : {}),
  }
}

function heating(card: Card, vertical: boolean): DraftStep {
  const isLarge = card.pipe.od >= 35
  return {
    code: 'heat',
    do: [
      vertical ? 'Heat the fitting, from below, all round' : 'Heat the fitting, low first, all round',
      ...(isLarge ? ['opposite sides in turn'] : []),
    ].join(', '),
    why: [
      isLarge ? 'A large tube cools on the far side; two flames are quicker.' : 'Heat the fitting, not the solder.',
      ...(vertical
        ? [
            'Some do the top mouth first, so that the lower does not melt again; heat rising from the lower helps the upper.',
          ]
        : []),
      ...(card.question.torch === 'propylene' ? ['This gas is hotter: keep the flame moving, or the flux burns.'] : []),
    ].join(' '),
    caution: 'Flame and hot metal.',
  }
}

function solder(card: Card): DraftStep[] {
  const { region } = card.situation
  const vertical = card.question.orientation === 'vertical'
  return [
    cut(card),
    ream,
    deburr('A burr scrapes the flux off and holds the tube out of true.'),
    {
      code: 'clean',
      do: rounded(card, `Clean ${depth(card)} of tube and the cup to bright metal`),
      why: 'Solder takes only on bright copper.',
    },
    mark(card),
    {
      code: 'flux',
      do: region === 'us' ? 'Flux tube and cup, thinly' : 'Flux the tube, thinly',
      why:
        region === 'us'
          ? 'Some flux the tube only, to keep it out of the bore.'
          : 'Some flux the cup too; on the tube only it stays out of the bore.',
    },
    { code: 'assemble', do: 'Push to the mark with a twist, wipe off surplus', check: 'Mark at the edge of the cup.' },
    protection(card),
    heating(card, vertical),
    {
      code: 'feed',
      do: `Feed solder opposite the flame, about ${formatLength(card.pipe.od, system(card))} of wire`,
      why: vertical ? 'It draws upward by itself.' : 'Start low and follow up; more only runs inside.',
      check: 'A ring shows all round. Then stop.',
    },
    {
      code: 'hold',
      do: 'Leave it still until the solder sets',
      seconds: SOLDER_SET_SECONDS,
      why: 'Moved while setting, it cracks.',
    },
    {
      code: 'wait',
      do: 'Let it go cold to the hand',
      seconds: SOLDER_COOL_SECONDS,
      why: 'No water and no seal near it until then.',
      caution: 'Hot surface. No water to cool it.',
    },
    { code: 'wipe', do: 'Wipe the flux off, outside', why: 'Left on, it eats the copper green.' },
    { code: 'flush', do: 'Flush the line the same day' },
  ]
}

function press(card: Card): DraftStep[] {
  return [
    cut(card),
    ream,
    deburr('A burr cuts the seal.'),
    {
      code: 'clean',
      do: rounded(card, 'Wipe clean: no paint, score, print or oil'),
      check: 'Seal is in the fitting, black for water.',
    },
    mark(card),
    { code: 'insert', do: 'Push to the mark, turning a little', check: 'Mark at the edge of the fitting.' },
    { code: 'press', do: 'Jaw square on the bead, one full cycle to release', caution: 'Fingers clear of the jaw.' },
    {
      code: 'check',
      do: 'Look: mark still at the edge. Tick it with a pen',
      why: 'The tick is the proof that it was pressed.',
    },
  ]
}

function pushFit(card: Card): DraftStep[] {
  return [
    cut(card),
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr('A sharp edge tears the seal.'),
    { code: 'clean', do: 'Wipe clean: no dust, label or solder drip', check: 'Bare and round for the whole depth.' },
    ...(needsLiner('push-fit', card.tube) ? [liner] : []),
    mark(card),
    {
      code: 'insert',
      do: 'Push past the seal to the mark, with a twist',
      check: 'Mark at the edge of the collar.',
      caution: 'Not against pressure or running water: the seal rolls.',
    },
    { code: 'lock', do: 'Turn the collar to lock, if it has one' },
    { code: 'tug', do: 'Tug it hard', check: 'The mark has not moved.' },
  ]
}

function turnsFor(card: Card): { lo: number; hi: number } {
  if (card.pipe.family !== 'copper') return NUT_TURNS_PLASTIC
  return card.fittingNominal.includes('/') ? NUT_TURNS_INCH : nutTurns(Number(card.fittingNominal))
}

function compression(card: Card): DraftStep[] {
  const { lo, hi } = turnsFor(card)
  return [
    cut(card),
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr('The olive has to slide on.'),
    {
      code: 'clean',
      do: rounded(card, 'Clean bright and dry for the whole depth'),
      check: 'Round, no score under the olive.',
    },
    { code: 'nut', do: 'Slide the nut on, thread to the end', why: 'It cannot follow once the olive is on.' },
    {
      code: 'olive',
      do: findSocket('compression', card.pipe)?.converterOlive
        ? `Slide on the olive made for old ${card.pipe.nominal} in`
        : 'Slide the olive on, dry',
    },
    ...(needsLiner('compression', card.tube) ? [liner] : []),
    mark(card),
    {
      code: 'insert',
      do: 'Push the pipe to the stop and hold it there',
      check: 'Mark at the face of the nut when it is run up by hand.',
    },
    {
      code: 'tighten',
      do: `Hold the body. Nut hand tight, then ${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)} turns`,
      why: "By the fitting's own paper first. Too tight pinches the tube. An olive used before: hand tight and a quarter.",
      check: 'Draw a line across nut and body.',
      ask: {
        what: 'nut-turns',
        words: 'Turns past hand tight',
        lo,
        hi,
        unit: 'turns',
        source: 'typical, trade practice',
        isFirm: false,
      },
    },
    { code: 'check', do: 'Under pressure: if it weeps, a quarter turn more, once' },
  ]
}

/** Where the ring of an end lies, as a question to the hand that set it. */
function ringAsk(card: Card, method: 'crimp' | 'clamp'): { ask?: Ask } {
  const ring = ringPosition(card.pipe.nominal, method)
  return ring?.lo == null || ring.hi === null
    ? {}
    : {
        ask: {
          what: 'ring-distance',
          words: 'Ring from the pipe end',
          lo: ring.lo,
          hi: ring.hi,
          unit: 'mm',
          source: ring.source,
          isFirm: true,
        },
      }
}

/** Outside diameter of a finished ring by calliper, where its gauge is known. */
function gaugeAsk(card: Card): { ask?: Ask } {
  const gauge = ringGauge(card.pipe.nominal)
  return gauge
    ? {
        ask: {
          what: 'ring-diameter',
          words: 'Or with a calliper, across the ring',
          lo: gauge.noGoMm,
          hi: gauge.goMm,
          unit: 'mm',
          source: 'ASTM F1807',
          isFirm: true,
        },
      }
    : {}
}

/** Where a ring lies, from the pipe end, in words. */
function ringBand(card: Card, method: 'crimp' | 'clamp'): string {
  const ring = ringPosition(card.pipe.nominal, method)
  return ring?.lo == null || ring.hi === null
    ? "by the fitting's paper"
    : `${formatLength(ring.lo, system(card))} to ${formatLength(ring.hi, system(card))}`
}

function crimp(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no dents of print under the ring' },
    {
      code: 'ring',
      do: 'Slide the ring on, squeezed a little oval so that it stays',
      why: 'It cannot go on after the fitting.',
    },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    {
      code: 'assemble',
      do: `Set the ring ${ringBand(card, 'crimp')} from the pipe end`,
      why: 'Over the barbs, not over the end. Some set 3, some the middle: both lie in the band.',
      check: 'Measure it before it is closed.',
      ...ringAsk(card, 'crimp'),
    },
    {
      code: 'press',
      do: 'Tool square over the ring, one full closing',
      caution: 'Fingers clear. Never squeeze one ring twice.',
    },
    {
      code: 'gauge',
      do: 'Gauge it: go passes, no-go does not',
      check: 'All round. It may turn in its ring without leaking.',
      ...gaugeAsk(card),
    },
  ]
}

function clamp(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no chalky or cold-stiff end' },
    { code: 'ring', do: 'Slide the clamp on, ear away from wall and pipe', why: 'It cannot go on after the fitting.' },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    {
      code: 'assemble',
      do: `Set the clamp ${ringBand(card, 'clamp')} from the pipe end`,
      why: 'Over the barbs, not over the end.',
      check: 'Measure it before it is closed.',
      ...ringAsk(card, 'clamp'),
    },
    {
      code: 'press',
      do: 'Tool fully open first, over the ear, close until it lets go by itself',
      caution: 'Fingers clear. Never squeeze one ear twice.',
    },
    { code: 'check', do: "Look: the ear is closed, its gap as the fitting's paper says. Tick it" },
  ]
}

function expansion(card: Card): DraftStep[] {
  const air = ambient(card)
  const shrink = expansionShrink(air)
  const cold = air <= 4
  const long =
    shrink === null ? "as long as the tool's own paper says" : shrink < 3600 ? '30 minutes' : `${shrink / 3600} hours`
  const strokes = EXPANSION_STROKES[card.pipe.nominal]
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end dry, inside and outside', why: 'Water or grease lets the ring creep.' },
    {
      code: 'ring',
      do: `Ring on, stop edge to the end: flush, or up to ${formatLength(RING_OVER_END_MM, system(card))} over`,
      why: 'It shrinks back with the tube and holds it.',
      check: 'Right way round.',
      ask: {
        what: 'ring-over-end',
        words: 'Ring over the pipe end',
        lo: 0,
        hi: RING_OVER_END_MM,
        unit: 'mm',
        source: 'ASTM F1960',
        isFirm: true,
      },
    },
    mark(card),
    {
      code: 'expand',
      do: strokes
        ? `Expand, turning the tool between strokes: ${strokes.lo} to ${strokes.hi}`
        : 'Expand, turning the tool between strokes: as many as its paper says',
      why: "By the tool's own paper. Unturned, it leaves grooves that leak.",
      caution: 'The head is greased: keep grease off the tube.',
    },
    {
      code: 'insert',
      do: 'Fitting straight in to its shoulder, at once',
      why: 'Left too long, it shrinks before it is in. Do not expand again at once.',
      check: 'Ring against the shoulder.',
    },
    {
      code: 'hold',
      do: cold ? 'Hold it there until it grips; in the cold that is longer' : 'Hold it there until it grips',
      seconds: EXPANSION_HOLD_SECONDS,
    },
    {
      code: 'wait',
      do: `No test until it has shrunk: ${long} at ${formatDecimal(air, 0)} °C`,
      seconds: shrink ?? undefined,
      why: "Makers differ; in frost the tool's own paper says how cold it may be.",
    },
    { code: 'check', do: 'Look again after five minutes: ring still at the shoulder. Tick it' },
  ]
}

function slidingSleeve(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; round, no score' },
    {
      code: 'ring',
      do: 'Park the sleeve on the pipe, the right way round',
      why: 'It cannot follow once the fitting is in.',
    },
    mark(card),
    {
      code: 'expand',
      do: 'Expand with the head of this pipe: twice, turned 30 degrees between',
      why: "By the system's own paper.",
    },
    { code: 'insert', do: 'Fitting in to its last rib, straight', check: 'Mark where the paper says it stays.' },
    {
      code: 'press',
      do: 'Draw the sleeve up to the collar, tool parallel to the pipe',
      caution: 'Fingers clear of the jaws.',
    },
    {
      code: 'check',
      do: 'Look: sleeve within 1 to 2 mm of the collar. Tick it',
      check: 'Straight, as far up all round.',
      ask: {
        what: 'sleeve-gap',
        words: 'Sleeve from the collar',
        lo: 0,
        hi: SLEEVE_GAP_MM,
        unit: 'mm',
        source: 'typical, by system',
        isFirm: false,
      },
    },
  ]
}

function mlCompression(card: Card): DraftStep[] {
  return [
    cut(card),
    {
      code: 'deburr',
      do: 'Calibrate and bevel the end',
      why: 'An uncalibrated end tears the O-ring.',
      check: 'A clean bevel all round.',
    },
    { code: 'nut', do: 'Nut on, then the split ring', why: 'They cannot follow the insert.' },
    mark(card),
    { code: 'insert', do: 'Push the insert in to its collar', check: 'O-rings whole, insulating ring there.' },
    { code: 'assemble', do: 'Set it straight in its eurocone seat, nut by hand' },
    {
      code: 'tighten',
      do: "Hold the body; tighten firm, by the system's torque",
      why: 'Makers differ; 25 to 40 Nm is heard.',
      check: 'Draw a line across nut and body.',
    },
    { code: 'check', do: 'Nip it again after the first heat' },
  ]
}

function solventCement(card: Card): DraftStep[] {
  const plastic = card.pipe.family === 'cpvc' ? 'CPVC (F493)' : 'PVC (D2564)'
  return [
    {
      code: 'cut',
      do: 'Saw square in a mitre; sharp wheel on CPVC when it is warm',
      why: 'Shears crack cold or old CPVC.',
    },
    deburr('A square edge scrapes the cement off.'),
    { code: 'clean', do: 'Wipe dry and clean', why: 'Cement does not take on water or grease.' },
    { code: 'check', do: 'Dry fit: it stops a third to two thirds in', why: 'Loose to the stop means the wrong size.' },
    mark(card),
    {
      code: 'prime',
      do: 'Primer on both where the code asks for it',
      why: 'Purple shows the inspector that it is there.',
      caution: 'Fumes: air the place. No flame near.',
    },
    { code: 'cement', do: `Cement for ${plastic}: tube full, socket thin, both wet`, check: 'An even coat all round.' },
    {
      code: 'insert',
      do: 'Push in to the mark with a quarter turn, at once',
      check: 'Mark at the edge; an even bead all round.',
    },
    { code: 'hold', do: 'Hold it: it pushes back', seconds: CEMENT_HOLD_SECONDS },
    { code: 'wipe', do: 'Wipe off the bead' },
    {
      code: 'cure',
      do: 'Let it cure before water',
      seconds: cementCure(ambient(card)),
      why: 'By its own paper: warm and low pressure 15 to 30 minutes, cold or high 6 to 48 hours.',
      caution: 'Never test it with air or gas.',
    },
  ]
}

function mlPress(card: Card): DraftStep[] {
  return [
    cut(card),
    {
      code: 'deburr',
      do: 'Calibrate and bevel the end',
      why: 'An uncalibrated end tears the O-ring.',
      check: 'A clean bevel all round.',
    },
    { code: 'clean', do: 'Wipe clean; look that O-rings and insulating ring are there' },
    mark(card),
    { code: 'insert', do: 'Push on to the stop, straight', check: 'Pipe seen in every window.' },
    { code: 'press', do: 'Jaw of this system, square, one full cycle', caution: 'Fingers clear of the jaw.' },
    { code: 'check', do: 'Look: window still full, press marks all round. Tick it' },
  ]
}

function peCompression(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'deburr', do: 'Chamfer the end', why: 'A square edge drags the seal out of its seat.' },
    { code: 'clean', do: 'Feel round it: cut back any score for the whole depth', check: 'Smooth under the thumb.' },
    { code: 'nut', do: 'Nut and split grip ring on, the right way round' },
    liner,
    mark(card),
    { code: 'insert', do: 'Push through the seal to the stop', check: 'Mark at the nut.' },
    {
      code: 'tighten',
      do: 'Tighten firm, body held, joint kept straight',
      why: "Follow the fitting's paper: makers differ.",
    },
    { code: 'check', do: 'Draw a line across nut and body; lay it straight in the trench' },
  ]
}

/** Steps for a thread of a size; the direction is as seen from its open end. */
export function threadSteps(
  nominal: string,
  form: 'npt' | 'bspt',
  seal: Situation['policy']['threadSeal'],
): DraftStep[] {
  const { lo, hi } = tapeTurns(form, nominal)
  return [
    { code: 'clean', do: 'Brush both threads clean; look for thin or torn ones' },
    ...(seal === 'paste'
      ? []
      : [
          {
            code: 'tape',
            do: `${lo} to ${hi} turns of thin tape, clockwise seen from the open end`,
            why: 'Screwing on then tightens it. More to the rear, few on the first thread.',
          } as const,
        ]),
    ...(seal === 'tape' ? [] : [{ code: 'paste', do: 'Brush on potable paste, not on the first thread' } as const]),
    { code: 'assemble', do: 'Start by hand, straight', check: 'Three to five turns by hand.' },
    {
      code: 'tighten',
      do: 'Hold the fitting back with a second wrench, then 1.5 to 3 turns',
      why: 'The pull must not reach the next joint.',
      check: 'One to three threads show.',
    },
  ]
}

/** After its threads: the faces of a union. */
export const UNION_STEPS: readonly DraftStep[] = [
  {
    code: 'check',
    do: 'Faces clean and parallel, a new washer where it has one',
    why: 'Nothing goes on the faces: no tape, no paste.',
  },
  {
    id: 'tighten-2',
    code: 'tighten',
    do: 'Bring the faces together by hand, then nip with two wrenches',
    check: 'The ends meet without being drawn.',
  },
]

export const STEPS: Readonly<Record<Exclude<MadeMethod, 'thread' | 'union'>, (card: Card) => DraftStep[]>> = {
  solder: solder,
  press: press,
  'push-fit': pushFit,
  compression: compression,
  crimp: crimp,
  clamp: clamp,
  expansion: expansion,
  'sliding-sleeve': slidingSleeve,
  'ml-press': mlPress,
  'ml-compression': mlCompression,
  'solvent-cement': solventCement,
  'pe-compression': peCompression,
}

/** How long, in the words of a card. */
const spanWords = (seconds: number): string =>
  seconds < 120
    ? `${seconds} s`
    : seconds < 7200
      ? `${Math.round(seconds / 60)} min`
      : `${Math.round(seconds / 3600)} h`

const SLID: ReadonlySet<Step['code']> = new Set(['assemble', 'insert'])

/** A coupling without a stop is put wholly over one pipe and slid back over the gap: its marks tell where it stands. */
export const slidOver = (steps: readonly DraftStep[], words: string): DraftStep[] =>
  steps.map((step) =>
    SLID.has(step.code)
      ? {
          ...step,
          do: `Slide the coupling wholly onto one pipe, bring the ends in line, slide it back to the mark on both, ${words} from each end`,
          check: 'Both marks at its edges: it sits central.',
        }
      : step,
  )

/** What a step asks to be done, with its figures: what is kept with its tick, so that a change of them is seen. */
export const figuresOf = ({ do: words, seconds }: Pick<Step, 'do' | 'seconds'>): string =>
  seconds === undefined ? words : `${words} (${spanWords(seconds)})`
