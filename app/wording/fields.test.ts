import { describe, expect, it } from 'vitest'
import { cutPatch, findPatch, jobPatch, jointPatch, linePatch, MERGED_BY_KEY } from '#core/record'
import { FIELD_WORDS } from './entry'

/* What a hand may change of a record, and the two registries that have to know each such field: its words, and how it merges. */

const PATCHES = { find: findPatch, line: linePatch, joint: jointPatch, cut: cutPatch, kit: jobPatch }

interface Kind {
  def: { type: string; innerType?: { _zod: Kind } }
}
/** What a field holds, whatever it may be left out or null. */
function kindOf({ _zod }: { _zod: Kind }): string {
  const { type, innerType } = _zod.def
  return innerType ? kindOf(innerType) : type
}
const fields = Object.entries(PATCHES).flatMap(([record, { shape }]) =>
  Object.entries(shape)
    .filter(([name]) => name !== 'version')
    .map(([name, schema]) => ({ record, name, kind: kindOf(schema as unknown as { _zod: Kind }) })),
)

/** Ends are chosen as a whole: of two ends no mixture is made. */
const WHOLE = ['a', 'b']
/** Not a field of a record, but named where two hands signed. */
const NO_FIELD = ['signoff']

describe('fields that a hand may change', () => {
  it('are there for every kind of record', () => {
    expect(fields.length).toBeGreaterThan(40)
    expect(new Set(fields.map(({ record }) => record))).toEqual(new Set(Object.keys(PATCHES)))
  })
  it.each(fields)('$name of a $record has words', ({ name }) => {
    expect(FIELD_WORDS[name]).toBeTruthy()
  })
  it('are the only ones with words', () => {
    const names = new Set([...fields.map(({ name }) => name), ...NO_FIELD])
    expect(Object.keys(FIELD_WORDS).filter((name) => !names.has(name))).toEqual([])
  })
  it('merge key by key exactly where they are maps, so that two hands may each set another key', () => {
    const maps = fields.filter(({ name, kind }) => ['object', 'record'].includes(kind) && !WHOLE.includes(name))
    expect(maps.length).toBeGreaterThan(5)
    expect(new Set(maps.map(({ name }) => name))).toEqual(new Set(MERGED_BY_KEY))
  })
})
