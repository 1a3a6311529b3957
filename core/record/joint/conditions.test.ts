import { describe, expect, it } from 'vitest'
import { findWays, flexPlay } from '#core/joints'
import { conditionsNow, playOfEnd } from '#core/record'
import { aJoint } from '../../../tests/records'

const ends = { a: { pipe: 'cu-en-x-15' }, b: { pipe: 'bs7291-15' } } as const

describe('how far the ends of a joint move', () => {
  it('is what was typed, for each end; one figure is what the first gives', () => {
    const joint = aJoint({ ...ends, conditions: { play: { a: { along: 0 }, b: { along: 12, aside: null } } } })
    expect(playOfEnd(joint, 'a')).toEqual({ along: 0 })
    expect(playOfEnd(joint, 'b')).toEqual({ along: 12, aside: null })
    const one = aJoint({ ...ends, conditions: { play: 9 }, flex: { b: 400 } })
    expect(playOfEnd(one, 'a')).toEqual({ along: 9, aside: 9 })
  })
  it('is what flexible tube gives by its radius, unless it was typed', () => {
    const { along, aside } = flexPlay('bs7291-15', 400)!
    expect(playOfEnd(aJoint({ ...ends, flex: { b: 400 } }), 'b')).toEqual({ along, aside })
    const typed = aJoint({ ...ends, flex: { b: 400 }, conditions: { play: { b: { along: 3 } } } })
    expect(playOfEnd(typed, 'b')).toEqual({ along: 3, aside })
    // Stiff tube gives none, however long it lies free.
    expect(playOfEnd(aJoint({ ...ends, flex: { a: 4000 } }), 'a')).toEqual({})
  })
  it('lets in by its flex what nothing moves refuses, and no more', () => {
    const fixed = { play: { a: { along: 0, aside: 0 } } }
    const asked = (free: number) => {
      const joint = aJoint({ ...ends, conditions: fixed, flex: { b: free } })
      const answer = findWays({ region: 'gb', ...ends, conditions: conditionsNow(joint) })
      if (!answer.ok) throw new Error(answer.error.message)
      return answer.value
    }
    const need = 25
    const enough = [200, 300, 400, 600].find((free) => flexPlay('bs7291-15', free)!.along >= need)!
    expect(asked(enough).refused.filter(({ code }) => code === 'play')).toEqual([])
    expect(asked(20).refused.some(({ code }) => code === 'play')).toBe(true)
  })
  it('leaves conditions alone where no flexible tube was measured', () => {
    const joint = aJoint({ ...ends, conditions: { service: 'hot', play: 7 } })
    expect(conditionsNow(joint)).toBe(joint.conditions)
  })
})
