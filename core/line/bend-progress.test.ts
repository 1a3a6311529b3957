import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { failPull, isPulledOtherwise, nextPull, pulledAt, pullStep, type BendStep, type PulledPiece } from '#core/line'

const STEPS = 8
const steps: BendStep[] = Array.from({ length: STEPS }, () => ({ code: 'mark', do: 'mark it' }))
const at = '2026-11-26T09:00:00.000Z'
const HAND = { at, by: 'Wyn' }
const aPiece = (pulled: PulledPiece['line']['pulled'] = {}, marks = '100/90/0', id = 'p1'): PulledPiece => ({
  piece: { id },
  card: { steps, marks },
  line: { pulled },
})
const done = (piece: PulledPiece) => steps.flatMap((_, i) => (pulledAt(piece, i) === undefined ? [] : [i]))
const withSteps = (which: readonly number[], piece = aPiece()): PulledPiece =>
  which.reduce((one, step) => aPiece(pullStep(one, step, HAND), one.card.marks, one.piece.id), piece)
const someSteps = fc.uniqueArray(fc.nat(STEPS - 1))

describe('how far a piece is bent', () => {
  it('holds each step that was done, and when', () => {
    fc.assert(
      fc.property(someSteps, (which) => {
        const piece = withSteps(which)
        expect(done(piece)).toEqual([...which].sort((a, b) => a - b))
        for (const step of which) expect(pulledAt(piece, step)).toBe(at)
      }),
    )
  })
  it('goes on at the first step that is not done', () => {
    expect(nextPull(aPiece())).toBe(0)
    expect(nextPull(withSteps([0, 1, 3]))).toBe(2)
    expect(nextPull(withSteps(steps.map((_, i) => i)))).toBe(-1)
  })
  it('says whose hand did a step', () => {
    expect(pullStep(aPiece(), 2, HAND)).toEqual({ 'p1:3': { ...HAND, marks: '100/90/0' } })
  })
  it('does a failed step again with all after it, and nothing before it or of another piece', () => {
    fc.assert(
      fc.property(someSteps, someSteps, fc.nat(STEPS - 1), (which, others, failed) => {
        const beside = withSteps(others, aPiece({}, '50/45/0', 'p2'))
        const piece = withSteps(which, aPiece(beside.line.pulled))
        const left = failPull(piece, failed)
        expect(done(aPiece(left))).toEqual(which.filter((step) => step < failed).sort((a, b) => a - b))
        expect(done(aPiece(left, '50/45/0', 'p2'))).toEqual(done(beside))
      }),
    )
  })
  it('counts nothing that was done to other figures, and says that there is some', () => {
    const changed = aPiece(withSteps([0, 1]).line.pulled, '101/90/0')
    expect(done(changed)).toEqual([])
    expect(isPulledOtherwise(changed)).toBe(true)
    expect(isPulledOtherwise(withSteps([0, 1]))).toBe(false)
    expect(isPulledOtherwise(aPiece())).toBe(false)
  })
  it('keeps pieces apart whose names begin alike', () => {
    const tenth = withSteps([0], aPiece({}, '100/90/0', 'p10'))
    expect(done(aPiece(tenth.line.pulled))).toEqual([])
    expect(Object.keys(failPull(aPiece(tenth.line.pulled), 0))).toHaveLength(1)
  })
})
