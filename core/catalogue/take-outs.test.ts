import { describe, expect, it } from 'vitest'
import { bendOf, findTakeOut, getPipe, PIPES } from '#core/catalogue'

describe('findTakeOut', () => {
  // Rows typed again from the lists of practice, by another hand than the tables.
  it.each([
    ['solder', 'cu-en-x-22', 'elbow-90', 13.5, 11, 16],
    ['solder', 'cu-l-3_4', 'tee-branch', 14, 11, 17],
    ['press', 'cu-en-x-28', 'elbow-45', 15.5, 11, 18],
    ['press', 'cu-l-1_2', 'coupling', 2, 0.75, 4],
    ['push-fit', 'bs7291-22', 'tee-run', 17, 13, 23],
    ['push-fit', 'pex-cts-3_4', 'elbow-90', 18, 14, 23],
    ['crimp', 'pex-cts-1_2', 'tee-run', 12, 9, 15],
    ['compression', 'cu-en-x-15', 'elbow-90', 12, 9, 16],
    ['press', 'ss-en-22', 'elbow-90', 36, 30, 44],
    ['press', 'cs-en-22', 'tee-branch', 28, 23, 33],
    ['press', 'cu-en-x-15', 'coupling', 1.8, 0.5, 4],
    ['thread', 'st-en-1_2', 'elbow-90', 15, 14.5, 18],
  ] as const)('%s on %s, %s', (method, pipe, fitting, value, lo, hi) => {
    expect(findTakeOut(method, getPipe(pipe), fitting)).toMatchObject({
      value,
      lo,
      hi,
      source: expect.stringMatching(/^typical/),
    })
  })
  it("takes a clamp's from the body it shares with a crimp, old copper's from the metric body it enters", () => {
    expect(findTakeOut('clamp', getPipe('pex-cts-1_2'), 'elbow-90')).toMatchObject({ value: 13 })
    expect(findTakeOut('compression', getPipe('cu-bs-imp-1_2'), 'elbow-90')).toMatchObject({ value: 12 })
  })
  it('holds none where nobody has a figure, or the method does not take the pipe', () => {
    for (const [method, pipe, fitting] of [
      ['push-fit', 'cu-l-1_2', 'elbow-45'],
      ['solvent-cement', 'pvc-80-1_2', 'elbow-90'],
      ['solder', 'cu-en-x-22', 'valve'],
      ['solder', 'cu-en-x-22', 'reducer'],
      ['ml-press', 'ml-en-25', 'elbow-90'],
      ['crimp', 'cu-en-x-22', 'elbow-90'],
      ['thread', 'cu-en-x-22', 'elbow-90'],
    ] as const) {
      expect(findTakeOut(method, getPipe(pipe), fitting), `${method} ${pipe} ${fitting}`).toBeNull()
    }
  })
})

describe('bendOf', () => {
  it.each([
    ['cu-en-x-15', 55, 45, 65],
    ['cu-en-10-22', 77, 70, 95],
    ['cu-l-3_4', 76, 76, 95],
    ['pe-en-25', 625, 625, 875],
    ['ml-en-20', 100, 70, 100],
  ] as const)('%s goes to a radius of %d', (pipe, value, lo, hi) =>
    expect(bendOf(getPipe(pipe))!.radius).toMatchObject({ value, lo, hi }),
  )
  it('goes by outside diameters where no size is held: 4 times for old copper, 8 for PEX', () => {
    expect(bendOf(getPipe('cu-bs-imp-3_4'))!.radius.value).toBeCloseTo(4 * 21.49, 1)
    expect(bendOf(getPipe('pex-cts-1_2'))!.radius.value).toBeCloseTo(8 * 15.875, 1)
  })
  it('is none for threaded steel, CPVC, PVC and lead; carbon press tube bends as stainless does', () => {
    for (const pipe of PIPES)
      expect(bendOf(pipe) === null, pipe.id).toBe(
        ['steel', 'cpvc', 'pvc', 'lead'].includes(pipe.family) && pipe.series !== 'cs-en',
      )
  })
  it('never goes under 1.9 outside diameters, and says that it is typical', () => {
    for (const pipe of PIPES) {
      const radius = bendOf(pipe)?.radius
      if (!radius) continue
      expect(radius.lo! / pipe.od, pipe.id).toBeGreaterThan(1.9)
      expect(radius.lo! <= radius.value! && radius.value! <= radius.hi!, pipe.id).toBe(true)
      expect(radius.source).toMatch(/^typical/)
    }
  })
})
