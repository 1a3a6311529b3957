import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changedSince, mergeFields, type Fields } from '#core/acts'

const value = fc.oneof(
  fc.string({ maxLength: 3 }),
  fc.integer({ min: 0, max: 3 }),
  fc.constant(null),
  fc.record({ pipe: fc.constantFrom('a', 'b') }, { noNullPrototype: true }),
)
const map = fc.dictionary(fc.constantFrom('0', '1', '2'), fc.string({ maxLength: 2 }), { noNullPrototype: true })
const record: fc.Arbitrary<Fields> = fc.record(
  { place: value, typed: value, pipe: value, depths: map, conditions: map },
  { noNullPrototype: true },
)
const only = (fields: Fields, names: readonly string[]): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([name]) => names.includes(name)))

describe('mergeFields', () => {
  it('gives what was typed where nobody else wrote, and nothing where nothing was changed', () => {
    fc.assert(
      fc.property(record, record, (base, mine) => {
        const { changes, clashes } = mergeFields(base, mine, base)
        expect(clashes).toEqual([])
        expect({ ...base, ...changes }).toEqual({ ...base, ...mine })
        expect(mergeFields(base, base, mine)).toEqual({ changes: {}, clashes: [] })
      }),
    )
  })

  it('keeps both where two hands changed different fields, whoever comes last', () => {
    fc.assert(
      fc.property(record, record, record, (base, one, other) => {
        const [mine, theirs] = [
          { ...base, ...only(one, ['place', 'depths']) },
          { ...base, ...only(other, ['typed', 'pipe', 'conditions']) },
        ]
        const first = mergeFields(base, only(mine, ['place', 'depths']), theirs)
        const last = mergeFields(base, only(theirs, ['typed', 'pipe', 'conditions']), mine)
        expect([...first.clashes, ...last.clashes]).toEqual([])
        expect({ ...theirs, ...first.changes }).toEqual({ ...mine, ...last.changes })
      }),
    )
  })

  it('names the same clashes from both sides, and is never silent about a value that is lost', () => {
    fc.assert(
      fc.property(record, record, record, (base, mine, theirs) => {
        const here = mergeFields(base, mine, theirs)
        const there = mergeFields(base, theirs, mine)
        expect(here.clashes.map(({ path }) => path).sort()).toEqual(there.clashes.map(({ path }) => path).sort())
        const merged = { ...theirs, ...here.changes } as typeof theirs
        for (const field of ['place', 'typed', 'pipe'] as const) {
          const isLost =
            JSON.stringify(merged[field]) !== JSON.stringify(theirs[field]) &&
            JSON.stringify(base[field]) !== JSON.stringify(theirs[field])
          if (isLost) expect(here.clashes.map(({ path }) => path)).toContain(field)
        }
      }),
    )
  })

  it('lets either side be picked', () => {
    fc.assert(
      fc.property(record, record, record, (base, mine, theirs) => {
        const kept = mergeFields(base, mine, theirs, 'theirs')
        const merged = { ...theirs, ...kept.changes } as Record<string, unknown>
        for (const clash of kept.clashes.filter(({ path }) => !path.includes('.')))
          expect(merged[clash.path]).toEqual(clash.theirs)
      }),
    )
  })

  it('goes key by key through depths, answers and conditions', () => {
    const base = { depths: {}, answers: { colour: 'grey' } }
    expect(mergeFields(base, { depths: { 0: '22' } }, { depths: { 1: '20' } })).toEqual({
      changes: { depths: { 0: '22', 1: '20' } },
      clashes: [],
    })
    expect(mergeFields(base, { depths: { 0: '22' } }, { depths: { 0: '20' } }).clashes).toEqual([
      { path: 'depths.0', base: undefined, mine: '22', theirs: '20' },
    ])
    expect(
      mergeFields(base, { answers: { colour: undefined } }, { answers: { colour: 'grey', magnet: true } }),
    ).toEqual({ changes: { answers: { magnet: true } }, clashes: [] })
  })
})

describe('changedSince', () => {
  it('is empty for what is still so and names what is not', () => {
    fc.assert(
      fc.property(record, (seen) => {
        expect(changedSince(seen, { ...seen, other: 1 })).toEqual([])
      }),
    )
    expect(
      changedSince({ wayId: 'x', depths: { 0: '22' } }, { wayId: 'x', depths: { 0: '20', 1: '5' } }).map(
        ({ path, theirs }) => [path, theirs],
      ),
    ).toEqual([
      ['depths.0', '20'],
      ['depths.1', '5'],
    ])
  })
})
