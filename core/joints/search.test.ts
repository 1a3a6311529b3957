import { describe, expect, it } from 'vitest'
import { getPipe, PIPES } from '#core/catalogue'
import { fillSituation, toTube } from './defaults'
import { classOf, metricBodyOf } from './size-classes'
import { fittingsBetween } from './fittings'
import { findChains } from './search'
import type { Offer } from './types'

const situation = fillSituation({ region: 'gb' })
const tube = (pipe: string, on: 'a' | 'b'): Offer => ({ kind: 'tube', tube: toTube({ pipe }), on })
const chains = (a: string, b: string) => findChains(tube(a, 'a'), tube(b, 'b'), situation)

describe('classes', () => {
  it('are shared by tubes that enter the same body', () => {
    expect(
      [
        'cu-l-1_2',
        'pex-cts-1_2',
        'cpvc-cts-1_2',
        'cu-en-x-22',
        'bs7291-22',
        'cu-bs-imp-3_4',
        'ml-en-20',
        'pe-en-20',
      ].map((id) => classOf(getPipe(id))),
    ).toEqual(['cts:1/2', 'cts:1/2', 'cts:1/2', 'en:22', 'en:22', 'bs:3/4', 'ml-en:20', 'pe-en:20'])
  })
  it('never join two outside diameters: a class has one', () => {
    // Threaded pipe goes by its thread, PVC by its own rule, pipe held to its bore by that.
    const OTHERWISE = /^(pvc-|st-|pe-id-)/
    for (const pipe of PIPES.filter(({ series }) => series.startsWith('pe-id-')))
      for (const other of PIPES.filter((one) => classOf(one) === classOf(pipe)))
        expect(other.bore, `${pipe.id} ${other.id}`).toBe(pipe.bore)
    const byClass = new Map<string, number>()
    for (const pipe of PIPES.filter(({ series }) => !OTHERWISE.test(series))) {
      expect(byClass.get(classOf(pipe)) ?? pipe.od, pipe.id).toBe(pipe.od)
      byClass.set(classOf(pipe), pipe.od)
    }
  })
  it('know the metric body of each old size', () => {
    expect(['3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'].map((size) => metricBodyOf(`bs:${size}`))).toEqual([
      'en:12',
      'en:15',
      'en:22',
      'en:28',
      'en:35',
      'en:42',
      'en:54',
    ])
    expect(metricBodyOf('en:22')).toBeNull()
  })
})

describe('fittings', () => {
  it('are each there once', () => {
    const ids = fittingsBetween(['en:22', 'ml-en:20', 'bs:3/4']).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
  })
  it('name the larger size first and the thread last', () => {
    const sizes = fittingsBetween(['en:15', 'en:22'])
      .filter(({ kind }) => kind === 'reducer')
      .map(({ size }) => size)
    expect(new Set(sizes)).toEqual(new Set(['22 x 15']))
    expect(fittingsBetween(['en:22']).find(({ kind }) => kind === 'adaptor')!.size).toBe('22 x 3/4')
  })
  it('give inch tube NPT and metric tube BSP', () => {
    const threads = (size: string) =>
      new Set(
        fittingsBetween([size])
          .filter(({ kind }) => kind === 'adaptor')
          .flatMap(({ mouths }) => mouths.flatMap((mouth) => (mouth.kind === 'thread' ? [mouth.form] : []))),
      )
    expect(threads('cts:3/4')).toEqual(new Set(['npt']))
    // The parallel one is a swivel nut with a washer, for a tap's tail.
    expect(threads('en:22')).toEqual(new Set(['bspt', 'bspp']))
  })
  it('reduce no further than they are made', () => {
    expect(fittingsBetween(['en:54', 'en:15']).some(({ kind }) => kind === 'reducer')).toBe(false)
  })
})

describe('chains', () => {
  it('have one meeting more than they have things in line', () => {
    for (const [a, b] of [
      ['cu-en-x-22', 'ml-en-20'],
      ['cu-bs-imp-3_4', 'cu-bs-imp-3_4'],
      ['cu-l-3_4', 'cu-en-x-22'],
      ['pe-en-25', 'pe-en-32'],
    ] as const) {
      for (const { items, meetings } of chains(a, b)) expect(meetings).toHaveLength(items.length + 1)
    }
  })
  it('pair every male thread with a female of its own form and size', () => {
    for (const { items } of chains('cu-l-1_2', 'ml-en-20')) {
      const threads = items.flatMap((item) =>
        item.kind === 'fitting' ? item.fitting.mouths.filter((mouth) => mouth.kind === 'thread') : [],
      )
      const count = (gender: string) =>
        threads.filter((mouth) => mouth.kind === 'thread' && mouth.gender === gender).length
      expect(count('male')).toBe(count('female'))
      for (const form of ['npt', 'bspt'])
        expect(
          new Set(threads.flatMap((mouth) => (mouth.kind === 'thread' && mouth.form === form ? [mouth.size] : [])))
            .size,
        ).toBeLessThanOrEqual(1)
    }
  })
  it('put a tail between two old tubes that only converters join', () => {
    const hidden = fillSituation({ region: 'gb', conditions: { hidden: true } })
    const found = findChains(tube('cu-bs-imp-3_4', 'a'), tube('cu-bs-imp-3_4', 'b'), hidden)
    expect(found.some(({ items }) => items.map(({ kind }) => kind).join() === 'fitting,tail,fitting')).toBe(true)
  })
  it('keep a taper male out of nothing but its own female, or a parallel one', () => {
    const end = (form: 'npt' | 'bspt' | 'bspp', gender: 'male' | 'female'): Offer => ({
      kind: 'thread',
      thread: { form, size: '1/2', gender, material: 'brass' },
      on: 'a',
    })
    const reach = (offer: Offer) => findChains(offer, tube('cu-en-x-15', 'b'), situation).length
    expect(reach(end('bspt', 'female'))).toBeGreaterThan(0)
    expect(reach(end('bspp', 'female'))).toBeGreaterThan(0)
    // A parallel male only into a swivel with its washer.
    const swivels = findChains(end('bspp', 'male'), tube('cu-en-x-15', 'b'), situation)
    expect(swivels.length).toBeGreaterThan(0)
    for (const { items } of swivels)
      expect(items[0]).toMatchObject({ fitting: { name: expect.stringContaining('swivel') } })
    // NPT needs the listed adaptor between.
    expect(
      findChains(end('npt', 'female'), tube('cu-en-x-15', 'b'), situation).every(({ items }) =>
        items.some((item) => item.kind === 'fitting' && item.fitting.kind === 'converter'),
      ),
    ).toBe(true)
  })
})
