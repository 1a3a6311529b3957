import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bendCard, bendRemedy, planLine, type LineLeg, type LineQuestion, type Piece } from '#core/line'

/** A piece of 22 copper round a former of R 80, its legs between corners in mm. */
function bent(
  legs: readonly Pick<LineLeg, 'length' | 'to'>[],
  bender: LineQuestion['bender'] = { radius: 80, setback: 95 },
): Piece {
  const answer = planLine({
    region: 'gb',
    pipe: 'cu-en-x-22',
    method: 'solder',
    bender,
    start: { kind: 'free' },
    legs: legs.map((leg, i) => ({ ...leg, end: i === legs.length - 1 ? { kind: 'free' } : { kind: 'bend' } })),
  })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value.pieces[0]!
}
const codes = (piece: Piece) => bendCard(piece, 'hook', 'gb')!.steps.map(({ code }) => code)

describe('a card for bends', () => {
  it('of one bend: cut long, mark, set, pull, mark where it left, square, trim', () => {
    expect(
      codes(
        bent([
          { length: 400, to: 'right' },
          { length: 300, to: 'up' },
        ]),
      ),
    ).toEqual(['cut', 'mark', 'set', 'pull', 're-entry', 'square', 'trim'])
  })
  it('of two bends in a plane is laid on the floor, of two in space is sighted', () => {
    const flat = bendCard(
      bent([
        { length: 400, to: 'right' },
        { length: 300, to: 'up' },
        { length: 400, to: 'right' },
      ]),
      'hook',
      'gb',
    )!
    expect(flat.steps.find(({ code }) => code === 'wobble')!.do).toContain('flat floor')
    const space = bendCard(
      bent([
        { length: 400, to: 'right' },
        { length: 300, to: 'up' },
        { length: 400, to: 'toward' },
      ]),
      'hook',
      'gb',
    )!
    expect(space.steps.find(({ code }) => code === 'wobble')!.do).toContain('Sight along it')
    expect(flat.steps.filter(({ code }) => code === 'set')[1]!.do).toContain('opposite to the bend before')
    expect(space.steps.filter(({ code }) => code === 'set')[1]!.do).toMatch(
      /90° clockwise from the bend before, seen from the left end/,
    )
  })
  it('marks by the school: the hook edge, or the corner', () => {
    // By hand: corner of the first bend at 400 along the legs; hook = corner - set-back 95 (R 80, 90 degrees: the arc
    // starts 80 before the corner).
    const piece = bent([
      { length: 400, to: 'right' },
      { length: 300, to: 'up' },
    ])
    // The shorter leg lies in the hook: from the right end its mark is past the bend by the same lead.
    expect(bendCard(piece, 'corner', 'gb')!.steps[1]!.do).toContain('Mark 400 mm from the left end')
    expect(bendCard(piece, 'hook', 'gb')!.steps.find(({ code }) => code === 'set')!.do).toContain(
      'right end in the hook',
    )
    const turned = bent([
      { length: 300, to: 'right' },
      { length: 400, to: 'up' },
    ])
    expect(bendCard(turned, 'hook', 'gb')!.steps[1]!.do).toContain('Mark 205 mm from the left end')
  })
  it('trims to the leg past the last corner', () => {
    const { steps } = bendCard(
      bent([
        { length: 400, to: 'right' },
        { length: 300, to: 'up' },
      ]),
      'hook',
      'gb',
    )!
    expect(steps.at(-1)!.do).toContain('Trim to 300 mm past the last corner')
  })
  it('pulls past by the springback of a test bend, else says a touch', () => {
    const [plain, known] = [undefined, 4].map((springback) =>
      bendCard(
        bent(
          [
            { length: 400, to: 'right' },
            { length: 300, to: 'up' },
          ],
          { radius: 80, setback: 95, springback },
        ),
        'hook',
        'gb',
      )!.steps.find(({ code }) => code === 'pull')!,
    )
    expect(plain!.do).toContain('a touch past')
    expect(known!.do).toMatch(/Pull to 94/)
  })
  it('is null for a straight piece', () => {
    expect(bendCard(bent([{ length: 400, to: 'right' }]), 'hook', 'gb')).toBeNull()
  })
  it('keeps its order: every mark before the first pull, each bend set, pulled, marked where it left, squared; trimmed last', () => {
    const turn = fc.constantFrom('up' as const, 'down' as const, 'toward' as const, 'away' as const)
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 900 }),
        fc.array(fc.record({ length: fc.integer({ min: 250, max: 900 }), to: turn }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom('hook' as const, 'corner' as const),
        (first, turns, school) => {
          // Every other leg runs right, so that no two follow one another.
          const legs = [
            { length: first, to: 'right' as const },
            ...turns.flatMap((one) => [one, { length: 320, to: 'right' as const }]),
          ]
          const card = bendCard(bent(legs), school, 'gb')!
          const order = card.steps.map(({ code }) => code)
          const bends = legs.length - 1
          expect(order.filter((code) => code === 'mark')).toHaveLength(bends)
          expect(order.lastIndexOf('mark')).toBeLessThan(order.indexOf('set'))
          for (let i = 0; i < bends; i++) {
            const own = card.steps.filter(({ bend }) => bend === i).map(({ code }) => code)
            expect(own).toEqual(['mark', 'set', 'pull', 're-entry', 'square'])
          }
          expect(order.at(-1)).toBe('trim')
        },
      ),
      { numRuns: 60 },
    )
  })
  it('says other figures by other marks', () => {
    const one = bendCard(
      bent([
        { length: 400, to: 'right' },
        { length: 300, to: 'up' },
      ]),
      'hook',
      'gb',
    )!
    expect(
      bendCard(
        bent([
          { length: 401, to: 'right' },
          { length: 300, to: 'up' },
        ]),
        'hook',
        'gb',
      )!.marks,
    ).not.toBe(one.marks)
    expect(
      bendCard(
        bent([
          { length: 400, to: 'right' },
          { length: 300, to: 'up' },
        ]),
        'corner',
        'gb',
      )!.marks,
    ).not.toBe(one.marks)
  })
  it('has a remedy for every check', () => {
    for (const code of ['set', 'square', 'wobble', 'trim'] as const) expect(bendRemedy(code).do).not.toBe('')
  })
})
