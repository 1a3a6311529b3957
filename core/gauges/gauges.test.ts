import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { namedDiameters, PIPES } from '#core/catalogue'
import {
  CARD,
  checkScale,
  layCards,
  layWrapStrip,
  PAPERS,
  paperFor,
  scaleFrom,
  wrapDiameter,
  wrapMark,
} from '#core/gauges'

describe('the wrap strip', () => {
  it("meets its beginning once round the paper's own middle", () => {
    // By hand: 22 mm of pipe and 0.1 of paper, 3.14159 times 22.1 = 69.429.
    expect(wrapMark(22)).toBeCloseTo(69.429, 3)
    fc.assert(
      fc.property(fc.double({ min: 4, max: 120, noNaN: true }), (diameter) => {
        expect(wrapDiameter(wrapMark(diameter))).toBeCloseTo(diameter, 9)
      }),
    )
  })

  it.each(['gb', 'us', 'eu'] as const)(
    'in %s has every named size at its mark, names of one row apart, ticks rising',
    (region) => {
      const letter = 1.3
      const strip = layWrapStrip(region, 260, letter)
      const most = wrapDiameter(260)
      expect(strip.named.map(({ diameter }) => diameter)).toEqual(
        namedDiameters(region)
          .map(({ od }) => od)
          .filter((od) => od >= 4 && od <= most),
      )
      for (const one of strip.named) {
        expect(one.at).toBeCloseTo(wrapMark(one.diameter), 9)
        for (const other of strip.named)
          if (other.row === one.row && other.at > one.at)
            expect(other.at - one.at).toBeGreaterThanOrEqual(letter * one.label.length)
      }
      strip.ticks.forEach(({ at, diameter }, i) => {
        expect(at).toBeCloseTo(wrapMark(diameter), 9)
        if (i > 0) expect(at).toBeGreaterThan(strip.ticks[i - 1]!.at)
      })
      expect(strip.ticks.at(-1)!.at).toBeLessThanOrEqual(260)
    },
  )

  it("is in the region's own figures", () => {
    const texts = (region: 'gb' | 'us') =>
      layWrapStrip(region, 260, 1).ticks.flatMap(({ diameter, text }) =>
        text === null ? [] : [[diameter, text] as const],
      )
    expect(texts('gb').slice(0, 3)).toEqual([
      [4, '4'],
      [6, '6'],
      [8, '8'],
    ])
    // 7/8 in is 22.225 mm.
    expect(texts('us').find(([, text]) => text === '7/8')![0]).toBeCloseTo(22.225, 9)
    expect(texts('us').find(([, text]) => text === '1 1/4')![0]).toBeCloseTo(31.75, 9)
  })
})

describe('diameter cards', () => {
  it.each(Object.values(PAPERS))('hold every pipe once, on $name, within its margins and apart', (paper) => {
    const sheets = layCards(PIPES, paper, 12, 12)
    expect(sheets.flatMap(({ cards }) => cards.map(({ pipe }) => pipe.id)).sort()).toEqual(
      PIPES.map(({ id }) => id).sort(),
    )
    for (const { cards } of sheets) {
      for (const { x, y, pipe, cell } of cards) {
        expect(cell.x).toBeGreaterThanOrEqual(paper.margin)
        expect(cell.x + cell.width).toBeLessThanOrEqual(paper.width - paper.margin)
        expect(cell.y + cell.height).toBeLessThanOrEqual(paper.height - paper.margin - 12)
        expect(x - pipe.od / 2).toBeGreaterThan(cell.x)
        expect(y + pipe.od / 2).toBeLessThan(cell.y + cell.height)
        for (const other of cards) {
          if (other.pipe === pipe) continue
          const isApart =
            other.cell.x >= cell.x + cell.width - 1e-9 ||
            cell.x >= other.cell.x + other.cell.width - 1e-9 ||
            other.cell.y >= cell.y + cell.height - 1e-9 ||
            cell.y >= other.cell.y + other.cell.height - 1e-9
          expect(isApart, `${pipe.id} and ${other.pipe.id}`).toBe(true)
        }
      }
    }
  })
  it('go on the paper of the region', () =>
    expect([paperFor('us').name, paperFor('gb').name, paperFor('eu').name]).toEqual(['Letter', 'A4', 'A4']))
})

describe("the screen's scale", () => {
  it('comes from a card held to it', () => {
    // 428 px over 85.60 mm is 5 px a mm.
    expect(scaleFrom(428, 2, 'now')).toEqual({
      ok: true,
      value: { pxPerMm: expect.closeTo(5, 12), ratio: 2, at: 'now' },
    })
    expect(CARD).toEqual({ width: 85.6, height: 53.98 })
  })
  it.each([0, -3, 50, 5000, Number.NaN])('refuses a card of %f px', (px) =>
    expect(scaleFrom(px, 1, '')).toMatchObject({ ok: false, error: { code: 'range', path: 'card' } }),
  )
  it('holds until the page is zoomed or what was kept is not a scale', () => {
    const kept = { pxPerMm: 5, ratio: 2, at: 'now' }
    expect(checkScale(kept, 2)).toEqual(kept)
    expect(checkScale(kept, 2.5)).toBeNull()
    for (const junk of [null, 'x', {}, { pxPerMm: '5', ratio: 2, at: '' }, { pxPerMm: 500, ratio: 2, at: '' }])
      expect(checkScale(junk, 2)).toBeNull()
  })
})
