import type { Note } from '#core/base'
import { HAZARDS, hazardNote, hazardOf } from '#core/catalogue'
import {
  concernsOfPipe,
  concernsOn,
  factsIn,
  fillSituation,
  isByThread,
  REFUSAL_CODES,
  refuse,
  refuseMethod,
  toOffer,
  toTube,
  type Offer,
  type RefusalCode,
  type Situation,
  type Tube,
} from '#core/joints'
import type { InspectAnswer, InspectQuestion } from './types'

/*
 * What the rules of joints say of one that is made already: the same rules that a way and a card ask, less those of the
 * making itself.
 */

type InspectFinding = InspectAnswer['findings'][number]

/** How it was made, and what meets it, is past and not asked again. */
const PAST: ReadonlySet<RefusalCode> = new Set([
  'system',
  'flame',
  'wet',
  'room',
  'play',
  'undo',
  'tool',
  'policy',
  'thread',
  'metals',
  'no-figure',
])

/** What wants care in a joint that is there, with the refusal it stands for: it is said under that code. */
const OPEN: Readonly<Record<string, RefusalCode>> = {
  'unknown-temper': 'temper',
  'unknown-pex-type': 'pex-type',
  'unknown-barrier': 'service',
  'unknown-chlorine': 'service',
  'chlorine-share': 'service',
  class: 'service',
  gas: 'service',
}

/** What is done about a joint by a refusal's code. */
const REMEDIES: Readonly<Partial<Record<RefusalCode, string>>> = {
  hidden: 'Give it a panel, or replace it by a joint that may be hidden.',
  surface: 'Cut back to sound tube and make it anew.',
  rating: 'Lower pressure or temperature, or replace it by what takes them.',
  service: 'Replace it by pipe and joint made for this service.',
  drinking: 'Take it out of drinking water, or replace it.',
}
/** Refusals and concerns a look at a joint can carry. */
export const ASKED_REFUSALS: readonly RefusalCode[] = REFUSAL_CODES.filter((code) => !PAST.has(code))
export const OPEN_CONCERNS: readonly string[] = Object.keys(OPEN)

const USUAL_REMEDY = 'Cut it out and join it by what is made for both ends.'

/** The joint's own end under its service; what nobody said of it is unknown. */
function endOf(question: InspectQuestion): { offer: Offer; tube: Tube; situation: Situation } | null {
  const { pipe, region, service, drinking, hidden, temporary, policy, seen } = question
  const conditions = { service, drinking, temporary, hidden: hidden ?? (seen.reach === 'hidden' ? true : undefined) }
  const said = Object.fromEntries(Object.entries(conditions).filter(([, value]) => value !== undefined))
  const situation = fillSituation({ region, conditions: said, policy })
  if (pipe === undefined) return null
  const tube = toTube({ ...factsIn(question), pipe }, 'unknown')
  return { offer: toOffer(tube, 'a'), tube, situation }
}

const ALL_BUT_HIDDEN: ReadonlySet<RefusalCode> = new Set(REFUSAL_CODES.filter((code) => code !== 'hidden'))

/** Whether a joint of this kind may be hidden here, by the rules of ways; null where it may. */
export function refusedHidden({ method, ...question }: InspectQuestion): string | null {
  const asked = endOf({ ...question, method, hidden: true })
  const situation =
    asked?.situation ??
    fillSituation({
      region: question.region,
      conditions: { hidden: true, temporary: question.temporary ?? false, service: question.service ?? 'cold' },
      policy: question.policy,
    })
  if (isByThread(method)) {
    const found = refuseMethod(method, BARE_THREAD, null, situation, () => null)
    return found?.code === 'hidden' ? found.reason : null
  }
  // What may be hidden hangs on the method alone: any tube stands for it.
  return refuse(method, asked?.tube ?? ANY_TUBE, situation, ALL_BUT_HIDDEN)?.reason ?? null
}
const BARE_THREAD: Offer = {
  kind: 'thread',
  thread: { form: 'bspt', size: '1/2', gender: 'male', material: 'brass' },
  on: 'a',
}
const ANY_TUBE = toTube({ pipe: 'cu-en-x-22' })

/**
 * What the rules say of the end itself: findings under the refusal's code, and cautions in the words of a card. `tube`:
 * the end, where its pipe is known.
 */
export function findingsOfEnd(question: InspectQuestion): {
  findings: InspectFinding[]
  cautions: Note[]
  tube?: Tube
} {
  const asked = endOf(question)
  const { method } = question
  if (!asked) {
    const reason = question.hidden ? refusedHidden(question) : null
    return {
      findings: reason === null ? [] : [{ code: 'hidden', verdict: 'wrong', text: reason, remedy: REMEDIES.hidden }],
      cautions: [],
    }
  }
  const { offer, tube, situation } = asked
  const hazard = hazardOf(tube.pipe)
  const refusal = refuseMethod(method, offer, null, situation, (id) => refuse(id, tube, situation, PAST))
  // Seen out of reach, it is said under what was seen.
  const isSeen = refusal?.code === 'hidden' && question.hidden === undefined
  const findings: InspectFinding[] =
    refusal && !isSeen
      ? [{ code: refusal.code, verdict: 'wrong', text: refusal.reason, remedy: REMEDIES[refusal.code] ?? USUAL_REMEDY }]
      : []
  const concernsOfEnd = () =>
    isByThread(method) ? concernsOfPipe(tube, situation) : concernsOn(method, tube, situation)
  const concerns = refusal ? [] : concernsOfEnd()
  const open = concerns.filter(({ code }) => code in OPEN)
  if (tube.traced === 'unknown' && !open.some(({ code }) => code === 'gas'))
    open.push({ ...hazardNote('gas'), verdict: 'held' })
  for (const { code, text } of open) findings.push({ code: OPEN[code]!, verdict: 'care', text })
  const cautions = [...(hazard ? [hazardNote(hazard)] : []), ...open.map(({ code, text }): Note => ({ code, text }))]
  return { findings, cautions, tube }
}

/** Pipe that is left alone takes no remedy that loosens, cuts or makes anew. */
export function leaveAlone(findings: readonly InspectFinding[], tube: Tube | undefined): InspectFinding[] {
  const hazard = tube && (hazardOf(tube.pipe) ?? (tube.traced === 'unknown' ? 'gas' : null))
  return hazard
    ? findings.map((one) => (one.verdict === 'sound' ? one : { ...one, remedy: HAZARDS[hazard].remedy }))
    : [...findings]
}
