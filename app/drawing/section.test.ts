import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { findWays, type End, type OtherEnd, type Way } from '#core/joints'
import type { Region } from '#core/units'
import { randomFrom } from '../../scripts/random'
import { expectApart } from '../../tests/apart'
import type { Box } from '~/drawing/labels'
import { layOutSection } from '~/drawing/section'

/** Widths of a narrow phone, a phone, a tablet upright and a wide screen, px, with the height each draws in. */
const SHEETS = [
  { width: 336, height: 196 },
  { width: 366, height: 196 },
  { width: 744, height: 196 },
  { width: 780, height: 214 },
] as const

interface Drawn {
  way: Way
  a: End
  b: OtherEnd
}
/** Joints drawn at random from all pairs of a region's pipes that can be joined, and caps. */
function someJoints(count: number): Drawn[] {
  const random = randomFrom(20261202)
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!
  const found: Drawn[] = []
  while (found.length < count) {
    const region = pick<Region>(['gb', 'eu', 'us'])
    const pipes = PIPES.filter(({ regions }) => regions.includes(region))
    const a: End = { pipe: pick(pipes).id }
    const b: OtherEnd = random() < 0.1 ? { cap: true } : { pipe: pick(pipes).id }
    const answer = findWays({ region, a, b })
    if (!answer.ok || answer.value.ways.length === 0) continue
    for (let i = 0; i < 4 && found.length < count; i++) found.push({ way: pick(answer.value.ways), a, b })
  }
  return found
}

describe('labels of a joint cut through', () => {
  const joints = someJoints(500)
  it.each(SHEETS)('of 500 joints on $width px, in both units: none over another, none off the sheet', (sheet) => {
    for (const { way, a, b } of joints)
      for (const system of ['metric', 'inch'] as const) {
        const { labels, dims } = layOutSection(way, a, b, { ...sheet, system, compact: false })
        const boxes: Box[] = [...labels.figures, labels.note, ...(labels.shut ? [labels.shut] : [])]
        const words = `${way.id} ${system}`
        expect(labels.figures.length, `a figure for each depth of ${words}`).toBe(dims.length)
        expectApart(boxes, { x: 0, y: 0, ...sheet }, words)
      }
  })
})
