import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import { beginJoint, BLANK_JOINT } from '#core/record'
import { aJob } from '../../../tests/records'
import { cardsOf } from './cards'
import { endMinutesOf } from './end-minutes'
import { stepsOf } from './steps'
import type { JointRecord } from './record'

const START = Date.parse('2026-11-26T09:00:00.000Z')

/** A coupling pressed on 22 both sides, nothing ticked. */
function pressed(): JointRecord {
  const end = { pipe: 'cu-en-x-22' }
  const answer = findWays({ region: 'gb', a: end, b: end })
  const way = answer.ok && answer.value.ways.find(({ joints }) => joints.every(({ method }) => method === 'press'))
  if (!way) throw new Error('no press')
  const body = { ...BLANK_JOINT, a: end, b: end, wayId: way.id }
  const begun = beginJoint(aJob(), 'joint-0001', 1, body, { at: '', by: '' })
  if (!begun.ok) throw new Error(begun.error.message)
  return begun.value
}

/** A joint of two ends with its steps ticked at given gaps, s, one end after the other. */
function ticked(joint: JointRecord, gapOf: (step: { seconds?: number }, at: number) => number): JointRecord {
  let time = START
  const ticks = cardsOf(aJob(), joint).flatMap((card) =>
    stepsOf(card).map((step, i) => {
      time += gapOf(step, i) * 1000
      const at = new Date(time).toISOString()
      return { entry: card.entry, step: step.id, code: step.code, at, by: '', reading: null, did: null }
    }),
  )
  return { ...joint, ticks }
}
const minutesOf = (joint: JointRecord) => endMinutesOf(joint, cardsOf(aJob(), joint))

describe('minutes of an end by its ticks', () => {
  it('are its steps, the first counted as the middle of the others', () => {
    const joint = ticked(pressed(), () => 30)
    const [first, second] = cardsOf(aJob(), joint).map((card) => stepsOf(card).length)
    // Half a minute a step, by hand.
    expect(minutesOf(joint).map(({ method, nominal, work }) => [method, nominal, work])).toEqual([
      ['press', '22', first! / 2],
      ['press', '22', second! / 2],
    ])
  })

  it('are not told by steps ticked in one go, nor by work that was broken off', () => {
    expect(minutesOf(ticked(pressed(), () => 2))).toEqual([])
    const broken = ticked(pressed(), (_, i) => (i === 2 ? 3600 : 30))
    expect(minutesOf(broken)).toEqual([])
    expect(minutesOf({ ...pressed(), ticks: [] })).toEqual([])
  })
})
