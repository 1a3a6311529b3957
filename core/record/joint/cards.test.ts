import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import { cardsOf, type JointRecord } from '#core/record'
import type { CardRules } from './cards'
import { aFind, aJob, aJoint, aTick } from '../../../tests/records'

const answered = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
const way = answered.ok ? answered.value.ways.find(({ joints }) => joints[0]!.method === 'solder')! : null!
const rules: CardRules = aJob({ finds: [aFind()] })
const joint = aJoint({ a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, way, wayId: way.id })

describe('the cards of a joint', () => {
  it('are the very same after what leaves them alone: a tick, a depth, its place', () => {
    const cards = cardsOf(rules, joint)
    const changes: Partial<JointRecord>[] = [{ ticks: [aTick()] }, { depths: { 0: '16' } }, { place: 'riser' }]
    expect(cards.length).toBeGreaterThan(0)
    for (const change of changes) expect(cardsOf(rules, { ...joint, ...change })).toBe(cards)
  })
  it.each<[string, Partial<CardRules>, Partial<JointRecord>]>([
    ['country', { region: 'eu' }, {}],
    ['year of the house', { year: 1930 }, {}],
    ['school', { policy: { threadSeal: 'tape' } }, {}],
    ['van', { tools: [] }, {}],
    ['finds', { finds: [] }, {}],
    ['conditions', {}, { conditions: { service: 'heating' } }],
    ['way up', {}, { orientation: 'vertical' }],
    ['ends', {}, { a: { pipe: 'cu-en-x-22', traced: 'water' } }],
    ['find under it', {}, { findA: 'f' }],
    ['air', {}, { ambient: -5 }],
    ['torch', {}, { torch: 'map' as JointRecord['torch'] }],
  ])('are made anew for another %s', (_, ofJob, ofJoint) => {
    const cards = cardsOf(rules, joint)
    const [other, changed] = [
      { ...rules, ...ofJob },
      { ...joint, ...ofJoint },
    ]
    const anew = cardsOf(other, changed)
    expect(anew).not.toBe(cards)
    // As if nothing had been asked before: by a way of its own.
    expect(anew).toEqual(cardsOf(other, { ...changed, way: structuredClone(way) }))
  })
})
