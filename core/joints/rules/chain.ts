import type { Figure, RuleKind, RuleRow, RuleText } from '#core/base'
import { ALL_METHODS } from '../methods'
import type { Chain, Meeting } from '../search'
import type { OfferedMethod, Situation } from '../types'
import { concernsOfPipe, concernsOn } from './ask'
import { rowOfConcern, type Concern } from './rule'

/* What a whole way asks for: its threads, fittings and metals together, beside what each of its ends asks for. */

export interface ChainFacts {
  chain: Chain
  insertions: readonly Figure[]
  situation: Situation
  /** Whether an old tube stands in a metric body, by meeting. */
  isInMetricBody: (meeting: Extract<Meeting, { kind: 'socket' }>) => boolean
}

interface ChainRule extends RuleText {
  code: string
  verdict: Concern['verdict']
  kind: RuleKind
  says: (facts: ChainFacts) => boolean | string | null
}

const methodsIn = ({ meetings }: Chain): ReadonlySet<OfferedMethod> => new Set(meetings.map(({ method }) => method))
const kindsIn = ({ items }: Chain): ReadonlySet<string> =>
  new Set(items.map((item) => (item.kind === 'fitting' ? item.fitting.kind : 'tail')))
const threadsIn = ({ meetings }: Chain) =>
  meetings.filter((meeting): meeting is Extract<Meeting, { kind: 'thread' }> => meeting.kind === 'thread')
const hasForm = (chain: Chain, form: string): boolean => threadsIn(chain).some((meeting) => meeting.form === form)

/** Steel is in it with fresh water round it. A closed heating circuit without fresh oxygen asks nothing. */
const hasWetSteel = ({ chain, situation }: ChainFacts): boolean =>
  situation.conditions.service !== 'heating' && threadsIn(chain).some(({ tube }) => tube !== undefined)
const hasNoble = ({ meetings }: Chain): boolean =>
  meetings.some(
    (meeting) =>
      meeting.kind === 'socket' &&
      meeting.on !== 'between' &&
      ['copper', 'stainless'].includes(meeting.tube.pipe.family),
  )
const isParted = ({ items }: Chain): boolean =>
  items.some(
    (item) => item.kind === 'fitting' && item.fitting.kind === 'union' && item.fitting.name.startsWith('dielectric'),
  )

const rule =
  (verdict: Concern['verdict'], kind: RuleKind = 'caution') =>
  (code: string, when: string, because: string, source: string, says: ChainRule['says']): ChainRule => ({
    code,
    verdict,
    kind,
    when,
    because,
    source,
    says,
  })
const held = rule('held')
const care = rule('care')
const note = rule('note')
const school = rule('note', 'school')

const CHAIN_RULES: readonly ChainRule[] = [
  held(
    'measure',
    'no depth of a mouth is held, or a coupling has no stop',
    "Measure how deep this fitting's socket is. Then it fits.",
    'the tables',
    ({ chain, insertions, situation: { conditions } }) =>
      insertions.some(({ value }) => value === null) &&
      (!kindsIn(chain).has('slip') ||
        (conditions.gap === undefined
          ? "Measure the coupling's length and the gap between the pipe ends. Then it fits."
          : `Measure the coupling's length: the mark is half of it less ${conditions.gap / 2}. Then it fits.`)),
  ),
  school(
    'insert-fittings',
    'the job says brass or composite, and a fitting goes into the tube',
    'Brass or composite insert fittings: scale sticks to brass over decades; a spoilt composite is scrap.',
    "the job's policy",
    ({ chain, situation: { policy } }) => {
      if (
        policy.insertFittings === 'either' ||
        ![...methodsIn(chain)].some((method) => ALL_METHODS[method].takesInsertPolicy)
      )
        return null
      return policy.insertFittings === 'brass'
        ? "Brass insert fittings, the job's way: scale sticks to them over decades."
        : "Composite insert fittings, the job's way: nothing sticks, a spoilt one is scrap."
    },
  ),
  note(
    'solder-first',
    'a way has solder and something else',
    'Solder first and let it go cold to the hand; then the seals, threads and plastic.',
    'trade practice',
    ({ chain }) => methodsIn(chain).has('solder') && methodsIn(chain).size > 1,
  ),
  note(
    'washer',
    'a parallel thread is made up',
    'A parallel thread seals on its washer: no tape, no paste on it.',
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
      threadsIn(chain).some(({ form }) => form !== 'bspp') &&
      (threadSeal === 'both'
        ? "Seal threads with tape and paste, the job's way."
        : `Seal threads with ${threadSeal}, the job's way.`),
  ),
  note(
    'rating-unknown',
    'threaded steel pipe is joined',
    "No rating of it is held: read the fitting's own.",
    'the rating tables',
    ({ chain }) => {
      const steel = threadsIn(chain).find(({ tube }) => tube !== undefined)
      return steel ? `No rating held for ${steel.tube!.pipe.label}: read the fitting's own.` : null
    },
  ),
  care(
    'metals',
    'galvanised steel meets copper or stainless in fresh water',
    'Galvanised before copper in the flow, brass of 150 or a dielectric union between.',
    'EN 12502, IPC 605, UPC 605',
    (facts) => hasWetSteel(facts) && hasNoble(facts.chain) && !isParted(facts.chain),
  ),
  note(
    'earth-path',
    'a dielectric union is put in',
    'A dielectric union cuts the earth path: bond across it, and have an electrician verify.',
    'BS 7671; NEC',
    (facts) => hasWetSteel(facts) && isParted(facts.chain),
  ),
  care(
    'sound-thread',
    'old steel pipe is joined by its thread',
    'Old galvanised scales shut: cut back to a sound thread, or cut a new one.',
    'trade practice',
    hasWetSteel,
  ),
  care(
    'slip',
    'a coupling without a stop goes in',
    'No stop: mark half of its length less the gap on each pipe, (length - gap) / 2, and centre it. It needs its whole length of clean, round, straight pipe on one side.',
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
  note(
    'flow-arrow',
    'a valve goes in',
    'The arrow on the valve points with the flow; the drain on the house side.',
    'trade practice',
    ({ chain }) => kindsIn(chain).has('valve'),
  ),
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
    'NPT to BSP only by an adaptor made for both: 1/2 and 3/4 start together and then leak.',
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
    'concealed',
    'a joint is hidden in Britain',
    'In Britain a hidden joint must still be reached by lifting a board, panel or duct cover. Local rules decide.',
    'WS(WF)R 1999',
    ({ situation: { region, conditions } }) => region === 'gb' && conditions.hidden,
  ),
]

/** What each meeting of a way asks for by itself. */
function ofMeeting(meeting: Meeting, { situation, isInMetricBody }: ChainFacts): Concern[] {
  if (meeting.kind === 'thread') return meeting.tube ? concernsOfPipe(meeting.tube, situation) : []
  // In a converter's own mouth the tube has its own size, and no olive is asked for.
  return concernsOn(meeting.method, meeting.tube, situation).filter(
    ({ code }) => code !== 'converter-olive' || isInMetricBody(meeting),
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
