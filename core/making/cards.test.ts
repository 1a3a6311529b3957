import { describe, expect, it } from 'vitest'
import { VALVES, type Valve } from '#core/catalogue'
import { speak } from '#core/speech'
import { findWays, type OtherEnd, type Way } from '#core/joints'
import { inMakingOrder, makeCards } from '#core/making'

const PAIRS = [
  ['cu-en-x-22', 'cu-en-x-15'],
  ['cu-en-x-22', 'bs7291-22'],
  ['cu-en-x-15', 'pex-en-16'],
  ['cu-l-1_2', 'pex-cts-1_2'],
] as const
const waysOf = ([a, b]: readonly [string, string]): Way[] => {
  const answer = findWays({
    region: a.startsWith('cu-l') ? 'us' : 'gb',
    a: { pipe: a, temper: 'soft' },
    b: { pipe: b },
  })
  return answer.ok ? answer.value.ways : []
}

describe('what is looked at with the water on', () => {
  it.each(PAIRS)('stands once, on the end made last, of %s to %s', (...pair) => {
    let looked = 0
    for (const { joints, parts } of waysOf(pair)) {
      const cards = inMakingOrder(
        makeCards({
          joints,
          parts,
          region: 'gb',
          orientation: 'horizontal',
          a: { pipe: pair[0], temper: 'soft' },
          b: { pipe: pair[1] },
        }),
      )
      const steps = cards.map(({ answer }) => (answer.ok ? answer.value.steps : []))
      const at = steps.flatMap((own, i) => own.filter(({ isUnderWater }) => isUnderWater).map(() => i))
      const isAsked = cards.some(({ joint, answer }) => answer.ok && ['compression', 'flare'].includes(joint.method))
      expect(at).toEqual(isAsked ? [cards.length - 1] : [])
      looked += at.length
      for (const own of steps) expect(new Set(own.map(({ id }) => id)).size).toBe(own.length)
    }
    expect(looked).toBeGreaterThan(0)
  })
})

describe('what is put in, beside its joints', () => {
  const made = (
    method: string,
    { valve, b = { pipe: 'cu-en-x-22' }, region = 'gb' }: { valve?: Valve; b?: OtherEnd; region?: 'gb' | 'us' },
  ) => {
    const a = { pipe: 'cu-en-x-22' }
    const found = findWays({ region, a, b, valve })
    const way = found.ok ? found.value.ways.find(({ joints }) => joints[0]!.method === method) : undefined
    // Angle and straight valves end in a thread: none stands between two pipes.
    if (!way) return []
    const cards = inMakingOrder(makeCards({ ...way, region, orientation: 'horizontal', a, b }))
    return cards.map(({ answer }) => (answer.ok ? answer.value.steps : []))
  }
  it('a valve with an arrow is held the right way before its first end, and turned after its last', () => {
    const [first, last] = made('press', { valve: 'stop' })
    expect(first![0]).toMatchObject({ id: 'arrow', code: 'check' })
    expect(last!.at(-1)).toMatchObject({ id: 'turn', do: expect.stringContaining('back a quarter turn') })
    expect(first!.some(({ id }) => id === 'turn')).toBe(false)
    expect(last!.some(({ id }) => id === 'arrow')).toBe(false)
  })
  it('a ball has no arrow to hold; its look under water stays the last', () => {
    const [first, last] = made('compression', { valve: 'ball' })
    expect(first!.some(({ id }) => id === 'arrow')).toBe(false)
    expect(last!.slice(-2).map(({ id, isUnderWater }) => [id === 'turn', isUnderWater ?? false])).toEqual([
      [true, false],
      [false, true],
    ])
  })
  it('a soldered valve is opened before the flame; a soldered cap leaves a tap open, in each country by its word', () => {
    const protect = (steps: ReturnType<typeof made>) =>
      speak(steps.flat().find(({ code }) => code === 'protect')!.do, 'gb')
    expect(protect(made('solder', { valve: 'ball' }))).toMatch(/open the valve/)
    expect(protect(made('solder', { b: { cap: true } }))).toMatch(/Leave a tap on this pipe open/)
  })
  it('an end that is closed is stood aside of, once the water is let in', () => {
    for (const method of ['press', 'push-fit', 'compression', 'solder'])
      expect(
        made(method, { b: { cap: true } })[0]!.some(({ id }) => id === 'aside'),
        method,
      ).toBe(true)
    expect(
      made('press', {})
        .flat()
        .some(({ id }) => id === 'aside'),
    ).toBe(false)
  })
  it('has every step once, whatever closes it or stands between', () => {
    for (const valve of VALVES)
      for (const steps of made('compression', { valve }))
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
  })
})
