import { cardsOf, type CardRules } from './cards'
import type { CountRecord } from './kit-schema'
import { isMade, type JobRecord, type JointRecord } from './types'

/*
 * Small parts counted out for a job and back again: one too many in the box at the end means that a joint may lack it. What
 * is signed stays; the joints are named and looked at.
 */

/** What the joints of a job take of one item, made and open. */
export interface Need {
  item: string
  unit: string
  made: number
  open: number
  joints: { joint: JointRecord; quantity: number }[]
}

type CountRules = CardRules & Pick<JobRecord, 'joints'>

/** Everything the joints of a job take, by item. */
export function needsOf(job: CountRules): Need[] {
  const needs = new Map<string, Need>()
  for (const joint of job.joints) {
    for (const { answer } of cardsOf(job, joint)) {
      if (!answer.ok) continue
      for (const { item, quantity, unit } of answer.value.consumables) {
        const need = needs.get(item) ?? { item, unit, made: 0, open: 0, joints: [] }
        need[isMade(joint) ? 'made' : 'open'] += quantity
        const own = need.joints.find((one) => one.joint.id === joint.id)
        if (own) own.quantity += quantity
        else need.joints.push({ joint, quantity })
        needs.set(item, need)
      }
    }
  }
  return [...needs.values()].sort((a, b) => a.item.localeCompare(b.item))
}

/** How a count stands: fewer back is what was spoilt; more back than can be is what joints may lack. */
export interface CountState {
  need: Need
  count: CountRecord | null
  spoilt: number
  over: number
  doubted: JointRecord[]
}

/** Cement and tape are used by eye; what is taken by the piece tells of a joint, and so does wire that nobody fed. */
const isCounted = ({ unit }: Pick<Need, 'unit'>): boolean => unit === 'piece' || unit === 'set' || unit === 'mm'

/** Wire is fed by eye: only where less than this part of the rule of the trade was used may a joint lack it. Ours. */
const LEAST_WIRE = 0.5

/** How many too many came back, and how many too few, of what made joints took. */
function tally({ unit, made }: Need, count: CountRecord | null): { over: number; spoilt: number } {
  if (count === null || count.back === null) return { over: 0, spoilt: 0 }
  const used = count.out - count.back
  if (unit === 'mm') return { over: used < made * LEAST_WIRE ? made - used : 0, spoilt: 0 }
  return { over: Math.max(0, made - used), spoilt: Math.max(0, used - made) }
}

/** Every item that can be counted, with what its count tells. */
export function countStates(job: CountRules & Pick<JobRecord, 'counts'>): CountState[] {
  return needsOf(job)
    .filter(isCounted)
    .map((need): CountState => {
      const count = job.counts.find(({ item }) => item === need.item) ?? null
      const { over, spoilt } = tally(need, count)
      return {
        need,
        count,
        over,
        spoilt,
        doubted:
          over > 0
            ? need.joints
                .filter(({ joint }) => isMade(joint) && !count!.seen.includes(joint.id))
                .map(({ joint }) => joint)
            : [],
      }
    })
}

/** The items a made joint may lack, by the counts. */
export const doubtsOf = (job: CountRules & Pick<JobRecord, 'counts'>, joint: Pick<JointRecord, 'id'>): CountState[] =>
  job.counts.length === 0 ? [] : countStates(job).filter(({ doubted }) => doubted.some(({ id }) => id === joint.id))
