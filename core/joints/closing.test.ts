import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findSocket, getPipe, PIPES, socketDepth } from '#core/catalogue'
import { ask } from '#core/contract'
import { hasMarks } from '#core/speech'
import { METHODS, type OtherEnd, type Way, type WaysAnswer, type WaysQuestion } from './types'
import type { Region } from '#core/units'
import { JOINT_METHODS } from './methods'

const REGIONS: readonly Region[] = ['gb', 'us', 'eu']
const CAP: OtherEnd = { cap: true }
const ways = (question: Partial<WaysQuestion> & Pick<WaysQuestion, 'a'>): WaysAnswer => {
  const answer = ask('ways', { region: 'gb', b: CAP, ...question })
  if (!answer.ok) throw new Error(JSON.stringify(answer.error))
  return answer.value as WaysAnswer
}
const named = (answer: WaysAnswer, name: string): Way | undefined =>
  answer.ways.find(({ parts }) => parts.length > 0 && parts[0]!.name === name && parts.length === 1)
const closers = ({ parts }: Way) => parts.filter(({ kind }) => kind === 'cap' || kind === 'plug')
const noteOf = ({ cautions }: Way, code: string) => cautions.find((one) => one.code === code)?.text

describe('an end that is closed', () => {
  // By hand: 22 mm copper at 3 bar and 60 degrees. Depths out of the coupling's tables; pi/4 x 22^2 x 0.3 N/mm2 = 114 N.
  it('takes the depth of its coupling, and says what pushes on it', () => {
    const answer = ways({ a: { pipe: 'cu-en-x-22' }, conditions: { service: 'hot', temporary: true } })
    expect(named(answer, 'push-fit stop end')!.joints).toMatchObject([
      { method: 'push-fit', on: 'a', pipe: 'cu-en-x-22', insertion: { value: 31, lo: 26, hi: 40 } },
    ])
    expect(named(answer, 'press cap')!.joints[0]!.insertion.value).toBe(22.5)
    expect(named(answer, 'compression stop end')!.joints[0]!.insertion.value).toBe(23.5)
    const solder = named(answer, 'solder cap')!
    expect(solder.joints[0]!.insertion.value).toBe(15.4)
    expect(solder.verdict).toBe('care')
    expect(noteOf(solder, 'vent-cap')).toMatch(/^Leave a tap or the other end open/)
    expect(noteOf(solder, 'end-thrust')).toBe('The water pushes it off with 114 N: stand aside when it is turned on.')
    expect(noteOf(solder, 'carries-test')).toMatch(/test pressure/)
  })
  // By hand: 1/2 nominal is 15.875 mm; at 50 psi (3.447 bar) pi/4 x 15.875^2 x 0.3447 = 68.2 N, 15.3 lbf.
  it('is named and reckoned as the United States say it', () => {
    const answer = ways({ region: 'us', a: { pipe: 'cu-l-1_2' }, conditions: { pressure: 3.447 } })
    const comp = named(answer, 'compression cap')!
    expect(comp.parts[0]).toMatchObject({ kind: 'cap', size: '5/8 OD (1/2 nominal)' })
    expect(noteOf(comp, 'end-thrust')).toContain('15 lbf')
    expect(named(answer, 'push-fit cap')!.parts[0]!.size).toBe('1/2')
    expect(noteOf(named(answer, 'solder cap')!, 'vent-cap')).toContain('faucet')
  })
  it('of a thread turns in by itself: a cap over a male one, a plug in a female one, on its end', () => {
    const at = (gender: 'male' | 'female', form: 'npt' | 'bspt' | 'bspp') =>
      ways({ region: form === 'npt' ? 'us' : 'gb', a: { thread: { form, size: '3/4', gender, material: 'brass' } } })
    for (const form of ['npt', 'bspt'] as const) {
      const [male, female] = [at('male', form), at('female', form)]
      expect(male.ways[0]).toMatchObject({ verdict: 'fits', parts: [{ kind: 'cap', size: '3/4' }] })
      expect(female.ways[0]).toMatchObject({ verdict: 'fits', parts: [{ kind: 'plug', size: '3/4' }] })
      expect(female.ways[0]!.joints).toMatchObject([{ method: 'thread', on: 'a', thread: { form } }])
    }
    // By hand: a taper 3/4 NPT makes up 14.05 mm.
    expect(at('female', 'npt').ways[0]!.joints[0]!.insertion.value).toBe(14.05)
    const parallel = at('male', 'bspp').ways[0]!
    expect(parallel.parts.map(({ kind, name }) => [kind, name])).toEqual([
      ['cap', 'BSP parallel cap with washer'],
      ['washer', 'flat washer'],
    ])
    expect(parallel.joints[0]!.insertion.value).toBeNull()
  })
  it('needs nothing drawn apart, and asks every rule of its own end', () => {
    expect(ways({ a: { pipe: 'cu-en-x-22' }, conditions: { play: 0 } }).ways).toHaveLength(
      ways({ a: { pipe: 'cu-en-x-22' } }).ways.length,
    )
    const wet = ways({ a: { pipe: 'cu-en-x-22' }, conditions: { wet: true } })
    expect(wet.refused.find(({ method }) => method === 'solder')).toMatchObject({ on: 'a', code: 'wet' })
    expect(named(wet, 'solder cap')).toBeUndefined()
    expect(ways({ a: { pipe: 'cu-en-x-22' }, conditions: { hidden: true } }).refused).toEqual(
      expect.arrayContaining([expect.objectContaining({ method: 'compression', code: 'hidden' })]),
    )
  })
  it('is only ever the other end', () => {
    for (const a of [CAP, { cap: false }])
      expect(ask('ways', { region: 'gb', a, b: { pipe: 'cu-en-x-22' } })).toMatchObject({ ok: false })
    for (const b of [{ cap: false }, { cap: true, pipe: 'cu-en-x-22' }, { cap: 'yes' }])
      expect(ask('ways', { region: 'gb', a: { pipe: 'cu-en-x-22' }, b })).toMatchObject({
        ok: false,
        error: { path: expect.stringMatching(/^b/) },
      })
  })
  it('of any pipe holds exactly one cap or plug, joints on it alone, at the depth of the coupling', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PIPES),
        fc.constantFrom(...REGIONS),
        fc.record({ wet: fc.boolean(), hidden: fc.boolean(), temporary: fc.boolean(), noFlame: fc.boolean() }),
        (pipe, region, conditions) => {
          const answer = ways({ region, a: { pipe: pipe.id }, conditions })
          expect(answer.refused.every(({ on }) => on === 'a')).toBe(true)
          for (const way of answer.ways) {
            expect(closers(way)).toHaveLength(1)
            expect(way.joints.every(({ on }) => on === 'a')).toBe(true)
            expect(way.parts.some(({ kind }) => kind === 'valve')).toBe(false)
            expect(hasMarks(JSON.stringify(way))).toBe(false)
            const [first] = way.joints
            // PVC goes into a cap of either schedule, each by its own depth.
            if (first!.pipe !== pipe.id || way.joints.length > 1 || pipe.family === 'pvc') continue
            expect(first!.insertion.value).toBe(
              socketDepth(findSocket(first!.method as 'press', getPipe(pipe.id))!).value,
            )
          }
        },
      ),
      { numRuns: 150 },
    )
  })
  it('has something for every method that can be made on a pipe; a manifold cone alone has none', () => {
    for (const pipe of PIPES) {
      const answer = ways({ region: 'eu', a: { pipe: pipe.id } })
      const refused = new Set(answer.refused.map(({ method }) => method))
      for (const method of METHODS) {
        const closer = method in JOINT_METHODS && JOINT_METHODS[method as 'press'].closer
        if (!closer || refused.has(method)) continue
        expect(
          answer.ways.some(({ joints, parts }) => parts[0]!.kind !== 'adapter' && joints[0]!.method === method),
          `${method} ${pipe.id}`,
        ).toBe(true)
      }
    }
  })
})
