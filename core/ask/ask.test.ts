import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHAPES, suggestNext, understand, type Understood } from '#core/ask'
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
      { text: 'hot', as: 'service: hot' },
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
    expect(wrong('clips 1/2 npt')).toMatchObject({ message: expect.stringContaining('a pipe') })
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
    ['', /A line such as|a line such as/],
    ['22', /material after 22/],
    ['22 banana', /"22" is understood[\s\S]*not "banana"/],
    ['22 copper', /"22 copper" is understood[\s\S]*other end/],
    ['22 copper to', /a size/],
    ['999 cu to 1 cu', /999 is none/],
    ['22 cu to 15 cu lovely', /not "lovely"/],
    ['offset 60 @ 200', /up to 90/],
    ['depth 22 glue', /a method/],
    ['od wide', /a diameter/],
  ])('"%s" says what is understood and what is accepted', (text, words) => {
    expect(wrong(text)).toMatchObject({
      code: 'not-understood',
      path: 'text',
      message: expect.stringMatching(words),
      accepted: [...SHAPES],
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
    for (const text of SHAPES) {
      const region = text.includes('npt') ? 'us' : 'gb'
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
