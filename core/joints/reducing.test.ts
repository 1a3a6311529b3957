import { describe, expect, it } from 'vitest'
import { ask } from '#core/contract'
import type { End, Way, WaysAnswer, WaysQuestion } from './types'

const ways = (a: End, b: End, more: Partial<WaysQuestion> = {}): readonly Way[] => {
  const answer = ask('ways', { region: 'gb', a, b, ...more })
  if (!answer.ok) throw new Error(JSON.stringify(answer.error))
  return (answer.value as WaysAnswer).ways
}
const parts = ({ parts: all }: Way) => all.map(({ name, size }) => `${name} ${size}`)
const thread = (form: 'bspp' | 'bspt', size: string, gender: 'male' | 'female'): End => ({
  thread: { form, size, gender, material: 'brass' },
})

describe('a reducing set', () => {
  // By hand: 25 into its own mouth 55.5, 20 through the set 50.5.
  it('brings a larger body down to a smaller pipe, beside the reducing coupling', () => {
    const all = ways({ pipe: 'pe-en-25' }, { pipe: 'pe-en-20' })
    expect(parts(all[0]!)[0]).toBe('PE compression reducing coupling 25 x 20')
    const set = all.find(({ parts: own }) => own.some(({ name }) => name === 'PE reducing set'))!
    expect(parts(set).slice(0, 2)).toEqual(['PE compression coupling 25', 'PE reducing set 25 x 20'])
    expect(set.joints.map(({ insertion }) => insertion.value)).toEqual([55.5, 50.5])
    // Two sizes at most: 50 is not brought down to 20.
    expect(
      ways({ pipe: 'pe-en-50' }, { pipe: 'pe-en-20' })
        .flatMap(({ parts: own }) => own)
        .filter(({ name, size }) => name === 'PE reducing set' && size === '50 x 20'),
    ).toEqual([])
  })
  it.each([
    ['1/2', 'PE compression x female swivel BSP connector with washer 20 x 1/2', null],
    ['3/4', 'PE compression x female swivel BSP connector with washer 25 x 3/4', 'PE reducing set 25 x 20'],
    ['1', 'PE compression x female swivel BSP connector with washer 32 x 1', 'PE reducing set 32 x 20'],
  ] as const)('takes PE 20 to a meter of G %s', (size, adaptor, set) => {
    const [way] = ways({ pipe: 'pe-en-20' }, thread('bspp', size, 'male'))
    expect(parts(way!)).toEqual(expect.arrayContaining([adaptor, ...(set === null ? [] : [set])]))
    expect(way!.joints.map(({ insertion }) => insertion.value)).toEqual([50.5, null])
    const meter = way!.cautions.find(({ code }) => code === 'meter')!.text
    for (const words of ['arrow', 'straight', 'bung', 'not wrung']) expect(meter).toContain(words)
  })
  it.each(['3/4', '1'])('reaches taper %s of both genders in one fitting', (size) => {
    for (const gender of ['male', 'female'] as const)
      expect(
        ways({ pipe: 'pe-en-20' }, thread('bspt', size, gender)).some(
          ({ parts: own }) =>
            own.filter(({ kind }) => kind === 'adapter').length === 1 && own[1]!.name === 'PE reducing set',
        ),
        gender,
      ).toBe(true)
  })
  it('says nothing of a meter where none can be', () => {
    const [way] = ways({ pipe: 'pe-en-20' }, { pipe: 'pe-en-20' })
    expect(way!.cautions.map(({ code }) => code)).not.toContain('meter')
  })
})

describe('a street reducer', () => {
  // By hand: its large end goes into a soldered coupling of 22 as the pipe does (15.4), its cup takes 15 at 10.6.
  it.each([
    ['gb', 'cu-en-x-22', 'cu-en-x-15', '22 x 15', [15.4, 15.4, 10.6]],
    ['us', 'cu-l-3_4', 'cu-l-1_2', '3/4 x 1/2', [19.05, 19.05, 12.7]],
  ] as const)('%s: with a plain coupling it is two for a reducing one', (region, a, b, size, depths) => {
    const all = ways({ pipe: a }, { pipe: b }, { region })
    const street = all.find(
      ({ parts: own }) => own[0]!.name === 'solder coupling' && own[1]!.name === 'solder street (fit) reducer',
    )!
    expect(street.parts[1]).toMatchObject({ kind: 'reducer', size })
    expect(street.joints.map(({ insertion }) => insertion.value)).toEqual(depths)
    expect(all.indexOf(street)).toBeGreaterThan(
      all.findIndex(({ parts: own }) => own[0]!.name === 'solder reducing coupling'),
    )
  })
})
