import { describe, expect, it } from 'vitest'
import { surveyLine } from '#core/line'
import { draftRun, markRows, piecesOf, type RunHead } from '#core/run'

const HEAD: RunHead = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  corners: 'fittings',
  start: 'stop depth 16 = tap',
  walls: [],
}
const pieces = (legs: string[]) => {
  const draft = draftRun(HEAD, legs, { bender: { radius: 77, setback: 80, springback: 3 } })
  const survey = surveyLine(draft.question!)
  if (!survey.ok) throw new Error(survey.error.message)
  return piecesOf(draft, survey.value)
}

describe('the marks table', () => {
  it('names each piece by its points, its marks in order, its cut last', () => {
    const rows = markRows(pieces(['e 640', 'u 900 bend', 'n 400 clip 200']), 'gb')
    expect(rows.map(({ piece, from, to, what }) => [piece, from, to, what].join(' '))).toEqual([
      'p1 A B insertion',
      'p1 A B insertion',
      'p1 A B cut',
      'p2 B D insertion',
      'p2 B D bend',
      'p2 B D clip',
      'p2 B D cut',
    ])
    const bend = rows.find(({ what }) => what === 'bend')!
    // Take-out 13.5, so the corner lies at 886.5; the arc starts 77 before it and the hook 3 before that.
    expect(bend).toMatchObject({
      corner: 886.5,
      at: 809.5,
      hook: 806.5,
      angle: 90,
      turn: 0,
      note: 'pull to 93 degrees',
    })
    expect(rows[0]).toMatchObject({ at: 16, note: 'into the stop, solder' })
  })
  it('says what is not known, and what a typical fitting leaves open', () => {
    const rows = markRows(pieces(['e 640 valve', 'e 300']), 'gb')
    expect(rows.filter(({ what }) => what === 'cut').map(({ at, note }) => [at, note])).toEqual([
      [null, 'measure the fitting first'],
      [null, 'measure the fitting first'],
    ])
    expect(markRows(pieces(['e 640', 'u 200']), 'gb').find(({ what }) => what === 'cut')!.note).toBe(
      '624 to 629 mm by typical fittings',
    )
  })
  it('leaves out a piece that cannot be made', () => {
    expect(pieces(['e 640', 'u 60 bend', 'n 60 bend', 'e 300']).map(({ from, to }) => `${from}${to}`)).toEqual(['AB'])
  })
})
