import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe } from '#core/catalogue'
import { surveyLine } from '#core/line'
import { draftRun } from '#core/run'
import { CLEAR_OD, fixLine, holdLine, type LineToHold } from '#core/supports'

type Spoken = Partial<Omit<LineToHold, 'draft' | 'survey'>> & { pipe?: string; legs: string[]; walls?: string[] }

/** A line as it is typed, laid and ready to be held: 22 copper with elbows where nothing else is said. */
function toHold({ pipe = 'cu-en-x-22', legs, walls = [], ...rest }: Spoken): LineToHold {
  const head = { region: 'gb', pipe, method: 'solder', corners: 'fittings', start: 'free' } as const
  const draft = draftRun({ ...head, walls: [...walls] }, legs, { bender: undefined, kit: {} })
  const survey = draft.question ? surveyLine(draft.question) : null
  if (!survey?.ok) throw new Error('the line cannot be laid')
  return {
    region: 'gb',
    service: 'cold',
    temperature: 20,
    installedAt: 20,
    set: {},
    draft,
    survey: survey.value,
    ...rest,
  }
}

const WAYS = ['e', 'u', 'n'] as const
/** Legs that turn at every corner, so that elbows stand there. */
const lines = fc
  .array(fc.integer({ min: 300, max: 6000 }), { minLength: 1, maxLength: 5 })
  .map((lengths) => lengths.map((mm, i) => `${WAYS[i % WAYS.length]} ${mm}${i === lengths.length - 1 ? ' free' : ''}`))

describe('a line that is held', () => {
  it('has its supports in order along it, on their legs, each with a key of its own', () => {
    fc.assert(
      fc.property(lines, (legs) => {
        const line = toHold({ legs })
        const { supports } = holdLine(line)
        expect(new Set(supports.map(({ key }) => key)).size).toBe(supports.length)
        supports.forEach(({ leg, at }, i) => {
          expect(at).toBeGreaterThanOrEqual(0)
          expect(at).toBeLessThanOrEqual(line.survey.laid[leg]!.length)
          const last = supports[i - 1]
          if (last) expect(leg > last.leg || (leg === last.leg && at > last.at)).toBe(true)
        })
      }),
      { numRuns: 60 },
    )
  })
  it('holds every leg that has room clear of its joints, nearest to none of them', () => {
    fc.assert(
      fc.property(lines, (legs) => {
        const line = toHold({ legs })
        const { supports, groups } = holdLine(line)
        const clear = CLEAR_OD * getPipe('cu-en-x-22').od
        for (const { context, legs: own } of groups)
          context.question.legs.forEach(({ joints = [] }, i) => {
            for (const { leg, at } of supports)
              if (leg === own[i])
                for (const joint of joints) expect(Math.abs(at - joint)).toBeGreaterThanOrEqual(clear - 1e-6)
          })
        for (const { index, length } of line.survey.laid)
          if (length > 1000) expect(supports.filter(({ leg }) => leg === index).length).toBeGreaterThan(0)
      }),
      { numRuns: 60 },
    )
  })
  it('keeps what the hand set, wherever that is, and leaves all others', () => {
    fc.assert(
      fc.property(lines, fc.nat(), fc.integer({ min: 0, max: 6000 }), (legs, which, mm) => {
        const before = holdLine(toHold({ legs })).supports
        const chosen = before[which % Math.max(1, before.length)]
        fc.pre(chosen !== undefined)
        const set = { [chosen.key]: { mm, at: '2026-11-26T09:00:00.000Z' } }
        const after = holdLine(toHold({ legs, set })).supports
        const held = after.find(({ key }) => key === chosen.key)!
        expect(held).toMatchObject({
          at: mm,
          fixedAt: '2026-11-26T09:00:00.000Z',
          isMoved: Math.abs(mm - chosen.at) > 0.05,
        })
        for (const other of before)
          if (other.key !== chosen.key)
            expect(after.find(({ key }) => key === other.key)).toMatchObject({
              at: other.at,
              isMoved: false,
              fixedAt: null,
            })
      }),
      { numRuns: 60 },
    )
  })
  it('may sit anywhere it says, and there breaks nothing that did not break before', () => {
    fc.assert(
      fc.property(lines, fc.nat(), fc.double({ min: 0, max: 1, noNaN: true }), (legs, which, share) => {
        const { supports } = holdLine(toHold({ legs }))
        const chosen = supports[which % Math.max(1, supports.length)]
        fc.pre(chosen?.may != null)
        const mm = chosen.may.from + share * (chosen.may.to - chosen.may.from)
        const broken = (line: LineToHold) =>
          holdLine(line).supports.flatMap((one) => one.broken.map(({ code }) => code))
        expect(broken(toHold({ legs, set: { [chosen.key]: { mm, at: null } } })).length).toBeLessThanOrEqual(
          broken(toHold({ legs })).length,
        )
      }),
      { numRuns: 60 },
    )
  })
  it('is numbered along, and its places on the pieces are those of the strips', () => {
    fc.assert(
      fc.property(lines, (legs) => {
        const { supports, tubes } = fixLine(toHold({ legs }))
        expect(supports.map(({ name }) => name)).toEqual(supports.map((_, i) => `S${i + 1}`))
        for (const { piece } of tubes) {
          const clips = piece.marks.filter(({ what }) => what === 'clip').map(({ at }) => at)
          expect(supports.filter((one) => one.piece === piece.id).flatMap(({ fromLeft }) => fromLeft ?? [])).toEqual(
            clips,
          )
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('a line that warms', () => {
  const hot = { service: 'heating', temperature: 75, installedAt: 15 } as const
  it('grows with its length and with the degrees it warms', () => {
    const grows = (mm: number, temperature: number) =>
      fixLine(toHold({ legs: [`e ${mm} free`], ...hot, temperature })).expansion.reduce(
        (sum, { change }) => sum + change,
        0,
      )
    // By hand: 10 m of copper by 60 K at 0.0168 mm/(m K) is 10.08 mm.
    expect(grows(10_000, 75)).toBeCloseTo(10.08, 2)
    expect(grows(20_000, 75)).toBeCloseTo(2 * grows(10_000, 75), 6)
    expect(grows(10_000, 45)).toBeCloseTo(grows(10_000, 75) / 2, 6)
    expect(grows(10_000, 15)).toBe(0)
    expect(grows(10_000, 5)).toBeLessThan(0)
  })
  it('is said to be held by a wall that it moves through, and by none beside its way', () => {
    const codes = (walls: string[], more = {}) =>
      fixLine(toHold({ legs: ['e 6000 free'], walls, ...hot, ...more })).rules.map(({ code }) => code)
    expect(codes(['e 2000 100'])).toContain('wall-stops')
    expect(codes(['e 6500 100'])).not.toContain('wall-stops')
    expect(codes(['n 2000 100'])).not.toContain('wall-stops')
    expect(codes(['e 2000 100'], { temperature: 15 })).not.toContain('wall-stops')
  })
  it('moves a branch by what it grows to there, and not one in its own line', () => {
    const codes = (legs: string[]) => fixLine(toHold({ legs, ...hot })).rules.map(({ code }) => code)
    expect(codes(['e 10000 tee', 'n 400 on 15 free', 'from b e 3000 free'])).toContain('branch-arm')
    expect(codes(['e 600 tee', 'n 2500 on 15 free', 'from b e 600 free'])).not.toContain('branch-arm')
  })
  it('says each thing once', () => {
    fc.assert(
      fc.property(lines, (legs) => {
        const said = fixLine(toHold({ legs, ...hot })).rules.map(({ code, text }) => `${code} ${text}`)
        expect(new Set(said).size).toBe(said.length)
      }),
      { numRuns: 40 },
    )
  })
})
