import { describe, expect, it } from 'vitest'
import { hasThread, PIPES, pipeRating } from '#core/catalogue'
import { findWays, type Conditions, type End, type Policy, type Thread, type Way, type WaysAnswer } from '#core/joints'
import { makeCards, makeJoint } from '#core/making'

const SIZES = ['1/8', '1/4', '3/8', '1/2', '3/4', '1', '1-1/4', '1-1/2', '2'] as const
const end = (thread: Partial<Thread>): End => ({
  thread: { form: 'bspt', size: '1/2', gender: 'male', material: 'brass', ...thread },
})
function ask(a: End, b: End, conditions: Partial<Conditions> = {}, region: 'gb' | 'us' = 'gb'): WaysAnswer {
  const answer = findWays({ region, a, b, conditions })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const codes = ({ cautions }: Way) => cautions.map(({ code }) => code)
const cardsOf = (way: Way, a: End, b: End, region: 'gb' | 'us', policy: Partial<Policy> = {}) =>
  makeCards({ joints: way.joints, parts: way.parts, region, orientation: 'horizontal', a, b, policy })
const stepsOf = (cards: ReturnType<typeof cardsOf>) =>
  cards.flatMap(({ answer }) => (answer.ok ? answer.value.steps.map(({ code }) => code) : ['refused']))

describe('a parallel thread', () => {
  it('seals at its face in every size: no depth, a washer, and card and way say one thing', () => {
    const TUBE = { '3/8': 'cu-en-x-12', '1/2': 'cu-en-x-15', '3/4': 'cu-en-x-22', '1': 'cu-en-x-28' }
    for (const [size, pipe] of Object.entries(TUBE)) {
      const [a, b] = [end({ form: 'bspp', size }), { pipe }]
      const way = ask(a, b).ways.find(({ parts }) => parts[0]!.name.includes('swivel'))!
      expect(way.verdict).toBe('fits')
      expect(way.joints.find(({ on }) => on === 'a')).toMatchObject({ insertion: { value: null, lo: null, hi: null } })
      expect(way.parts).toContainEqual({ kind: 'washer', name: 'flat washer', size: `G ${size}`, quantity: 1 })
      expect(codes(way)).toContain('washer')
      expect(codes(way)).not.toContain('thread-seal')
      const card = cardsOf(way, a, b, 'gb').find(({ joint }) => joint.thread)!.answer
      if (!card.ok) throw new Error(card.error.message)
      expect(card.value.marks).toEqual([])
      expect(card.value.steps.map(({ code }) => code)).not.toContain('tape')
      expect(card.value.steps.map(({ code }) => code)).not.toContain('paste')
      expect(card.value.steps.find(({ code }) => code === 'tighten')!.do).toContain('quarter turn')
      expect(card.value.consumables).toEqual([{ item: `flat washer G ${size}`, quantity: 1, unit: 'piece' }])
    }
  })
  it('is made by the card alone where its form or its flat seat is said', () => {
    for (const said of [{ form: 'bspp' }, { seat: 'flat' }] as const)
      for (const threadSeal of ['tape', 'paste', 'both'] as const) {
        const card = makeJoint({
          method: 'thread',
          nominal: '1/2',
          region: 'gb',
          orientation: 'horizontal',
          policy: { threadSeal },
          ...said,
        })
        expect(card.ok && card.value.steps.map(({ code }) => code)).toEqual(['check', 'assemble', 'tighten'])
      }
    expect(
      makeJoint({ method: 'thread', nominal: '3/4', region: 'gb', orientation: 'horizontal', seat: 'cone' }),
    ).toMatchObject({ ok: false, error: { code: 'impossible', path: 'seat' } })
  })
  it('comes in the sizes of the taper ones', () => {
    for (const size of SIZES) expect(hasThread('bspp', size)).toBe(hasThread('bspt', size))
    expect(hasThread('bspp', '7/8')).toBe(false)
  })
})

describe('the body of a manifold, G 3/4', () => {
  const CONED = ['ml-en-14', 'ml-en-16', 'ml-en-20', 'pex-en-16', 'pex-en-20', 'cu-en-x-15'] as const
  const body = (seat?: Thread['seat']) => end({ form: 'bspp', size: '3/4', ...(seat ? { seat } : {}) })
  const HEATING = { service: 'heating', temperature: 50 } as const
  it.each(CONED)('takes %s by a cone: held until the seat is looked at, right on a cone, never on a flat', (pipe) => {
    const cones = (seat?: Thread['seat']) =>
      ask(body(seat), { pipe, barrier: true }, HEATING).ways.filter(({ joints }) =>
        joints.some((joint) => joint.method === 'cone' && joint.pipe === pipe),
      )
    expect(cones().map(({ verdict, because }) => [verdict, because.map(({ code }) => code)])).toEqual([
      ['held', ['seat']],
    ])
    expect(cones('cone')).toHaveLength(1)
    // Plastic on heating wants its first metre in metal, whatever joins it.
    expect(cones('cone')[0]!.verdict).toBe(pipe.startsWith('cu') ? 'fits' : 'care')
    expect(cones('flat')).toEqual([])
    for (const way of cones('cone')) {
      expect(way.parts.map(({ kind }) => kind)).not.toContain('washer')
      expect(way.joints.find((joint) => joint.pipe === null)).toMatchObject({ method: 'cone', on: 'a' })
      const steps = stepsOf(cardsOf(way, body('cone'), { pipe }, 'gb'))
      expect(steps).not.toContain('tape')
      expect(steps).not.toContain('refused')
    }
  })
  it('with a cone seat takes no washer; nor does a tube that has no such cone, or another size of thread', () => {
    const copper: End = { pipe: 'cu-en-x-22' }
    for (const { joints } of ask(body('cone'), copper, HEATING).ways)
      expect(joints.some(({ thread, method }) => thread?.form === 'bspp' && method !== 'cone')).toBe(false)
    expect(
      ask(end({ form: 'bspp', size: '1/2' }), { pipe: 'ml-en-16' }).ways.flatMap(({ joints }) =>
        joints.map(({ method }) => method),
      ),
    ).not.toContain('cone')
    expect(
      ask(body(), { pipe: 'ml-en-26' }).ways.flatMap(({ joints }) => joints.map(({ method }) => method)),
    ).not.toContain('cone')
  })
})

describe('a male thread and its own female', () => {
  it.each(['npt', 'bspt', 'bspp'] as const)('of %s go straight into each other, without socket and nipple', (form) => {
    for (const [a, b] of [
      [end({ form }), end({ form, gender: 'female' })],
      [end({ form, gender: 'female' }), end({ form })],
    ] as const) {
      const [first] = ask(a, b).ways
      expect(first).toMatchObject({
        parts: form === 'bspp' ? [{ kind: 'washer' }] : [],
        joints: [{ method: 'thread' }],
      })
      expect(first!.verdict).toBe('fits')
      expect(codes(first!)).toContain('turns')
    }
  })
  it('of steel and stainless never touch bare in fresh water: brass stands between', () => {
    const [a, b] = [end({ material: 'galvanised' }), end({ material: 'stainless', gender: 'female' })]
    for (const { parts } of ask(a, b).ways) expect(parts.length).toBeGreaterThan(0)
    expect(ask(a, b, { service: 'heating' }).ways.some(({ parts }) => parts.length === 0)).toBe(true)
  })
  it('of other sizes or forms do not', () => {
    expect(
      ask(end({ form: 'npt' }), end({ form: 'bspt', gender: 'female' })).ways.every(({ parts }) => parts.length > 0),
    ).toBe(true)
    expect(ask(end({}), end({ size: '3/4', gender: 'female' })).ways.every(({ parts }) => parts.length > 0)).toBe(true)
  })
  it('a nipple between two fixed females is held; a union between them is not', () => {
    const answer = ask(end({ gender: 'female' }), end({ gender: 'female' }))
    const nipples = answer.ways.filter(({ parts }) => parts.every(({ name }) => name.endsWith('nipple')))
    expect(nipples.length).toBeGreaterThan(0)
    for (const { verdict, because } of nipples) {
      expect(verdict).toBe('held')
      expect(because.map(({ code }) => code)).toContain('turns')
    }
    // Pipe is turned in itself.
    const pipes = ask({ pipe: 'st-en-1_2' }, { pipe: 'st-en-1_2' }).ways.find(
      ({ parts }) => parts[0]!.name === 'BSP socket',
    )!
    expect(pipes.verdict).not.toBe('held')
    for (const { parts, because } of answer.ways.filter((way) => way.parts.some(({ kind }) => kind === 'union')))
      expect([parts[0]!.name, because.map(({ code }) => code)]).not.toContain('turns')
  })
})

describe('threads of PVC and CPVC', () => {
  const plastics = PIPES.filter(({ family }) => family === 'pvc' || family === 'cpvc')
  it.each(['tape', 'paste', 'both'] as const)(
    'are sealed by tape or a paste for plastic, never both, with %s',
    (threadSeal) => {
      for (const { id, nominal } of plastics.filter((pipe) => ['1/2', '3/4', '1'].includes(pipe.nominal))) {
        const [a, b] = [{ pipe: id }, end({ form: 'npt', size: nominal, gender: 'female' as const })]
        const way = ask(a, b, {}, 'us').ways.find(
          ({ joints, parts }) => parts.length === 1 && joints[0]!.method === 'solvent-cement',
        )!
        expect(codes(way)).toContain('plastic-thread')
        expect(codes(way)).not.toContain('thread-seal')
        const card = cardsOf(way, a, b, 'us', { threadSeal }).find(({ joint }) => joint.thread)!.answer
        if (!card.ok) throw new Error(card.error.message)
        const steps = card.value.steps
        expect(steps.filter(({ code }) => code === 'tape' || code === 'paste')).toHaveLength(1)
        if (threadSeal === 'paste') expect(steps.find(({ code }) => code === 'paste')!.do).toContain('for this plastic')
        expect(steps.find(({ code }) => code === 'tighten')!.do).toMatch(/^Then 1 to 2 turns/)
      }
    },
  )
  it('schedule 80 is threaded at half its pressure; schedule 40 never', () => {
    for (const { id } of PIPES.filter(({ series }) => series === 'pvc-80')) {
      const whole = pipeRating(
        PIPES.find((pipe) => pipe.id === id)!,
        20,
        'hard',
      )
      if (whole.kind !== 'rated') continue
      const female = end({
        form: 'npt',
        size: id.slice('pvc-80-'.length).replace('_', '/'),
        gender: 'female',
        material: 'brass',
      })
      const way = ask({ pipe: id }, female, { pressure: 1 }, 'us').ways.find((one) => one.id.endsWith('cut.a'))!
      expect(way.margin.bar).toBeCloseTo(whole.bar / 2 - 1, 9)
      expect(codes(way)).toContain('threaded-half')
      const over = ask({ pipe: id }, female, { pressure: whole.bar / 2 + 0.001 }, 'us')
      expect(over.refused).toContainEqual(expect.objectContaining({ method: 'thread', on: 'a', code: 'rating' }))
      expect(over.ways.some((one) => one.id.endsWith('cut.a'))).toBe(false)
    }
    const thin = ask({ pipe: 'pvc-40-3_4' }, end({ form: 'npt', size: '3/4', gender: 'female' }), {}, 'us')
    expect(thin.refused.find(({ method, on }) => method === 'thread' && on === 'a')).toMatchObject({
      code: 'family',
      reason: expect.stringContaining('too thin'),
    })
  })
  it('a plastic female takes a plastic male and nothing of metal', () => {
    const female = end({ form: 'npt', size: '3/4', gender: 'female', material: 'plastic' })
    for (const pipe of ['cu-l-3_4', 'pex-cts-3_4', 'st-40-3_4'])
      expect(ask({ pipe }, female, {}, 'us').ways, pipe).toEqual([])
    const plastic = ask({ pipe: 'pvc-40-3_4' }, female, {}, 'us').ways
    expect(plastic.length).toBeGreaterThan(0)
    for (const { parts } of plastic) expect(parts.at(-1)!.material).toBe('plastic')
  })
})
