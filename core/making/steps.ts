import { findSocket, ringPosition, unitSystemOf, type Pipe } from '#core/catalogue'
import { JOINT_METHODS, toTube, type Situation } from '#core/joints'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import { CEMENT_CURE_SECONDS, CEMENT_HOLD_SECONDS, EXPANSION_COLD_SECONDS, EXPANSION_HOLD_SECONDS, EXPANSION_SHRINK_SECONDS, NUT_TURNS_INCH, NUT_TURNS_PLASTIC, nutTurns, SOLDER_COOL_SECONDS, SOLDER_SET_SECONDS, tapeTurns } from './facts'
import type { MadeMethod, MakeQuestion, Mark, Step } from './types'

export interface Card {
  pipe: Pipe
  insertion: Mark
  fittingNominal: string
  situation: Situation
  question: MakeQuestion
}

/** Whether the joint is ordered with a liner for this end: then its card has the step. */
export const needsLiner = (method: Exclude<MadeMethod, 'thread' | 'union'>, pipe: Pipe): boolean =>
  JOINT_METHODS[method].looseParts(toTube({ pipe: pipe.id })).some(({ kind }) => kind === 'liner')

const system = (card: Card): UnitSystem => unitSystemOf(card.question.region)
const depth = (card: Card): string => (card.insertion.fromEnd === null ? 'the depth you measured in the socket' : formatLength(card.insertion.fromEnd, system(card)))

const METALS: ReadonlySet<Pipe['family']> = new Set(['copper', 'stainless', 'steel'])

const cut = (card: Card): Step => (METALS.has(card.pipe.family)
  ? { code: 'cut', do: 'Cut square with a wheel cutter', why: 'A slanted end leaves part of the socket empty.', caution: 'Swarf and the cut end are sharp.' }
  : { code: 'cut', do: 'Cut square with shears', why: 'A saw leaves fins that cut the seal.', check: 'Square to the eye all round.' })
const ream: Step = { code: 'ream', do: 'Ream the inside', why: 'The burr narrows the bore and wears the pipe downstream.' }
const deburr = (what: string): Step => ({ code: 'deburr', do: 'Deburr the outside', why: what })
const mark = (card: Card): Step => ({ code: 'mark', do: `Mark ${depth(card)} from the end, right round`, why: 'The mark tells that it went home, and that it stayed.', check: card.insertion.fromEnd === null ? 'Offer the fitting alongside: no figure is held.' : undefined })
const liner: Step = { code: 'liner', do: 'Push the liner in to its flange', why: 'Without it the soft pipe gives way under the grip.', check: 'Flange flat on the pipe end.' }

function solder(card: Card): Step[] {
  const { conditions, region } = card.situation
  const vertical = card.question.orientation === 'vertical'
  return [
    cut(card), ream, deburr('A burr scrapes the flux off and holds the tube out of true.'),
    { code: 'clean', do: `Clean ${depth(card)} of tube and the cup to bright metal`, why: 'Solder takes only on bright copper.' },
    mark(card),
    { code: 'flux', do: region === 'us' ? 'Flux tube and cup, thinly' : 'Flux the tube, thinly', why: region === 'us' ? 'Some flux the tube only, to keep it out of the bore.' : 'Some flux the cup too; on the tube only it stays out of the bore.' },
    { code: 'assemble', do: 'Push to the mark with a twist, wipe off surplus', check: 'Mark at the edge of the cup.' },
    { code: 'protect', do: 'Open an outlet on both sides; mat behind, seals and plastic away', why: 'A closed pipe blows the joint.', caution: conditions.combustibles ? 'Wood near: mat, damp cloth and extinguisher before the flame.' : undefined },
    { code: 'heat', do: vertical ? 'Heat the fitting, from below, all round' : 'Heat the fitting, low first, all round', why: card.pipe.od >= 35 ? 'Large tube: heat opposite sides in turn.' : 'Heat the fitting, not the solder.', caution: 'Flame and hot metal.' },
    { code: 'feed', do: `Feed solder opposite the flame, about ${formatLength(card.pipe.od, system(card))} of wire`, why: vertical ? 'It draws upward by itself.' : 'Start low and follow up; more only runs inside.', check: 'A ring shows all round. Then stop.' },
    { code: 'hold', do: 'Leave it still until the solder sets', seconds: SOLDER_SET_SECONDS, why: 'Moved while setting, it cracks.' },
    { code: 'wait', do: 'Let it go cold to the hand', seconds: SOLDER_COOL_SECONDS, why: 'No water and no seal near it until then.', caution: 'Hot surface. No water to cool it.' },
    { code: 'wipe', do: 'Wipe the flux off, outside', why: 'Left on, it eats the copper green.' },
    { code: 'flush', do: 'Flush the line the same day' },
  ]
}

function press(card: Card): Step[] {
  return [
    cut(card), ream, deburr('A burr cuts the seal.'),
    { code: 'clean', do: 'Wipe clean: no paint, score, print or oil', check: 'Seal is in the fitting, black for water.' },
    mark(card),
    { code: 'insert', do: 'Push to the mark, turning a little', check: 'Mark at the edge of the fitting.' },
    { code: 'press', do: 'Jaw square on the bead, one full cycle to release', caution: 'Fingers clear of the jaw.' },
    { code: 'check', do: 'Look: mark still at the edge. Tick it with a pen', why: 'The tick is the proof that it was pressed.' },
  ]
}

function pushFit(card: Card): Step[] {
  return [
    cut(card),
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr('A sharp edge tears the seal.'),
    { code: 'clean', do: 'Wipe clean: no dust, label or solder drip', check: 'Bare and round for the whole depth.' },
    ...(needsLiner('push-fit', card.pipe) ? [liner] : []),
    mark(card),
    { code: 'insert', do: 'Push past the seal to the mark, with a twist', check: 'Mark at the edge of the collar.', caution: 'Not against pressure or running water: the seal rolls.' },
    { code: 'lock', do: 'Turn the collar to lock, if it has one' },
    { code: 'tug', do: 'Tug it hard', check: 'The mark has not moved.' },
  ]
}

function turnsFor(card: Card): { lo: number, hi: number } {
  if (card.pipe.family !== 'copper') return NUT_TURNS_PLASTIC
  return card.fittingNominal.includes('/') ? NUT_TURNS_INCH : nutTurns(Number(card.fittingNominal))
}

function compression(card: Card): Step[] {
  const { lo, hi } = turnsFor(card)
  return [
    cut(card),
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr('The olive has to slide on.'),
    { code: 'clean', do: 'Clean bright and dry for the whole depth', check: 'Round, no score under the olive.' },
    { code: 'nut', do: 'Slide the nut on, thread to the end', why: 'It cannot follow once the olive is on.' },
    { code: 'olive', do: findSocket('compression', card.pipe)?.converterOlive ? `Slide on the olive made for old ${card.pipe.nominal} in` : 'Slide the olive on, dry' },
    ...(needsLiner('compression', card.pipe) ? [liner] : []),
    mark(card),
    { code: 'insert', do: 'Push the pipe to the stop and hold it there', check: 'Mark at the face of the nut when it is run up by hand.' },
    { code: 'tighten', do: `Hold the body. Nut hand tight, then ${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)} turns`, why: 'By the fitting\'s own paper first. Too tight pinches the tube.', check: 'Draw a line across nut and body.' },
    { code: 'check', do: 'Under pressure: if it weeps, a quarter turn more, once' },
  ]
}

/** Where a ring lies, from the pipe end, in words. */
function ringBand(card: Card, method: 'crimp' | 'clamp'): string {
  const ring = ringPosition(card.pipe.nominal, method)
  return ring?.lo == null || ring.hi === null ? 'by the fitting\'s paper' : `${formatLength(ring.lo, system(card))} to ${formatLength(ring.hi, system(card))}`
}

function crimp(card: Card): Step[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no dents of print under the ring' },
    { code: 'ring', do: 'Slide the ring on, squeezed a little oval so that it stays', why: 'It cannot go on after the fitting.' },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    { code: 'assemble', do: `Set the ring ${ringBand(card, 'crimp')} from the pipe end`, why: 'Over the barbs, not over the end. Some set 3, some the middle: both lie in the band.' },
    { code: 'press', do: 'Tool square over the ring, one full closing', caution: 'Fingers clear. Never squeeze one ring twice.' },
    { code: 'gauge', do: 'Gauge it: go passes, no-go does not', check: 'All round. It may turn in its ring without leaking.' },
  ]
}

function clamp(card: Card): Step[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no chalky or cold-stiff end' },
    { code: 'ring', do: 'Slide the clamp on, ear away from wall and pipe', why: 'It cannot go on after the fitting.' },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    { code: 'assemble', do: `Set the clamp ${ringBand(card, 'clamp')} from the pipe end`, why: 'Over the barbs, not over the end.' },
    { code: 'press', do: 'Tool fully open first, over the ear, close until it lets go by itself', caution: 'Fingers clear. Never squeeze one ear twice.' },
    { code: 'check', do: 'Look: the ear is closed, its gap as the fitting\'s paper says. Tick it' },
  ]
}

function expansion(card: Card): Step[] {
  const cold = (card.question.ambient ?? 20) < 5
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end dry, inside and outside', why: 'Water or grease lets the ring creep.' },
    { code: 'ring', do: 'Ring on, stop edge to the end: flush, or up to 1.6 mm over', why: 'It shrinks back with the tube and holds it.' },
    mark(card),
    { code: 'expand', do: 'Expand, turning the tool between strokes: 4 to 6 at 1/2 in', why: 'By the tool\'s own paper. Unturned, it leaves grooves that leak.', caution: 'The head is greased: keep grease off the tube.' },
    { code: 'insert', do: 'Fitting straight in to its shoulder, at once', why: 'Left too long, it shrinks before it is in. Do not expand again at once.', check: 'Ring against the shoulder.' },
    { code: 'hold', do: cold ? 'Hold it there until it grips; in the cold that is longer' : 'Hold it there until it grips', seconds: EXPANSION_HOLD_SECONDS },
    { code: 'wait', do: cold ? 'No test until it has shrunk: 10 hours in frost' : 'No test until it has shrunk', seconds: cold ? EXPANSION_COLD_SECONDS : EXPANSION_SHRINK_SECONDS, why: 'Makers differ; below about \u221215 \u00b0C not at all.' },
    { code: 'check', do: 'Look again after five minutes: ring still at the shoulder. Tick it' },
  ]
}

function slidingSleeve(card: Card): Step[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; round, no score' },
    { code: 'ring', do: 'Park the sleeve on the pipe, the right way round', why: 'It cannot follow once the fitting is in.' },
    mark(card),
    { code: 'expand', do: 'Expand with the head of this pipe: twice, turned 30 degrees between', why: 'By the system\'s own paper.' },
    { code: 'insert', do: 'Fitting in to its last rib, straight', check: 'Mark where the paper says it stays.' },
    { code: 'press', do: 'Draw the sleeve up to the collar, tool parallel to the pipe', caution: 'Fingers clear of the jaws.' },
    { code: 'check', do: 'Look: sleeve within 1 to 2 mm of the collar. Tick it' },
  ]
}

function mlCompression(card: Card): Step[] {
  return [
    cut(card),
    { code: 'deburr', do: 'Calibrate and bevel the end', why: 'An uncalibrated end tears the O-ring.', check: 'A clean bevel all round.' },
    { code: 'nut', do: 'Nut on, then the split ring', why: 'They cannot follow the insert.' },
    mark(card),
    { code: 'insert', do: 'Push the insert in to its collar', check: 'O-rings whole, insulating ring there.' },
    { code: 'assemble', do: 'Set it straight in its eurocone seat, nut by hand' },
    { code: 'tighten', do: 'Hold the body; tighten firm, by the system\'s torque', why: 'Makers differ; 25 to 40 Nm is heard.', check: 'Draw a line across nut and body.' },
    { code: 'check', do: 'Nip it again after the first heat' },
  ]
}

function solventCement(card: Card): Step[] {
  const plastic = card.pipe.family === 'cpvc' ? 'CPVC (F493)' : 'PVC (D2564)'
  return [
    { code: 'cut', do: 'Saw square in a mitre; sharp wheel on CPVC when it is warm', why: 'Shears crack cold or old CPVC.' },
    deburr('A square edge scrapes the cement off.'),
    { code: 'clean', do: 'Wipe dry and clean', why: 'Cement does not take on water or grease.' },
    { code: 'check', do: 'Dry fit: it stops a third to two thirds in', why: 'Loose to the stop means the wrong size.' },
    mark(card),
    { code: 'prime', do: 'Primer on both where the code asks for it', why: 'Purple shows the inspector that it is there.', caution: 'Fumes: air the place. No flame near.' },
    { code: 'cement', do: `Cement for ${plastic}: tube full, socket thin, both wet`, check: 'An even coat all round.' },
    { code: 'insert', do: 'Push in to the mark with a quarter turn, at once', check: 'Mark at the edge; an even bead all round.' },
    { code: 'hold', do: 'Hold it: it pushes back', seconds: CEMENT_HOLD_SECONDS },
    { code: 'wipe', do: 'Wipe off the bead' },
    { code: 'cure', do: 'Let it cure before water', seconds: CEMENT_CURE_SECONDS, why: 'By its own paper: warm and low pressure 15 to 30 minutes, cold or high 6 to 48 hours.', caution: 'Never test it with air or gas.' },
  ]
}

function mlPress(card: Card): Step[] {
  return [
    cut(card),
    { code: 'deburr', do: 'Calibrate and bevel the end', why: 'An uncalibrated end tears the O-ring.', check: 'A clean bevel all round.' },
    { code: 'clean', do: 'Wipe clean; look that O-rings and insulating ring are there' },
    mark(card),
    { code: 'insert', do: 'Push on to the stop, straight', check: 'Pipe seen in every window.' },
    { code: 'press', do: 'Jaw of this system, square, one full cycle', caution: 'Fingers clear of the jaw.' },
    { code: 'check', do: 'Look: window still full, press marks all round. Tick it' },
  ]
}

function peCompression(card: Card): Step[] {
  return [
    cut(card),
    { code: 'deburr', do: 'Chamfer the end', why: 'A square edge drags the seal out of its seat.' },
    { code: 'clean', do: 'Feel round it: cut back any score for the whole depth', check: 'Smooth under the thumb.' },
    { code: 'nut', do: 'Nut and split grip ring on, the right way round' },
    liner, mark(card),
    { code: 'insert', do: 'Push through the seal to the stop', check: 'Mark at the nut.' },
    { code: 'tighten', do: 'Tighten firm, body held, joint kept straight', why: 'Follow the fitting\'s paper: makers differ.' },
    { code: 'check', do: 'Draw a line across nut and body; lay it straight in the trench' },
  ]
}

/** Steps for a thread of a size; the direction is as seen from its open end. */
export function threadSteps(nominal: string, form: 'npt' | 'bspt', seal: Situation['policy']['threadSeal']): Step[] {
  const { lo, hi } = tapeTurns(form, nominal)
  return [
    { code: 'clean', do: 'Brush both threads clean; look for thin or torn ones' },
    ...(seal === 'paste' ? [] : [{ code: 'tape', do: `${lo} to ${hi} turns of thin tape, clockwise seen from the open end`, why: 'Screwing on then tightens it. More to the rear, few on the first thread.' } as const]),
    ...(seal === 'tape' ? [] : [{ code: 'paste', do: 'Brush on potable paste, not on the first thread' } as const]),
    { code: 'assemble', do: 'Start by hand, straight', check: 'Three to five turns by hand.' },
    { code: 'tighten', do: 'Hold the fitting back with a second wrench, then 1.5 to 3 turns', why: 'The pull must not reach the next joint.', check: 'One to three threads show.' },
  ]
}

/** After its threads: the faces of a union. */
export const UNION_STEPS: readonly Step[] = [
  { code: 'check', do: 'Faces clean and parallel, a new washer where it has one', why: 'Nothing goes on the faces: no tape, no paste.' },
  { code: 'tighten', do: 'Bring the faces together by hand, then nip with two wrenches', check: 'The ends meet without being drawn.' },
]

export const STEPS: Readonly<Record<Exclude<MadeMethod, 'thread' | 'union'>, (card: Card) => Step[]>> = {
  'solder': solder, 'press': press, 'push-fit': pushFit, 'compression': compression, 'crimp': crimp, 'clamp': clamp, 'expansion': expansion, 'sliding-sleeve': slidingSleeve, 'ml-press': mlPress, 'ml-compression': mlCompression,
  'solvent-cement': solventCement, 'pe-compression': peCompression,
}
