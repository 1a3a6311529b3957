import { w } from '#core/speech'
import type { Valve } from '#core/catalogue'
import type { Offer, Policy, Situation, Tube } from './types'

/*
 * What could be changed where nothing joins two ends. Each lever is turned and the search is made again: only what
 * gives a way is named.
 */

export interface Asked {
  a: Offer
  b: Offer
  situation: Situation
  /** A valve of this kind, and no other. */
  valve?: Valve
}

export interface Lever {
  /** What is done, in one sentence. */
  words: (asked: Asked) => string
  /** The question as it would then be; null where there is nothing to turn. */
  turn: (asked: Asked) => Asked | null
}

const withConditions = (asked: Asked, changed: Partial<Situation['conditions']>): Asked => ({
  ...asked,
  situation: { ...asked.situation, conditions: { ...asked.situation.conditions, ...changed } },
})
const withPolicy = (asked: Asked, changed: Partial<Policy>): Asked => ({
  ...asked,
  situation: { ...asked.situation, policy: { ...asked.situation.policy, ...changed } },
})

/** Both ends with what is known of their tubes changed where `change` says so; null where it changes none. */
function withTubes(asked: Asked, change: (tube: Tube) => Tube | null): Asked | null {
  const turned = [asked.a, asked.b].map((offer) => (offer.tube ? change(offer.tube) : null))
  if (!turned[0] && !turned[1]) return null
  const put = (offer: Offer, tube: Tube | null | undefined): Offer => (tube ? ({ ...offer, tube } as Offer) : offer)
  return { ...asked, a: put(asked.a, turned[0]), b: put(asked.b, turned[1]) }
}

/** A condition that is on, turned off. */
const off =
  (name: 'wet' | 'mustUndo' | 'noFlame' | 'hidden') =>
  (asked: Asked): Asked | null =>
    asked.situation.conditions[name] ? withConditions(asked, { [name]: false }) : null

const COLD_C = 20
const LOW_BAR = 1

export const LEVERS: readonly Lever[] = [
  { words: () => 'Allow a flame, with mat, extinguisher and a watch.', turn: off('noFlame') },
  { words: () => 'Drain it and stop the drip, or freeze or plug the line.', turn: off('wet') },
  { words: () => 'Leave a panel to reach the joint.', turn: off('hidden') },
  {
    words: () => 'Book it as temporary, with the day it is made good.',
    turn: (asked) =>
      asked.situation.conditions.hidden && !asked.situation.conditions.temporary
        ? withConditions(asked, { temporary: true })
        : null,
  },
  {
    words: () => 'Cut back to more open pipe, or make it up on the bench.',
    turn: (asked) => (asked.situation.conditions.room === 'tight' ? withConditions(asked, { room: 'open' }) : null),
  },
  {
    words: () => 'Free the pipe so that it draws back far enough.',
    turn: (asked) => (asked.situation.conditions.play === null ? null : withConditions(asked, { play: null })),
  },
  { words: () => 'Accept a joint that has to be cut out.', turn: off('mustUndo') },
  {
    words: () => 'Bring the tool, or the jaw of this size.',
    turn: (asked) =>
      asked.situation.kit.tools === undefined
        ? null
        : { ...asked, situation: { ...asked.situation, kit: { ...asked.situation.kit, tools: undefined } } },
  },
  {
    words: () => `Fetch the parts: the ${w.van} has not all of any way.`,
    turn: (asked) =>
      asked.situation.kit.parts === undefined
        ? null
        : { ...asked, situation: { ...asked.situation, kit: { ...asked.situation.kit, parts: undefined } } },
  },
  {
    words: () => 'Cut back to hard tube.',
    turn: (asked) =>
      withTubes(asked, (tube) =>
        tube.pipe.family === 'copper' && tube.temper !== 'hard' ? { ...tube, temper: 'hard' } : null,
      ),
  },
  {
    words: () => 'Cut back to sound tube for the whole depth.',
    turn: (asked) =>
      withTubes(asked, (tube) =>
        tube.surface === 'scored' || tube.surface === 'corroded' ? { ...tube, surface: 'bare' } : null,
      ),
  },
  {
    words: () => 'Take tube whose print lists the fitting.',
    turn: (asked) =>
      withTubes(asked, (tube) =>
        tube.pipe.family !== 'pex' || (tube.listing === undefined && tube.pexType === 'a')
          ? null
          : { ...tube, listing: undefined, pexType: 'a' },
      ),
  },
  {
    words: () => 'Lower the pressure.',
    turn: (asked) =>
      asked.situation.conditions.pressure > LOW_BAR ? withConditions(asked, { pressure: LOW_BAR }) : null,
  },
  {
    words: () => 'Lower the temperature.',
    turn: (asked) =>
      asked.situation.conditions.temperature > COLD_C ? withConditions(asked, { temperature: COLD_C }) : null,
  },
  {
    words: () => 'Bring the joint out of the ground.',
    turn: (asked) =>
      asked.situation.conditions.service === 'buried' ? withConditions(asked, { service: 'cold' }) : null,
  },
  {
    words: () => "Allow type M by the job's policy, where the local code does.",
    turn: (asked) =>
      asked.situation.policy.typeMDrinking === 'refused' ? withPolicy(asked, { typeMDrinking: 'allowed' }) : null,
  },
  {
    words: () => 'Use pipe with an oxygen barrier.',
    turn: (asked) => withTubes(asked, (tube) => (tube.barrier === false ? { ...tube, barrier: true } : null)),
  },
]
