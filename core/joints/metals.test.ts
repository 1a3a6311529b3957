import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { asksFlow, findWays, type Conditions, type End, type ThreadMaterial, type WaysAnswer } from '#core/joints'

const thread = (material: ThreadMaterial, gender: 'male' | 'female' = 'male'): End => ({
  thread: { form: 'bspt', size: '1/2', gender, material },
})
function ask(a: End, b: End, conditions: Partial<Conditions> = {}, region: 'gb' | 'us' = 'gb'): WaysAnswer {
  const answer = findWays({ region, a, b, conditions })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const COPPER: End = { pipe: 'cu-en-x-15' }
const NOBLE: readonly End[] = [COPPER, { pipe: 'ss-en-15' }, { pipe: 'cu-en-x-22' }]
const LESS: readonly End[] = [
  thread('galvanised'),
  thread('steel'),
  thread('galvanised', 'female'),
  { pipe: 'st-en-1_2' },
]
const says = (answer: WaysAnswer) => answer.ways.map(({ cautions }) => cautions.some(({ code }) => code === 'metals'))

describe('metals that the water joins', () => {
  it('a less noble one on a nobler one, by thread, fitting or tube: care in every way through fresh water', () => {
    for (const less of LESS)
      for (const noble of NOBLE)
        for (const [a, b] of [
          [less, noble],
          [noble, less],
        ] as const) {
          const answer = ask(a, b)
          expect(answer.ways.length).toBeGreaterThan(0)
          expect(says(answer).every(Boolean), JSON.stringify([a, b])).toBe(true)
          expect(answer.ways.every(({ verdict }) => verdict !== 'fits')).toBe(true)
        }
  })
  it('a closed, treated heating circuit asks nothing of them', () => {
    for (const less of LESS)
      for (const noble of NOBLE) expect(says(ask(less, noble, { service: 'heating' })).some(Boolean)).toBe(false)
  })
  it('brass and stainless threads go on copper without a word, and so does plastic', () => {
    for (const material of ['brass', 'stainless'] as const) {
      expect(says(ask(thread(material), COPPER)).some(Boolean)).toBe(false)
      expect(ask(thread(material), COPPER).ways[0]!.verdict).toBe('fits')
    }
    expect(says(ask(thread('plastic'), COPPER)).some(Boolean)).toBe(false)
  })
  it('plastic pipe parts them: brass on galvanised is the spacer', () => {
    for (const pipe of ['bs7291-15', 'ml-en-16', 'pe-en-20'])
      expect(says(ask(thread('galvanised'), { pipe })).some(Boolean), pipe).toBe(false)
  })
  it('in a loop galvanised steel and copper are refused by metals, by pipe and by thread', () => {
    for (const less of [thread('galvanised'), { pipe: 'st-en-1_2' }] as const)
      for (const noble of NOBLE) {
        const answer = ask(less, noble, { service: 'recirculation' })
        expect(answer.ways).toEqual([])
        expect(answer.refused).toContainEqual(expect.objectContaining({ method: 'thread', on: 'a', code: 'metals' }))
      }
  })
  it('goes by the flow where it is known: from the nobler it is refused, from the less noble it says that it is right', () => {
    const wrong = ask(COPPER, thread('galvanised'), { flowFrom: 'a' })
    expect(wrong.ways).toEqual([])
    expect(wrong.refused).toContainEqual(expect.objectContaining({ method: 'thread', on: 'b', code: 'metals' }))
    const right = ask(COPPER, thread('galvanised'), { flowFrom: 'b' })
    expect(right.ways.length).toBeGreaterThan(0)
    for (const { cautions } of right.ways)
      expect(cautions.find(({ code }) => code === 'metals')!.text).toContain('as it is here')
    expect(asksFlow({ a: COPPER, b: thread('galvanised') })).toBe(true)
    expect(asksFlow({ a: COPPER, b: thread('galvanised'), conditions: { service: 'heating' } })).toBe(false)
    expect(asksFlow({ a: COPPER, b: thread('brass') })).toBe(false)
  })
  it('never stand worse for a dielectric union between', () => {
    const steel: End = { thread: { form: 'npt', size: '3/4', gender: 'male', material: 'galvanised' } }
    const answer = ask(steel, { pipe: 'cu-l-3_4' }, {}, 'us')
    const parted = answer.ways.filter(({ parts }) => parts.some(({ name }) => name.startsWith('dielectric')))
    expect(parted.length).toBeGreaterThan(0)
    for (const { cautions } of parted) {
      expect(cautions.map(({ code }) => code)).toContain('earth-path')
      expect(cautions.map(({ code }) => code)).not.toContain('metals')
    }
  })
  it('orders a thread over steel in brass, never in plastic', () => {
    for (const pipe of PIPES.filter(({ regions }) => regions.includes('us')).map(({ id }) => id))
      for (const gender of ['male', 'female'] as const) {
        const end: End = { thread: { form: 'npt', size: '3/4', gender, material: 'steel' } }
        for (const { parts } of ask(end, { pipe }, { service: 'cold' }, 'us').ways) {
          const [first] = parts
          // A plastic male in a steel female is sound; plastic over steel is not.
          if (first?.material === 'plastic') expect([pipe, gender, first.name]).toEqual([pipe, 'female', first.name])
        }
      }
  })
})

describe('galvanised steel in the ground', () => {
  it('is refused for drinking water, pipe and thread, and not for what nobody drinks', () => {
    for (const end of [{ pipe: 'st-en-1_2' }, { pipe: 'st-40-1_2' }, thread('galvanised')] as const) {
      const buried = ask(end, { pipe: 'pe-en-25' }, { service: 'buried' })
      expect(buried.refused.find(({ method, on }) => method === 'thread' && on === 'a')?.code).toBe('service')
      const other = ask(end, { pipe: 'pe-en-25' }, { service: 'buried', drinking: false })
      expect(other.refused.some(({ method, on }) => method === 'thread' && on === 'a')).toBe(false)
    }
  })
})
