import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { speak } from '#core/speech'
import type { Region } from '#core/units'
import { readPrint } from './print'

const meanings = (text: string, region: Region = 'gb') =>
  readPrint(text).tokens.map(({ meaning }) => speak(meaning, region))
const fitting = (text: string) =>
  PIPES.filter((pipe) => readPrint(text).tokens.every(({ fits }) => !fits || fits(pipe))).map(({ id }) => id)

describe('readPrint', () => {
  // General forms of each kind of pipe, with no maker's name; pipes left standing by hand from the standards.
  it.each([
    ['EN 1057 R250 22 x 0,9 2019-04', ['cu-en-x-22']],
    ['en1057 r220 10x0.8', ['cu-en-y-10']],
    ['TYPE L 3/4 ASTM B88 NSF 61', ['cu-l-3_4']],
    ['PEX 5306 1/2 CTS SDR9 160psi@73F 100psi@180F ASTM F876/F877 F1960 F1807 NSF-pw', ['pex-cts-1_2']],
    ['EN ISO 15875 PE-Xa S3.2 16x2.0 class 1-5 10 bar DIN 4726', ['pex-en-16']],
    ['EN ISO 21003 PE-RT/AL/PE-RT 16x2,0 class 2/10 bar', ['ml-en-16']],
    ['1/2 (1216) PEX-AL-PEX ASTM F1281 200psi@73F', ['ml-astm-1_2']],
    ['3/4 CPVC 4120 ASTM D2846 SDR11 100psi@180F NSF-pw', ['cpvc-cts-3_4']],
    ['1 IN SCH 40 PVC 1120 ASTM D1785', ['pvc-40-1']],
    ['PE100 EN 12201 SDR11 PN16 32x3.0', ['pe-en-32']],
    ['BS 7291-3 class S 15 mm 12 bar', ['bs7291-15']],
    ['PB2110 1/2" ASTM D3309 SDR11 100 psi @ 180 F', ['pb-cts-1_2']],
    ['PP-R SDR6 PN20 25x4.2 EN ISO 15874', ['ppr-6-25']],
    ['EN 10312 22 x 1.2', ['ss-en-22']],
    ['EN 10305-3 22x1.5', ['cs-en-22']],
  ])('%s', (text, pipes) => expect(fitting(text)).toEqual(pipes))

  it('reads a worn line by the letters that are left', () => {
    const { tokens, unread } = readPrint('EN 10?7 R2?0 22x0')
    expect(tokens.map(({ text }) => text)).toEqual(['EN 10?7', 'R2?0', '22x0'])
    expect(unread).toEqual([])
    expect(fitting('EN 10?7 R2?0 22x0')).toEqual(
      ['cu-en-10-22', 'cu-en-x-22', 'cu-en-y-22'].filter((id) => PIPES.some((pipe) => pipe.id === id)),
    )
    // What is worn may be one of several, and is not passed for the first of them.
    expect(meanings('R2?0')).toEqual(['R220: soft (annealed) temper, or R250: half-hard temper, or R290: hard temper'])
    expect(meanings('R25?')).toEqual(['R250: half-hard temper'])
    expect(meanings('TYPE ?')[0]).toMatch(/type K.*or type L.*or type M/)
    expect(fitting('E? 10?7 15x0.7')).toEqual(['cu-en-x-15'])
    expect(fitting('?M F8?6 3/4 SDR 9')).toEqual(['pex-cts-3_4'])
  })

  it('tells the digits of a PEX code, the classes and the ratings', () => {
    expect(meanings('PEX 5306', 'us')).toContain(
      'PEX code: hot recirculation all the time; 6 months in the sun; design stress 630 psi at 73 \u00b0F',
    )
    expect(meanings('class 2, 5')).toEqual(['class 2: hot water at 70 \u00b0C; class 5: radiators at 80 \u00b0C'])
    expect(meanings('100 PSI @ 180F')).toEqual(['6.9 bar at 82 \u00b0C'])
    expect(meanings('100 PSI @ 180F', 'us')).toEqual(['100 psi at 180 \u00b0F'])
    expect(meanings('SDR 11 PN 16')).toEqual(['outside diameter 11 times the wall', '16 bar at 20 \u00b0C'])
  })

  it('is the same in capitals or small letters, with commas or points, with or without spaces', () => {
    for (const text of ['EN 1057 R250 15 x 0,7', 'en 1057 r250 15X0.7', 'EN1057-R250 15 \u00d7 0.7 mm'])
      expect(fitting(text)).toEqual(['cu-en-x-15'])
    for (const text of ['1-1/4" TYPE M', '1 1/4 in type m', '1-1/4 TYPE-M'])
      expect(fitting(text)).toEqual(['cu-m-1-1_4'])
  })

  it('leaves what means nothing, and never fails', () => {
    expect(readPrint('made for you 2019').tokens).toEqual([])
    expect(readPrint('made for you').unread).toEqual(['made', 'for', 'you'])
    expect(readPrint('')).toEqual({ tokens: [], unread: [] })
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (text) => {
        for (const token of readPrint(text).tokens)
          expect(text.slice(token.at, token.at + token.text.length)).toBe(token.text)
      }),
    )
  })

  it('still stands by the pipe when letters of a whole line are worn away', () => {
    const lines: readonly (readonly [string, string])[] = [
      ['EN 1057 R250 22 x 0,9', 'cu-en-x-22'],
      ['3/4 CPVC 4120 ASTM D2846 SDR11', 'cpvc-cts-3_4'],
      ['BS 7291-3 class S 15 mm', 'bs7291-15'],
    ]
    fc.assert(
      fc.property(fc.constantFrom(...lines), fc.array(fc.nat(40), { maxLength: 4 }), ([line, id], places) => {
        const worn = [...line].map((char, i) => (places.includes(i) && /[A-Z]/i.test(char) ? '?' : char)).join('')
        const pipe = PIPES.find((one) => one.id === id)!
        for (const { fits, meaning } of readPrint(worn).tokens)
          if (fits) expect([meaning, fits(pipe)]).toEqual([meaning, true])
      }),
    )
  })
})
