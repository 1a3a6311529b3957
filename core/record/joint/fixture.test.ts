import { describe, expect, it } from 'vitest'
import { carriedTo, centreLineOf, crossedText, type JointRecord } from '#core/record'
import { aJob, aJoint } from '../../../tests/records'

const tap = { thread: { form: 'bspp', size: '1/2', gender: 'male', material: 'brass' } } as const
const pipe = { pipe: 'cu-en-x-15' }
const at = (service: 'hot' | 'cold' | 'heating', fixture: JointRecord['fixture'], changes: Partial<JointRecord> = {}) =>
  aJoint({ a: pipe, b: tap, conditions: { service }, fixture, ...changes })

describe('hot and cold of a fixture', () => {
  it('are asked of a fixture alone, and of a line that carries one of them', () => {
    expect(carriedTo(at('hot', {}))).toBe('hot')
    expect(carriedTo(at('heating', {}))).toBeNull()
    expect(carriedTo(aJoint({ a: pipe, b: pipe, conditions: { service: 'cold' } }))).toBeNull()
    // A joint that says nothing of its service is cold, as everywhere.
    expect(carriedTo(aJoint({ a: pipe, b: tap }))).toBe('cold')
  })

  it.each([
    ['hot', { side: 'left' }, false],
    ['hot', { side: 'right' }, true],
    ['cold', { side: 'right' }, false],
    ['cold', { side: 'left' }, true],
    ['hot', { side: 'top' }, false],
    ['cold', { side: 'top' }, true],
    ['hot', { side: 'bottom' }, true],
    ['cold', { side: 'bottom' }, false],
    // The body's own mark wins over its side.
    ['hot', { side: 'right', mark: 'hot' }, false],
    ['hot', { side: 'left', mark: 'cold' }, true],
    ['cold', { mark: 'cold' }, false],
    ['cold', { mark: 'hot' }, true],
    ['cold', { side: 'right', mark: 'cold', arrow: 'against' }, true],
    ['cold', { arrow: 'with' }, false],
    ['hot', {}, false],
    ['heating', { side: 'right' }, false],
  ] as const)('%s at %j is crossed: %s', (service, fixture, isCrossed) => {
    expect(crossedText(at(service, fixture)) !== null).toBe(isCrossed)
  })

  it('stand even about the centre line, or it is said by how much they do not', () => {
    const hot = at('hot', { centre: 75 }, { id: 'h', number: 1, place: 'bath' })
    const cold = at('cold', { centre: 71 }, { id: 'c', number: 2, place: 'bath' })
    const elsewhere = at('cold', { centre: 40 }, { id: 'x', number: 3, place: 'basin' })
    const job = aJob({ joints: [hot, elsewhere, cold] })
    // By hand: 75 + 71 apart, their middle 2 toward the hot.
    expect(centreLineOf(job, hot)).toEqual({ other: 2, apart: 146, off: 2 })
    expect(centreLineOf(job, cold)).toEqual({ other: 1, apart: 146, off: -2 })
    expect(centreLineOf(job, elsewhere)).toBeNull()
  })
})
