import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { hasMarks, TERMS } from '#core/speech'
import { METHODS, SERVICES } from '#core/joints'
import { ask } from '.'
import { REGIONS, type Region } from '#core/units'

/* Every sentence of every verb, over many questions, in the words and units of each region. */

/** Fields that are not in anybody's words: figures of the tables, ids, and what is quoted. */
const AS_THEY_ARE = new Set([
  'source',
  'limitSource',
  'standard',
  'code',
  'id',
  'unit',
  'pipe',
  'series',
  'nominal',
  'region',
  'regions',
  'verb',
  'kind',
  'method',
  'methods',
  'path',
  'value',
  'family',
  'check',
  'verdict',
  'by',
  'answer',
])

function sentences(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return AS_THEY_ARE.has(key) ? [] : [value]
  if (Array.isArray(value)) return value.flatMap((one) => sentences(one, key))
  if (typeof value !== 'object' || value === null) return []
  // A meaning's line is what would be typed.
  const { meanings, ...rest } = value as { meanings?: { as: string }[] }
  return [
    ...(meanings ?? []).map(({ as }) => as),
    ...Object.entries(rest).flatMap(([name, one]) => sentences(one, name)),
  ]
}

const SAMPLE = PIPES.filter((pipe, i) => i % 11 === 0 || ['cu-en-x-22', 'cu-l-3_4', 'pex-cts-1_2'].includes(pipe.id))
const one = (list: readonly { id: string }[], i: number) => list[i % list.length]!.id
/** Lines as each would type them: what is echoed is what was typed. */
const LINES = [
  '22 copper to 15 copper',
  'od 22',
  'clips 22 copper',
  '15 copper 0.2 l/s 10 m',
  'offset 60 @ 45',
  'nonsense',
  '22',
  'bend radius 22 copper',
  'depth 22 compression',
  '22 copper solder: e 640, u 480',
]
const US_LINES = [
  '3/4 copper to 1/2 pex',
  'od 22',
  'clips 3/4 copper',
  '3/4 copper 3 gpm 30 ft',
  'offset 2 1/2 @ 45',
  'nonsense',
  '3/4',
  'bend radius 3/4 copper',
  'depth 3/4 compression',
  '3/4 copper solder: e 24, u 18',
]
const HARD = { temperature: 95, pressure: 12, hidden: true, wet: true, play: 3, room: 'tight', mustUndo: true } as const

/** Questions that between them reach the rules of every verb. */
function* questions(region: Region): Generator<[string, unknown]> {
  for (const [i, { id }] of SAMPLE.entries()) {
    const b = { pipe: one(SAMPLE, i * 7 + 3) }
    const service = SERVICES[i % SERVICES.length]!
    yield ['ways', { region, a: { pipe: id }, b, conditions: { service } }]
    yield ['ways', { region, a: { pipe: id, temper: 'soft', surface: 'plated' }, b, conditions: { ...HARD, service } }]
    for (const method of METHODS) {
      if (method === 'thread' || method === 'union') continue
      yield [
        'make',
        {
          region,
          method,
          pipe: id,
          orientation: i % 2 ? 'vertical' : 'horizontal',
          near: ['valve', 'seal', 'plastic', 'solder'],
          ambient: i % 3 ? -5 : 20,
          ...(i % 5 ? {} : { slip: { length: 60, gap: 5 } }),
        },
      ]
      yield [
        'inspect',
        {
          region,
          method,
          pipe: id,
          service,
          traced: 'unknown',
          seen: {
            leak: 'weeps',
            mark: 'away',
            liner: 'missing',
            ringDistance: 12.3,
            gauge: 'fails',
            pressed: false,
            solderRing: 'gap',
            flux: 'green',
            olive: 'pinched',
            threads: 9,
            support: 900,
            reach: 'hidden',
            inLine: false,
            daylight: true,
            deadLeg: 400,
            metals: 'bare',
            system: 'mixed',
          },
        },
      ]
    }
    yield [
      'flow',
      {
        region,
        pipe: id,
        length: 60_000,
        flow: 0.9,
        temperature: 60,
        service: 'hot',
        fittings: [{ fitting: 'insert', quantity: 2 }],
      },
    ]
    yield [
      'heat',
      {
        region,
        pipe: id,
        distance: 100,
        target: 'seal',
        torch: 'propane',
        wrapped: i % 2 === 0,
        inside: 'water',
        ambient: 20,
      },
    ]
    yield [
      'fix',
      {
        region,
        pipe: id,
        service: 'hot',
        temperature: 82,
        installedAt: -5,
        legs: [
          { length: 2500, run: 'horizontal', joints: [100] },
          { length: 120, run: 'horizontal', joints: [10, 110] },
          { length: 6000, run: 'vertical' },
        ],
      },
    ]
    yield [
      'line',
      {
        region,
        pipe: id,
        method: 'press',
        start: { kind: 'stop' },
        legs: [
          { length: 700, to: 'right', end: { kind: 'bend' }, measured: { begin: 'centre', end: 'centre' } },
          { length: 160, to: 'up', end: { kind: 'bend' } },
          { length: 130, to: 'right', end: { kind: 'fitting', fitting: 'elbow-90' } },
          { length: 100, to: 'up', end: { kind: 'free' } },
        ],
        clips: [{ leg: 0, at: 5 }],
        walls: [{ to: 'right', at: 700, thick: 100 }],
      },
    ]
    yield [
      'identify',
      {
        region,
        checks: [
          { check: 'outside-diameter', value: 22, by: 'calliper' },
          { check: 'colour', value: 'grey' },
          { check: 'wall', value: 0.9 },
        ],
      },
    ]
  }
  for (const thread of [
    { form: 'npt', material: 'galvanised' },
    { form: 'bspt', material: 'plastic' },
    { form: 'bspp', material: 'brass' },
  ] as const)
    for (const { id } of SAMPLE)
      yield ['ways', { region, a: { thread: { ...thread, size: '3/4', gender: 'female' } }, b: { pipe: id } }]
  for (const method of ['thread', 'union'])
    yield ['make', { region, method, nominal: '3/4', orientation: 'horizontal', policy: { threadSeal: 'both' } }]
  yield ['offset', { region, set: 20, angle: 45, radius: 77 }]
  yield ['offset', { region, set: 100, roll: 40, angle: 45, radius: 77 }]
  yield ['identify', { region, checks: [{ check: 'outside-diameter', value: 0.875, by: 'calliper' }] }]
  yield [
    'identify',
    { region, checks: [{ check: 'print', text: 'PEX-B 3/4 SDR9 100 PSI @ 180 F ASTM F876 PEX5106 1216 PN10' }] },
  ]
  yield ['heat', { region, pipe: 'cu-l-3_4', distance: 10, target: 5, torch: 'propane', ambient: 20 }]
  yield ['heat', { region, pipe: 'cu-l-3_4', distance: 10, target: 30, torch: 'propane', ambient: 35 }]
  yield ['flow', { region, pipe: 'cu-l-3_4', length: 10, flow: 0.1, temperature: 120 }]
  yield ['ways', { region, a: { pipe: 'cu-l-3_4' }, b: { pipe: 'cu-l-3_4' }, conditions: { play: 'much' } }]
  yield [
    'cut',
    {
      region,
      stock: [{ id: 's', length: 3000, quantity: 1 }],
      kerf: 2,
      pieces: [{ id: 'p', length: 2500, quantity: 3 }],
    },
  ]
  yield ['rules', { region }]
  const lines = region === 'us' ? US_LINES : LINES
  for (const text of lines) yield ['ask', { region, text }]
}

const said = new Map<Region, Set<string>>()
function everySentence(region: Region): Set<string> {
  const known = said.get(region)
  if (known) return known
  const all = new Set<string>()
  for (const [verb, question] of questions(region)) {
    const answer = ask(verb, question)
    for (const text of sentences(answer)) all.add(text)
  }
  said.set(region, all)
  return all
}

const found = (region: Region, pattern: RegExp, strip?: RegExp): string[] =>
  [...everySentence(region)].filter((text) => pattern.test(strip ? text.replaceAll(strip, '') : text)).slice(0, 60)

/** A mm figure that stands beside its inches. */
const BESIDE_INCHES = /in \([^()]*mm\)/g

describe('an answer', () => {
  it.each(REGIONS)('of %s has no mark left in it', (region) => {
    expect(everySentence(region).size).toBeGreaterThan(400)
    expect([...everySentence(region)].filter(hasMarks)).toEqual([])
  })
  it('of the United States has no figure in metric units without its inches', () => {
    expect(
      found(
        'us',
        /\d ?mm\b|\bbar\b|\u00b0C|degC|\d ?(?:m|l|cm|K|km)\b(?!\/)|\bl\/s|\bm\/s|litre|\bmetre/,
        BESIDE_INCHES,
      ),
    ).toEqual([])
  })
  it('of the United States has no British word that goes by the region', () => {
    const words = Object.values(TERMS)
      .filter(({ gb, us }) => gb !== us && !['earth', 'an earth'].includes(gb))
      .map(({ gb }) => gb)
    expect(found('us', new RegExp(`\\b(?:${words.join('|')})\\b`, 'i'))).toEqual([])
  })
  it.each(['gb', 'eu'] as const)('of %s has no figure in American units', (region) => {
    expect(found(region, /\bpsi\b|\u00b0F|degF|\bgpm\b|\d ?(?:ft|gal)\b|\bft\/s/)).toEqual([])
  })
  it('of the EN countries has the words of the EN standards', () => {
    const words = Object.values(TERMS).flatMap((term) => ('eu' in term && term.eu !== term.gb ? [term.gb] : []))
    expect(words.length).toBeGreaterThan(3)
    expect(found('eu', new RegExp(`\\b(?:${words.join('|')})\\b`, 'i'))).toEqual([])
  })
})
