import { dot, vectorOf } from '#core/line'
import { length as mm } from '#core/speech'
import { ARM_CONSTANT, LEAST_GROWTH_MM } from './expansion-figures'
import type { FixGroup, HeldLine } from './held'
import type { FixRule } from './types'

/* What of a line that warms and cools is stopped or bent by what it meets: walls, and branches taken from it. */

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
export function wallRules({ line: { draft, survey }, groups, nameOf }: HeldLine): FixRule[] {
  const { laid } = survey
  return (draft.question?.walls ?? []).flatMap(({ to, at, thick }) =>
    laid.flatMap(({ index, begin, end }): FixRule[] => {
      const way = vectorOf(to)
      const [from, until] = [dot(begin, way), dot(end, way)].sort((a, b) => a - b) as [number, number]
      const { change } = growthOf(groups, index)
      if (from > at || until < at + thick || Math.abs(change) < LEAST_GROWTH_MM) return []
      return [
        {
          code: 'wall-stops',
          leg: index,
          text: `${nameOf(index)} moves ${mm(Math.abs(change))} through the wall at ${mm(at)}: a sleeve one or two sizes larger, sealed soft, or it is held there.`,
        },
      ]
    }),
  )
}

/** A branch taken from a moving leg is bent by it: its first support stands beyond an arm of its own. */
export function branchRules({ line, groups, supports, nameOf }: HeldLine): FixRule[] {
  const { laid } = line.survey
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
            text:
              `${nameOf(parent)} moves the branch ${nameOf(index)} by ${mm(Math.abs(atEnd))}: ` +
              `it wants ${mm(needs, [has])} free from its tee and has ${mm(has, [needs])}.`,
          },
        ]
  })
}
