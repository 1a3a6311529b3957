import { makeCards, type MakeCard } from '#core/making'
import { doubtNotes, endsNow, type SuspectRules } from './suspects'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/** What of a job a joint's cards are made by. */
export type CardRules = SuspectRules & Pick<JobRecord, 'region' | 'policy' | 'tools'>

/** Least temperature of the expander on the van by its own paper, degC; null where nobody typed it. */
const leastAmbientOf = ({ tools }: Pick<JobRecord, 'tools'>): number | null =>
  tools?.find(({ method }) => method === 'expansion')?.leastAmbient ?? null

/** How a joint of a job is made, one card for each entry of its way; none while no way is taken. */
export function cardsOf(job: CardRules, joint: JointRecord): MakeCard[] {
  if (!joint.way) return []
  const cards = makeCards({
    joints: joint.way.joints,
    parts: joint.way.parts,
    region: job.region,
    policy: job.policy,
    orientation: joint.orientation,
    conditions: joint.conditions,
    ...endsNow(job, joint),
    ambient: joint.ambient,
    torch: joint.torch,
    leastAmbient: leastAmbientOf(job),
  })
  return cards.map((card): MakeCard => {
    const { on } = card.joint
    const doubts = on === 'between' ? [] : doubtNotes(job, joint, on)
    return doubts.length === 0 || !card.answer.ok
      ? card
      : {
          ...card,
          answer: { ok: true, value: { ...card.answer.value, cautions: [...doubts, ...card.answer.value.cautions] } },
        }
  })
}
