import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { randomFrom } from '../../scripts/random'
import { expectApart } from '../../tests/apart'
import { layOutMakeStrip, stripLabels } from '~/drawing/make-strip'

const SHEETS = [
  { width: 336, height: 186 },
  { width: 366, height: 186 },
  { width: 744, height: 186 },
  { width: 860, height: 232 },
] as const
const MARKS = [
  ['mark, right round', 'mark'],
  ['made up to here', 'to here'],
]

describe('labels of a pipe end on Make', () => {
  it.each(SHEETS)('500 on $width px, in both units: none over another, none off the sheet', ({ width, height }) => {
    const random = randomFrom(20261202)
    for (let i = 0; i < 500; i++) {
      const { od, id } = PIPES[Math.floor(random() * PIPES.length)]!
      const mm = random() < 0.05 ? null : Math.round((5 + random() * 60) * 10) / 10
      for (const system of ['metric', 'inch'] as const) {
        const laid = layOutMakeStrip({
          ...{ od, mm, system, width, height },
          atFace: random() < 0.1,
          isNarrow: width < 600,
          markWords: MARKS[i % 2]!,
          pushWords: 'screw',
          notes: (k) => [`1 mm drawn ${k} px; your own measure`, `1 mm drawn ${k} px`],
        })
        const words = `${id} ${mm} ${system}`
        expectApart(stripLabels(laid), { x: 0, y: 0, width, height }, words)
        // The pipe stands over the scale, and the figure over the stretch that it is the length of.
        expect(laid.cy + laid.r, words).toBeLessThanOrEqual(laid.note.y + 1)
        if (laid.figure && !laid.figure.isOver) expect(laid.figure.x, words).toBeGreaterThanOrEqual(laid.markX)
      }
    }
  })
})
