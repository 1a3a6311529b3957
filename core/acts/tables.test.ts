import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toIssue } from '#core/contract'
import { FIELD_TABLES, FIELD_WORDS, mergeFields } from '#core/acts'
import { BLANK_FIND, BLANK_JOINT, findFields, jointFields, lineFields, signoffBody } from '#core/record'
import { MERGED_BY_KEY } from './tables'

/* What a hand may change of a record: bad input is refused by the name of its field, and each field has all it needs. */

interface Kind {
  def: { type: string; innerType?: { _zod: Kind } }
}
/** What a field holds, whatever it may be left out or null. */
function kindOf({ _zod }: { _zod: Kind }): string {
  const { type, innerType } = _zod.def
  return innerType ? kindOf(innerType) : type
}
const tables = Object.entries(FIELD_TABLES)
const fields = tables.flatMap(([record, { table, patch }]) =>
  Object.entries(table).map(([name, field]) => ({
    record,
    name,
    patch,
    kind: kindOf(field.is as unknown as { _zod: Kind }),
  })),
)
interface Schema {
  safeParse: (given: unknown) => { success: true } | { success: false; error: { issues: unknown[] } }
}
/** The issue of a body that is refused, or null where it is taken. */
function issueOf(schema: unknown, given: object) {
  const parsed = (schema as Schema).safeParse(given)
  return parsed.success ? null : toIssue(parsed.error.issues[0] as never, given)
}

describe('fields that a hand may change', () => {
  it('are there for every kind of record that has some', () => {
    expect(fields.length).toBeGreaterThan(40)
    expect(tables.map(([record]) => record)).toEqual(['jobs', 'finds', 'lines', 'joints', 'cuts'])
  })
  it.each(fields)('$name of $record has words', ({ name }) => {
    expect(FIELD_WORDS[name]).toMatch(/^[a-z]/)
  })
  it('merge key by key exactly where they are maps, so that two hands may each set another key', () => {
    // Ends are chosen as a whole: of two ends no mixture is made.
    const maps = fields.filter(({ name, kind }) => ['object', 'record'].includes(kind) && !['a', 'b'].includes(name))
    expect(maps.length).toBeGreaterThan(4)
    expect(new Set(maps.map(({ name }) => name))).toEqual(new Set(MERGED_BY_KEY))
    for (const { name } of maps)
      expect(mergeFields({ [name]: {} }, { [name]: { x: 1 } }, { [name]: { y: 2 } })).toEqual({
        changes: { [name]: { x: 1, y: 2 } },
        clashes: [],
      })
  })
  it('are each what they are before anything is said, and what an earlier version left out is filled in', () => {
    expect(findFields.begin.parse({})).toEqual(BLANK_FIND)
    expect(jointFields.begin.parse({})).toEqual(BLANK_JOINT)
    const line = { pipe: 'cu-en-x-22', method: 'solder' as const }
    expect(lineFields.begin.parse(line)).toEqual({ ...lineFields.blank, ...line })
    for (const [, { blank, patch }] of tables) expect(issueOf(patch, blank)).toBeNull()
  })
  it('that have no default have to be said', () => {
    expect(issueOf(lineFields.begin, { method: 'solder' })).toMatchObject({ path: 'pipe', code: 'missing' })
    expect(issueOf(FIELD_TABLES.cuts.begin, {})).toMatchObject({ path: 'pipe', code: 'missing' })
  })
})

describe('a change of a record', () => {
  it.each(tables)('of %s takes no field it does not know', (_, { patch }) => {
    expect(issueOf(patch, {})).toBeNull()
    expect(issueOf(patch, { wages: 12 })?.message).toMatch(/wages/)
  })
  it.each(fields)('of $name of $record is refused by that name where it is nonsense', ({ name, patch }) => {
    for (const nonsense of [() => undefined, Number.NaN, { nonsense: true }, ['nonsense', { deep: 1 }]]) {
      const issue = issueOf(patch, { [name]: nonsense })
      // A map of answers may hold any key, so that only its values can be nonsense.
      if (issue === null) continue
      expect(issue.path.split('.')[0]).toBe(name)
      expect(issue.message).toContain(name)
    }
    expect(issueOf(patch, { [name]: Number.NaN })).not.toBeNull()
  })
  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.constantFrom(...tables), fc.object({ maxDepth: 3 }), ([, { patch }], given) => {
        const issue = issueOf(patch, given)
        if (issue) expect(issue.message.length).toBeGreaterThan(5)
      }),
    )
  })
})

describe('limits', () => {
  it.each<[string, object, RegExp]>([
    ['place', { place: 'x'.repeat(121) }, /at most 120/],
    ['ambient', { ambient: -60 }, /at least -40/],
    ['ambient', { ambient: 61 }, /at most 60/],
    ['torch', { torch: 'candle' }, /propane/],
    ['orientation', { orientation: 'aslant' }, /horizontal/],
    ['comeBack', { comeBack: '2026-13-45' }, /a day that there is/],
    ['comeBack', { comeBack: 'tomorrow' }, /a day that there is/],
    ['depths', { depths: { first: '21' } }, /the number of an entry/],
  ])('%s of a joint: %j is refused, and it is said what is accepted', (path, change, words) => {
    const issue = issueOf(jointFields.begin, change)
    expect(issue?.path.split('.')[0]).toBe(path)
    expect(issue?.message).toMatch(words)
  })
  it('initials are there and short', () => {
    const issue = (initials: string) => issueOf(signoffBody, { initials })?.path ?? null
    expect([issue(''), issue('  '), issue('OL'), issue('x'.repeat(60))]).toEqual([
      'initials',
      'initials',
      null,
      'initials',
    ])
  })
  it('what stands around a place is kept as it was typed', () => {
    expect(jointFields.begin.parse({ place: '  riser ' }).place).toBe('  riser ')
  })
})
