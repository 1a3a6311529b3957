import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import { gistOfJob, nextAction, statusOf, type JointRecord } from '#core/record'
import { aFind, aJob, aJoint, aSignoff, aTick } from '../../../tests/records'

const answer = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-15' } })
const way = answer.ok ? answer.value.ways.find(({ parts }) => parts[0]!.name.startsWith('solder'))! : null!
const joint = (changes: Partial<JointRecord> = {}) =>
  aJoint({ place: 'riser', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-15' }, ...changes })
const job = aJob
const signed = aSignoff()

describe('nextAction', () => {
  it('starts with a measure', () =>
    expect(nextAction(gistOfJob(job()))).toMatchObject({ station: 'find', done: false }))
  it('holds a find until gas is ruled out', () => {
    const find = aFind({ place: 'wall', typed: '21.5' })
    expect(nextAction(gistOfJob(job({ finds: [find] })))).toMatchObject({ station: 'find', held: true, id: 'f' })
    expect(nextAction(gistOfJob(job({ finds: [{ ...find, answers: { traced: 'water' } }] })))).toMatchObject({
      held: false,
    })
    expect(nextAction(gistOfJob(job({ finds: [{ ...find, pipe: 'cu-en-x-22' }] })))).toMatchObject({ station: 'joint' })
  })
  it('puts what is begun before what is ready, and that before what is to be chosen', () => {
    const choose = joint({ id: 'choose', number: 1 })
    const ready = joint({ id: 'ready', number: 2, way })
    const begun = joint({ id: 'begun', number: 3, way, ticks: [aTick()] })
    expect(nextAction(gistOfJob(job({ joints: [choose, ready, begun] })))).toMatchObject({
      station: 'make',
      id: 'begun',
    })
    expect(nextAction(gistOfJob(job({ joints: [choose, ready] })))).toMatchObject({
      station: 'make',
      id: 'ready',
      mm: 15.4,
    })
    expect(nextAction(gistOfJob(job({ joints: [choose] })))).toMatchObject({ station: 'joint', id: 'choose' })
  })
  it('gives the depth of the first end not yet marked', () => {
    const marked = joint({ way, ticks: [aTick({ step: 'mark', code: 'mark' })] })
    expect(nextAction(gistOfJob(job({ joints: [marked] }))).mm).toBe(10.6)
  })
  it('ends with handing over', () => {
    expect(nextAction(gistOfJob(job({ joints: [joint({ way, signoffs: [signed] })] })))).toMatchObject({
      station: 'handover',
      done: false,
    })
    expect(nextAction(gistOfJob(job({ handedOver: '2026-11-19T16:30:00.000Z' })))).toMatchObject({
      done: true,
      words: 'Handed over 19 Nov.',
    })
  })
})

describe('statusOf', () => {
  it('goes from planned over begun to made', () => {
    expect([joint(), joint({ ticks: [aTick()] }), joint({ signoffs: [signed] })].map(statusOf)).toEqual([
      'planned',
      'dry-fitted',
      'made',
    ])
  })
})
