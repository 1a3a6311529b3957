import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  barWords,
  cutQuestion,
  cutRows,
  findPlanFault,
  openPieces,
  planCuts,
  plannedRest,
  restOf,
  restsOf,
  slipsOf,
  sumOf,
  takeAnswer,
  trueSum,
  type BenchPiece,
  type BenchPlan,
  type BenchSettings,
  type DoneCut,
  type RackRow,
  type StockRow,
} from '#core/cutting'
import { wrongWithPlan } from '../../tests/cuts'

const piece = (key: string, length: number): BenchPiece => ({
  key,
  name: key,
  length,
  left: null,
  right: null,
  bends: [],
  line: null,
  job: null,
})
const STOCK: StockRow[] = [{ id: 'three', length: 3000, quantity: null }]
const settings = (changes: Partial<BenchSettings> = {}): BenchSettings => ({
  kerf: 0,
  keep: 300,
  prefer: 'longest-left',
  ...changes,
})
let plans = 0
function planned(
  pieces: readonly BenchPiece[],
  {
    stock = STOCK,
    rack = [] as RackRow[],
    before = null as BenchPlan | null,
    done = [] as DoneCut[],
    by = settings(),
  } = {},
): BenchPlan {
  const question = cutQuestion(pieces, stock, rack, before, done, by)
  const answer = planCuts(question)
  if (!answer.ok) throw new Error(answer.error.message)
  expect(wrongWithPlan(question, answer.value)).toEqual([])
  const plan = takeAnswer(`plan-${++plans}`, answer.value, pieces, stock, rack, before, done, by)
  expect(findPlanFault(plan, done)).toBeNull()
  return plan
}
let cuts = 0
const cut = (bar: string, of: string, length: number): DoneCut => ({
  id: `cut-${++cuts}`,
  bar,
  piece: of,
  length,
  at: '',
  by: '',
})

describe('the list of cuts', () => {
  it("marks each cut from the bar's left end, the kerf between", () => {
    const plan = planned([piece('a', 1000), piece('b', 600)], { by: settings({ kerf: 2 }) })
    // By hand: a from 0 to 1000, the saw takes 2, b from 1002 to 1602; 3000 less 1600 less two cuts is 1396.
    expect(cutRows(plan, []).map(({ number, piece: { name }, from, to }) => [number, name, from, to])).toEqual([
      [1, 'a', 0, 1000],
      [2, 'b', 1002, 1602],
    ])
    expect(plannedRest(plan.bars[0]!, plan, [])).toBe(1396)
    expect(plan.first).toEqual({ taken: 3000, pieces: 1600, kept: 1396, scrap: 4 })
  })
  it('goes by what was really cut, within a millimetre of what was wanted', () => {
    const plan = planned([piece('a', 1000), piece('b', 600)])
    const done = [cut(plan.bars[0]!.id, 'a', 1000.8)]
    expect(cutRows(plan, done).map(({ to, done: made, isSlip }) => [to, made !== null, isSlip])).toEqual([
      [1000.8, true, false],
      [1600.8, false, false],
    ])
    expect(openPieces(plan.pieces, done).map(({ key }) => key)).toEqual(['b'])
    expect(openPieces(plan.pieces, [cut(plan.bars[0]!.id, 'a', 1001.2)]).map(({ key }) => key)).toEqual(['a', 'b'])
  })
})

describe('a wrong cut', () => {
  const pieces = [piece('a', 1275), piece('b', 870), piece('c', 191)]
  const first = planned(pieces)
  const done = [cut(first.bars[0]!.id, 'a', 1210)]
  it('lies there as a piece of its own; the piece is wanted again and the rest planned from what there is', () => {
    const question = cutQuestion(pieces, STOCK, [], first, done, settings())
    // 3000 less 1210 is on the bar, the slip beside it.
    expect(question.stock).toEqual([
      { id: first.bars[0]!.id, length: 1790, quantity: 1, offcut: true },
      { id: done[0]!.id, length: 1210, quantity: 1, offcut: true },
      { id: 'three', length: 3000 },
    ])
    const plan = planned(pieces, { before: first, done })
    // b and c come out of the slip, a out of the bar: no new length.
    expect(plan.used).toBe(1)
    expect(plan.bars.map(({ from, pieces: own }) => [from, own])).toEqual([
      ['new', ['a']],
      ['slip', ['b', 'c']],
    ])
    expect(plan.slips).toEqual([done[0]!.id])
    expect(plan.first).toEqual(first.first)
    expect(barWords(plan.bars[1]!, plan, [])).toBe('wrong cut')
  })
  it('that is only too long is trimmed to the piece it was meant for', () => {
    const long = [cut(first.bars[0]!.id, 'a', 1290)]
    const plan = planned(pieces, { before: first, done: long })
    expect(plan.bars.find(({ from }) => from === 'slip')?.pieces ?? plan.bars[0]!.pieces).toContain('a')
    expect(plan.used).toBe(1)
  })
  it('counts as scrap where nothing comes out of it and it is not kept', () => {
    const plan = planned([piece('a', 2900)])
    const slip = [cut(plan.bars[0]!.id, 'a', 2890)]
    const again = planned([piece('a', 2900)], { before: plan, done: slip })
    expect(again.used).toBe(2)
    // 6000 taken, 2900 cut; the slip of 2890 is kept, 110 and 100 are not.
    expect(sumOf(again, slip)).toEqual({ taken: 6000, pieces: 2900, kept: 2890, scrap: 210 })
    const all = [...slip, cut(again.bars[1]!.id, 'a', 2900)]
    expect(restsOf(again, all).map(({ of, length }) => [of, length])).toEqual([
      ['bar', 110],
      ['bar', 100],
      ['slip', 2890],
    ])
    expect(trueSum(again, all, 0)).toEqual({ taken: 6000, pieces: 2900, kept: 0, scrap: 3100 })
  })
})

describe('a bench of any pieces, cut with slips', () => {
  it('ends with every piece once, no bar overfull, and a sum that closes', () => {
    const length = fc.integer({ min: 120, max: 1800 })
    const slip = fc.record({ at: fc.nat(20), by: fc.integer({ min: -80, max: 80 }).filter((by) => Math.abs(by) > 1) })
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 12 }),
        fc.array(fc.integer({ min: 300, max: 2200 }), { maxLength: 2 }),
        fc.constantFrom(0, 2),
        fc.array(slip, { maxLength: 3 }),
        (lengths, offcuts, kerf, slips) => {
          const pieces = lengths.map((own, i) => piece(`p${i}`, own))
          const rack = offcuts.map((own, i) => ({ id: `rack-${i}`, length: own }))
          const by = settings({ kerf })
          let plan = planned(pieces, { rack, by })
          const begun = plan.first
          const done: DoneCut[] = []
          for (let n = 0; ; n++) {
            const next = cutRows(plan, done).find((row) => row.done === null)
            if (!next) break
            const wrong = slips.find(({ at }) => at === n)
            const came = wrong
              ? Math.min(Math.max(10, next.length + wrong.by), restOf(next.bar, done, kerf))
              : next.length
            done.push(cut(next.bar.id, next.piece.key, came))
            if (slipsOf(plan, done).some(({ id }) => !plan.slips.includes(id)))
              plan = planned(pieces, { rack, before: plan, done, by })
          }
          expect(openPieces(plan.pieces, done)).toEqual([])
          expect(plan.first).toEqual(begun)
          for (const { key, length: wanted } of pieces)
            expect(done.filter((one) => one.piece === key && Math.abs(one.length - wanted) <= 1)).toHaveLength(1)
          const rests = restsOf(plan, done)
          const sum = trueSum(
            plan,
            done,
            rests.reduce((all, rest) => (rest.length >= 300 ? all + rest.length : all), 0),
          )
          expect(sum.pieces + sum.kept + sum.scrap).toBeCloseTo(sum.taken, 6)
          // All that is not a piece, kept or a short rest was taken by the cuts.
          const lost = sum.scrap - rests.reduce((all, rest) => (rest.length < 300 ? all + rest.length : all), 0)
          expect(lost).toBeGreaterThanOrEqual(-1e-6)
          expect(lost).toBeLessThanOrEqual(done.length * kerf + 1e-6)
        },
      ),
      { numRuns: 80, seed: 20261126 },
    )
  }, 60_000)
})

describe('a plan that does not hold', () => {
  const plan = planned([piece('a', 1000), piece('b', 600)])
  const [bar] = plan.bars
  it.each<[string, BenchPlan]>([
    ['a piece in no bar', { ...plan, bars: [{ ...bar!, pieces: ['a'] }] }],
    ['a piece in two bars', { ...plan, bars: [bar!, { ...bar!, id: 'other' }] }],
    ['two bars of one name', { ...plan, bars: [bar!, { ...bar!, pieces: [] }] }],
    ['a piece that is not among its pieces', { ...plan, bars: [{ ...bar!, pieces: ['a', 'b', 'x'] }] }],
    [`bar ${bar!.id} overfull`, { ...plan, bars: [{ ...bar!, length: 1500 }] }],
    ['two pieces of one name', { ...plan, pieces: [...plan.pieces, piece('a', 5)] }],
  ])('is told: %s', (fault, wrong) => expect(findPlanFault(wrong, [])).toBe(fault))
})
