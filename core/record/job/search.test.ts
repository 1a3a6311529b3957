import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answers, foldText, gistOfJob, readSearch, searchText } from '#core/record'
import { aFind, aJob, aJoint, aLine } from '../../../tests/records'

const TODAY = '2026-11-26'
const job = aJob({
  name: 'Kiln Lane bakéhouse',
  place: 'dough sinks',
  finds: [aFind({ place: 'riser at the oven', pipe: 'cu-en-x-22' })],
  lines: [aLine({ name: 'hot and cold' })],
  joints: [aJoint({ place: 'under sink 1', a: { pipe: 'pex-cts-1_2' } })],
})
const text = searchText(gistOfJob(job))
const finds = (typed: string, days: string[] = []) => answers(readSearch(typed, TODAY), text, days)

describe('a search', () => {
  it.each([
    'kiln',
    'BAKEHOUSE',
    'bakéhouse',
    'dough',
    'oven',
    'copper',
    '22 copper',
    'pex',
    'sink 1',
    'hot',
    '  kiln   lane ',
  ])('for "%s" finds the job', (typed) => expect(finds(typed)).toBe(true))
  it.each(['glaze', 'kiln glaze', '%', '_', 'k%n', '💧', 'x'.repeat(1000)])('for "%s" does not', (typed) =>
    expect(finds(typed)).toBe(false),
  )
  it('for nothing finds all', () => expect(finds('   ')).toBe(true))
  // 26 Nov 2026 is a Thursday.
  it.each([
    ['today', '2026-11-26'],
    ['Yesterday', '2026-11-25'],
    ['thursday', '2026-11-26'],
    ['Wed', '2026-11-25'],
    ['fri', '2026-11-20'],
    ['2026-11-03', '2026-11-03'],
    ['3 Nov', '2026-11-03'],
    ['nov 3rd', '2026-11-03'],
    ['28 December', '2025-12-28'],
    ['29 feb', null],
    ['31 nov', null],
    ['frida', '2026-11-20'],
    ['friction', null],
  ])('"%s" means the day %s', (typed, day) => {
    expect(readSearch(typed, TODAY).map((term) => term.day)).toContain(day)
    if (day) expect([finds(typed, [day]), finds(typed, ['2020-01-01'])]).toEqual([true, false])
  })
  it('finds a place that is called like a day', () => {
    expect(answers(readSearch('sun lane', TODAY), 'sun lane mill', [])).toBe(true)
  })
  it('takes any text, and whatever stands in the job is found', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (typed) => {
        const own = searchText(gistOfJob(aJob({ name: typed })))
        expect(answers(readSearch(typed, TODAY), own, [])).toBe(true)
        expect(foldText(foldText(typed))).toBe(foldText(typed))
      }),
    )
  })
})
