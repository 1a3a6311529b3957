import { fail, ok, type Result } from '#core/base'
import { bendOf, findPipe, spacingOf, supportCodeOf, type Spacing } from '#core/catalogue'

import { length, speak, speakAll, spoken, w } from '#core/speech'
import {
  ARM_CONSTANT,
  CLEAR_OD,
  EXPANSION,
  LEAST_GROWTH_MM,
  LOOP_SHARE,
  SWEPT_OD,
  LEAST_SPACING_MM,
  MOST_SUPPORTS,
} from './expansion-figures'
import { placeOnLeg, type Interval } from './place'
import { adviceOf } from './rules'
import type { Expansion, FixAnswer, FixContext, FixQuestion, FixAdvice, Support } from './types'

/**
 * A given distance that no maker prints, and more supports than a line has. Issues: `range` at the distance, `too-many`
 * at `legs`.
 */
function checkGiven({ given, legs }: FixQuestion): Result<null> {
  for (const run of ['horizontal', 'vertical'] as const) {
    const mm = given?.[run]
    if (mm !== undefined && mm < LEAST_SPACING_MM)
      return fail(
        'range',
        `given.${run}`,
        `given.${run}: at least ${LEAST_SPACING_MM} mm between supports is accepted.`,
      )
  }
  const least = Math.min(given?.horizontal ?? Infinity, given?.vertical ?? Infinity)
  const count = legs.reduce((sum, { length }) => sum + length, 0) / least
  return count > MOST_SUPPORTS
    ? fail(
        'too-many',
        'legs',
        `legs: ${Math.ceil(count)} supports at that distance. At most ${MOST_SUPPORTS} are worked out at once.`,
      )
    : ok(null)
}

/**
 * A question with its pipe and its code's row. Issues: `unknown-id` at `pipe`, `range` at a given distance, `too-many`
 * at `legs`.
 */
export function fixContext(question: FixQuestion): Result<FixContext> {
  const found = findPipe(question.pipe, 'pipe')
  if (!found.ok) return found
  const pipe = found.value
  const checked = checkGiven(question)
  if (!checked.ok) return checked
  const row = spacingOf(question.code ?? supportCodeOf(question.region), pipe, question.temperature)
  const { given } = question
  const spacing: Spacing | null =
    given?.horizontal === undefined && given?.vertical === undefined
      ? row
      : {
          midStorey: row?.midStorey ?? false,
          byStorey: given.vertical === undefined && (row?.byStorey ?? false),
          horizontal: given.horizontal ?? row?.horizontal ?? null,
          vertical: given.vertical ?? row?.vertical ?? null,
          source: `measured: the maker's sheet${row ? `; else ${row.source}` : ''}`,
        }
  return ok({ question, pipe, spacing, clear: CLEAR_OD * pipe.od })
}

/** Where no support may stand on a leg: about its joints and its bends' arcs. */
export function blocksOf(
  { question: { legs }, pipe, clear }: FixContext,
  index: number,
): { interval: Interval; of: 'joint' | 'bend' }[] {
  const { joints = [], bends = [] } = legs[index]!
  // The tightest radius it is met with on site, whose arc is the shortest; a swept pipe is clipped along its sweep.
  const radius = bendOf(pipe)?.radius.lo ?? 0
  const tangent = radius >= SWEPT_OD * pipe.od ? 0 : radius
  return [
    ...joints.map((at) => ({ interval: [at - clear, at + clear] as const, of: 'joint' as const })),
    ...bends.map((at) => ({ interval: [at - tangent - clear, at + tangent + clear] as const, of: 'bend' as const })),
  ]
}

/**
 * Greatest distance between the supports of a leg, mm; half of it where a guide stands between on the way up. Null where
 * none is held.
 */
export function stepOf({ question: { legs }, spacing }: FixContext, index: number): number | null {
  if (!spacing) return null
  if (legs[index]!.run === 'horizontal') return spacing.horizontal
  if (spacing.vertical === null) return null
  return spacing.midStorey ? spacing.vertical / 2 : spacing.vertical
}

/** What each leg grows between the two temperatures, and the free arm across its ends. */
export function expansionOf({
  question: { legs, temperature, installedAt },
  pipe,
}: Pick<FixContext, 'question' | 'pipe'>): Expansion[] {
  const alpha = EXPANSION[pipe.family]
  if (!alpha) return []
  const constant = ARM_CONSTANT[pipe.family]
  const warmer = temperature - installedAt
  return legs.map(({ length }, leg): Expansion => {
    const grow = (by: number) => ((by * length) / 1000) * warmer
    const change = grow(alpha.value)
    const [changeLo, changeHi] = [grow(alpha.lo), grow(alpha.hi)].sort((a, b) => a - b) as [number, number]
    const arm = (c: number, by: number) => c * Math.sqrt(pipe.od * Math.abs(by))
    const [least, most] = [
      Math.min(Math.abs(changeLo), Math.abs(changeHi)),
      Math.max(Math.abs(changeLo), Math.abs(changeHi)),
    ]
    return {
      leg,
      change,
      changeLo,
      changeHi,
      arm: constant ? arm(constant.value, change) : null,
      lo: constant ? arm(constant.lo, least) : null,
      hi: constant ? arm(constant.hi, most) : null,
    }
  })
}

/** What a leg is called. */
const nameOf = ({ question: { legs } }: Pick<FixContext, 'question'>, index: number): string =>
  legs[index]!.name?.trim() || `leg ${index + 1}`
const titled = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** Supports of one leg whose code speaks of storeys: base and top, a guide between. */
function byStorey(context: FixContext, index: number): number[] {
  const { length } = context.question.legs[index]!
  const blocks = blocksOf(context, index).map(({ interval }) => interval)
  const at = placeOnLeg(length, length, blocks).at
  const ends = [0, length].flatMap((end) => {
    const [from, to] = blocks.find((block) => end >= block[0] && end <= block[1]) ?? [end, end]
    const place = end === 0 ? to : from
    return [place > 0 && place < length ? place : end]
  })
  return [...new Set([ends[0]!, ...at, ends.at(-1)!])]
    .filter((place) => !blocks.some(([from, to]) => place > from + 1e-9 && place < to - 1e-9))
    .sort((a, b) => a - b)
}

/**
 * Where a pipe is held along its legs by a code's greatest distances, what it grows, and what has to be seen to. All mm
 * from a leg's start. Supports stand at most the code's distance apart, at most half of it from a leg's ends, and
 * clear of joints and bends (ours: two outside diameters). No row: no supports, and a rule that says so. Arms are those
 * of a free cantilever. Source: the code's table; growth by handbooks, typical.
 */
export const fixPipe = spoken((question: FixQuestion): Result<FixAnswer> => {
  const made = fixContext(question)
  return made.ok ? ok(answerFix(made.value)) : made
})

export function answerFix(context: FixContext): FixAnswer {
  const {
    question: { legs, region },
    spacing,
  } = context
  const expansion = expansionOf(context)
  const supports: Support[] = []
  const rules: FixAdvice[] = []
  const isMoving = (leg: number) => Math.abs(expansion[leg]?.change ?? 0) >= LEAST_GROWTH_MM
  const armFor = (leg: number) => (isMoving(leg) ? (expansion[leg]?.arm ?? 0) : 0)
  legs.forEach((leg, index) => {
    const step = stepOf(context, index)
    const blocks = blocksOf(context, index).map(({ interval }) => interval)
    let at: number[]
    if (step === null) {
      if (!spacing || leg.run === 'horizontal' || !spacing.byStorey) return
      at = byStorey(context, index)
    } else {
      // A neighbour's growth bends this leg: its first support stands beyond the arm where that is allowed.
      const placed = placeOnLeg(leg.length, step, blocks, [
        index > 0 ? armFor(index - 1) : 0,
        index < legs.length - 1 ? armFor(index + 1) : 0,
      ])
      at = placed.at
      if (at.length === 0)
        rules.push({
          code: 'too-short',
          text:
            `${titled(nameOf(context, index))} is ${length(leg.length)} long: ` +
            `no place on it is ${length(context.clear)} clear of its joints and bends. ` +
            `Its ${w.neighbours} carry it; a valve or outlet on it has its own bracket.`,
          leg: index,
        })
      else
        for (const gap of placed.gaps)
          rules.push({
            code: 'no-room',
            text:
              `${titled(nameOf(context, index))}: ${length(gap.to - gap.from, [gap.most])} from ${length(gap.from)} to ${length(gap.to)}, ` +
              `at most ${length(gap.most, [gap.to - gap.from])}: joints and bends leave no nearer place. ` +
              "Bracket a fitting's body there, or move a joint.",
            leg: index,
            at: gap.to,
          })
    }
    const middle = Math.floor((at.length - 1) / 2)
    const isGuided = spacing?.midStorey === true && leg.run === 'vertical'
    const kindAt = (i: number): Support['kind'] => {
      if (isMoving(index)) return i === middle && at.length > 1 ? 'anchor' : 'guide'
      return isGuided && i % 2 === 1 ? 'guide' : 'clip'
    }
    at.forEach((place, i) => supports.push({ leg: index, at: place, kind: kindAt(i) }))
  })
  return {
    spacing: { horizontal: spacing?.horizontal ?? null, vertical: spacing?.vertical ?? null },
    source: speak(spacing?.source ?? 'none held for this pipe', region),
    supports,
    expansion,
    rules: speakAll([...rules, ...armRules(context, supports, expansion), ...adviceOf(context, expansion)], region),
  }
}

/** The free arm of each leg's end across it, by where the first support of its neighbour stands, mm. */
export interface Arm {
  leg: number
  end: 'start' | 'end'
  across: number
  grows: number
  needs: number
  has: number
}

/**
 * Every corner twice: what a leg pushes there, the arm that needs along its neighbour, and the arm the neighbour has up
 * to its first support. A leg with an anchor pushes with its length from there, else with all of it.
 */
export function armsOf(
  { question: { legs } }: Pick<FixContext, 'question'>,
  supports: readonly Support[],
  expansion: readonly Expansion[],
): Arm[] {
  return expansion.flatMap(({ leg, change, arm }): Arm[] => {
    if (arm === null || Math.abs(change) < LEAST_GROWTH_MM) return []
    const { length } = legs[leg]!
    const anchor = supports.find((support) => support.leg === leg && support.kind === 'anchor')?.at
    return (['start', 'end'] as const).flatMap((end): Arm[] => {
      const across = end === 'start' ? leg - 1 : leg + 1
      const other = legs[across]
      if (!other) return []
      const share = anchor === undefined ? 1 : (end === 'start' ? anchor : length - anchor) / length
      const on = supports.filter((support) => support.leg === across).map(({ at }) => at)
      const has = Math.min(other.length, ...on.map((at) => (end === 'start' ? other.length - at : at)))
      return [{ leg, end, across, grows: change * share, needs: arm * Math.sqrt(share), has }]
    })
  })
}

function armRules(context: FixContext, supports: readonly Support[], expansion: readonly Expansion[]): FixAdvice[] {
  return armsOf(context, supports, expansion)
    .filter(({ needs, has }) => has < needs - 1e-6)
    .map(({ leg, end, across, grows, needs, has }): FixAdvice => {
      const [name, other] = [nameOf(context, leg), nameOf(context, across)]
      const moves = `${titled(name)} ${grows < 0 ? 'shortens' : 'grows'} ${length(Math.abs(grows))} at its ${end}`
      const loop = `a loop into ${name}, its legs about ${length(LOOP_SHARE.value * needs)}`
      return {
        code: 'arm-short',
        leg: across,
        text:
          `${moves}: ${other} wants ${length(needs, [has])} free there and has ${length(has, [needs])}. ` +
          `Move its clip away, let that one slide and lift, or put ${loop}.`,
      }
    })
}
