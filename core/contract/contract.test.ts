import { describe, expect, it } from 'vitest'
import { answer, ask, jsonSchemas, VERBS } from '#core/contract'

const wrong = (verb: string, question: unknown) => {
  const result = ask(verb, question)
  if (result.ok) throw new Error('it was answered')
  return result.error
}

describe('a bad question', () => {
  it.each([
    [
      'ways',
      { region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, conditions: { wet: 'yes' } },
      'type',
      'conditions.wet',
    ],
    [
      'ways',
      { region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, conditions: { temperature: 900 } },
      'range',
      'conditions.temperature',
    ],
    ['ways', { region: 'gb', a: 5, b: { pipe: 'cu-en-x-22' } }, 'type', 'a'],
    [
      'ways',
      {
        region: 'gb',
        a: { thread: { form: 'npt', size: '1/2', gender: 'female', material: 'wood' } },
        b: { pipe: 'cu-en-x-22' },
      },
      'unknown-id',
      'a.thread.material',
    ],
    [
      'ways',
      {
        region: 'gb',
        a: { thread: { form: 'npt', size: '7', gender: 'female', material: 'brass' } },
        b: { pipe: 'cu-en-x-22' },
      },
      'unknown-id',
      'a.thread.size',
    ],
    [
      'ways',
      { region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22', pexType: 'd' } },
      'unknown-id',
      'b.pexType',
    ],
    ['ways', { a: { pipe: 'pex-cts-1_2', barrier: 'maybe' }, b: { pipe: 'cu-en-x-22' } }, 'unknown-id', 'a.barrier'],
    ['ways', { a: { pipe: 'pex-cts-1_2', barrier: 1 }, b: { pipe: 'cu-en-x-22' } }, 'type', 'a.barrier'],
    ['ways', { a: { pipe: 'pex-cts-1_2', chlorine: 4 }, b: { pipe: 'cu-en-x-22' } }, 'unknown-id', 'a.chlorine'],
    ['ways', { a: { pipe: 'pex-cts-1_2', listing: 'F1960' }, b: { pipe: 'cu-en-x-22' } }, 'type', 'a.listing'],
    ['ways', { a: { pipe: 'pex-cts-1_2', surface: 'wet' }, b: { pipe: 'cu-en-x-22' } }, 'unknown-id', 'a.surface'],
    ['make', { method: 'press', pipe: 'cu-en-x-22', orientation: 'horizontal', traced: 'gas' }, 'unknown-id', 'traced'],
    ['inspect', { method: 'press', seen: {}, chlorine: '5' }, 'unknown-id', 'chlorine'],
    ['inspect', { method: 'press', seen: {}, colour: 'red' }, 'unknown-field', 'colour'],
    ['identify', { checks: [{ check: 'colour', value: 'pink' }] }, 'unknown-id', 'checks.0.value'],
    ['identify', {}, 'missing', 'checks'],
    ['identify', { checks: [{ value: 22 }] }, 'missing', 'checks.0.check'],
    ['identify', { checks: [], year: 12 }, 'range', 'year'],
    [
      'identify',
      { checks: Array.from({ length: 51 }, () => ({ check: 'magnet', value: true })) },
      'too-many',
      'checks',
    ],
    ['make', { method: 'glue', pipe: 'cu-en-x-22', region: 'gb', orientation: 'horizontal' }, 'unknown-id', 'method'],
    ['make', { method: 'press', pipe: 'cu-en-x-22', region: 'gb' }, 'missing', 'orientation'],
    [
      'line',
      {
        region: 'gb',
        pipe: 'cu-en-x-22',
        method: 'press',
        start: { kind: 'bend' },
        legs: [{ length: 1, to: 'up', end: { kind: 'free' } }],
      },
      'unknown-id',
      'start.kind',
    ],
    [
      'line',
      {
        region: 'gb',
        pipe: 'cu-en-x-22',
        method: 'press',
        start: { kind: 'free' },
        legs: [{ length: 1, to: 'sideways', end: { kind: 'free' } }],
      },
      'unknown-id',
      'legs.0.to',
    ],
    [
      'line',
      {
        region: 'gb',
        pipe: 'cu-en-x-22',
        method: 'press',
        start: { kind: 'free' },
        legs: [{ length: 1, to: [1, 0, 'x'], end: { kind: 'free' } }],
      },
      'type',
      'legs.0.to.2',
    ],
    [
      'line',
      {
        region: 'gb',
        pipe: 'cu-en-x-22',
        method: 'press',
        start: { kind: 'free' },
        legs: [{ length: 1, end: { kind: 'free' } }],
      },
      'missing',
      'legs.0.to',
    ],
    ['pipes', null, 'type', ''],
    ['toString', {}, 'verb', ''],
  ])('%s %j', (verb, question, code, path) => {
    expect(wrong(verb, question)).toMatchObject({ code, path })
  })

  it('names the field and what is accepted', () => {
    for (const [verb, question, names] of [
      ['pipes', { region: 'fr' }, /region.*us, gb, eu/],
      ['identify', { checks: [{ check: 'colour', value: 'pink' }] }, /checks\.0\.value.*copper/],
      ['ways', { region: 'gb', a: { pipe: 'x' }, b: { pipe: 'x' } }, /a\.pipe.*cu-en-x-22/],
    ] as const)
      expect(wrong(verb, question).message).toMatch(names)
  })
})

describe('answers', () => {
  it('are the same for the same question', () => {
    const question = { region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'ml-en-20' } }
    expect(JSON.stringify(ask('ways', question))).toBe(JSON.stringify(ask('ways', question)))
  })
  it('come one for each question of an array', () => {
    const result = answer('pipes', [{ series: 'cu-m' }, { nope: 1 }])
    expect(result).toMatchObject({
      ok: true,
      value: [{ pipes: expect.any(Array) }, { error: { code: 'unknown-field', path: 'nope' } }],
    })
  })
  it('have a schema for every verb', () => expect(Object.keys(jsonSchemas())).toEqual(Object.keys(VERBS)))
})

describe('a region', () => {
  it("may be left out of every verb, and Britain's words are taken", () => {
    for (const [verb, question] of [
      ['ways', { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }],
      ['make', { method: 'press', pipe: 'cu-en-x-22', orientation: 'horizontal' }],
      ['inspect', { method: 'press', seen: {} }],
      ['fix', { pipe: 'cu-en-x-22', service: 'cold', temperature: 10, installedAt: 10, legs: [] }],
      ['ask', { text: 'depth 22 press' }],
    ] as const)
      expect([verb, ask(verb, question)]).toEqual([verb, ask(verb, { ...question, region: 'gb' })])
  })
  it('may stand in every verb', () => {
    for (const [verb, question] of [
      ['offset', { set: 60, angle: 45 }],
      ['heat', { pipe: 'cu-en-x-22', distance: 300, target: 'seal', torch: 'propane', ambient: 20 }],
      ['cut', { stock: [{ id: 'a', length: 3000 }], kerf: 1, pieces: [] }],
      ['rules', {}],
      ['pipes', {}],
      ['identify', { checks: [] }],
    ] as const)
      expect([verb, ask(verb, { ...question, region: 'us' }).ok]).toEqual([verb, true])
  })
})
