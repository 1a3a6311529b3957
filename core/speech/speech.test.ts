import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { REGIONS, type Region } from '#core/units'
import {
  about,
  diameter,
  flow,
  hasMarks,
  length,
  lengths,
  perRegion,
  pressure,
  rise,
  run,
  soldInFeet,
  soldInMetres,
  speak,
  speakAll,
  speed,
  speeds,
  spoken,
  temperature,
  temperatures,
  TERMS,
  volume,
  w,
} from '.'

const both = (text: string) => [speak(text, 'gb'), speak(text, 'us')]

describe('a figure in the words of its reader', () => {
  it.each([
    [length(150), '150 mm', '5 7/8 in (150 mm)'],
    [length(3.2, [3.175]), '3.2 mm', '0.126 in (3.2 mm)'],
    [lengths(4, 120), '4 to 120 mm', '3/16 to 4 3/4 in (4 to 120 mm)'],
    [about(150), '150 mm', '6 in (150 mm)'],
    [about(150, 300), '150 to 300 mm', '6 to 12 in (150 to 300 mm)'],
    [about(1, 2), '1 to 2 mm', '1/32 to 3/32 in (1 to 2 mm)'],
    [diameter(22.22), '22.22 mm', '0.875 in (22.22 mm)'],
    [run(9144), '9.14 m', '30 ft'],
    [run(3000), '3 m', '9 ft 10 in'],
    [run(600), '600 mm', '2 ft'],
    [pressure(6.9), '6.9 bar', '100 psi'],
    [pressure(0.03), '0.03 bar', '0.44 psi'],
    [temperature(82), '82 \u00b0C', '180 \u00b0F'],
    [temperature(93), '93 \u00b0C', '200 \u00b0F'],
    [temperature(5), '5 \u00b0C', '41 \u00b0F'],
    [temperature(-10.1, [-10]), '\u221210.1 \u00b0C', '13.8 \u00b0F'],
    [temperatures(5, 43), '5 to 43 \u00b0C', '41 to 110 \u00b0F'],
    [rise(5), '5 K', '9 \u00b0F'],
    [flow(0.2), '0.2 l/s', '3.2 gpm'],
    [speed(1.5), '1.5 m/s', '4.9 ft/s'],
    [speeds(0.5, 1), '0.5 to 1 m/s', '1.6 to 3.3 ft/s'],
    [volume(3), '3 l', '0.79 gal'],
    [soldInFeet(10, 20), '3, 6.1 m', '10, 20 ft'],
    [soldInMetres(2, 3, 6), '2, 3, 6 m', '7, 10, 20 ft'],
  ])('%s', (text, gb, us) => expect(both(text)).toEqual([gb, us]))

  it('reads apart from the figure it stands against, in every unit', () => {
    const number = (text: string) => Number(/^\u2212?[\d.]+/.exec(text)![0].replace('\u2212', '-'))
    fc.assert(
      fc.property(
        fc.constantFrom(pressure, speed, flow, volume),
        fc.double({ min: 0.01, max: 40, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.constantFrom(...REGIONS),
        (write, one, more, region) => {
          const other = one + more
          expect(number(speak(write(one, [other]), region))).toBeLessThan(number(speak(write(other, [one]), region)))
        },
      ),
    )
  })
})

describe('a word in the speech of its reader', () => {
  it('is the region\u2019s, with a capital where it begins', () => {
    expect(both(`${w.AnOlive} and a ${w.spanner}`)).toEqual(['An olive and a spanner', 'A ferrule and a wrench'])
    expect(speak(w.olive, 'eu')).toBe('compression ring')
  })
  it('has both words and where they are from', () => {
    for (const [name, { gb, us, source }] of Object.entries(TERMS)) {
      expect([name, gb === us]).toEqual([name, false])
      expect(source.length).toBeGreaterThan(3)
    }
  })
  it('may stand in a sentence that differs as a whole', () => {
    const text = perRegion({ gb: `Slide the ${w.olive} on`, us: `Slip the ${w.olive} over, ${about(150)}` })
    expect(both(text)).toEqual(['Slide the olive on', 'Slip the ferrule over, 6 in (150 mm)'])
    expect(speak(text, 'eu')).toBe('Slide the compression ring on')
  })
})

describe('an answer', () => {
  it('is spoken through, and left as it is where it has no marks', () => {
    const plain = { a: [1, 'two', { three: null }] }
    expect(speakAll(plain, 'us')).toBe(plain)
    const answer = { list: [{ text: w.olive, at: 3 }], same: plain }
    const said = speakAll(answer, 'us')
    expect(said).toEqual({ list: [{ text: 'ferrule', at: 3 }], same: plain })
    expect(said.same).toBe(plain)
    expect(answer.list[0]!.text).toBe(w.olive)
  })
  it('of a question goes by its region, else by Britain', () => {
    const answer = spoken((_: { region?: Region }) => w.tap)
    expect([answer({ region: 'us' }), answer({})]).toEqual(['faucet', 'tap'])
  })
  it('never hangs or throws on what somebody typed', () => {
    fc.assert(
      fc.property(
        fc.string({
          unit: fc.constantFrom('\uE000', '\uE001', '\uE002', 'a', ';', '1', 'term', 'length'),
          maxLength: 30,
        }),
        fc.constantFrom(...REGIONS),
        (text, region) => {
          expect(typeof speak(text, region)).toBe('string')
        },
      ),
    )
    expect(hasMarks(speak(length(3) + w.olive, 'us'))).toBe(false)
  })
})
