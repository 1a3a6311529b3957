import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toIssue } from '#core/contract'
import {
  BLANK_FIND,
  BLANK_JOINT,
  cutPatch,
  findPatch,
  jobPatch,
  jointPatch,
  linePatch,
  newFind,
  newJoint,
  signoffBody,
} from '#core/record'

/* What a tablet may send: bad input is refused by the name of its field, and nothing is taken that was not asked for. */

const PATCHES = { find: findPatch, line: linePatch, joint: jointPatch, cut: cutPatch, kit: jobPatch }
const patches = Object.entries(PATCHES)
const fields = patches.flatMap(([record, patch]) =>
  Object.keys(patch.shape)
    .filter((name) => name !== 'version')
    .map((name) => ({ record, name, patch })),
)
/** The issue of a body that is refused, or null where it is taken. */
function issueOf(schema: { safeParse: (typeof findPatch)['safeParse'] }, given: object) {
  const parsed = schema.safeParse(given)
  return parsed.success ? null : toIssue(parsed.error.issues[0]!, given)
}

describe('a change of a record', () => {
  it.each(patches)('of a %s wants the version it was made on', (_, patch) => {
    expect(issueOf(patch as never, {})).toMatchObject({ path: 'version', code: 'missing' })
    expect(issueOf(patch as never, { version: 0 })).toMatchObject({ path: 'version' })
    expect(issueOf(patch as never, { version: 1 })).toBeNull()
  })
  it.each(patches)('of a %s takes no field it does not know', (_, patch) => {
    expect(issueOf(patch as never, { version: 1, wages: 12 })?.message).toMatch(/wages/)
  })
  it.each(fields)('of $name of a $record is refused by that name where it is nonsense', ({ name, patch }) => {
    for (const nonsense of [() => undefined, Number.NaN, { nonsense: true }, ['nonsense', { deep: 1 }]]) {
      const issue = issueOf(patch as never, { version: 1, [name]: nonsense })
      // A map of answers may hold any key, so that only its values can be nonsense.
      if (issue === null) continue
      expect(issue.path.split('.')[0]).toBe(name)
      expect(issue.message).toContain(name)
    }
    expect(issueOf(patch as never, { version: 1, [name]: Number.NaN })).not.toBeNull()
  })
  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.constantFrom(...patches), fc.object({ maxDepth: 3 }), ([, patch], given) => {
        const issue = issueOf(patch as never, given)
        if (issue) expect(issue.message.length).toBeGreaterThan(5)
      }),
    )
  })
})

describe('limits', () => {
  const ID = { id: 'record-0001' }
  it.each<[string, object]>([
    ['place', { place: 'x'.repeat(121) }],
    ['ambient', { ambient: -60 }],
    ['ambient', { ambient: 61 }],
    ['torch', { torch: 'candle' }],
    ['orientation', { orientation: 'aslant' }],
    ['comeBack', { comeBack: '2026-13-45' }],
    ['comeBack', { comeBack: 'tomorrow' }],
    ['depths', { depths: { first: '21' } }],
  ])('%s of a joint: %j is refused', (path, change) => {
    const issue = issueOf(newJoint as never, { ...BLANK_JOINT, ...ID, ...change })
    expect(issue?.path.split('.')[0]).toBe(path)
  })
  it.each<[string, object]>([
    ['id', { id: 'short' }],
    ['id', { id: 'has a space in it' }],
    ['by', { by: 'eye' }],
  ])('%s of a find: %j is refused', (path, change) => {
    expect(issueOf(newFind as never, { ...BLANK_FIND, ...ID, ...change })?.path).toBe(path)
  })
  it('initials are there and short', () => {
    const issue = (initials: string) =>
      issueOf(signoffBody as never, { id: 'sign-0001', version: 1, initials })?.path ?? null
    expect([issue(''), issue('  '), issue('OL'), issue('x'.repeat(60))]).toEqual([
      'initials',
      'initials',
      null,
      'initials',
    ])
  })
  it('what stands around a place is not kept', () => {
    expect(newJoint.parse({ ...BLANK_JOINT, ...ID, place: '  riser ' }).place).toBe('riser')
  })
})
