import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Reader } from '#core/shorthand'
import { REGIONS } from '#core/units'

const WORDS = [{ name: 'copper' }, { name: 'old copper' }].sort((a, b) => b.name.length - a.name.length)
const read = (text: string, region: 'us' | 'gb' | 'eu' = 'gb') => new Reader(text, region)

describe('a line that is read', () => {
  it('gives each word as it was typed, with what it was taken for', () => {
    const reader = read('22  Copper, to wall')
    reader.takeNominal(reader.nominal()!)
    expect(reader.word(WORDS, ({ name }) => name)).toEqual({ name: 'copper' })
    expect(reader.sign(/^to\b/, 'and')).toBe(true)
    expect(reader.words).toEqual([
      { text: '22', as: 'size 22' },
      { text: 'Copper', as: 'copper' },
      { text: 'to', as: 'and' },
    ])
    expect([reader.typed, reader.rest, reader.isDone]).toEqual(['wall', 'wall', false])
  })
  it('takes the longest name, and no name that only begins a word', () => {
    expect(read('old copper').word(WORDS, () => '')).toEqual({ name: 'old copper' })
    expect(read('copperplate').word(WORDS, () => '')).toBeUndefined()
  })
  it.each<[string, 'us' | 'gb', number | null, string]>([
    ['640', 'gb', 640, ''],
    ['640 mm e', 'gb', 640, 'e'],
    ['6.4 cm', 'gb', 64, ''],
    ['3 m', 'gb', 3000, ''],
    ['3 more', 'gb', 3, 'more'],
    ['7/8', 'us', 22.225, ''],
    ['7/8', 'gb', 22.225, ''],
    ['1 1/4 in', 'us', 31.75, ''],
    ['24-1/2"', 'us', 622.3, ''],
    ['24', 'us', 609.6, ''],
    ['3\u2032 6\u2033', 'us', 1066.8, ''],
    ['wall', 'gb', null, 'wall'],
  ])('reads the length of %j in %s', (text, region, mm, rest) => {
    const reader = read(text, region)
    const length = reader.length(() => 'length')
    if (mm === null) expect(length).toBeNull()
    else expect(length).toBeCloseTo(mm, 6)
    expect(reader.rest).toBe(rest)
  })
  it.each([
    ['22 copper', '22'],
    ['22 mm', '22'],
    ['3/4', '3/4'],
    ['1 1/4 in', '1-1/4'],
    ['1-1/4"', '1-1/4'],
    ['21.5', null],
    ['copper', null],
  ])('reads the size of %j', (text, nominal) => {
    expect(read(text).nominal()?.nominal ?? null).toBe(nominal)
  })
  it('reads a number with a point or a comma', () => {
    expect(read('1.5 bar').number('pressure')).toBe(1.5)
    expect(read('1,5').number('pressure')).toBe(1.5)
    expect(read('bar').number('pressure')).toBeNull()
  })
  it('keeps its place behind signs of two units, and letters that grow when made small', () => {
    const reader = read('\u{1f600} \u0130 22 copper')
    expect(reader.sign(/^\S+ \S+/, 'signs')).toBe(true)
    expect(reader.words).toEqual([{ text: '\u{1f600} \u0130', as: 'signs' }])
    expect(reader.typed).toBe('22 copper')
  })
  it('loses no letter, whatever is typed: what was read and what is left are the text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), fc.constantFrom(...REGIONS), (text, region) => {
        const reader = read(text, region)
        const readOn = () =>
          reader.length(() => 'l') !== null ||
          reader.word(WORDS, () => 'w') !== undefined ||
          reader.sign(/^[^\s,]/, 's')
        while (!reader.isDone && readOn());
        const bare = (part: string) => part.replace(/[\s,]/g, '')
        expect(bare(reader.words.map((word) => word.text).join('') + reader.typed)).toBe(bare(text))
        expect(reader.position).toBeLessThanOrEqual(text.length)
      }),
      { numRuns: 400 },
    )
  })
})
