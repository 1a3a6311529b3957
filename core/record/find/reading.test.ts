import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDiameter, readFind, readLength } from '#core/record'

const read = (typed: string, by: 'calliper' | 'tape-round' = 'calliper', region: 'gb' | 'us' = 'gb') =>
  readDiameter({ typed, by }, region)

describe('readDiameter', () => {
  it("reads across by the job's unit", () => {
    expect(read('21,5 mm')).toMatchObject({ state: 'read', mm: 21.5, working: null })
    expect(read('0.875', 'calliper', 'us')).toMatchObject({ state: 'read', mm: expect.closeTo(22.225, 9) })
    expect(read('  ')).toEqual({ state: 'empty' })
  })

  it('divides a girth by pi and shows it', () => {
    // 67.5 / 3.14159 = 21.486
    expect(read('67.5', 'tape-round')).toMatchObject({
      state: 'read',
      mm: expect.closeTo(21.486, 3),
      working: '67.5 mm round it \u00f7 3.1416 = 21.49 mm',
    })
  })

  it('asks whether inches were meant', () => {
    expect(read('0.875')).toMatchObject({
      state: 'wrong',
      guess: { typed: '0.875 in', words: expect.stringContaining('22.2') },
    })
    expect(read('0.875 mm')).toMatchObject({ guess: { typed: '0.875 in' } })
  })

  it('asks whether it was measured round', () => {
    expect(read('200')).toMatchObject({
      state: 'wrong',
      guess: { by: 'tape-round', words: expect.stringContaining('63.66 mm across') },
    })
  })

  it.each(['abc', '-3', '0', '1e9', '500 m', '1/0'])('says what is wrong with %s', (typed) => {
    const reading = read(typed)
    expect(reading.state).toBe('wrong')
    expect(reading.state === 'wrong' && reading.message.length).toBeGreaterThan(15)
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60 }),
        fc.constantFrom('gb' as const, 'us' as const),
        fc.constantFrom('calliper' as const, 'tape-round' as const),
        (typed, region, by) => {
          const reading = read(typed, by, region)
          if (reading.state === 'read') expect(reading.mm >= 4 && reading.mm <= 120).toBe(true)
        },
      ),
      { seed: 20261123 },
    )
  })
})

describe('readLength', () => {
  it("reads a wall or bore by the job's unit", () => {
    expect(readLength('wall', '0,9', 'gb', 22)).toEqual({ state: 'read', mm: 0.9 })
    expect(readLength('bore', '3/4', 'us', 22.2)).toMatchObject({ state: 'read', mm: expect.closeTo(19.05, 9) })
    expect(readLength('wall', ' ', 'gb', null)).toEqual({ state: 'empty' })
  })
  it('questions one that does not go into the outside, and one that is no length', () => {
    expect(readLength('bore', '23', 'gb', 22)).toEqual({
      state: 'wrong',
      message: 'A bore of 23 mm does not go into 22 mm outside.',
    })
    expect(readLength('wall', '11', 'gb', 22)).toMatchObject({ state: 'wrong' })
    expect(readLength('wall', 'thin', 'gb', null)).toMatchObject({
      state: 'wrong',
      message: expect.stringContaining('not a length'),
    })
  })
})

describe('readFind', () => {
  const find = {
    typed: '22',
    by: 'calliper' as const,
    answers: { colour: 'copper', print: 'EN 1057', wall: '0,9', bore: 'wide', magnet: false, flex: undefined },
  }
  it('turns what was typed and answered into checks, and leaves out what cannot be read', () => {
    const { checks, lengths } = readFind(find, 'gb')
    expect(checks).toEqual([
      { check: 'outside-diameter', value: 22, by: 'calliper' },
      { check: 'print', text: 'EN 1057' },
      { check: 'colour', value: 'copper' },
      { check: 'magnet', value: false },
      { check: 'wall', value: 0.9 },
    ])
    expect(lengths.bore).toMatchObject({ state: 'wrong' })
  })
  it('reads a wrap strip as a diameter with the error of a tape put round', () => {
    expect(readFind({ ...find, typed: '21.5', by: 'strip', answers: {} }, 'gb').checks).toEqual([
      { check: 'outside-diameter', value: 21.5, by: 'tape-round' },
    ])
  })
})
