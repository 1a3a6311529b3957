import { describe, expect, it } from 'vitest'
import { getPipe, PIPES } from '#core/catalogue'
import { shortName } from './pipe'

describe('shortName', () => {
  it.each([['cu-en-x-22', '22 copper'], ['cu-bs-imp-3_4', '3/4 in old copper'], ['cu-l-1_2', '1/2 in copper'], ['ml-en-20', '20 multilayer'], ['bs7291-22', '22 plastic'], ['st-en-1_2', '1/2 in steel']])('%s is %s', (id, name) => {
    expect(shortName(getPipe(id))).toBe(name)
  })
  it('is short for every pipe of the catalogue', () => {
    for (const pipe of PIPES) expect(shortName(pipe).length, pipe.id).toBeLessThan(24)
  })
})
