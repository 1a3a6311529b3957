import { describe, expect, it } from 'vitest'
import { cutQuestion, planCuts, takeAnswer, type BenchPiece, type StockRow } from '#core/cutting'
import { claimOf, cutProblem } from './cut'

const pieces = (lengths: readonly number[]): BenchPiece[] =>
  lengths.map((length, i) => ({
    key: `line:p${i}`,
    name: `L1 p${i}`,
    length,
    left: null,
    right: null,
    bends: [],
    line: null,
    job: null,
  }))
const BY = { kerf: 0, keep: 300, prefer: 'longest-left' as const }
const asked = (lengths: readonly number[], stock: readonly StockRow[]) => {
  const question = cutQuestion(pieces(lengths), stock, [], null, [], BY)
  return { question, answer: planCuts(question) }
}
const planOf = (lengths: readonly number[], seconds?: number) => {
  const { question } = asked(lengths, [{ id: 'a', length: 3000, quantity: null }])
  const answer = planCuts({ ...question, ...(seconds === undefined ? {} : { seconds }) })
  if (!answer.ok) throw new Error(answer.error.message)
  return takeAnswer(
    'plan',
    answer.value,
    pieces(lengths),
    [{ id: 'a', length: 3000, quantity: null }],
    [],
    null,
    [],
    BY,
  )
}

describe('why nothing was planned', () => {
  it('names the piece and what would do, never its key', () => {
    const { question, answer } = asked([400, 3100], [{ id: 'a', length: 3000, quantity: null }])
    expect(answer.ok ? '' : cutProblem(answer.error, question, pieces([400, 3100]), 'metric')).toBe(
      'L1 p1 is 3100 mm long; the longest there is has 3000 mm. A stock length of 3100 mm or more would do, or a coupling in the piece.',
    )
  })
  it('says how much is wanted and how much is there', () => {
    const { question, answer } = asked([2000, 2000], [{ id: 'a', length: 3000, quantity: 1 }])
    expect(answer.ok ? '' : cutProblem(answer.error, question, pieces([2000, 2000]), 'metric')).toMatch(
      /^The stock runs out: the pieces need 4000 mm, 3000 mm is there/,
    )
  })
  it('asks for parts where there are too many pieces', () => {
    const { question, answer } = asked(
      Array.from({ length: 2001 }, () => 400),
      [{ id: 'a', length: 3000, quantity: null }],
    )
    expect(answer.ok ? '' : cutProblem(answer.error, question, [], 'metric')).toMatch(
      /At most 2000 are accepted; plan them in parts/,
    )
  })
})

describe('what is claimed of a plan', () => {
  it('by every plan, by length, by prices', () => {
    expect(claimOf(planOf([1000, 1000, 1100]), 'metric')).toMatchObject({
      title: 'No plan with fewer lengths exists',
      text: 'Every plan was looked at.',
      isProved: true,
    })
    expect(claimOf(planOf(Array.from({ length: 30 }, () => 1000)), 'metric').text).toMatch(
      /The pieces need 30000 mm and their cuts/,
    )
    // Two of 1600 never share a length, so that the length alone proves nothing.
    expect(claimOf(planOf(Array.from({ length: 20 }, (_, i) => 1600 + i)), 'metric')).toMatchObject({
      isProved: true,
      text: expect.stringContaining('worth more than 19'),
    })
  })
  it('no more than is proved', () => {
    const open = { ...planOf([1000, 1100]), used: 5, bound: 4, optimal: false }
    expect(claimOf(open, 'metric')).toMatchObject({ title: '5 new lengths; at least 4', isProved: false })
    expect(claimOf({ ...open, optimal: true, used: 0, bound: 0 }, 'metric').title).toBe('No new length is needed')
    expect(claimOf({ ...planOf([1000]), slips: ['x'] }, 'metric').title).toMatch(/^From what lies here/)
  })
})
