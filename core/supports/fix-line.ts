import { surveyLine, type Piece } from '#core/line'
import { piecesOf } from '#core/run'
import { speakAll } from '#core/speech'
import type { FixedLine, FixGroup, HeldLine, LineSupport, LineToHold } from './held'
import { holdLine } from './hold-line'
import { branchRules, wallRules } from './moving-line'
import type { FixRule } from './types'

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

/** The line surveyed anew with its supports as clips, so that its pieces have their marks. */
function surveyWithClips({ line: { draft, survey }, supports }: HeldLine) {
  if (!draft.question) return survey
  const clips = supports.filter(({ leg, at }) => at <= survey.laid[leg]!.length).map(({ leg, at }) => ({ leg, at }))
  const clipped = surveyLine({ ...draft.question, clips })
  return clipped.ok ? clipped.value : survey
}

/** A laid line as it is held: its supports placed on its pieces, what it grows, and what is to be seen to. */
export function fixLine(line: LineToHold): FixedLine {
  const held = holdLine(line)
  const { groups } = held
  const survey = surveyWithClips(held)
  const tubes = piecesOf(line.draft, survey)
  return {
    draft: line.draft,
    survey,
    groups,
    tubes,
    supports: nameSupports(
      held.supports,
      tubes.map(({ piece }) => piece),
    ),
    expansion: groups.flatMap(({ legs, answer }) => answer.expansion.map((one) => ({ ...one, leg: legs[one.leg]! }))),
    arms: groups.flatMap(({ legs, arms }) =>
      arms.map((arm) => ({ ...arm, leg: legs[arm.leg]!, across: legs[arm.across]! })),
    ),
    rules: [...uniqueRules(groups), ...speakAll([...wallRules(held), ...branchRules(held)], line.region)],
  }
}
