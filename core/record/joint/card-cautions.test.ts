import { describe, expect, it } from 'vitest'
import { cautionsOf, lateTool, stopsOf } from '#core/record'
import { aJob } from '../../../tests/records'
import type { MakeCard } from '#core/making'

const note = (code: string) => ({ code, text: code })
const card = (stop: string[], cautions: string[]) =>
  ({
    entry: 0,
    joint: { method: 'press' },
    answer: { ok: true, value: { stop: stop.map(note), cautions: cautions.map(note) } },
  }) as unknown as MakeCard
const codes = (notes: readonly { code: string }[]) => notes.map(({ code }) => code)

describe('what stands before the steps of an end', () => {
  it('stops for a depth that nobody knows, not for one that was measured', () => {
    const measured = card(['measure', 'valve'], [])
    expect(codes(stopsOf(measured, false))).toEqual(['measure', 'valve'])
    expect(codes(stopsOf(measured, true))).toEqual(['valve'])
  })
  it('leaves gas to its own band, and says nothing twice', () => {
    const both = card(['gas', 'valve'], ['gas', 'valve', 'fire'])
    const stops = stopsOf(both, true)
    expect(codes(stops)).toEqual(['valve'])
    expect(codes(cautionsOf(both, stops))).toEqual(['fire'])
  })
  it('is silent where the card itself is refused', () => {
    const refused = { entry: 0, joint: { method: 'press' }, answer: { ok: false } } as unknown as MakeCard
    expect([stopsOf(refused, false), cautionsOf(refused, [])]).toEqual([[], []])
  })
  it('names the tool of this method whose check is over', () => {
    const tools = [
      { method: 'press', sizes: null, due: '2026-11-01' },
      { method: 'crimp', sizes: null, due: '2026-11-01' },
    ] as never
    expect(lateTool(aJob({ tools }), card([], []), '2026-11-27')).toMatchObject({ method: 'press' })
    expect(lateTool(aJob({ tools }), card([], []), '2026-10-31')).toBeNull()
  })
})
