import { describe, expect, it } from 'vitest'
import { getPipe } from '#core/catalogue'
import { planLine } from '#core/line'
import { draftRun, GUIDES, readFields, type GuideAnswer, type GuideContext } from '#core/run'

const GB: GuideContext = { region: 'gb', pipe: getPipe('cu-en-x-22'), method: 'solder', bender: { radius: 77 } }
const work = (id: string, typed: Record<string, string>, context: GuideContext = GB) => {
  const guide = GUIDES.find((one) => one.id === id)!
  const values = readFields(
    guide,
    { ...Object.fromEntries(guide.fields.map((field) => [field.name, field.usual(context)])), ...typed },
    context,
  )
  return values.ok ? guide.work(values.value, context) : values
}
const answer = (id: string, typed: Record<string, string> = {}, context: GuideContext = GB): GuideAnswer => {
  const worked = work(id, typed, context)
  if (!worked.ok) throw new Error(worked.error.message)
  return worked.value
}
const figure = (given: GuideAnswer, words: string) => given.figures.find((one) => one.words.includes(words))!.value

describe('a tee into a fixed line', () => {
  // 22 solder: take-out 13, depth 15.4, typical slip coupling 33. With play: 26 out. Nothing moves: (33 - 1) / 2 = 16 on
  // all four ends, 15.4 + 10 + 16 = 41.4 each stub, 26 + 2 x 42.4 = 110.8 out.
  it('goes in alone where there is play for it, else with slip couplings', () => {
    const free = { along: 'free', aside: 'free' }
    expect(figure(answer('tee-in', free), 'cut out')).toBeCloseTo(26, 9)
    expect(answer('tee-in', free).cautions.map(({ code }) => code)).not.toContain('slip')
    const fixed = answer('tee-in')
    expect(figure(fixed, 'cut out')).toBeCloseTo(110.8, 9)
    expect(figure(fixed, 'mark on stub')).toBeCloseTo(16, 9)
    expect(fixed.cautions.map(({ code }) => code)).toEqual(expect.arrayContaining(['slip', 'slip-short', 'earth-path']))
    // One that is long enough: 15.4 + 1.5 under it, (60 - 16.9) / 2 = 21.55; 15.4 + 10 + 21.55 = 46.95.
    const long = answer('tee-in', { slip: '60' })
    expect(figure(long, 'stub piece')).toBeCloseTo(46.95, 9)
    expect(figure(long, 'cut out')).toBeCloseTo(26 + 46.95 + 16.9, 9)
  })
  it('shows every move in its order, each with where everything stands after it', () => {
    const { assembly, steps } = answer('tee-in', { slip: '60' })
    expect(assembly!.places).toHaveLength(assembly!.moves.length + 1)
    expect(steps.slice(-assembly!.moves.length)).toEqual(assembly!.moves.map(({ words }) => `${words}.`))
  })
  it('takes a branch of a smaller size, and says what to ask for', () => {
    const small = answer('tee-in', { branch: '15' })
    expect(small.line).toMatchObject({ pipe: 'cu-en-x-15', start: 'free' })
    expect(small.cautions.find(({ code }) => code === 'reducing')!.text).toContain('22 x 22 x 15')
    expect(work('tee-in', { branch: '28' })).toMatchObject({ ok: false, error: { path: 'branch' } })
  })
  it('says what else there is where the method has no coupling without a stop', () => {
    const pex = { ...GB, region: 'us' as const, pipe: getPipe('pex-cts-3_4'), method: 'crimp' as const }
    expect(answer('tee-in', { slip: '' }, pex).cautions[0]!.code).toBe('no-slip')
  })
  it('asks for a measured tee where none is held', () => {
    const open = answer('tee-in', {}, { ...GB, pipe: getPipe('ml-en-25'), method: 'ml-press' })
    expect(open.figures).toEqual([])
    expect(open.cautions[0]!.code).toBe('measure')
    const kit = {
      measured: [{ method: 'ml-press' as const, nominal: '25', fitting: 'tee', insertion: 22, takeOut: 18 }],
    }
    expect(
      figure(
        answer(
          'tee-in',
          { along: 'free', aside: 'free' },
          { ...GB, pipe: getPipe('ml-en-25'), method: 'ml-press', kit },
        ),
        'cut out',
      ),
    ).toBe(36)
  })
})

describe('what is kept of a task', () => {
  it('is the coupling, and the stub: with 78 and 22 copper, 65 long over a gap of 24', () => {
    const kit = {
      measured: [{ method: 'press' as const, nominal: '22', fitting: 'tee, run', insertion: 22.5, takeOut: 17 }],
    }
    const tee = answer('tee-in', { along: '0', aside: '0', slip: '78' }, { ...GB, method: 'press', kit })
    expect(tee.keep?.slips).toEqual({ length: 78, gap: 24, count: 1 })
    // Into the tee, bare, and half of what the coupling leaves: 22.5 + bare + 27.
    expect(tee.keep?.pieces.count).toBe(1)
    expect(tee.keep?.pieces.length).toBeCloseTo(figure(tee, 'stub piece')!, 9)
    expect(answer('tee-in', { along: 'free', aside: 'free' }, { ...GB, method: 'press', kit }).keep).toBeUndefined()
    const repair = answer('repair', { bad: '100' })
    expect([repair.keep?.slips.count, repair.keep?.pieces.length]).toEqual([2, figure(repair, 'new piece')])
  })
})

describe('the other guides, by hand', () => {
  it('repair: 100 out, piece 98, couplings of 33: marks of 16', () => {
    const repair = answer('repair', { bad: '100' })
    expect([figure(repair, 'cut out'), figure(repair, 'new piece'), figure(repair, 'mark on all')]).toEqual([
      100,
      98,
      expect.closeTo(16, 9),
    ])
    // A bad spot shorter than two couplings is cut out as long as they need: 2 x 16 + 10, and 1 at each end.
    expect(figure(answer('repair', { bad: '10' }), 'cut out')).toBeCloseTo(44, 9)
  })
  it('outdoor tap: 110 + 50 + 110 and 50 into the warm is 320; falls 10.7', () => {
    const tap = answer('outdoor-tap')
    expect([figure(tap, 'stem'), figure(tap, 'hole'), figure(tap, 'outside lower')]).toEqual([
      320,
      30,
      expect.closeTo(10.667, 3),
    ])
    expect(tap.cautions.find(({ code }) => code === 'backflow')!.text).toContain('double check')
    expect(answer('outdoor-tap', {}, { ...GB, region: 'us', pipe: getPipe('cu-l-1_2') }).cautions[0]!.text).toContain(
      'ASSE 1011',
    )
  })
  it('rough-in: centre 900, 150 apart: 825 and 975; a guard where nails reach', () => {
    const rough = answer('rough-in')
    expect([figure(rough, 'hot'), figure(rough, 'cold'), figure(rough, 'stub')]).toEqual([825, 975, 62.5])
    expect(rough.cautions.map(({ code }) => code)).toEqual(['guard'])
    expect(answer('rough-in', { set: '40' }).cautions).toEqual([])
  })
  it('entry: 25 mm PE in a sweep of 625; 6000 + 1050 - 268.25 of pipe; too shallow is refused', () => {
    const pe = { ...GB, pipe: getPipe('pe-en-25'), method: 'pe-compression' as const, bender: undefined }
    const entry = answer('pe-entry', {}, pe)
    expect(figure(entry, 'radius')).toBe(625)
    expect(figure(entry, 'pipe along')).toBeCloseTo(6781.75, 2)
    expect(work('pe-entry', { cover: '300', up: '100' }, pe)).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: 'cover' },
    })
  })
  it('obstacle: 60 + 10 + 11 - 25 is a set of 56; corner 600 - 56 - 31.9 before it', () => {
    const clear = answer('clear')
    expect(figure(clear, 'set')).toBe(56)
    expect(figure(clear, 'first corner')).toBeCloseTo(512.106, 3)
    expect(work('clear', { size: '3' })).toMatchObject({ ok: false, error: { path: 'size' } })
    expect(work('clear', { angle: '90' })).toMatchObject({ ok: false, error: { code: 'impossible', path: 'angle' } })
  })
  it('side by side: 60 apart at 45 move by 24.85 each', () => {
    const side = answer('parallel')
    expect(figure(side, 'move by')).toBeCloseTo(24.853, 3)
    expect(figure(side, 'pipe 3')).toBeCloseTo(449.706, 3)
    expect(work('parallel', { count: '1' })).toMatchObject({ ok: false, error: { path: 'count' } })
  })
  it('wall fitting: 250 aside less two radii of 77 leaves 96', () => {
    expect(figure(answer('wall-fitting'), 'straight')).toBe(96)
    expect(work('wall-fitting', { aside: '150' })).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: 'aside' },
    })
  })
})

describe('every guide', () => {
  const CONTEXTS: GuideContext[] = [
    GB,
    { region: 'us', pipe: getPipe('pex-cts-1_2'), method: 'crimp' },
    { region: 'eu', pipe: getPipe('pe-en-25'), method: 'pe-compression' },
  ]
  it.each(GUIDES.map((guide) => [guide.id]))(
    '%s answers or says why with its usual values, and its line can be drawn',
    (id) => {
      for (const context of CONTEXTS) {
        const worked = work(id, {}, context)
        if (!worked.ok) {
          expect(worked.error.message.length).toBeGreaterThan(20)
          continue
        }
        for (const { working, value } of worked.value.figures)
          if (value !== null) expect(working.at(-1)).toMatchObject({ op: '=', value })
        const { line } = worked.value
        if (!line) continue
        const draft = draftRun(
          {
            region: context.region,
            pipe: context.pipe.id,
            method: context.method,
            corners: line.corners,
            start: line.start,
            walls: [],
          },
          line.legs,
          { bender: context.bender },
        )
        expect(draft.rows.map(({ issue }) => issue)).toEqual(line.legs.map(() => null))
        expect(draft.issues).toEqual([])
        expect(planLine(draft.question!).ok).toBe(true)
      }
    },
  )
  // The outdoor tap and the tee draw a leg on from themselves, of a length that nobody was asked.
  const DRAWN_ON = ['outdoor-tap', 'tee-in']
  it.each(GUIDES.map((guide) => [guide.id]))('%s draws no length as measured that nobody typed', (id) => {
    for (const context of CONTEXTS) {
      const lengths = (isTyped: GuideContext['isTyped']) => {
        const worked = work(id, {}, { ...context, isTyped })
        return worked.ok ? (worked.value.line?.legs ?? []).map((leg) => /^[a-z] ~/.test(leg)) : []
      }
      const none = lengths(() => false)
      expect(none).toEqual(none.map(() => true))
      const all = lengths(() => true)
      expect(all).toEqual(all.map(() => DRAWN_ON.includes(id)))
    }
  })
  it.each(GUIDES.map((guide) => [guide.id, guide.fields[0]!.name] as const))(
    '%s names the field it cannot read',
    (id, field) => {
      expect(work(id, { [field]: 'a few' })).toMatchObject({ ok: false, error: { path: field } })
    },
  )
})
