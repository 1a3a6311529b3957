import { fail, ok, type Result } from '#core/base'
import { gistOfJob } from '../gist'
import type { Hand } from '../hand'
import type { CountBody, CountRecord, FoundBody } from './schema'
import type { JobRecord } from '../job/record'
import type { JointGist } from '../joint/gist'

/*
 * Small parts counted out for a job and back again: one too many in the box at the end means that a joint may lack it. What
 * is signed stays; the joints are named and looked at.
 */

/** What is counted of a joint. */
type CountedJoint = Pick<JointGist, 'id' | 'number' | 'isMade' | 'takes'>
/** What the counts of a job are read from. */
type Counted = { joints: readonly CountedJoint[]; counts: readonly CountRecord[] }

/** What the joints of a job take of one item, made and open. */
export interface Need {
  item: string
  unit: string
  made: number
  open: number
  joints: { joint: CountedJoint; quantity: number }[]
}

/** Everything the joints of a job take, by item. */
export function needsOf({ joints }: Pick<Counted, 'joints'>): Need[] {
  const needs = new Map<string, Need>()
  for (const joint of joints) {
    for (const { item, quantity, unit } of joint.takes) {
      const need = needs.get(item) ?? { item, unit, made: 0, open: 0, joints: [] }
      need[joint.isMade ? 'made' : 'open'] += quantity
      need.joints.push({ joint, quantity })
      needs.set(item, need)
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
  doubted: CountedJoint[]
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
export function countStates(job: Counted): CountState[] {
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
                .filter(({ joint }) => joint.isMade && !count!.seen.includes(joint.id))
                .map(({ joint }) => joint)
            : [],
      }
    })
}

/** The items a made joint may lack, by the counts. */
export const doubtsOf = (job: Counted, joint: Pick<JointGist, 'id'>): CountState[] =>
  job.counts.length === 0 ? [] : countStates(job).filter(({ doubted }) => doubted.some(({ id }) => id === joint.id))

/** The need for a counted item; fails at `item` where no joint of the job takes it. */
function countedNeed(job: JobRecord, item: string): Result<Need> {
  const need = needsOf(gistOfJob(job)).find((one) => one.item === item && isCounted(one))
  return need
    ? ok(need)
    : fail('unknown-id', 'item', `item: no joint of this job takes a counted part called ${item.slice(0, 40)}.`)
}

/**
 * Parts of one item counted out or back; what was looked at before the count is looked at again. Fails at `item` where no
 * joint takes it, at `back` where more came back than went out.
 */
export function countParts(job: JobRecord, { item, out, back }: CountBody, { at, by }: Hand): Result<JobRecord> {
  const need = countedNeed(job, item)
  if (!need.ok) return need
  if (back !== null && back > out)
    return fail('range', 'back', `back: ${back} of ${item} came back, ${out} went out. Count again.`)
  const others = job.counts.filter((one) => one.item !== item)
  return ok({ ...job, counts: [...others, { item, unit: need.value.unit, out, back, seen: [], at, by }] })
}

/**
 * A joint that may lack an item looked at, and it is there. Fails at `item` where it was never counted, at `joint` where
 * that joint takes none of it. Said twice it changes nothing.
 */
export function foundThere(job: JobRecord, { item, joint }: FoundBody): Result<JobRecord> {
  const need = countedNeed(job, item)
  if (!need.ok) return need
  const count = job.counts.find((one) => one.item === item)
  if (!count) return fail('unknown-id', 'item', `item: ${item} was not counted on this job yet.`)
  if (!need.value.joints.some((one) => one.joint.id === joint))
    return fail('unknown-id', 'joint', `joint: this job has no such joint that takes ${item}.`)
  return ok(
    count.seen.includes(joint)
      ? job
      : { ...job, counts: job.counts.map((one) => (one === count ? { ...one, seen: [...one.seen, joint] } : one)) },
  )
}
