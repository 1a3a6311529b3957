import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { shapesOf, suggestNext, understand, type Understood } from '#core/ask'
import { ask } from '#core/contract'
import { REGIONS, type Region } from '#core/units'

const read = (text: string, region: Region = 'gb'): Understood => {
  const result = understand({ text, region })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const wrong = (text: string, region: Region = 'gb') => {
  const result = understand({ text, region })
  return result.ok ? null : result.error
}

const answerOf = (text: string, region: Region = 'gb'): unknown => {
  const { verb, question } = read(text, region)
  const answer = ask(verb, question)
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}

describe('two ends', () => {
  it.each([
    ['22 copper to 15 copper', 'gb', 'cu-en-x-22', 'cu-en-x-15'],
    ['22mm cu > 20 ml', 'eu', 'cu-en-x-22', 'ml-en-20'],
    // cu of an inch size is old copper in Britain, type L in the United States (contract).
    ['3/4 cu -> 22 cu', 'gb', 'cu-bs-imp-3_4', 'cu-en-x-22'],
    ['3/4 cu to 1/2 pex', 'us', 'cu-l-3_4', 'pex-cts-1_2'],
    ['1 1/4 copper to 1-1/4" type m', 'us', 'cu-l-1-1_4', 'cu-m-1-1_4'],
    ['1 copper to 3/4 galv', 'us', 'cu-l-1', 'st-40-3_4'],
    ['25 mdpe to 15 plastic', 'gb', 'pe-en-25', 'bs7291-15'],
    ['3/4 old copper to 22 stainless', 'gb', 'cu-bs-imp-3_4', 'ss-en-22'],
  ] as const)('%s (%s)', (text, region, a, b) =>
    expect(read(text, region)).toMatchObject({ verb: 'ways', question: { region, a: { pipe: a }, b: { pipe: b } } }),
  )

  it('take conditions in any order, with or without commas', () => {
    expect(read('22 copper to 20 multilayer, hot, hidden').question.conditions).toEqual({
      service: 'hot',
      hidden: true,
    })
    expect(read('22 copper to 20 multilayer wood wet no flame').question.conditions).toEqual({
      combustibles: true,
      wet: true,
      noFlame: true,
    })
    expect(read('22 copper to 15 copper').question).not.toHaveProperty('conditions')
  })

  it('may be a thread', () =>
    expect(read('1/2 npt female to 1/2 pex', 'us').question.a).toEqual({
      thread: { form: 'npt', size: '1/2', gender: 'female', material: 'brass' },
    }))

  it('echo each word with what it was taken for, and what could stand there', () => {
    expect(read('22 copper > 15 cu hot').words).toEqual([
      { text: '22', as: 'size 22' },
      { text: 'copper', as: '22 × 0.9 copper', others: ['thick copper'] },
      { text: '>', as: 'to' },
      { text: '15', as: 'size 15' },
      { text: 'cu', as: '15 × 0.7 copper', others: ['thick copper'] },
      { text: 'hot', as: 'service: hot', others: ['cold', 'heating', 'recirculating', 'buried'] },
    ])
  })
})

describe('other lines', () => {
  it('od asks what a pipe is, by colour or by what names its material', () => {
    expect(read('od 21.5 copper')).toMatchObject({
      verb: 'identify',
      question: {
        checks: [
          { check: 'outside-diameter', value: 21.5, by: 'calliper' },
          { check: 'scratch', value: 'copper' },
        ],
      },
    })
    expect(read('od 22,5 blue').question.checks).toMatchObject([{ value: 22.5 }, { check: 'colour', value: 'blue' }])
    expect(read('od 7/8', 'gb').question.checks).toMatchObject([{ value: expect.closeTo(22.225, 9) }])
    expect(read('od 0.875', 'us').question.checks).toMatchObject([{ value: expect.closeTo(22.225, 9) }])
    expect(read('od 26.9 steel').question.checks).toMatchObject([{}, { check: 'magnet', value: true }])
  })
  it('clips asks how far apart, a flow what it loses', () => {
    expect(read('clips 22 copper')).toMatchObject({
      verb: 'fix',
      question: { pipe: 'cu-en-x-22', service: 'cold', legs: [] },
    })
    expect(answerOf('clips 22 copper')).toMatchObject({ spacing: { horizontal: 1800, vertical: 2400 } })
    expect(answerOf('clips 1/2 pex hot', 'us')).toMatchObject({ spacing: { horizontal: 813 } })
    expect(read('15 copper 0.2 l/s 10 m')).toMatchObject({
      verb: 'flow',
      question: { pipe: 'cu-en-x-15', flow: 0.2, length: 10_000, temperature: 20 },
    })
    expect(read('1/2 pex 3 gpm 30 ft hot', 'us').question).toMatchObject({
      pipe: 'pex-cts-1_2',
      flow: expect.closeTo(0.18927, 4),
      length: 9144,
      temperature: 60,
    })
    expect(read('22 copper 12 l/min 5 m').question).toMatchObject({ flow: 0.2, length: 5000 })
    expect(answerOf('15 copper 0,2 10 m')).toMatchObject({ verdict: 'within' })
    expect(wrong('22 copper 0.2 l/s')).toMatchObject({ message: expect.stringContaining('a length') })
    expect(wrong('clips 1/2 npt male')).toMatchObject({ message: expect.stringContaining('a pipe') })
  })
  it('depth asks how far in', () => {
    expect(read('depth 22 press')).toMatchObject({ verb: 'make', question: { method: 'press', pipe: 'cu-en-x-22' } })
    expect(read('depth 20 press', 'eu').question).toMatchObject({ method: 'ml-press', pipe: 'ml-en-20' })
    expect(read('depth 1/2 crimp', 'us').question).toMatchObject({ method: 'crimp', pipe: 'pex-cts-1_2' })
    expect(read('depth 15 plastic push-fit').question).toMatchObject({ method: 'push-fit', pipe: 'bs7291-15' })
  })
  it('offset asks for marks', () => {
    expect(read('offset 60 @ 45')).toMatchObject({ verb: 'offset', question: { set: 60, angle: 45 } })
    expect(read('offset 2 1/2 at 30', 'us').question).toMatchObject({ set: expect.closeTo(63.5, 9), angle: 30 })
    expect(read('offset 60 @ 45 r 70').question).toMatchObject({ radius: 70 })
  })
})

describe('a line that is not understood', () => {
  it.each([
    ['', /a line such as/],
    ['22 banana', /"22" is understood[\s\S]*not "banana"/],
    ['22 copper lovely', /"22 copper" is understood[\s\S]*other end/],
    ['22 copper to', /a size/],
    ['999 cu to 1 cu', /^text: No cu is made in size 999\.$/],
    ['22 cu to 15 cu lovely', /not "lovely"/],
    ['offset 60 @ 200', /up to 90/],
    ['depth 22 glue', /No glue joint is made for a pipe of size 22 here\./],
    ['od wide', /a diameter/],
  ])('"%s" says what is understood and what is accepted', (text, words) => {
    expect(wrong(text)).toMatchObject({
      code: 'not-understood',
      path: 'text',
      message: expect.stringMatching(words),
      accepted: [...shapesOf('gb')],
    })
  })
  it('never throws, and never loses its place', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.constantFrom(...REGIONS), (text, region) => {
        const result = understand({ text, region })
        if (!result.ok) expect(result.error.accepted).toBeDefined()
      }),
      { seed: 20261126 },
    )
    const piece = fc.constantFrom(
      '22',
      '3/4',
      'copper',
      'to',
      '>',
      'od',
      'depth',
      'press',
      'offset',
      '@',
      '45',
      'hot',
      '20 ml',
      '\u00d7',
      '\u0130',
      '"',
    )
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
        const result = understand({ text: pieces.join(' '), region: 'gb' })
        const words = result.ok ? result.value.words : result.error.words!
        let at = 0
        for (const { text } of words) {
          const found = pieces.join(' ').indexOf(text, at)
          expect(found).toBeGreaterThanOrEqual(at)
          at = found + text.length
        }
      }),
      { seed: 20261126 },
    )
  })
})

describe('the verb', () => {
  it('answers each shape it names, with what it understood', () => {
    for (const [region, text] of REGIONS.flatMap((one) => shapesOf(one).map((shape) => [one, shape] as const))) {
      const answer = ask('ask', { text, region })
      expect([text, answer.ok]).toEqual([text, true])
      if (answer.ok)
        expect(answer.value).toMatchObject({ understood: { words: expect.any(Array) }, answer: expect.any(Object) })
    }
  })
  it('answers as the verb itself would', () => {
    const line = ask('ask', { text: '22 cu to 20 ml heating', region: 'gb' })
    const ways = ask('ways', {
      region: 'gb',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'ml-en-20' },
      conditions: { service: 'heating' },
    })
    expect(line.ok && ways.ok && (line.value as { answer: unknown }).answer).toEqual(ways.ok && ways.value)
  })
})

describe('a word that may mean several things', () => {
  const meanings = (text: string, region: Region = 'gb', job = {}) => {
    const result = understand({ text, region, job })
    return result.ok ? null : (result.error.meanings ?? null)
  }
  it.each<[string, Region, string[]]>([
    ['3/4 poly to 3/4 copper', 'us', ['3/4 polyethylene to 3/4 copper', '3/4 polybutylene to 3/4 copper']],
    ['blue poly', 'us', ['blue polyethylene', 'blue polybutylene']],
    ['3/4 pe to 3/4 copper', 'us', ['3/4 pe-cts to 3/4 copper', '3/4 pe-ips to 3/4 copper', '3/4 pe-id to 3/4 copper']],
    ['1/2 npt to 1/2 pex', 'us', ['1/2 npt male to 1/2 pex', '1/2 npt female to 1/2 pex']],
    ['sch 40', 'us', ['sch 40 pvc', 'sch 40 steel']],
    ['od 22', 'us', ['od 22 mm']],
    ['od .840', 'gb', ['od .840 in']],
    ['15 copper 0,2 10', 'gb', ['15 copper 0,2 10 m', '15 copper 0,2 10 mm']],
  ])('%s (%s) is asked back, each meaning as a line', (text, region, lines) =>
    expect(meanings(text, region)?.map((one) => one.text)).toEqual(lines),
  )
  it('is asked of a size alone, by what it is made of here', () => {
    expect(meanings('22 to 22 slip')?.map(({ as }) => as)).toEqual(
      expect.arrayContaining(['22 copper', '22 stainless']),
    )
    expect(meanings('28 x 28 x 22 tee')).not.toBeNull()
    expect(meanings('bend radius 22')).not.toBeNull()
    expect(meanings('22 copper cap')?.map(({ as }) => as)).toEqual(expect.arrayContaining(['solder', 'press']))
  })
  it('leads on to a line that is understood or asks for less, whatever is asked', () => {
    const follow = (text: string, region: Region, deep = 0): void => {
      expect(deep).toBeLessThan(5)
      for (const meaning of meanings(text, region) ?? []) {
        expect(meaning.text).not.toBe(text)
        follow(meaning.text, region, deep + 1)
        expect([
          meaning.text,
          understand({ text: meaning.text, region }).ok || meanings(meaning.text, region) !== null,
        ]).toEqual([meaning.text, true])
      }
    }
    for (const region of REGIONS)
      for (const text of ['22', '3/4', '3/4 poly', '3/4 tee', '22 slip', 'plastic', '1/2 npt']) follow(text, region)
  })
  it('is settled by the job where it has one pipe of that size', () => {
    const job = { pipes: ['cu-en-x-22', 'ml-en-20'], service: 'heating' as const }
    const result = understand({ text: '22 to 20', region: 'gb', job })
    expect(result).toMatchObject({
      ok: true,
      value: {
        question: { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'ml-en-20' }, conditions: { service: 'heating' } },
        filled: [expect.stringContaining('copper'), expect.stringContaining('multilayer'), 'service: heating'],
      },
    })
    expect(understand({ text: '22 copper cap', region: 'gb', job: { methods: ['press', 'thread'] } })).toMatchObject({
      value: { verb: 'make', question: { method: 'press', pipe: 'cu-en-x-22' }, filled: ['press'] },
    })
    expect(understand({ text: '22 copper tee', region: 'gb', job: { methods: ['press'] } })).toMatchObject({
      value: { verb: 'line', question: { method: 'press' } },
    })
    expect(understand({ text: '22 copper cap', region: 'gb', job: { methods: ['press', 'solder'] } }).ok).toBe(false)
    expect(understand({ text: '22 to 20 hot', region: 'gb', job })).toMatchObject({
      value: { question: { conditions: { service: 'hot' } } },
    })
  })
})

describe('what people say', () => {
  it.each<[string, Region, string, object]>([
    ['1/2 pexa to 3/4 L', 'us', 'ways', { a: { pipe: 'pex-cts-1_2', pexType: 'a' }, b: { pipe: 'cu-l-3_4' } }],
    ['20 mlcp to 22 copper', 'gb', 'ways', { a: { pipe: 'ml-en-20' } }],
    ['16 alu-pex > 15 copper', 'eu', 'ways', { a: { pipe: 'ml-en-16' } }],
    ['3/4 soft copper to 3/4 pex', 'us', 'ways', { a: { pipe: 'cu-l-3_4', temper: 'soft' } }],
    ['1/2 fip to 1/2 pex-b', 'us', 'ways', { a: { thread: { form: 'npt', gender: 'female' } } }],
    ['1/2 mip to half inch pex', 'us', 'ways', { a: { thread: { gender: 'male' } }, b: { pipe: 'pex-cts-1_2' } }],
    ['3/4 copper sweat', 'us', 'make', { method: 'solder', pipe: 'cu-l-3_4' }],
    ['1 sch 40 pvc to 1 galv', 'us', 'ways', { a: { pipe: 'pvc-40-1' }, b: { pipe: 'st-40-1' } }],
    ['3/4 black iron to 3/4 copper', 'us', 'ways', { a: { pipe: 'st-40-3_4' } }],
    ['3/4 imperial to 22 copper', 'gb', 'ways', { a: { pipe: 'cu-bs-imp-3_4' } }],
    ['22 copper to 22 copper slip', 'gb', 'ways', { conditions: { play: 0 } }],
    ['28 x 28 x 22 copper tee solder', 'gb', 'line', { pipe: 'cu-en-x-28', method: 'solder' }],
    ['bend radius 22 copper', 'gb', 'pipes', { series: 'cu-en-x', nominal: '22' }],
    ['clip spacing 22 copper', 'gb', 'fix', { pipe: 'cu-en-x-22' }],
    ['hanger spacing 1/2 pex', 'us', 'fix', { pipe: 'pex-cts-1_2' }],
    ['rolling offset 100 x 60 @ 45', 'gb', 'offset', { set: 100, roll: 60, angle: 45 }],
    ['od .840', 'us', 'identify', { checks: [{ value: expect.closeTo(21.336, 6) }] }],
    [
      '22 copper solder: e 640, u 480 elbow',
      'gb',
      'line',
      { pipe: 'cu-en-x-22', legs: [{ length: 640 }, { length: 480 }] },
    ],
    ['flow 3 gpm 3/4 copper 20 ft', 'us', 'flow', { flow: expect.closeTo(0.18927, 4), length: 6096 }],
    [
      '3/4 copper to 1/2 pex 80 psi 140 f',
      'us',
      'ways',
      { conditions: { temperature: 60, pressure: expect.closeTo(5.516, 3) } },
    ],
    ['22 copper to 15 copper 60 psi', 'gb', 'ways', { conditions: { pressure: expect.closeTo(4.137, 3) } }],
    ['25 yellow pe to 22 copper', 'gb', 'ways', { a: { pipe: 'pe-en-25', madeFor: 'gas' } }],
    ['22 copper to 15 copper press', 'gb', 'ways', { policy: { order: ['press'] } }],
  ])('%s (%s) asks %s', (text, region, verb, question) => expect(read(text, region)).toMatchObject({ verb, question }))
  it('offers no joint on lead or the polybutylene that failed', () => {
    for (const [text, region] of [
      ['1/2 lead to 15 copper', 'gb'],
      ['3/4 polybutylene to 3/4 copper', 'us'],
    ] as const)
      expect(
        (answerOf(text, region) as { ways: { verdict: string }[] }).ways.filter(({ verdict }) => verdict === 'fits'),
      ).toEqual([])
  })
})

describe('suggestions', () => {
  it.each([
    ['22 ', '22 copper '],
    ['22 c', '22 copper '],
    ['22 copper ', '22 copper to '],
    ['22 copper to 1', '22 copper to 15 '],
    ['22 copper to 15 copper ', '22 copper to 15 copper hot '],
    ['depth 22 ', 'depth 22 press '],
  ])('"%s" may go on to "%s"', (text, next) => expect(suggestNext(text, 'gb')).toContain(next))
  it('go on from what is there, in every region', () => {
    for (const region of REGIONS)
      for (const text of ['', '1', '1/2 ', '1/2 copper to ', 'od 2'])
        for (const next of suggestNext(text, region)) expect(next.startsWith(text)).toBe(true)
  })
})

describe('a cap or a valve in a line', () => {
  const asked = (text: string, region: 'gb' | 'us' | 'eu' = 'gb') => {
    const read = understand({ text, region })
    return read.ok ? read.value : null
  }
  it.each([
    ['cap 22 copper for now', 'gb', { b: { cap: true }, conditions: { temporary: true } }],
    ['cap off 3/4 copper wet', 'us', { b: { cap: true }, conditions: { wet: true } }],
    ['capped 1/2 bsp male', 'gb', { b: { cap: true } }],
    ['22 copper ball valve', 'gb', { b: { pipe: 'cu-en-x-22' }, valve: 'ball' }],
    ['22 copper ball valve 15 copper hot', 'gb', { b: { pipe: 'cu-en-x-15' }, valve: 'ball' }],
    ['22 copper to 15 copper stopcock', 'gb', { b: { pipe: 'cu-en-x-15' }, valve: 'stop' }],
    ['1/2 copper check valve 1/2 pex', 'us', { b: { pipe: 'pex-cts-1_2' }, valve: 'check' }],
    ['press gate valve 22 copper', 'gb', { valve: 'gate', policy: { order: ['press'] } }],
  ] as const)('%s', (text, region, question) => {
    expect(asked(text, region)).toMatchObject({ verb: 'ways', question })
  })
  it('behind its size, or with how it is joined, is the depth in it', () => {
    expect(asked('press cap 22')?.verb).toBe('make')
    expect(understand({ text: '22 copper ball valve gate valve', region: 'gb' }).ok).toBe(false)
  })
})
