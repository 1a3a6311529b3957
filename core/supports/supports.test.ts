import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe, PIPES, SUPPORT_CODES, spacingOf, type SupportCode } from '#core/catalogue'
import {
  answerFix,
  armsOf,
  checkSupports,
  CLEAR_OD,
  expansionOf,
  fixContext,
  fixPipe,
  stepOf,
  type FixAnswer,
  type FixContext,
  type FixQuestion,
} from '#core/supports'

const fix = (question: Partial<FixQuestion> & Pick<FixQuestion, 'pipe' | 'legs'>): FixAnswer => {
  const answer = fixPipe({ region: 'gb', service: 'cold', temperature: 20, installedAt: 20, ...question })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const contextOf = (question: Partial<FixQuestion> & Pick<FixQuestion, 'pipe' | 'legs'>): FixContext => {
  const made = fixContext({ region: 'gb', service: 'cold', temperature: 20, installedAt: 20, ...question })
  if (!made.ok) throw new Error(made.error.message)
  return made.value
}

describe('distances of the codes', () => {
  // From the codes' own tables: IPC 308.5, UPC 313.3, BS 8558, EN practice for multilayer.
  it.each<[SupportCode, string, number | null, number | null]>([
    ['ipc', 'cu-l-3_4', 1829, 3048],
    ['ipc', 'cu-l-1-1_2', 3048, 3048],
    ['irc', 'pex-cts-1_2', 813, 3048],
    ['ipc', 'pex-cts-1-1_4', 1219, 3048],
    ['ipc', 'ml-astm-1_2', 813, 1219],
    ['ipc', 'cpvc-cts-3_4', 914, 3048],
    ['ipc', 'pvc-40-1', 1219, 3048],
    ['ipc', 'st-40-3_4', 3658, 4572],
    ['upc', 'cu-l-1-1_2', 1829, 3048],
    ['upc', 'pex-cts-1_2', 813, null],
    ['upc', 'ml-astm-1_2', 2489, null],
    ['upc', 'st-40-3_4', 3048, 7620],
    ['upc', 'cpvc-cts-3_4', 914, null],
    ['gb', 'cu-en-x-15', 1200, 1800],
    ['gb', 'cu-en-x-22', 1800, 2400],
    ['gb', 'cu-en-x-28', 1800, 2400],
    ['gb', 'bs7291-15', 300, 500],
    ['gb', 'bs7291-22', 500, 800],
    ['gb', 'bs7291-28', 800, 1000],
    ['gb', 'pe-en-25', 600, 1200],
    ['en', 'ml-en-20', 1300, 1700],
    ['en', 'ml-en-16', 1200, 1550],
    ['gb', 'ss-en-22', 1800, 2400],
  ])('%s %s: %s across, %s up', (code, pipe, horizontal, vertical) =>
    expect(spacingOf(code, getPipe(pipe))).toMatchObject({ horizontal, vertical }),
  )
  it("of another country's size are those of the next smaller outside diameter, and say so", () => {
    expect(spacingOf('ipc', getPipe('cu-en-x-22'))).toMatchObject({
      horizontal: 1829,
      source: expect.stringContaining('IPC'),
    })
    // 35 is over 1-1/4 in (34.925) and under 1-1/2: the shorter distance.
    expect(spacingOf('ipc', getPipe('cu-en-x-35'))).toMatchObject({
      horizontal: 1829,
      source: expect.stringContaining('next smaller'),
    })
    expect(spacingOf('gb', getPipe('cu-l-3_4'))).toMatchObject({
      horizontal: 1800,
      source: expect.stringContaining('by its row for 22'),
    })
    expect(spacingOf('en', getPipe('cu-en-x-22'))!.source).toContain('no European ones are held')
  })
  it('are none where the code has no row', () => {
    expect(spacingOf('upc', getPipe('ss-en-22'))).toBeNull()
    const answer = fix({ pipe: 'pert-cts-1_2', code: 'gb', legs: [{ length: 2000, run: 'horizontal' }] })
    expect(answer).toMatchObject({ spacing: { horizontal: null, vertical: null }, supports: [] })
    expect(answer.rules.find(({ code }) => code === 'no-row')!.text).toContain("maker's sheet")
    // The maker's own distance wins.
    expect(
      fix({ pipe: 'pert-cts-1_2', code: 'gb', given: { horizontal: 500 }, legs: [{ length: 2000, run: 'horizontal' }] })
        .supports,
    ).toHaveLength(4)
  })
})

const legs = fc
  .array(
    fc.record({
      length: fc.double({ min: 20, max: 12_000, noNaN: true }),
      run: fc.constantFrom('horizontal' as const, 'vertical' as const),
      shares: fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.boolean()), { maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((list) =>
    list.map(({ length, run, shares }) => ({
      length,
      run,
      joints: shares.filter(([, isJoint]) => isJoint).map(([share]) => share * length),
      bends: shares.filter(([, isJoint]) => !isJoint).map(([share]) => share * length),
    })),
  )
const pipes = fc.constantFrom(
  ...PIPES.filter((pipe) => SUPPORT_CODES.some((code) => spacingOf(code, pipe))).map(({ id }) => id),
)
const code = fc.constantFrom(...SUPPORT_CODES)

describe('supports of any legs', () => {
  it('break no distance of the code, stand on no joint and no bend, or say where there is no room', () => {
    fc.assert(
      fc.property(pipes, code, legs, fc.integer({ min: -20, max: 90 }), (pipe, by, on, temperature) => {
        const question = { pipe, code: by, legs: on, temperature, installedAt: 12 }
        const context = contextOf(question)
        const answer = answerFix(context)
        const told = new Set(
          answer.rules.filter((rule) => rule.code === 'no-room' || rule.code === 'too-short').map(({ leg }) => leg),
        )
        for (const broken of checkSupports(context, answer.supports)) {
          expect(['far-end', 'too-wide'], JSON.stringify(broken)).toContain(broken.code)
          expect(told, JSON.stringify(broken)).toContain(broken.leg)
        }
        on.forEach((leg, index) => {
          const own = answer.supports.filter((support) => support.leg === index)
          const { od } = getPipe(pipe)
          // Measured here anew, without the engine's own blocks: two diameters of each joint and corner stay free.
          for (const { at } of own)
            for (const place of [...leg.joints, ...leg.bends])
              expect(Math.abs(at - place)).toBeGreaterThanOrEqual(CLEAR_OD * od - 1e-6)
          const step = stepOf(context, index)
          if (step === null || told.has(index)) return
          const places = [-step / 2, ...own.map(({ at }) => at), leg.length + step / 2]
          for (let i = 1; i < places.length; i++) expect(places[i]! - places[i - 1]!).toBeLessThanOrEqual(step + 1e-6)
        })
      }),
      { numRuns: 400 },
    )
  })
  it('are as few as the distance allows on a bare leg: one for each begun length', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 30_000, noNaN: true }), (length) => {
        const n = fix({ pipe: 'cu-en-x-22', legs: [{ length, run: 'horizontal' }] }).supports.length
        expect(n).toBe(Math.max(1, Math.ceil(length / 1800 - 1e-9)))
      }),
    )
  })
  it('are never fewer by a stricter code', () => {
    fc.assert(
      fc.property(pipes, legs, code, code, (pipe, on, one, other) => {
        const [a, b] = [contextOf({ pipe, code: one, legs: on }), contextOf({ pipe, code: other, legs: on })]
        const isStricter = on.every(
          (_, leg) =>
            (stepOf(a, leg) ?? 0) <= (stepOf(b, leg) ?? 0) && stepOf(a, leg) !== null && stepOf(b, leg) !== null,
        )
        const [few, many] = [answerFix(b), answerFix(a)]
        fc.pre(isStricter && ![...few.rules, ...many.rules].some((rule) => rule.code === 'no-room'))
        expect(many.supports.length).toBeGreaterThanOrEqual(few.supports.length)
      }),
      { numRuns: 200 },
    )
  })
  it('are guided half way where the code asks it of plastic going up, and by the storey where it gives no length', () => {
    const up = (by: SupportCode) =>
      fix({ pipe: 'pex-cts-1_2', region: 'us', code: by, legs: [{ length: 3000, run: 'vertical' }] })
    expect(up('ipc').supports.map(({ kind }) => kind)).toEqual(['clip', 'guide'])
    expect(up('upc').spacing.vertical).toBeNull()
    expect(up('upc').supports.map(({ at }) => Math.round(at))).toEqual([0, 1500, 3000])
    expect(up('upc').rules.map((rule) => rule.code)).toContain('storey')
  })
  it('are none on a leg shorter than its clearances, which is said', () => {
    const answer = fix({ pipe: 'cu-en-x-22', legs: [{ length: 80, run: 'horizontal', joints: [0, 80] }] })
    expect(answer.supports).toEqual([])
    expect(answer.rules.find((rule) => rule.code === 'too-short')!.text).toMatch(/Leg 1 is 80 mm long/)
  })
})

describe('growth', () => {
  // By hand: 0.0168 x 10 m x 50 K = 8.4; 61 x sqrt(22 x 8.4) = 829.2. Multilayer of the picture: 3.289 x 0.025 x 61 =
  // 5.016.
  it.each<[string, number, number, number, number | null]>([
    ['cu-en-x-22', 10_000, 70, 8.4, 829.2],
    ['ml-en-20', 3289, 81, 5.0157, 33 * Math.sqrt(20 * 5.0157)],
    ['pex-cts-1_2', 10_000, 70, 90, 12 * Math.sqrt(15.875 * 90)],
    ['pert-cts-1_2', 10_000, 70, 90, null],
    ['cu-en-x-22', 10_000, 0, -3.36, 61 * Math.sqrt(22 * 3.36)],
  ])('%s, %s mm at %s degC: %s, arm %s', (pipe, length, temperature, change, arm) => {
    const [only] = fix({ pipe, temperature, legs: [{ length, run: 'horizontal' }] }).expansion
    expect(only!.change).toBeCloseTo(change, 3)
    if (arm === null) expect(only!.arm).toBeNull()
    else expect(only!.arm).toBeCloseTo(arm, 1)
  })
  it('is nothing at the temperature it was fixed at, and changes sign across it', () => {
    fc.assert(
      fc.property(
        pipes,
        fc.double({ min: 100, max: 20_000, noNaN: true }),
        fc.double({ min: -20, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        (pipe, length, installedAt, by) => {
          const at = (temperature: number) =>
            expansionOf({
              question: {
                region: 'gb',
                pipe,
                service: 'hot',
                temperature,
                installedAt,
                legs: [{ length, run: 'horizontal' }],
              },
              pipe: getPipe(pipe),
            })[0]!
          expect(at(installedAt)).toMatchObject({ change: 0 })
          expect(at(installedAt + by).change).toBeGreaterThan(0)
          expect(at(installedAt - by).change).toBeCloseTo(-at(installedAt + by).change, 9)
          const { arm, lo, hi } = at(installedAt + by)
          if (arm !== null) expect([lo! <= arm + 1e-9, hi! >= arm - 1e-9]).toEqual([true, true])
        },
      ),
    )
  })
  it('has one anchor on a leg that moves, the rest slide; a still leg has clips', () => {
    const kinds = (temperature: number) =>
      fix({
        pipe: 'cu-en-x-22',
        service: 'hot',
        temperature,
        legs: [{ length: 6000, run: 'horizontal' }],
      }).supports.map(({ kind }) => kind)
    expect(kinds(20)).toEqual(['clip', 'clip', 'clip', 'clip'])
    expect(kinds(65)).toEqual(['guide', 'anchor', 'guide', 'guide'])
  })
  it('keeps the arm of a corner free where the code lets it, and says where it is short', () => {
    const question = {
      pipe: 'cu-en-x-22',
      service: 'heating' as const,
      temperature: 75,
      installedAt: 14,
      legs: [
        { length: 6000, run: 'horizontal' as const, bends: [6000] },
        { length: 2000, run: 'horizontal' as const, bends: [0] },
      ],
    }
    const context = contextOf(question)
    const answer = answerFix(context)
    for (const arm of armsOf(context, answer.supports, answer.expansion))
      if (arm.across === 1) expect(arm.has).toBeGreaterThanOrEqual(Math.min(arm.needs, 900) - 1e-6)
    // Clips at 150 from the elbow lock it: the other school.
    const stiff = armsOf(
      context,
      [...answer.supports.filter(({ leg }) => leg === 0), { leg: 1, at: 150, kind: 'clip' }],
      answer.expansion,
    )
    expect(stiff.find(({ across }) => across === 1)).toMatchObject({ has: 150 })
    expect(
      fix({
        ...question,
        legs: [
          { length: 20_000, run: 'horizontal' },
          { length: 600, run: 'horizontal' },
        ],
      }).rules.find((rule) => rule.code === 'arm-short')!.text,
    ).toMatch(/Leg 1 grows [\d.]+ mm at its end: leg 2 wants [\d.]+ mm free there and has [\d.]+ mm/)
  })
})

describe('advice', () => {
  const codes = (question: Partial<FixQuestion> & { pipe: string }) =>
    fix({ legs: [{ length: 3000, run: 'horizontal' }], ...question }).rules.map((rule) => rule.code)
  it.each<[string, Partial<FixQuestion> & { pipe: string }, Partial<FixQuestion> & { pipe: string }]>([
    ['habit', { pipe: 'pex-cts-1_2', region: 'us' }, { pipe: 'cu-l-1_2', region: 'us' }],
    ['earth', { pipe: 'cu-en-x-22' }, { pipe: 'bs7291-22' }],
    ['frost', { pipe: 'cu-en-x-22', temperature: -5 }, { pipe: 'cu-en-x-22' }],
    ['slides', { pipe: 'cu-en-x-22', temperature: 70 }, { pipe: 'cu-en-x-22' }],
    [
      'no-arm',
      { pipe: 'pert-cts-1_2', region: 'us', temperature: 60 },
      { pipe: 'pex-cts-1_2', region: 'us', temperature: 60 },
    ],
  ])('%s stands with its condition and only then', (name, withIt, without) => {
    expect(codes(withIt)).toContain(name)
    expect(codes(without)).not.toContain(name)
  })
})

describe('odd questions', () => {
  const question = (legs: FixQuestion['legs'], given?: FixQuestion['given']): FixQuestion => ({
    region: 'gb',
    pipe: 'cu-en-x-15',
    service: 'hot',
    temperature: 60,
    installedAt: 10,
    legs,
    ...(given ? { given } : {}),
  })
  it('a leg without a name, or with an empty one, goes by its number', () => {
    for (const name of [undefined, '', '  ']) {
      const answer = fixPipe(question([{ name, length: 20, run: 'horizontal', joints: [10] }]))
      expect(answer.ok && answer.value.rules.find(({ code }) => code === 'too-short')!.text).toMatch(
        /^Leg 1 is 20 mm long/,
      )
    }
  })
  it('distances that no maker prints, and more supports than a line has, are named as wrong', () => {
    expect(fixPipe(question([{ length: 1000, run: 'horizontal' }], { horizontal: 0.001 }))).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'given.horizontal' },
    })
    expect(fixPipe(question([{ length: 1000, run: 'vertical' }], { vertical: 49 }))).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'given.vertical' },
    })
    expect(
      fixPipe(
        question(
          Array.from({ length: 20 }, () => ({ length: 100_000, run: 'horizontal' as const })),
          { horizontal: 50 },
        ),
      ),
    ).toMatchObject({ ok: false, error: { code: 'too-many', path: 'legs' } })
    expect(fixPipe(question([{ length: 1000, run: 'horizontal' }], { horizontal: 50 }))).toMatchObject({ ok: true })
  })
})
