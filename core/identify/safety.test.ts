import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import {
  factsOfChecks,
  identifyPipe,
  STRIPES,
  type Check,
  type IdentifyAnswer,
  type IdentifyQuestion,
} from '#core/identify'

const ask = (...checks: Check[]): IdentifyAnswer => {
  const answer = identifyPipe({ region: 'gb', checks })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const codes = (...checks: Check[]) => ask(...checks).cautions.map(({ code }) => code)
const od = (value: number): Check => ({ check: 'outside-diameter', value, by: 'calliper' })
const print = (text: string): Check => ({ check: 'print', text })
const colour = (value: Extract<Check, { check: 'colour' }>['value']): Check => ({ check: 'colour', value })
const TRACED: Check = { check: 'traced', value: 'water' }

// Blue and printed for water: polyethylene that nobody takes for gas.
const WATER_PE: Check[] = [od(25), colour('blue'), { check: 'flex', value: 'springy' }, print('EN 12201 PE 80 SDR 11')]
// Printed PEX in copper sizes.
const PEX: Check[] = [
  od(22.2),
  colour('white'),
  { check: 'flex', value: 'springy' },
  print('PEX-A 3/4 F1960 ASTM F876'),
]

describe('gas', () => {
  it.each<[string, Check[]]>([
    ['yellow', [colour('yellow')]],
    ['a yellow stripe', [...PEX, { check: 'stripe', value: 'yellow' }]],
    ['GAS in the print', [...PEX, print('GAS')]],
    ['D2513 in the print', [...WATER_PE, print('ASTM D2513')]],
    ['EN 1555 in the print', [...WATER_PE, print('EN 1555')]],
    ['a gas standard with worn letters', [...WATER_PE, print('EN 1?55')]],
    ['black polyethylene', [od(25), colour('black'), { check: 'flex', value: 'springy' }, print('EN 12201')]],
    ['orange polyethylene', [od(25), colour('orange'), { check: 'flex', value: 'springy' }, print('EN 12201')]],
    ['unmarked polyethylene', [od(25), colour('blue'), { check: 'flex', value: 'springy' }]],
    ['unmarked copper', [od(22), colour('copper')]],
    ['copper with its water standard', [od(22), colour('copper'), print('EN 1057 R250 22 x 0,9')]],
    ['black steel', [od(26.9), colour('black'), { check: 'magnet', value: true }]],
    ['stainless', [od(22), { check: 'scratch', value: 'bright-silver' }]],
    ['multilayer', [od(20), colour('white'), print('EN ISO 21003 20 x 2')]],
    ['what nothing in the catalogue is', [od(71)]],
  ])('%s raises it, until it is traced to water', (_, checks) => {
    expect(codes(...checks)).toContain('gas')
    expect(ask(...checks).facts.traced).toBe('unknown')
    expect(codes(...checks, TRACED)).not.toContain('gas')
    expect(ask(...checks, TRACED).facts.traced).toBe('water')
  })
  it.each<[string, Check[]]>([
    ['blue polyethylene printed for water', WATER_PE],
    ['printed PEX', PEX],
  ])('%s does not', (_, checks) => {
    expect(codes(...checks)).not.toContain('gas')
    expect(ask(...checks).facts).not.toHaveProperty('traced')
  })
  it('a print of gas on a pipe that was traced to water is not listed for it, and is said', () => {
    expect(codes(...WATER_PE, print('GAS'), TRACED)).toContain('marked-gas')
    expect(codes(...WATER_PE, TRACED)).not.toContain('marked-gas')
    expect(ask(...WATER_PE, print('GAS'), TRACED).facts.madeFor).toBe('gas')
  })
  it('stands over every metal, multilayer and polyethylene of the catalogue by its diameter alone', () => {
    for (const pipe of PIPES.filter(({ family }) =>
      ['copper', 'steel', 'stainless', 'lead', 'multilayer'].includes(family),
    )) {
      const answer = identifyPipe({ region: pipe.regions[0], checks: [od(pipe.od)] })
      expect(answer.ok && [pipe.id, answer.value.cautions.some(({ code }) => code === 'gas')]).toEqual([pipe.id, true])
    }
  })
  it('never goes for any further check but that it was traced, or a print for water on blue', () => {
    const more = fc.oneof(
      fc.constantFrom(...STRIPES).map((value): Check => ({ check: 'stripe', value })),
      fc.boolean().map((value): Check => ({ check: 'warm', value })),
    )
    fc.assert(
      fc.property(
        fc.array(more, { maxLength: 3 }),
        fc.constantFrom(...PIPES.filter(({ family }) => family === 'copper')),
        (checks, pipe) => {
          expect(codes(od(pipe.od), colour('copper'), ...checks)).toContain('gas')
        },
      ),
      { seed: 20261127, numRuns: 60 },
    )
  })
})

describe('pipe that says what it is for', () => {
  it.each<[string, Check[], string, string | undefined]>([
    [
      'orange CPVC',
      [od(22.2), colour('orange'), { check: 'flex', value: 'rigid' }, print('CPVC 4120')],
      'sprinkler',
      'sprinkler',
    ],
    ['a sprinkler print', [print('FIRE SPRINKLER')], 'sprinkler', 'sprinkler'],
    ['a heating-only print', [...PEX, print('NSF-rfh')], 'heating-only', 'heating'],
    ['a radiant print', [...PEX, print('RADIANT')], 'heating-only', 'heating'],
    ['purple', [...PEX.slice(0, 1), colour('purple')], 'reclaimed', 'reclaimed'],
    ['a reclaimed print', [...PEX, print('RECLAIMED')], 'reclaimed', 'reclaimed'],
    ['a non-potable print', [...PEX, print('NON-POTABLE')], 'reclaimed', 'reclaimed'],
  ])('%s: %s', (_, checks, code, madeFor) => {
    expect(codes(...checks)).toContain(code)
    expect(ask(...checks).facts.madeFor).toBe(madeFor)
  })
  it('listed for drinking too, it is not heating only', () => {
    expect(codes(...PEX, print('NSF-rfh NSF-pw'))).not.toContain('heating-only')
    expect(ask(...PEX, print('NSF-rfh NSF-pw')).facts.madeFor).toBe('drinking')
  })
})

describe('facts of an end', () => {
  it('are what the checks say, in the fields a way takes', () => {
    expect(ask(...PEX).facts).toMatchObject({ pexType: 'a', listing: ['F1960'] })
    expect(ask(od(22), colour('copper'), { check: 'flex', value: 'soft' }).facts.temper).toBe('soft')
    expect(ask(od(22), colour('copper'), { check: 'flex', value: 'rigid' }).facts.temper).toBe('hard')
    expect(ask(print('EN 1057 R220 22 x 1')).facts.temper).toBe('soft')
    expect(ask(print('PEX 5306 ASTM F876')).facts.chlorine).toBe(5)
    expect(ask(print('EN ISO 15875 CLASS 2 O2 BARRIER')).facts).toMatchObject({ class: '2', barrier: true })
  })
  it('are left out where nothing says them', () => {
    expect(ask(od(22.2), colour('white')).facts).not.toHaveProperty('pexType')
    expect(ask(od(22), colour('copper')).facts).not.toHaveProperty('temper')
    expect(ask({ check: 'flex', value: 'soft' }, colour('blue')).facts).not.toHaveProperty('temper')
  })
  it('name the check that told each, and a print wins over what is felt', () => {
    const told = (...checks: Check[]) => factsOfChecks({ region: 'gb', checks })?.told ?? []
    expect(told(...PEX)).toContainEqual({ name: 'pexType', value: 'a', by: 'print' })
    expect(told(od(22), colour('copper'), { check: 'flex', value: 'soft' })).toContainEqual({
      name: 'temper',
      value: 'soft',
      by: 'flex',
    })
    const both = told(od(22), colour('copper'), print('EN 1057 R290'), { check: 'flex', value: 'soft' })
    expect(both.filter(({ name }) => name === 'temper')).toEqual([{ name: 'temper', value: 'hard', by: 'print' }])
  })
  it('take PEX that expansion rings hold for a, unless its print says otherwise', () => {
    const held: Check[] = [od(15.9), colour('white'), { check: 'held-by', value: 'expansion-ring' }]
    expect(factsOfChecks({ region: 'us', checks: held })?.told).toContainEqual({
      name: 'pexType',
      value: 'a',
      by: 'held-by',
    })
    expect(factsOfChecks({ region: 'us', checks: [...held, print('PEX-B 1/2')] })?.facts.pexType).toBe('b')
    const ring: Check = { check: 'held-by', value: 'copper-ring' }
    expect(factsOfChecks({ region: 'us', checks: [od(15.9), colour('white'), ring] })?.facts).not.toHaveProperty(
      'pexType',
    )
  })
  it('a worn letter is never taken for a listing', () => {
    expect(ask(od(22.2), print('PEX F19?0')).facts).not.toHaveProperty('listing')
    expect(ask(od(22.2), print('PE?-A 3/4')).facts).not.toHaveProperty('pexType')
  })
  it('are the same without the candidates', () => {
    const question: IdentifyQuestion = { region: 'gb', checks: PEX }
    const whole = identifyPipe(question)
    expect(whole.ok && factsOfChecks(question)).toMatchObject({
      cautions: whole.ok && whole.value.cautions,
      facts: whole.ok && whole.value.facts,
    })
    expect(factsOfChecks({ checks: [od(22), { check: 'bore', value: 30 }] })).toBeNull()
  })
})
