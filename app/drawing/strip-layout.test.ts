import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planLine, type LineQuestion, type Piece } from '#core/line'
import { bendTube } from '../../tests/bender'
import { layStrip, reversePiece } from './strip-layout'

const QUESTION: LineQuestion = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  bender: { radius: 77, setback: 80 },
  start: { kind: 'stop', insertion: 16 },
  legs: [
    { length: 400, to: 'right', end: { kind: 'bend' } },
    { length: 300, to: 'up', end: { kind: 'bend' } },
    { length: 250, to: 'away', end: { kind: 'bend' } },
    { length: 500, to: 'up', end: { kind: 'free' } },
  ],
}
const piece = (): Piece => {
  const answer = planLine(QUESTION)
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value.pieces[0]!
}

describe('layStrip', () => {
  it('draws one scale both ways, at most 1.6 px for a mm, in steps of 0.02', () => {
    const strip = layStrip(1125, 22, 1280)
    expect(strip).toMatchObject({ scale: 1, isBroken: false, half: 11, gap: null })
    expect(layStrip(100, 22, 1280).scale).toBeCloseTo(1.6, 9)
  })
  it('leaves the middle out where the pipe would be a thread, and on a phone', () => {
    expect(layStrip(5800, 22, 1280).isBroken).toBe(true)
    expect(layStrip(1125, 22, 390, { isPhone: true })).toMatchObject({ isBroken: true, scale: 5.2 })
  })
  it('stays whole where marks lie in the middle, and says that its thickness is not to scale', () => {
    expect(layStrip(5800, 22, 1280, { marks: [2900] })).toMatchObject({ isBroken: false, isThin: true })
    expect(layStrip(5800, 22, 1280, { marks: [60] })).toMatchObject({ isBroken: true })
    expect(layStrip(1125, 22, 1280, { marks: [500] })).toMatchObject({ isBroken: false, isThin: false })
  })
  it('keeps every place in order and both ends in their place, broken or not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 9000, noNaN: true }),
        fc.constantFrom(15, 22, 54),
        fc.constantFrom(390, 900, 1280),
        fc.boolean(),
        (cut, od, width, isInch) => {
          const strip = layStrip(cut, od, width, { isInch, isPhone: width === 390 })
          expect(strip.at(0)).toBe(0)
          expect(strip.at(cut)).toBeCloseTo(strip.width, 6)
          const places = strip.ticks.map(({ mm }) => strip.at(mm))
          expect([...places].sort((a, b) => a - b)).toEqual(places)
        },
      ),
    )
  })
})

describe('a piece from its other end', () => {
  it('is itself again when turned twice', () => {
    const [twice, once] = [reversePiece(reversePiece(piece())), piece()]
    expect(twice.ends).toEqual(once.ends)
    twice.marks.forEach((mark, i) => expect(mark.at).toBeCloseTo(once.marks[i]!.at, 9))
    expect(twice.marks.flatMap((mark) => (mark.what === 'bend' ? [mark.turn] : []))).toEqual(
      once.marks.flatMap((mark) => (mark.what === 'bend' ? [mark.turn] : [])),
    )
  })
  // Bent on the machine from the other end it is the same tube: its ends lie as far apart, its corners too.
  it('bends to the same shape', () => {
    const shape = ({ cut, marks }: Piece) => {
      const points = bendTube({
        length: cut!,
        radius: 77,
        pulls: marks.filter((mark) => mark.what === 'bend'),
        from: [0, 0, 0],
        along: [1, 0, 0],
        up: [0, 0, 1],
        step: 1,
      })
      const at = (mm: number) => points[Math.round((mm / cut!) * (points.length - 1))]!
      return [
        [0, cut!],
        [0, cut! / 2],
        [cut! / 2, cut!],
        [cut! / 4, (cut! * 3) / 4],
      ].map(([a, b]) => Math.hypot(...(at(a!).map((x, i) => x - at(b!)[i]!) as [number, number, number])))
    }
    const [one, other] = [shape(piece()), shape(reversePiece(piece()))]
    expect(other[0]).toBeCloseTo(one[0]!, 3)
    expect(other[1]).toBeCloseTo(one[2]!, -1)
    expect(other[3]).toBeCloseTo(one[3]!, -1)
  })
})
