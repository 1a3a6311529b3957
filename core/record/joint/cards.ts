import type { Way } from '#core/joints'
import { makeCards, type MakeCard } from '#core/making'
import { conditionsNow } from './conditions'
import { onFirstStep } from './on-first'
import { doubtNotes, endsNow, type SuspectRules } from './suspects'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/** What of a job a joint's cards are made by. */
export type CardRules = SuspectRules & Pick<JobRecord, 'region' | 'policy' | 'tools'>

/** Least temperature of the expander on the van by its own paper, degC; null where nobody typed it. */
const leastAmbientOf = ({ tools }: Pick<JobRecord, 'tools'>): number | null =>
  tools?.find(({ method }) => method === 'expansion')?.leastAmbient ?? null

/** All that cards are made from, beside the way itself. */
function restsOn({ region, year, policy, tools, finds }: CardRules, joint: JointRecord): readonly unknown[] {
  const { orientation, conditions, flex, onFirst, slip, a, b, findA, findB, ambient, torch } = joint
  const ends = [a, b, findA, findB, conditions, flex, onFirst, slip]
  return [region, year, policy, tools, finds, orientation, ambient, torch, ...ends]
}
/** Cards by the way they were made from: a tick leaves all of that alone, and is asked for them time and again. */
const MADE = new WeakMap<object, { on: readonly unknown[]; cards: readonly MakeCard[] }>()

/** How a joint of a job is made, one card for each entry of its way; none while no way is taken. */
export function cardsOf(job: CardRules, joint: JointRecord): readonly MakeCard[] {
  if (!joint.way) return []
  const on = restsOn(job, joint)
  const known = MADE.get(joint.way)
  if (known?.on.every((value, i) => value === on[i])) return known.cards
  const cards = makeDoubted(job, joint, joint.way)
  MADE.set(joint.way, { on, cards })
  return cards
}

/** The cards of a way, with what the finds of its ends leave in doubt. */
function makeDoubted(job: CardRules, joint: JointRecord, way: Way): MakeCard[] {
  const cards = makeCards({
    joints: way.joints,
    parts: way.parts,
    region: job.region,
    policy: job.policy,
    orientation: joint.orientation,
    conditions: conditionsNow(joint),
    ...endsNow(job, joint),
    ambient: joint.ambient,
    torch: joint.torch,
    leastAmbient: leastAmbientOf(job),
    slip: joint.slip,
  })
  return cards.map((card) => withEnd(job, joint, card))
}

/** A card with what is known of its end: what the find leaves in doubt, and what has to be on the pipe first. */
function withEnd(job: CardRules, joint: JointRecord, card: MakeCard): MakeCard {
  const { on } = card.joint
  const doubts = on === 'between' ? [] : doubtNotes(job, joint, on)
  const first = onFirstStep(job, joint, on)
  if (!card.answer.ok || (doubts.length === 0 && !first)) return card
  const { cautions, steps, ...made } = card.answer.value
  const value = { ...made, cautions: [...doubts, ...cautions], steps: first ? [first, ...steps] : steps }
  return { ...card, answer: { ok: true, value } }
}
