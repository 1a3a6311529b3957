import { describe, expect, it } from 'vitest'
import {
  factsOf,
  findPipe,
  findPipes,
  findSocket,
  getPipe,
  jointRating,
  pipeRating,
  pipeRatings,
  PIPES,
  ringGauge,
  ringPosition,
  SERIES,
  socketDepth,
  threadMadeUp,
  USES,
} from '#core/catalogue'

describe('the tables', () => {
  it('have unique ids, each of a series and a region', () => {
    expect(new Set(PIPES.map(({ id }) => id)).size).toBe(PIPES.length)
    expect(PIPES.length).toBe(270)
    for (const pipe of PIPES) {
      expect(SERIES.some(({ id }) => id === pipe.series)).toBe(true)
      expect(pipe.regions.length).toBeGreaterThan(0)
    }
  })

  it('give a bore that is the diameter less two walls, or nothing at all', () => {
    for (const { id, od, wall, bore } of PIPES) {
      if (wall === null) expect(bore, id).toBeNull()
      // 0.06 is what two lists of the same standard differ by at most.
      else expect(Math.abs(od - 2 * wall - bore!), id).toBeLessThan(0.06)
    }
  })

  // Retyped by hand from the standards, in inches where they are written so.
  it.each([
    ['cu-l-3_4', 0.875 * 25.4, 0.045 * 25.4],
    ['cu-m-1_2', 0.625 * 25.4, 0.028 * 25.4],
    ['cu-en-x-22', 22, 0.9],
    ['cu-en-x-15', 15, 0.7],
    ['pex-cts-1_2', 0.625 * 25.4, 0.07 * 25.4],
    ['pe-en-25', 25, 2.3],
    ['ml-en-20', 20, 2],
  ])('%s is %f by %f', (id, od, wall) => {
    expect(getPipe(id).od).toBeCloseTo(od, 2)
    expect(getPipe(id).wall).toBeCloseTo(wall, 2)
  })

  it('keep old British copper by its bore: 3/4 in is 19.05 inside and fits no 22', () => {
    expect(getPipe('cu-bs-imp-3_4')).toMatchObject({ bore: 19.05, typical: true })
    expect(getPipe('cu-bs-imp-3_4').od).toBeCloseTo(21.49, 2)
  })

  it('leave the wall of a size that type M is not made in unknown', () => {
    expect(getPipe('cu-m-5_8')).toMatchObject({ wall: null, bore: null })
  })
})

describe('findPipes', () => {
  it('ands its fields and sorts by family, series, diameter, wall', () => {
    const found = findPipes({ series: 'cu-l' })
    expect(found.ok && found.value.pipes.map(({ nominal }) => nominal)).toEqual([
      '1/4',
      '3/8',
      '1/2',
      '5/8',
      '3/4',
      '1',
      '1-1/4',
      '1-1/2',
      '2',
    ])
    const both = findPipes({ family: 'copper', nominal: '22', region: 'eu' })
    expect(both.ok && both.value.pipes.map(({ id }) => id)).toEqual(['cu-en-10-22', 'cu-en-x-22', 'cu-en-y-22'])
  })

  it('tells an unknown word from a known one without rows', () => {
    expect(findPipes({ series: 'cu-l', region: 'gb' })).toEqual({ ok: true, value: { pipes: [], series: [] } })
    expect(findPipes({ family: 'bamboo' })).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'family' } })
    expect(findPipe('cu-l-9', 'a.pipe')).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'a.pipe' } })
  })
})

describe('sockets', () => {
  const depth = (method: Parameters<typeof findSocket>[0], id: string) => {
    const socket = findSocket(method, getPipe(id))
    return socket && socketDepth(socket)
  }

  it("give a standard's own depth without a range and a typical one with it", () => {
    expect(depth('solder', 'cu-en-x-22')).toEqual({ value: 15.4, lo: 15.4, hi: 15.4, source: 'EN 1254-1' })
    // 0.75 in, ASME B16.22.
    expect(depth('solder', 'cu-l-3_4')?.value).toBeCloseTo(19.05, 2)
    expect(depth('compression', 'cu-en-x-15')).toMatchObject({
      value: 18,
      lo: 14,
      hi: 25,
      source: expect.stringMatching(/^typical/),
    })
    expect(depth('push-fit', 'pex-cts-1_2')).toMatchObject({ value: 25, lo: 22, hi: 29 })
  })

  it('go by outside diameter and sizing system, never by a near name', () => {
    expect(depth('solder', 'cu-bs-imp-3_4')).toBeNull()
    expect(depth('press', 'cu-bs-imp-1')).toBeNull()
    expect(findSocket('compression', getPipe('cu-bs-imp-1_2'))).toMatchObject({
      fittingNominal: '15',
      converterOlive: false,
    })
    expect(findSocket('compression', getPipe('cu-bs-imp-3_4'))).toMatchObject({
      fittingNominal: '22',
      converterOlive: true,
    })
    // The 5/8 tube-OD body takes 1/2 nominal copper, whatever the region.
    expect(findSocket('compression', getPipe('cu-l-1_2'))).toMatchObject({ fittingNominal: '5/8' })
    expect(depth('push-fit', 'ml-en-16')).toBeNull()
    expect(depth('crimp', 'ml-astm-1_2')).toBeNull()
  })

  it('say nothing where nobody has a figure', () => {
    expect(depth('compression', 'cu-en-x-35')).toMatchObject({ value: null, lo: 26, hi: 40 })
  })

  it('hold the ring band and gauge of ASTM F1807', () => {
    // 1/8 to 1/4 in from the end; 1/2 ring 0.715 go, 0.700 no-go.
    expect(ringPosition('crimp', getPipe('pex-cts-1_2'))).toMatchObject({ lo: 3.175, hi: 6.35, source: 'ASTM F1807' })
    const ofSize = (size: string) => getPipe(`pex-cts-${size.replace('/', '_')}`)
    // Ladder of the gauges, inches: go and no-go of each ring.
    for (const [size, go, noGo] of [
      ['3/8', 0.595, 0.58],
      ['1/2', 0.715, 0.7],
      ['5/8', 0.83, 0.815],
      ['3/4', 0.96, 0.945],
      ['1', 1.19, 1.175],
    ] as const) {
      expect(ringGauge(ofSize(size))!.goMm, size).toBeCloseTo(go * 25.4, 9)
      expect(ringGauge(ofSize(size))!.noGoMm, size).toBeCloseTo(noGo * 25.4, 9)
    }
    expect(ringGauge(ofSize('1-1/4'))).toBeNull()
    // Composite of the same name has another diameter, and a gauge nobody holds.
    expect(ringGauge(getPipe('ml-astm-1_2'))).toBeNull()
  })

  it('make a taper thread up by L1 and three turns', () => {
    // ASME B1.20.1, 1/2: L1 0.320 in, 14 threads to the inch.
    expect(threadMadeUp('npt', '1/2')?.value).toBeCloseTo((0.32 + 3 / 14) * 25.4, 1)
    expect(threadMadeUp('npt', '7/8')).toBeNull()
  })
})

describe('ratings', () => {
  it('use the row at the next higher temperature', () => {
    expect(pipeRating(getPipe('pex-cts-1_2'), 23, 'hard')).toMatchObject({ bar: 11 })
    expect(pipeRating(getPipe('pex-cts-1_2'), 24, 'hard')).toMatchObject({ bar: 6.9, tempC: 82 })
    expect(pipeRating(getPipe('pex-cts-1_2'), 95, 'hard')).toEqual({ kind: 'beyond' })
  })

  it('skip rows without a figure', () => {
    expect(pipeRating(getPipe('bs7291-15'), 60, 'hard')).toMatchObject({ bar: 6, tempC: 82 })
  })

  it('count PE without a grade as PE80', () => {
    expect(pipeRating(getPipe('pe-en-25'), 20, 'hard')).toMatchObject({ bar: 12.5 })
  })

  it('tell no figure from none hot enough', () => {
    expect(pipeRating(getPipe('cu-bs-imp-3_4'), 20, 'hard')).toEqual({ kind: 'none' })
    const socket = findSocket('compression', getPipe('cu-en-x-22'))!
    expect(jointRating(socket, getPipe('cu-en-x-22'), 75)).toMatchObject({ bar: 6, tempC: 110 })
    expect(jointRating(socket, getPipe('cu-en-x-22'), 120)).toEqual({ kind: 'beyond' })
  })
})

describe('what is true of a series', () => {
  it('stands for every series, each fact with its source', () => {
    for (const { id } of SERIES) {
      const { services, ...facts } = factsOf(id)
      expect(Object.keys(services)).toEqual([...USES])
      for (const fact of Object.values(facts))
        if (fact) expect([fact.text.length > 2, fact.source.length > 2], id).toEqual([true, true])
    }
  })
  it('says of what failed, what is not for drinking and what is never hot', () => {
    expect(factsOf('pb-cts').hazard!.text).toContain('failed')
    expect(factsOf('cs-en').services).toMatchObject({ cold: 'no', heating: 'yes' })
    expect(factsOf('pvc-40').services.hot).toBe('no')
    // ASTM B88: green K, blue L, red M.
    expect(['cu-k', 'cu-l', 'cu-m'].map((id) => /green|blue|red/.exec(factsOf(id).colours!.text)![0])).toEqual([
      'green',
      'blue',
      'red',
    ])
  })
  it('comes with the rows of a question, once each, in their order', () => {
    const found = findPipes({ family: 'copper', region: 'gb' })
    expect(found.ok && found.value.series.map(({ id }) => id)).toEqual(['cu-bs-imp', 'cu-en-10', 'cu-en-x', 'cu-en-y'])
  })
  it('gives every rating of a tube, which is what a joint is weighed by', () => {
    // ASTM F876: 11 bar at 23, 6.9 at 82, 5.5 at 93 degC.
    expect(pipeRatings(getPipe('pex-cts-1_2')).map(({ tempC, bar }) => [tempC, bar])).toEqual([
      [23, 11],
      [82, 6.9],
      [93, 5.5],
    ])
    expect(new Set(pipeRatings(getPipe('cu-l-1_2')).map(({ temper }) => temper))).toEqual(new Set(['hard', 'soft']))
    for (const pipe of PIPES) {
      for (const { tempC, bar, temper } of pipeRatings(pipe))
        expect(pipeRating(pipe, tempC, temper ?? 'hard'), pipe.id).toMatchObject({ kind: 'rated', bar })
    }
  })
})
