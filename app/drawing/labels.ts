import { ASCENT, LINE, textWidth, type Extent, type Weight } from './face'

/* Labels of a drawing as boxes, px, placed so that no two of them meet and none leaves the sheet. */

export interface Box extends Extent {
  x: number
  y: number
}
/** A line of text: its box, and what is written in it. */
export interface TextLabel extends Box {
  text: string
  size: number
  weight: Weight
}

/** Whether two boxes share any place. */
export const meets = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/** Where a line of text is written from in its box, px below the box's top. */
export const baseline = ({ y, size }: Pick<TextLabel, 'y' | 'size'>): number => y + ASCENT * size

/** A line of text with its left upper corner at a place. */
export const textLabel = (text: string, size: number, weight: Weight, x: number, y: number): TextLabel => ({
  text,
  size,
  weight,
  x,
  y,
  width: textWidth(text, size, weight),
  height: LINE * size,
})

/** The longest of some wordings that goes into a width; the shortest where none does. */
export const wordingFor = (wordings: readonly string[], width: number, size: number, weight: Weight = 400): string =>
  wordings.find((one) => textWidth(one, size, weight) <= width) ?? wordings.at(-1)!

/** A thing on a line: where its middle should be, and how wide it is. */
interface Wish {
  middle: number
  width: number
}

/**
 * Left edges of things on one line, each as near to the place it wants as it goes without touching another, in the order
 * of their wishes, all between two bounds; null where they are too wide for them together.
 */
export function spread(wishes: readonly Wish[], from: number, to: number, gap: number): number[] | null {
  const total = wishes.reduce((sum, { width }) => sum + width, 0) + gap * (wishes.length - 1)
  if (total > to - from + 1e-9) return null
  const order = wishes.map((_, i) => i).sort((i, j) => wishes[i]!.middle - wishes[j]!.middle)
  // Less what stands before each, they only must not fall: neighbours that would are moved together to their mean.
  const before: number[] = []
  let sum = 0
  for (const i of order) {
    before.push(sum)
    sum += wishes[i]!.width + gap
  }
  const blocks: { mean: number; count: number }[] = []
  order.forEach((i, k) => {
    const { middle, width } = wishes[i]!
    blocks.push({ mean: middle - width / 2 - before[k]!, count: 1 })
    while (blocks.length > 1 && blocks.at(-2)!.mean > blocks.at(-1)!.mean) {
      const [last, other] = [blocks.pop()!, blocks.pop()!]
      const count = last.count + other.count
      blocks.push({ mean: (last.mean * last.count + other.mean * other.count) / count, count })
    }
  })
  const lefts = blocks.flatMap(({ mean, count }) => Array.from({ length: count }, () => mean))
  const placed: number[] = []
  order.forEach((i, k) => {
    placed[i] = Math.min(Math.max(lefts[k]!, from), to - total) + before[k]!
  })
  return placed
}
