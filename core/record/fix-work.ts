import { supportCodeOf, type SupportCode } from '#core/catalogue'
import { fillConditions, type Service } from '#core/joints'
import { dot, surveyLine, vectorOf, type LaidLeg, type Piece, type Survey } from '#core/line'
import { piecesOf, type RunDraft, type RunPiece } from '#core/run'
import { formatDecimal } from '#core/units'
import {
  answerFix,
  ARM_CONSTANT,
  armsOf,
  checkSupports,
  fixContext,
  LEAST_GROWTH_MM,
  sittingRange,
  type Arm,
  type Expansion,
  type FixAnswer,
  type FixContext,
  type FixLeg,
  type FixRule,
  type Support,
} from '#core/supports'
import { surveyed, type LineRules } from './line-work'
import type { JobRecord, LineRecord } from './types'

/*
 * How a line of a job is held: its legs as the fix verb takes them, supports where they were moved or fixed by hand, and
 * how far each is from the left end of its own piece.
 */

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

export interface LineSupport extends Support {
  /** Its place in `clips`, such as "2:0". */
  key: string
  /** Called S1, S2 along the line. */
  name: string
  isMoved: boolean
  /** When it was fixed; null while it is not. */
  fixedAt: string | null
  piece: string
  /** From the left end of its own piece along the tube, mm; null where that is not known. */
  fromLeft: number | null
  /** Where it may sit while the others stay, mm along its leg. */
  may: { from: number; to: number } | null
  broken: FixRule[]
}

/** Legs of one pipe one after another, with what core says of them. `legs` are the laid legs' indexes. */
interface FixGroup {
  legs: number[]
  context: FixContext
  answer: FixAnswer
  arms: Arm[]
}

export interface FixedLine {
  draft: RunDraft
  survey: Survey
  groups: FixGroup[]
  supports: LineSupport[]
  expansion: Expansion[]
  /** Arms by the laid legs' indexes. */
  arms: Arm[]
  rules: FixRule[]
  tubes: RunPiece[]
}

const VERTICAL = Math.cos(Math.PI / 6)

/** A laid leg as the fix verb takes it: joints where mouths are, bends at its corners. */
function toFixLeg({ length, along, mouths }: LaidLeg, name: string): FixLeg {
  const joints: number[] = []
  const bends: number[] = []
  mouths.forEach((mouth, i) => {
    const at = (mm: number) => (i === 0 ? mm : length - mm)
    if (mouth === null) bends.push(at(0))
    else if (mouth.kind !== 'free')
      joints.push(at(0), ...(mouth.takeOut.value ? [at(Math.min(mouth.takeOut.value, length))] : []))
  })
  return { name, length, run: Math.abs(along[2]) >= VERTICAL ? 'vertical' : 'horizontal', joints, bends }
}

/** Legs that run on from one another in one pipe. */
function chainsOf(laid: readonly LaidLeg[]): LaidLeg[][] {
  const chains: LaidLeg[][] = []
  for (const leg of laid) {
    const last = chains.at(-1)?.at(-1)
    if (last && leg.parent === last.index && leg.pipe.id === last.pipe.id) chains.at(-1)!.push(leg)
    else chains.push([leg])
  }
  return chains
}

interface HeldLine {
  draft: RunDraft
  survey: Survey
  groups: FixGroup[]
  supports: LineSupport[]
  nameOf: (index: number) => string
}

/** A line with its supports by its legs, not yet placed on its pieces; null while it cannot be laid. */
function holdLine(job: LineRules, line: LineRecord): HeldLine | null {
  const { draft, survey } = surveyed(job, line)
  if (!survey || !draft.question) return null
  const settings = fixSettings(job, line)
  const { across, up } = line.fix
  const given =
    across === undefined && up === undefined
      ? null
      : { ...(across === undefined ? {} : { horizontal: across }), ...(up === undefined ? {} : { vertical: up }) }
  const typed = draft.question.clips ?? []
  const found: LineSupport[] = []
  const nameOf = (index: number) => {
    const row = draft.rows.find(({ legs }) => legs && index >= legs[0] && index <= legs[1])
    return row ? `${row.from} to ${row.to}` : `leg ${index + 1}`
  }
  const groups = chainsOf(survey.laid).flatMap((chain): FixGroup[] => {
    const made = fixContext({
      region: job.region,
      pipe: chain[0]!.pipe.id,
      ...settings,
      ...(given ? { given } : {}),
      legs: chain.map((leg) => toFixLeg(leg, nameOf(leg.index))),
    })
    if (!made.ok) return []
    const context = made.value
    const proposed = answerFix(context)
    const supports = chain.flatMap(
      (leg, index): (Support & { key: string; isMoved: boolean; fixedAt: string | null })[] => {
        // Clips that were typed with the leg stand where they were typed.
        const own = typed
          .filter((clip) => clip.leg === leg.index)
          .map(({ at }) => at)
          .sort((a, b) => a - b)
        const here = proposed.supports.filter((support) => support.leg === index)
        const places: Support[] =
          own.length > 0
            ? own.map((at, n) => ({ leg: index, at, kind: here[n]?.kind ?? here.at(-1)?.kind ?? 'clip' }))
            : here
        return places.map((place, n) => {
          const key = `${leg.index}:${n}`
          const set = line.clips[key]
          return {
            ...place,
            key,
            at: set?.mm ?? place.at,
            isMoved: set !== undefined && Math.abs(set.mm - place.at) > 0.05,
            fixedAt: set?.at ?? null,
          }
        })
      },
    )
    const broken = checkSupports(context, supports)
    found.push(
      ...supports.map(({ leg, ...support }, i): LineSupport => ({
        ...support,
        may: sittingRange(context, supports, i),
        leg: chain[leg]!.index,
        name: '',
        piece: '',
        fromLeft: null,
        broken: broken.filter(
          (rule) => rule.leg === leg && (rule.at === undefined || Math.abs(rule.at - support.at) < 1e-6),
        ),
      })),
    )
    return [
      {
        legs: chain.map(({ index }) => index),
        context,
        answer: { ...proposed, supports },
        arms: armsOf(context, supports, proposed.expansion),
      },
    ]
  })
  return { draft, survey, groups, supports: found.sort((a, b) => a.leg - b.leg || a.at - b.at), nameOf }
}

/** A line of a job as it is held; null while it cannot be laid. */
export function fixLine(job: LineRules, line: LineRecord): FixedLine | null {
  const held = holdLine(job, line)
  if (!held) return null
  const { draft, survey, groups, supports: ordered, nameOf } = held
  const placed = surveyLine({
    ...draft.question!,
    clips: ordered.filter(({ leg, at }) => at <= survey.laid[leg]!.length).map(({ leg, at }) => ({ leg, at })),
  })
  const whole = placed.ok ? placed.value : survey
  const tubes = piecesOf(draft, whole)
  return {
    draft,
    survey: whole,
    groups,
    tubes,
    supports: nameSupports(
      ordered,
      tubes.map(({ piece }) => piece),
    ),
    expansion: groups.flatMap(({ legs, answer }) => answer.expansion.map((one) => ({ ...one, leg: legs[one.leg]! }))),
    arms: groups.flatMap(({ legs, arms }) =>
      arms.map((arm) => ({ ...arm, leg: legs[arm.leg]!, across: legs[arm.across]! })),
    ),
    rules: [
      ...uniqueRules(groups),
      ...wallRules(draft, survey.laid, groups, nameOf),
      ...branchRules(survey.laid, groups, ordered, nameOf),
    ],
  }
}

/** What a laid leg grows in all, mm, and how much of that at its end, by where it is anchored. */
function growthOf(groups: readonly FixGroup[], index: number): { change: number; atEnd: number } {
  const group = groups.find(({ legs }) => legs.includes(index))
  const own = group?.legs.indexOf(index) ?? -1
  const change = group?.answer.expansion[own]?.change ?? 0
  const anchor = group?.answer.supports.find(({ leg, kind }) => leg === own && kind === 'anchor')?.at
  const length = group?.context.question.legs[own]?.length ?? 1
  return { change, atEnd: anchor === undefined ? change : (change * (length - anchor)) / length }
}

/** A wall that a moving leg goes through stops it, unless it is sleeved. */
function wallRules(
  { question }: RunDraft,
  laid: readonly LaidLeg[],
  groups: readonly FixGroup[],
  nameOf: (index: number) => string,
): FixRule[] {
  return (question?.walls ?? []).flatMap(({ to, at, thick }) =>
    laid.flatMap(({ index, begin, end }): FixRule[] => {
      const way = vectorOf(to)
      const [from, until] = [dot(begin, way), dot(end, way)].sort((a, b) => a - b) as [number, number]
      const { change } = growthOf(groups, index)
      if (from > at || until < at + thick || Math.abs(change) < LEAST_GROWTH_MM) return []
      return [
        {
          code: 'wall-stops',
          leg: index,
          text: `${nameOf(index)} moves ${formatDecimal(Math.abs(change), 1)} through the wall at ${formatDecimal(at, 0)}: a sleeve one or two sizes larger, sealed soft, or it is held there.`,
        },
      ]
    }),
  )
}

/** A branch taken from a moving leg is bent by it: its first support stands beyond an arm of its own. */
function branchRules(
  laid: readonly LaidLeg[],
  groups: readonly FixGroup[],
  supports: readonly LineSupport[],
  nameOf: (index: number) => string,
): FixRule[] {
  return laid.flatMap(({ index, parent, along, pipe, length }): FixRule[] => {
    if (parent === null || groups.some(({ legs }) => legs.includes(index) && legs.includes(parent))) return []
    const { atEnd } = growthOf(groups, parent)
    const constant = ARM_CONSTANT[pipe.family]
    // A branch in the moving leg's own line goes with it.
    if (!constant || Math.abs(atEnd) < LEAST_GROWTH_MM || Math.abs(dot(along, laid[parent]!.along)) > 0.5) return []
    const needs = constant.value * Math.sqrt(pipe.od * Math.abs(atEnd))
    const has = Math.min(length, ...supports.filter(({ leg }) => leg === index).map(({ at }) => at))
    return has >= needs
      ? []
      : [
          {
            code: 'branch-arm',
            leg: index,
            text: `${nameOf(parent)} moves the branch ${nameOf(index)} by ${formatDecimal(Math.abs(atEnd), 1)}: it wants ${formatDecimal(needs, 0)} free from its tee and has ${formatDecimal(has, 0)}.`,
          },
        ]
  })
}

/** Supports by their names along the line, with the distance from the left end of their piece. */
function nameSupports(supports: readonly LineSupport[], pieces: readonly Piece[]): LineSupport[] {
  const next = new Map<string, number>()
  return supports.map((support, i): LineSupport => {
    const piece = pieces.find(({ legs }) => legs.includes(support.leg))
    const marks = piece?.marks.filter(({ what }) => what === 'clip') ?? []
    const n = piece ? (next.get(piece.id) ?? 0) : 0
    if (piece) next.set(piece.id, n + 1)
    return { ...support, name: `S${i + 1}`, piece: piece?.id ?? '', fromLeft: marks[n]?.at ?? null }
  })
}

/** What is to be seen to: each thing once, and of legs under the laid legs' own numbers. */
function uniqueRules(groups: readonly FixGroup[]): FixRule[] {
  const rules = groups.flatMap(({ legs, answer }) =>
    answer.rules.map((rule) => (rule.leg === undefined ? rule : { ...rule, leg: legs[rule.leg]! })),
  )
  return rules.filter(
    (rule, i) => rules.findIndex((other) => other.code === rule.code && other.text === rule.text) === i,
  )
}

/** A support set to a place, or fixed there; null takes the hand's word back. */
export function setSupport(
  line: Pick<LineRecord, 'clips'>,
  key: string,
  set: { mm: number; at: string | null } | null,
): LineRecord['clips'] {
  const { [key]: _, ...others } = line.clips
  return set === null ? others : { ...others, [key]: set }
}

const ORDER_WORDS: Readonly<Record<Support['kind'], string>> = {
  anchor: 'anchor bracket',
  guide: 'sliding clip',
  clip: 'pipe clip',
}

/** What is ordered to hold a job's lines: supports by kind and size, guards left to the place. */
export interface SupportOrder {
  quantity: number
  name: string
  size: string
}
export function supportOrder(job: LineRules & Pick<JobRecord, 'lines'>): SupportOrder[] {
  const counted = new Map<string, SupportOrder>()
  const count = (name: string, size: string) =>
    counted.set(`${name} ${size}`, { quantity: (counted.get(`${name} ${size}`)?.quantity ?? 0) + 1, name, size })
  for (const line of job.lines) {
    const held = holdLine(job, line)
    if (!held) continue
    const { laid } = held.survey
    for (const { kind, leg } of held.supports) count(ORDER_WORDS[kind], laid[leg]!.pipe.label)
    // A valve in the line, and an outlet at its end, are held by their own: their torque never goes through the pipe.
    for (const {
      mouths: [, end],
      children,
      pipe,
    } of laid) {
      if (end?.kind === 'valve') count('valve bracket', pipe.label)
      if (end?.kind === 'stop' && children.length === 0) count('outlet bracket', pipe.label)
    }
  }
  return [...counted.values()].sort((a, b) => a.size.localeCompare(b.size) || a.name.localeCompare(b.name))
}

/** How far a job's supports are: those fixed of all. */
export function fixProgress(job: LineRules & Pick<JobRecord, 'lines'>): {
  fixed: number
  of: number
  isBroken: boolean
} {
  const supports = job.lines.flatMap((line) => holdLine(job, line)?.supports ?? [])
  return {
    fixed: supports.filter(({ fixedAt }) => fixedAt !== null).length,
    of: supports.length,
    isBroken: supports.some(({ broken }) => broken.length > 0),
  }
}
