import { isLineValve } from '#core/line'
import { fail, ok, type Result } from '#core/base'
import { supportCodeOf, type SupportCode } from '#core/catalogue'
import { fillConditions, type Service } from '#core/joints'
import * as supports from '#core/supports'
import { supportedBends, throughWalls } from '#core/supports'
import type { FixedLine, HeldLine, LineToHold, Support } from '#core/supports'

import { length, speakAll, w } from '#core/speech'
import { surveyed, type LineRules } from '../line/work'
import type { JobRecord } from '../job/record'
import type { Hand } from '../hand'
import type { ClipRecord, LineRecord } from '../line/record'
import type { SupportBody, SupportPlace, SupportsBody } from './schema'

/* How a job's lines are held: what was said of them, what was set by hand, and how far it is done. */

/** Air a pipe is fixed in where nobody said, degC. Ours. */
const USUAL_INSTALLED_C = 15

export interface FixSettings {
  service: Service
  temperature: number
  installedAt: number
  code: SupportCode
}

/** What a line's supports are worked out by: what was said, else what is usual for its service and country. */
export function fixSettings({ region }: Pick<JobRecord, 'region'>, { fix }: Pick<LineRecord, 'fix'>): FixSettings {
  const service = fix.service ?? 'cold'
  return {
    service,
    temperature: fix.temperature ?? fillConditions({ service }).temperature,
    installedAt: fix.installedAt ?? USUAL_INSTALLED_C,
    code: fix.code ?? supportCodeOf(region),
  }
}

/** The maker's own distances, where either was given. */
function givenSpacing({ fix: { across, up } }: Pick<LineRecord, 'fix'>): LineToHold['given'] {
  if (across === undefined && up === undefined) return undefined
  return { ...(across === undefined ? {} : { horizontal: across }), ...(up === undefined ? {} : { vertical: up }) }
}

/** A line as it is laid, with what was said of its supports; null while it cannot be laid. */
function toHold(job: LineRules, line: LineRecord): LineToHold | null {
  const { draft, survey } = surveyed(job, line)
  if (!survey || !draft.question) return null
  const given = givenSpacing(line)
  return { region: job.region, ...fixSettings(job, line), ...(given ? { given } : {}), draft, survey, set: line.clips }
}

/** A line with its supports by its legs; null while it cannot be laid. */
export function holdLine(job: LineRules, line: LineRecord): HeldLine | null {
  const laid = toHold(job, line)
  return laid && supports.holdLine(laid)
}

/** A line of a job as it is held; null while it cannot be laid. */
export function fixLine(job: LineRules, line: LineRecord): FixedLine | null {
  const laid = toHold(job, line)
  return laid && supports.fixLine(laid)
}

/** The support of a line by its key; fails at `support` where the line as it is laid has none such. */
function supportOf(rules: LineRules, line: LineRecord, key: string): Result<{ length: number }> {
  const held = holdLine(rules, line)
  const support = held?.supports.find((one) => one.key === key)
  return held && support
    ? ok({ length: held.line.survey.laid[support.leg]!.length })
    : fail('unknown-id', 'support', `support: this line has no support ${key}. Look at the line as it is now.`)
}

const setClip = (line: LineRecord, key: string, clip: ClipRecord | null): LineRecord => {
  const { [key]: _, ...others } = line.clips
  return { ...line, clips: clip === null ? others : { ...others, [key]: clip } }
}

function putSupport(
  rules: LineRules,
  line: LineRecord,
  { support, mm }: SupportBody,
  { at, by }: { at: string | null; by: string },
): Result<LineRecord> {
  const found = supportOf(rules, line, support)
  if (!found.ok) return found
  return mm > found.value.length
    ? fail('range', 'mm', `mm: its leg is ${length(found.value.length)} long; at most that is accepted.`)
    : ok(setClip(line, support, { mm, at, by }))
}

/** A support moved by hand, mm along its leg; one that was fixed is not fixed there any more. */
export const moveSupport = (rules: LineRules, line: LineRecord, body: SupportBody, { by }: Hand): Result<LineRecord> =>
  putSupport(rules, line, body, { at: null, by })

/** Several supports moved at once; all of them, or none where one cannot be. One that was fixed is left as it is. */
export function moveSupports(
  rules: LineRules,
  line: LineRecord,
  { supports: moved }: SupportsBody,
  hand: Hand,
): Result<LineRecord> {
  let after = line
  for (const { support, mm } of moved) {
    if (line.clips[support]?.at) continue
    const answer =
      mm === null ? freeSupport(rules, after, { support }) : moveSupport(rules, after, { support, mm }, hand)
    if (!answer.ok) return answer
    after = answer.value
  }
  return ok(after)
}

/** A support fixed where it stands, mm along its leg. Fixed twice at one place it changes nothing. */
export function fixSupport(rules: LineRules, line: LineRecord, body: SupportBody, hand: Hand): Result<LineRecord> {
  const own = line.clips[body.support]
  return own && own.at !== null && own.mm === body.mm
    ? ok(line)
    : putSupport(rules, line, body, { at: hand.at, by: hand.by })
}

/** The hand's word on a support taken back. Fails at `support` where there is none such and nothing was said of it. */
export function freeSupport(rules: LineRules, line: LineRecord, { support }: SupportPlace): Result<LineRecord> {
  if (support in line.clips) return ok(setClip(line, support, null))
  const found = supportOf(rules, line, support)
  return found.ok ? ok(line) : found
}

const ORDER_WORDS: Readonly<Record<Support['kind'], string>> = {
  anchor: 'anchor bracket',
  guide: 'sliding clip',
  clip: 'pipe clip',
}

/** Screws of an outlet elbow, into solid wood: practice. */
const DROP_EAR_SCREWS = 2

const sleeveSize = (label: string, thick: number) => `for ${label}, ${length(thick)} of wall`

/** What is ordered to hold a job's lines and to guard them: by kind and size. */
export interface SupportOrder {
  quantity: number
  name: string
  size: string
}
export function supportOrder(job: LineRules & Pick<JobRecord, 'lines'>): SupportOrder[] {
  const counted = new Map<string, SupportOrder>()
  const count = (name: string, size: string, more = 1) =>
    counted.set(`${name} ${size}`, { quantity: (counted.get(`${name} ${size}`)?.quantity ?? 0) + more, name, size })
  for (const line of job.lines) {
    const held = holdLine(job, line)
    if (!held) continue
    const { laid } = held.line.survey
    for (const { kind, leg } of held.supports) count(ORDER_WORDS[kind], laid[leg]!.pipe.label)
    // A valve in the line, and an outlet at its end, are held by their own: their torque never goes through the pipe.
    for (const {
      mouths: [, end],
      children,
      pipe,
    } of laid) {
      if (end && isLineValve(end.kind)) count('valve bracket', pipe.label)
      if (end?.kind === 'stop' && children.length === 0) count('outlet bracket', pipe.label)
      if (end?.kind === 'stub-out') count('stub-out bracket', pipe.label)
      if (end?.kind === 'drop-ear') count(`screw into solid wood, for ${w.aDropEar}`, '', DROP_EAR_SCREWS)
    }
    for (const { pipe } of supportedBends(held.line)) count('bend support', pipe.label)
    for (const { pipe, thick } of throughWalls(held.line))
      count('sleeve through a wall, one or two sizes larger', sleeveSize(pipe.label, thick))
    if (line.fix.guards) count('guard plate, steel', '', line.fix.guards)
  }
  return speakAll([...counted.values()], job.region).sort(
    (a, b) => a.size.localeCompare(b.size) || a.name.localeCompare(b.name),
  )
}
