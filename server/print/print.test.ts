import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { getPipe, PIPES } from '#core/catalogue'
import { readPdf, type ReadPage } from '../../tests/pdf'
import { diameterCardsPdf } from './diameter-cards'
import type { Fonts } from './sheet'
import { wrapStripPdf } from './wrap-strip'

const face = (name: string) => readFileSync(`node_modules/@expo-google-fonts/atkinson-hyperlegible-next/${name}.ttf`)
const fonts: Fonts = {
  regular: face('400Regular/AtkinsonHyperlegibleNext_400Regular'),
  bold: face('700Bold/AtkinsonHyperlegibleNext_700Bold'),
}
const middleOf = (page: ReadPage, text: string) =>
  page.words.filter((word) => word.text === text).map(({ x, width }) => x + width / 2)
/** The line that says of itself how long it is: 50 mm, or 2 in. */
const checkLine = (page: ReadPage, mm = 50) =>
  page.lines.filter(
    ({ x1, y1, x2, y2 }) =>
      Math.abs(y1 - y2) < 0.001 && Math.abs(Math.abs(x2 - x1) - mm) < 0.01 && y1 > page.height - 20,
  )

describe('the wrap strip on paper', () => {
  it.each([
    ['gb', 297, 210],
    ['us', 279.4, 215.9],
  ] as const)('is at true size for %s, by another reader', async (region, width, height) => {
    const [page, ...more] = await readPdf(await wrapStripPdf(region, fonts))
    expect(more).toEqual([])
    expect([page!.width, page!.height]).toEqual([expect.closeTo(width, 2), expect.closeTo(height, 2)])
    expect(checkLine(page!, region === 'us' ? 50.8 : 50)).toHaveLength(1)
    // From the arrow, 12 mm from the margin of 10: 22 mm round, with 0.1 mm of paper, is 69.43 mm along; 7/8 in is
    // 70.13.
    const [figure, along] = region === 'us' ? (['7/8', 70.135] as const) : (['22', 69.429] as const)
    // Both strips, its own sizes and those met from elsewhere, in the units of the reader.
    expect(middleOf(page!, figure).filter((x) => Math.abs(x - (22 + along)) < 0.05)).toHaveLength(2)
    // The tick stands there too, across the lower edge.
    expect(
      page!.lines.filter(({ x1, x2 }) => Math.abs(x1 - 22 - along) < 0.01 && Math.abs(x2 - x1) < 0.001).length,
    ).toBeGreaterThan(0)
  })
})

describe('diameter cards on paper', () => {
  it('say the pipe, its sizes and their source, and carry the check line on every sheet', async () => {
    const pages = await readPdf(await diameterCardsPdf(PIPES, 'gb', 'All of them', fonts))
    expect(pages.length).toBeGreaterThan(5)
    for (const page of pages) expect(checkLine(page)).toHaveLength(1)
    const words = pages.flatMap((page) => page.words.map(({ text }) => text))
    for (const { label } of PIPES) expect(words).toContain(label)
    const one = (
      await readPdf(await diameterCardsPdf([getPipe('cu-bs-imp-3_4')], 'gb', 'North wall', fonts))
    )[0]!.words.map(({ text }) => text)
    expect(one).toEqual(
      expect.arrayContaining([
        '3/4 in old copper, sized by bore',
        'outside 21.49, wall 1.22, bore 19.05 mm',
        'typical, BS 659',
      ]),
    )
  })
})
