import type { RuleRow } from '#core/base'
import { findSocket, socketDepth } from '#core/catalogue'
import { about, length, w } from '#core/speech'
import { ALL_METHODS } from '../methods'
import type { Chain, Meeting } from '../search'
import { isFresh, metalOf, metalOfFitting, pairIn, type Link } from '../metals'
import { formatDecimal } from '#core/units'
import type { OfferedMethod, Reason, Situation } from '../types'
import { care, held, note, school, type ChainFacts, type ChainRule } from './chain-rule'
import { isCloser, PART_RULES } from './part-rules'
import { concernsOfPipe, concernsOn } from './ask'
import { rowOfConcern, type Concern } from './rule'
import { mayBeCone } from './seats'

/* What a whole way asks for: its threads, fittings and metals together, beside what each of its ends asks for. */

const methodsIn = ({ meetings }: Chain): ReadonlySet<OfferedMethod> => new Set(meetings.map(({ method }) => method))
const kindsIn = ({ items }: Chain): ReadonlySet<string> =>
  new Set(items.map((item) => (item.kind === 'fitting' ? item.fitting.kind : 'tail')))
const threadsIn = ({ meetings }: Chain) =>
  meetings.filter((meeting): meeting is Extract<Meeting, { kind: 'thread' }> => meeting.kind === 'thread')
const hasForm = (chain: Chain, form: string): boolean =>
  threadsIn(chain).some((meeting) => meeting.form === form && !meeting.isSeat)

/** Threaded steel pipe is in it, with fresh water round it. */
const hasWetSteel = ({ chain, situation }: ChainFacts): boolean =>
  isFresh(situation) && threadsIn(chain).some(({ tube }) => tube?.pipe.family === 'steel')
const isParted = ({ items }: Chain): boolean =>
  items.some((item) => item.kind === 'fitting' && item.fitting.name.startsWith('dielectric'))

/** Metals that the water joins, from end to end. */
function metalsIn({ chain, ends, situation }: ChainFacts): ReturnType<typeof pairIn> {
  if (!isFresh(situation)) return null
  const between = chain.items.map((item): Link => (item.kind === 'fitting' ? metalOfFitting(item.fitting) : 'copper'))
  return pairIn([metalOf(ends.a, situation), ...between, metalOf(ends.b, situation)])
}
const METAL_WORDS = {
  galvanised: `${w.Galvanised} steel`,
  steel: 'Steel',
  copper: 'copper',
  stainless: 'stainless',
} as const

function metalsSaid(facts: ChainFacts): string | null {
  const pair = metalsIn(facts)
  if (!pair) return null
  const { flowFrom } = facts.situation.conditions
  const order = `${METAL_WORDS[pair.less]} before ${METAL_WORDS[pair.noble]} in the flow`
  return `${order}${flowFrom === undefined ? '' : ', as it is here'}; brass of ${about(150)} or a dielectric union between.`
}

/** Tube that scale closes first, mm outside: 15, 1/2 and what is smaller. Ours. */
const SMALL_BORE_OD = 18
const minds = (reason: Reason, { policy }: Situation): boolean => policy.reasons.includes(reason)

const hasPlasticThread = ({ chain }: ChainFacts): boolean => threadsIn(chain).some(({ isPlastic }) => isPlastic)
/** Threads of metal that are made up with sealant. */
const sealedThreads = (chain: Chain) => threadsIn(chain).filter(({ form, isPlastic }) => form !== 'bspp' && !isPlastic)

/**
 * Screwed together all through between two threads that stand fast: whatever turns in at one turns out at the other.
 * Pipe with a thread on it is turned in itself.
 */
const isRigid = ({ meetings, items }: Chain): boolean =>
  items.length > 0 &&
  // What closes a line turns in by itself.
  !items.some((item) => item.kind === 'fitting' && isCloser(item.fitting)) &&
  meetings.every((meeting) => meeting.kind === 'thread' && meeting.form !== 'bspp' && meeting.tube === undefined) &&
  items.every((item) => item.kind === 'fitting' && item.fitting.kind !== 'union')

const CHAIN_RULES: readonly ChainRule[] = [
  held(
    'measure',
    'no depth of a mouth is held, or a coupling has no stop',
    "Measure how deep this fitting's socket is. Then it fits.",
    'the tables',
    ({ chain, insertions, situation: { conditions } }) =>
      chain.meetings.some(
        (meeting, i) => insertions[i]!.value === null && (meeting.kind === 'socket' || meeting.form !== 'bspp'),
      ) &&
      (!kindsIn(chain).has('slip') ||
        (conditions.gap === undefined
          ? "Measure the coupling's length and the gap between the pipe ends. Then it fits."
          : `Measure the coupling's length: the mark is (length - ${length(conditions.gap)}) / 2. Then it fits.`)),
  ),
  held(
    'short',
    'a coupling without a stop of the usual length holds too little over this gap',
    'A usual coupling holds too little of each pipe over this gap: take a longer one, or close the gap.',
    'geometry',
    ({ chain, insertions }) =>
      kindsIn(chain).has('slip') &&
      chain.meetings.some((meeting, i) => {
        const mark = insertions[i]!.value
        const socket = meeting.kind === 'socket' ? findSocket(meeting.method, meeting.tube.pipe) : null
        return mark !== null && socket !== null && mark < (socketDepth(socket).lo ?? 0)
      }),
  ),
  school(
    'insert-fittings',
    'the job says brass or composite, and a fitting goes into the tube',
    `Brass or composite insert fittings: scale sticks to brass over decades; a ${w.spoilt} composite is scrap.`,
    "the job's policy",
    ({ chain, situation: { policy } }) => {
      if (
        policy.insertFittings === 'either' ||
        ![...methodsIn(chain)].some((method) => ALL_METHODS[method].takesInsertPolicy)
      )
        return null
      return policy.insertFittings === 'brass'
        ? "Brass insert fittings, the job's way: scale sticks to them over decades."
        : `Composite insert fittings, the job's way: nothing sticks, a ${w.spoilt} one is scrap.`
    },
  ),
  note(
    'solder-first',
    'a way has solder and something else',
    'Solder first and let it go cold to the hand; then the seals, threads and plastic.',
    'trade practice',
    ({ chain }) => methodsIn(chain).has('solder') && methodsIn(chain).size > 1,
  ),
  held(
    'seat',
    'a cone joint meets a G 3/4 body whose seat nobody looked at',
    'Look at the seat: a cone takes a cone joint, a flat face takes a washer. Then it fits.',
    'EN 16313, EN ISO 228-1',
    ({ chain, ends }) =>
      threadsIn(chain).some(({ isSeat }) => isSeat) &&
      [ends.a, ends.b].some((end) => end.kind === 'thread' && mayBeCone(end.thread) && end.thread.seat === undefined),
  ),
  care(
    'spigot-heat',
    'the plain end of a fitting that has seals is soldered',
    'The fitting has seals of its own that heat spoils: solder it off the pipe, wet cloth round it, and let it go cold; a seal or a nut comes before.',
    'typical, makers',
    ({ chain }) =>
      chain.meetings.some((meeting) => meeting.kind === 'socket' && meeting.isSpigot && meeting.method === 'solder'),
  ),
  note(
    'washer',
    'a parallel thread is made up',
    'A parallel thread seals on its washer: no tape, no paste on it. By hand, then a quarter turn.',
    'EN ISO 228-1; trade practice',
    ({ chain }) => hasForm(chain, 'bspp'),
  ),
  school(
    'thread-seal',
    'a taper thread is made up',
    "Seal threads with tape, paste or both, the job's way.",
    "the job's policy",
    ({
      chain,
      situation: {
        policy: { threadSeal },
      },
    }) =>
      sealedThreads(chain).length > 0 &&
      (threadSeal === 'both'
        ? "Seal threads with tape and paste, the job's way."
        : `Seal threads with ${threadSeal}, the job's way.`),
  ),
  note(
    'plastic-thread',
    'a thread of PVC or CPVC is made up',
    `Plastic thread: tape, or a paste that says it is for this plastic, never both. Snug by hand, then one to two turns, no toothed wrench. A female ${w.moulded} round brass where it can be had.`,
    'ASTM F1498; makers',
    hasPlasticThread,
  ),
  care(
    'threaded-half',
    'a thread is cut on schedule 80',
    `A thread cut on schedule 80 leaves half of its pressure. A cemented ${w.adaptor} keeps more.`,
    'ASTM D1785',
    ({ chain }) => threadsIn(chain).some(({ tube }) => tube?.pipe.family === 'pvc'),
  ),
  held(
    'turns',
    'two threaded ends are joined by threads all through, and no union stands between',
    'What turns in at one end turns out at the other: one of the two ends has to turn. If neither does, put a union between.',
    'geometry',
    ({ chain }) => isRigid(chain),
  ),
  note(
    'turns',
    'one thread goes straight into the other',
    'One of the two ends has to turn.',
    'geometry',
    ({ chain }) => chain.items.length === 0,
  ),
  note(
    'rating-unknown',
    'threaded steel pipe is joined',
    "No rating of it is held: read the fitting's own.",
    'the rating tables',
    ({ chain }) => {
      const steel = threadsIn(chain).find(({ tube }) => tube?.pipe.family === 'steel')
      return steel ? `No rating held for ${steel.tube!.pipe.label}: read the fitting's own.` : null
    },
  ),
  care(
    'metals',
    `${w.galvanised} or black steel and copper or stainless are joined by metal in fresh water`,
    `The less noble metal before the nobler in the flow; brass of ${about(150)} or a dielectric union between.`,
    'EN 12502, IPC 605, UPC 605',
    metalsSaid,
  ),
  note(
    'earth-path',
    'a dielectric union is put in',
    `A dielectric union cuts the ${w.earth} path: bond across it, and have an electrician verify.`,
    'BS 7671; NEC',
    ({ chain }) => isParted(chain),
  ),
  care(
    'sound-thread',
    'old steel pipe is joined by its thread',
    `Old ${w.galvanised} scales shut: cut back to a sound thread, or cut a new one.`,
    'trade practice',
    hasWetSteel,
  ),
  care(
    'slip',
    'a coupling without a stop goes in',
    `No stop: mark half of its length less the gap on each pipe, (length - gap) / 2, and ${w.centre} it. It needs its whole length of clean, round, straight pipe on one side.`,
    'geometry; trade practice',
    ({ chain }) => kindsIn(chain).has('slip'),
  ),
  note(
    'drop-ear',
    'an outlet elbow goes in',
    'Turns the line square out of the wall: screw it to solid backing before the pipe goes in, so that no turning of the outlet reaches the joint.',
    'trade practice',
    ({ chain }) => kindsIn(chain).has('drop-ear'),
  ),
  ...PART_RULES,
  note(
    'union-faces',
    'a union is made up',
    'Union faces clean and parallel, a new washer where it has one, nothing on the faces.',
    'trade practice',
    ({ chain }) => kindsIn(chain).has('union'),
  ),
  care(
    'npt-bsp',
    'NPT and BSP threads are in one way',
    `NPT to BSP only by an ${w.adaptor} made for both: 1/2 and 3/4 start together and then leak.`,
    'ASME B1.20.1, EN 10226-1',
    ({ chain }) => hasForm(chain, 'npt') && (hasForm(chain, 'bspt') || hasForm(chain, 'bspp')),
  ),
  care(
    'heating-drinking',
    'the job says heating and drinking at once',
    'Heating water is not for drinking. Say which it is: no part is chosen for both.',
    'WS(WF)R 1999',
    ({ situation: { conditions } }) => conditions.service === 'heating' && conditions.drinking,
  ),
  note(
    'scale',
    'the job minds scale, and a fitting goes into a small tube',
    'A fitting inside the tube narrows it: in hard water scale closes a small bore there first. One that goes over the tube keeps its bore.',
    "the job's policy; trade practice",
    ({ chain, situation }) =>
      minds('scale', situation) &&
      chain.meetings.some(
        (meeting) =>
          meeting.kind === 'socket' &&
          ALL_METHODS[meeting.method].narrowsBore === true &&
          meeting.tube.pipe.od < SMALL_BORE_OD,
      ),
  ),
  note(
    'pinholes',
    'the job minds pinholes, and copper is joined',
    'Copper pits where the water is soft or acid, where flux was left in, or where another metal drives a current: flush it the same day. Plastic does not pit.',
    "the job's policy; trade practice",
    ({ ends, situation }) =>
      minds('pinholes', situation) &&
      [ends.a, ends.b].some((end) => end.kind === 'tube' && end.tube.pipe.family === 'copper'),
  ),
  note(
    'flood',
    'the job minds floods, and a joint holds by a seal',
    'A cheap part against a dear flood: a new fitting at any doubt, and where a leak would be seen.',
    "the job's policy; trade practice",
    ({ chain, situation }) =>
      minds('flood', situation) && [...methodsIn(chain)].some((method) => ALL_METHODS[method].hasSeal === true),
  ),
  note(
    'years',
    'the job has figures of its own for how long a method serves',
    'By the figures of this job.',
    "the user's own figures",
    ({ chain, situation: { policy } }) => {
      const said = [...methodsIn(chain)].flatMap((method) => {
        const years = policy.years[method]
        return years === undefined ? [] : [`${ALL_METHODS[method].spoken[0]} ${formatDecimal(years, 0)} years`]
      })
      return said.length > 0 && `By your figures: ${said.join(', ')}.`
    },
  ),
  note(
    'concealed',
    'a joint is hidden in Britain',
    'In Britain a hidden joint must still be reached by lifting a board, panel or duct cover. Local rules decide.',
    'WS(WF)R 1999',
    ({ situation: { region, conditions } }) => region === 'gb' && conditions.hidden,
  ),
]

/** What each meeting of a way asks for by itself. */
function ofMeeting(meeting: Meeting, { situation, isInMetricBody, ends }: ChainFacts): Concern[] {
  if (meeting.kind === 'thread') return meeting.tube ? concernsOfPipe(meeting.tube, situation) : []
  // In a converter's own mouth the tube has its own size, and no olive is asked for.
  return concernsOn(meeting.method, meeting.tube, situation).filter(
    ({ code }) =>
      (code !== 'converter-olive' || isInMetricBody(meeting)) &&
      // A closed end has one side.
      (code !== 'open-end' || ends.b.kind !== 'shut'),
  )
}

/** Everything a way asks for, each thing once. */
export function concernsOfChain(facts: ChainFacts): Concern[] {
  const ofChain = CHAIN_RULES.flatMap(({ code, verdict, because, says }): Concern[] => {
    const said = says(facts)
    return said ? [{ code, verdict, text: said === true ? because : said }] : []
  })
  const all = [...facts.chain.meetings.flatMap((meeting) => ofMeeting(meeting, facts)), ...ofChain]
  return [...new Map(all.map((concern) => [`${concern.code} ${concern.text}`, concern])).values()]
}

export const FITS = { code: 'fits', text: 'Each end enters a fitting made for its own size.' } as const

export const CHAIN_ROWS: readonly RuleRow[] = [
  {
    code: FITS.code,
    kind: 'caution',
    when: 'nothing is asked of a way',
    because: FITS.text,
    source: 'the standards of the fittings',
  },
  ...CHAIN_RULES.map(rowOfConcern),
]
