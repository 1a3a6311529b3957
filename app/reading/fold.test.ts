import { describe, expect, it } from 'vitest'
import { findWays, type End, type Way } from '#core/joints'
import { wayHead, wayTitle } from '~/wording/way'
import { foldWays, isByThreads, othersWords } from './fold'

const PAIRS: readonly (readonly [string, string])[] = [
  ['cu-en-x-22', 'pex-en-20'],
  ['cu-en-x-22', 'cu-en-x-15'],
  ['cu-en-x-22', 'cu-en-x-22'],
  ['cu-bs-imp-3_4', 'cu-en-x-22'],
  ['cu-l-3_4', 'pex-cts-1_2'],
  ['cpvc-cts-3_4', 'cu-l-3_4'],
  ['st-40-3_4', 'pex-cts-3_4'],
  ['ml-en-20', 'cu-en-x-22'],
  ['pe-en-25', 'cu-en-x-15'],
]
const waysOf = ([a, b]: readonly [string, string]): Way[] => {
  const region = a.includes('en') || a.includes('bs') ? 'gb' : 'us'
  const answer = findWays({ region, a: { pipe: a } as End, b: { pipe: b } as End })
  return answer.ok ? answer.value.ways : []
}

describe('ways, folded', () => {
  it.each(PAIRS)('of %s to %s are one row a pair of methods, none lost, each in its order', (...pair) => {
    const ways = waysOf(pair)
    const folds = foldWays(ways)
    expect(ways.length).toBeGreaterThan(0)
    expect(folds.length).toBeLessThanOrEqual(ways.length)
    expect(
      folds
        .flatMap(({ best, others }) => [best, ...others])
        .map(({ id }) => id)
        .sort(),
    ).toEqual(ways.map(({ id }) => id).sort())
    expect(new Set(folds.map(({ pair: name }) => name)).size).toBe(folds.length)
    for (const { best, others } of folds)
      for (const other of others) expect(ways.indexOf(other)).toBeGreaterThan(ways.indexOf(best))
  })

  it.each(PAIRS)('of %s to %s have no two of one name', (...pair) => {
    const ways = waysOf(pair)
    const region = 'gb'
    const titles = ways.map((way) => wayTitle(way, region))
    expect(titles.filter((title, i) => titles.indexOf(title) !== i)).toEqual([])
    const heads = foldWays(ways).map(({ best }) => wayHead(best, region).title)
    expect(heads.filter((title, i) => heads.indexOf(title) !== i)).toEqual([])
  })

  it('says what is folded away', () => {
    const folds = foldWays(waysOf(['cu-en-x-22', 'pex-en-20']))
    const byThreads = folds.find(({ others }) => others.length > 0 && others.every(isByThreads))!
    expect(othersWords(byThreads)).toBe(`${byThreads.others.length} more by threads`)
    expect(wayHead(byThreads.best, 'gb')).toMatchObject({ by: expect.stringMatching(/^by a BSP \S+ pair$/) })
  })
})
