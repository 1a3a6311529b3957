import { cardsOf, type CardRules } from './cards'
import type { JointRecord } from './record'
import { isMade } from './status'

/** So much of one item a joint takes: pieces, or mm of wire. */
export interface Taken {
  item: string
  unit: string
  quantity: number
}

/** What the overview of a job needs of a joint, and what its counts are made of. */
export interface JointGist {
  id: string
  number: number
  place: string
  isChosen: boolean
  isBegun: boolean
  isMade: boolean
  /** Depth of the first end not marked yet, mm; null where its socket has to be measured. */
  depth: number | null
  /** The pipes of its ends, and the finds they came from. */
  ends: { pipe: string; find: string | null }[]
  /** The fitting of the way taken. */
  part: string | null
  comeBack: string | null
  takes: Taken[]
}

function depthOf({ way, ticks }: JointRecord): number | null {
  if (!way) return null
  const first = way.joints.findIndex((_, entry) => !ticks.some((tick) => tick.entry === entry && tick.code === 'mark'))
  return way.joints[Math.max(first, 0)]?.insertion.value ?? null
}

/** Small parts a joint takes, by item; none while no way is taken. */
function takenBy(rules: CardRules, joint: JointRecord): Taken[] {
  const taken = new Map<string, Taken>()
  for (const { answer } of cardsOf(rules, joint)) {
    if (!answer.ok) continue
    for (const { item, unit, quantity } of answer.value.consumables)
      taken.set(item, { item, unit, quantity: (taken.get(item)?.quantity ?? 0) + quantity })
  }
  return [...taken.values()]
}

export const gistOfJoint = (rules: CardRules, joint: JointRecord): JointGist => ({
  id: joint.id,
  number: joint.number,
  place: joint.place,
  isChosen: joint.way !== null,
  isBegun: joint.ticks.length > 0,
  isMade: isMade(joint),
  depth: depthOf(joint),
  ends: (['a', 'b'] as const).flatMap((on) => {
    const end = joint[on]
    return end && 'pipe' in end ? [{ pipe: end.pipe, find: on === 'a' ? joint.findA : joint.findB }] : []
  }),
  part: joint.way?.parts[0]?.name ?? null,
  comeBack: joint.comeBack,
  takes: takenBy(rules, joint),
})
