import { describe, expect, it } from 'vitest'
import { getPipe, namedDiameters, PIPES, shortName } from '#core/catalogue'

describe('shortName', () => {
  it.each([
    ['cu-en-x-22', '22 copper'],
    ['cu-bs-imp-3_4', '3/4 in old copper'],
    ['cu-l-1_2', '1/2 in copper'],
    ['ml-en-20', '20 multilayer'],
    ['bs7291-22', '22 plastic'],
    ['st-en-1_2', '1/2 in steel'],
  ])('%s is %s', (id, name) => {
    expect(shortName(getPipe(id))).toBe(name)
  })
  it('is short for every pipe of the catalogue', () => {
    for (const pipe of PIPES) expect(shortName(pipe).length, pipe.id).toBeLessThan(24)
  })
})

describe('namedDiameters', () => {
  it('rises, and names all that shares a diameter once', () => {
    const gb = namedDiameters('gb')
    gb.forEach(({ od }, i) => {
      if (i > 0) expect(od).toBeGreaterThan(gb[i - 1]!.od)
    })
    const names = gb.find(({ od }) => od === 22)!.names
    expect(names).toEqual(expect.arrayContaining(['22 copper', '22 plastic', '22 stainless']))
    expect(new Set(names).size).toBe(names.length)
    expect(gb.some(({ names }) => names.some((name) => name.includes('PE-RT')))).toBe(false)
  })
})
