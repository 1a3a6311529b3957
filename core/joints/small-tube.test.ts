import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  appliancesIn,
  bendOf,
  bodySize,
  findSocket,
  getPipe,
  inchesOf,
  isSmallPlastic,
  isSmallTube,
  pipeRating,
  PIPES,
  spacingOf,
  tubeInsert,
  tubeNut,
} from '#core/catalogue'
import { ask } from '#core/contract'
import { makeJoint } from '#core/making'
import { toTube } from './defaults'
import type { End, Way, WaysAnswer, WaysQuestion } from './types'

const ways = (a: string, b: End, more: Partial<WaysQuestion> = {}): WaysAnswer => {
  const answer = ask('ways', { region: 'us', a: { pipe: a }, b, ...more })
  if (!answer.ok) throw new Error(JSON.stringify(answer.error))
  return answer.value as WaysAnswer
}
const parts = ({ parts: all }: Way) => all.map(({ name, size, quantity }) => `${quantity} ${name} ${size}`)
const SMALL = PIPES.filter(isSmallTube)

describe('tube called by its outside', () => {
  // By hand: an eighth of an inch over the nominal size of water tube, so 3/8 OD is water tube 1/4, 5/8 OD is 1/2.
  it('goes into the bodies of water tube with its outside, whatever it is called', () => {
    for (const [own, water] of [
      ['cu-od-3_8', 'cu-l-1_4'],
      ['cu-od-1_2', 'cu-l-3_8'],
      ['cu-od-5_8', 'cu-l-1_2'],
    ] as const) {
      expect(getPipe(own).od).toBeCloseTo(getPipe(water).od, 9)
      expect(bodySize(getPipe(own))).toBe(getPipe(water).nominal)
      for (const method of ['solder', 'compression', 'flare'] as const)
        expect(findSocket(method, getPipe(own))).toMatchObject({
          fittingNominal: findSocket(method, getPipe(water))!.fittingNominal,
          row: findSocket(method, getPipe(water))!.row,
        })
    }
    expect(parts(ways('cu-od-5_8', { pipe: 'cu-l-1_2' }).ways.find(({ id }) => id.startsWith('compression'))!)).toEqual(
      ['1 compression coupling 5/8 OD (1/2 nominal)'],
    )
  })
  it('of copper is soft whatever is said of it: no push-fit, and a flare goes on', () => {
    const answer = ways('cu-od-3_8', { pipe: 'cu-od-3_8', temper: 'hard' })
    expect(toTube({ pipe: 'cu-od-3_8', temper: 'hard' }).temper).toBe('soft')
    expect(answer.refused.find(({ method, on }) => method === 'push-fit' && on === 'a')!.code).toBe('temper')
    expect(answer.ways.some(({ joints }) => joints.every(({ method }) => method === 'flare'))).toBe(true)
    // Its wall is thick for its size: no sleeve inside.
    expect(answer.ways.flatMap(({ parts: all }) => all).some(({ kind }) => kind === 'sleeve')).toBe(false)
  })
  // By hand: annealed, 67.7 bar at 38 degrees; stress at 66 is 0.85 of that, 57.5.
  it('of copper loses pressure by the stress of annealed tube', () => {
    expect(pipeRating(getPipe('cu-od-3_8'), 38, 'soft')).toMatchObject({ bar: 67.7 })
    expect(pipeRating(getPipe('cu-od-3_8'), 60, 'soft')).toMatchObject({ bar: 57.5, tempC: 66 })
  })

  describe('of polyethylene', () => {
    it('takes an insert and a plastic ring in a compression body, and no other size', () => {
      const [first] = ways('cu-od-3_8', { pipe: 'pe-od-3_8' }).ways
      expect(first!.verdict).toBe('fits')
      expect(parts(first!)).toEqual([
        '1 compression coupling 3/8 OD (1/4 nominal)',
        '1 tube insert 3/8 OD',
        '1 plastic ferrule 3/8 OD',
      ])
      expect(first!.joints.map(({ insertion }) => insertion.value)).toEqual([15, 15])
    })
    // By hand: bore 0.170 in; 12 mm of the insert inside; 7/16-24 nut, 1/2 in across.
    it('has its card: insert, ring, nut without tape, nipped again', () => {
      const card = makeJoint({ method: 'compression', pipe: 'pe-od-1_4', region: 'us', orientation: 'horizontal' })
      if (!card.ok) throw new Error(card.error.message)
      const said = (code: string) => card.value.steps.find((step) => step.code === code)!.do
      expect(said('nut')).toContain('7/16-24, no tape on it, 1/2 in (12.7 mm) across')
      expect(said('olive')).toContain('plastic ferrule')
      expect(said('liner')).toContain('1/2 in (12 mm) of it stands inside')
      expect(card.value.marks[0]).toMatchObject({ fromEnd: 13, lo: 11, hi: 16 })
      expect(card.value.cautions.map(({ code }) => code)).toContain('retighten')
      expect(card.value.consumables.map(({ item }) => item)).toEqual(
        expect.arrayContaining(['plastic ferrule 1/4 OD', 'liner for 1/4 in OD PE tube']),
      )
    })
    it('is for cold water: hot and heating are refused, service pipe of its plastic takes none of its fittings', () => {
      for (const service of ['hot', 'heating', 'recirculation'] as const) {
        const { refused } = ways('pe-od-1_4', { pipe: 'pe-od-1_4' }, { conditions: { service, temperature: 45 } })
        expect(refused.find(({ method, on }) => method === 'compression' && on === 'a')!.code).toBe('service')
      }
      for (const pipe of PIPES.filter((one) => one.family === 'pe' && !isSmallTube(one)))
        for (const method of ['compression', 'push-fit'] as const)
          expect(
            ways(pipe.id, { pipe: pipe.id }).refused.find((one) => one.method === method && one.on === 'a')!.code,
          ).toBe('family')
    })
  })

  it('of vinyl is refused under the pressure of a house and stands where none is', () => {
    for (const size of ['1_4', '3_8', '1_2']) {
      const end = { pipe: `vinyl-od-${size}` }
      expect(ways(end.pipe, end).ways).toEqual([])
      const under = ways(end.pipe, end, { conditions: { pressure: 2 } })
      expect(under.ways).toEqual([])
      expect(under.instead!.join(' ')).toContain('Polyethylene or copper tube')
      const [dry] = ways(end.pipe, end, { conditions: { pressure: 0 } }).ways
      expect(parts(dry!).slice(1)).toEqual([
        `2 tube insert ${size.replace('_', '/')} OD`,
        `2 plastic ferrule ${size.replace('_', '/')} OD`,
      ])
    }
  })
})

describe('a stop at a fixture', () => {
  // By hand: 1/2 in copper pushed in 25, out by compression for 1/4 OD at 13 or 3/8 OD at 15.
  it.each([
    ['pe-od-1_4', '1/4 OD (1/8 nominal)', 13],
    ['cu-od-1_4', '1/4 OD (1/8 nominal)', 13],
    ['pe-od-3_8', '3/8 OD (1/4 nominal)', 15],
    ['cu-od-3_8', '3/8 OD (1/4 nominal)', 15],
  ] as const)('takes %s at its outlet', (tube, outlet, depth) => {
    for (const valve of ['angle', 'straight'] as const) {
      const way = ways('cu-l-1_2', { pipe: tube }, { valve }).ways.find(({ joints }) => joints.length === 2)!
      expect(way.parts[0]).toMatchObject({ kind: 'valve', size: `1/2 x ${outlet}` })
      expect(way.joints[1]).toMatchObject({ on: 'b', method: 'compression', insertion: { value: depth } })
    }
  })
  it('is never smaller at its inlet than at its outlet', () => {
    for (const { id } of SMALL) {
      const { ways: all } = ways(id, { pipe: 'pe-od-3_8' }, { valve: 'angle', conditions: { pressure: 2 } })
      for (const { parts: own } of all) {
        const [inlet, outlet] = [...own.find(({ kind }) => kind === 'valve')!.size.matchAll(/([\d/]+) OD/g)].map(
          ([, size]) => inchesOf(size!),
        )
        if (outlet !== undefined) expect(inlet!).toBeGreaterThan(outlet)
      }
    }
  })
})

describe('small tube on the way', () => {
  it('is bent and clipped by its own rows', () => {
    expect(bendOf(getPipe('cu-od-3_8'))).toMatchObject({ isPulled: true, radius: { value: 23.8125 } })
    expect(bendOf(getPipe('pe-od-1_4'))).toMatchObject({ isPulled: false, radius: { value: 31.75 } })
    // By hand, mm across and up: 1/4 polyethylene 300 and 450; copper 3/8 OD 600.
    expect(spacingOf('ipc', getPipe('pe-od-1_4'))).toMatchObject({ horizontal: 300, vertical: 450 })
    expect(spacingOf('upc', getPipe('cu-od-3_8'))).toMatchObject({ horizontal: 600, vertical: 600 })
    // Water tube of the same outside keeps the code's row.
    expect(spacingOf('ipc', getPipe('cu-l-1_4'))!.horizontal).toBe(1829)
  })
  it('has a nut of its own thread by each outside, an insert only in plastic', () => {
    expect(['1/4', '3/8', '1/2', '5/8'].map((outside) => tubeNut(outside)!.thread)).toEqual([
      '7/16-24',
      '9/16-24',
      '11/16-20',
      '13/16-18',
    ])
    expect(tubeNut('7/8')).toBeNull()
    for (const pipe of PIPES) expect(tubeInsert(pipe) !== null, pipe.id).toBe(isSmallPlastic(pipe))
  })
  it('tells what fixtures are screwed on by, each country its own', () => {
    expect(appliancesIn('us').map(({ what }) => what)).toContain('ice maker, filter, humidifier')
    expect(appliancesIn('gb').map(({ screwed }) => screwed)).toEqual(expect.arrayContaining(['G 1/2', 'M10 x 1']))
    expect(appliancesIn('eu')).toContainEqual({ what: 'angle valve', screwed: 'G 1/2 x G 3/8' })
    for (const { screwed } of [...appliancesIn('gb'), ...appliancesIn('eu')]) expect(screwed).not.toMatch(/OD|NPT/)
  })
  it('never meets a fitting made for another outside', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SMALL), fc.constantFrom(...SMALL), (a, b) => {
        const { ways: all } = ways(a.id, { pipe: b.id }, { conditions: { pressure: 0 } })
        // A slip coupling stands by its marks, not by a depth.
        for (const { joints } of all.filter(({ parts: own }) => own.every(({ kind }) => kind !== 'slip')))
          for (const { pipe, insertion, method } of joints)
            if (pipe !== null) expect(findSocket(method as 'flare', getPipe(pipe))!.row.depthMm).toBe(insertion.value)
      }),
      { numRuns: 40 },
    )
  })
})
