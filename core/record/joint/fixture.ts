import type { Service } from '#core/joints'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/** What of a fixture's two supplies a line is; null where it is neither. */
export type Carried = 'hot' | 'cold'
const CARRIED: Readonly<Record<Service, Carried | null>> = {
  cold: 'cold',
  hot: 'hot',
  recirculation: 'hot',
  heating: null,
  buried: null,
}

/**
 * Which supply belongs where, as one faces the fixture: hot at the left (IPC 607, UPC 417, British practice), hot above
 * cold where one lies over the other (practice: warm pipe below warms the cold).
 */
const BELONGS: Readonly<Record<NonNullable<JointRecord['fixture']['side']>, Carried>> = {
  left: 'hot',
  right: 'cold',
  top: 'hot',
  bottom: 'cold',
}

type AtFixture = Pick<JointRecord, 'a' | 'b' | 'conditions' | 'fixture'>

/** Which of a fixture's supplies a joint is; null where no end of it is a fixture's thread, or it carries neither. */
export function carriedTo({ a, b, conditions }: Pick<JointRecord, 'a' | 'b' | 'conditions'>): Carried | null {
  const isThread = [a, b].some((end) => end !== null && 'thread' in end)
  return isThread ? CARRIED[conditions.service ?? 'cold'] : null
}

/** What is crossed at a fixture, in words; null where nothing is known to be. The body's own mark wins over its side. */
export function crossedText(joint: AtFixture): string | null {
  const carried = carriedTo(joint)
  const { side, mark, arrow } = joint.fixture
  if (carried === null) return null
  if (arrow === 'against') return 'The arrow on the body points against the water: turn it round before it is closed.'
  if (mark !== undefined)
    return mark === carried
      ? null
      : `Crossed: this line is ${carried}, and the body is marked ${mark} here. Change the two over before they are closed.`
  if (side === undefined || BELONGS[side] === carried) return null
  return `Crossed: this line is ${carried}, and ${BELONGS[side]} belongs at the ${side}. Change the two over, or say what the mark on the body says.`
}

/** What the two supplies of one fixture say together of its centre line. */
export interface CentreLine {
  other: number
  /** From one to the other, mm. */
  apart: number
  /** How far their middle is off the centre line, toward this one, mm. */
  off: number
}

/**
 * The centre line of a fixture by both of its supplies, where both distances are known: the other is the joint at the
 * same place that carries the other water.
 */
export function centreLineOf({ joints }: Pick<JobRecord, 'joints'>, joint: JointRecord): CentreLine | null {
  const { centre } = joint.fixture
  const carried = carriedTo(joint)
  if (centre === undefined || carried === null || joint.place.trim() === '') return null
  const other = joints.find((one) => {
    const theirs = carriedTo(one)
    return one.id !== joint.id && one.place === joint.place && theirs !== null && theirs !== carried
  })
  return other?.fixture.centre === undefined
    ? null
    : { other: other.number, apart: centre + other.fixture.centre, off: (centre - other.fixture.centre) / 2 }
}
