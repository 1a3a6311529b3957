import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planLine, type LineAnswer } from '#core/line'
import {
  draftRun,
  findWaysOut,
  insertLeg,
  readLeg,
  removeLeg,
  splitLegs,
  typeLength,
  withLength,
  workPiece,
  type RunDraft,
  type RunHead,
} from '#core/run'

const HEAD: RunHead = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  corners: 'fittings',
  start: 'free',
  walls: [],
}
const US: Partial<RunHead> = { region: 'us', pipe: 'pex-cts-1_2', method: 'crimp' }
const draft = (text: string, head: Partial<RunHead> = {}): RunDraft =>
  draftRun({ ...HEAD, ...head }, splitLegs(text), { bender: { radius: 77 } })
const plan = (text: string, head: Partial<RunHead> = {}): LineAnswer => {
  const answer = planLine(draft(text, head).question!)
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const ends = (text: string, head: Partial<RunHead> = {}) =>
  draft(text, head).question!.legs.map(({ end }) => (end.kind === 'fitting' ? end.fitting : end.kind))
const leg = (text: string, region: RunHead['region'] = 'gb') => {
  const read = readLeg(text, region, 'legs.0', () => null)
  if (!read.ok) throw new Error(read.error.message)
  return read.value
}

describe('a leg as it is said', () => {
  it.each([
    ['e 640', 640],
    ['e640', 640],
    ['e 22,5', 22.5],
    ['e 2.4 m', 2400],
    ['E 640 elbow', 640],
    ['right 640', 640],
    ['u 1 1/8 in', 28.575],
  ])('%s is %d mm', (text, mm) => expect(leg(text).length.mm).toBeCloseTo(mm, 6))
  it.each([
    ['e 25 1/4', 641.35],
    ['e 2\' 3-1/2"', 698.5],
    ['e 24 on 3/4 copper tee', 609.6],
  ])('%s in inches is %d mm', (text, mm) => expect(leg(text, 'us').length.mm).toBeCloseTo(mm, 6))
  it('goes slanted where two letters stand', () => {
    expect(leg('eu 300').to.vector.map((x) => Math.round(x * 1e4) / 1e4)).toEqual([0.7071, 0, 0.7071])
  })
  it('not measured yet where ~ stands before its length, wherever it is measured to', () => {
    expect(leg('e 640').isGuess).toBe(false)
    for (const text of ['e ~640', 'e~640', 'right ~640', 'd ~820 stop = sink', 'from c n ~300 f-c tee'])
      expect(leg(text).isGuess).toBe(true)
    expect(leg('e ~640').length).toMatchObject({ mm: 640, from: 3, to: 6 })
    // Dragged longer, it is still not measured.
    expect(withLength('e ~640', leg('e ~640').length, 700, 'metric')).toBe('e ~700')
  })
  it('knows what it holds', () => {
    expect(leg('from c d 820 on 15 copper by press take-out 11 depth 20 clip 150 600 stop = sink 1')).toMatchObject({
      from: 'C',
      pipe: 'cu-en-x-15',
      method: 'press',
      takeOut: 11,
      depth: 20,
      end: 'stop',
      name: 'sink 1',
      clips: [{ mm: 150 }, { mm: 600 }],
    })
  })
  it.each([
    ['e 1140 offset s 65 @ 45 at 420', 45, 420],
    ['e 1140 set s65 at 420', 45, 420],
    ['e 1140 offset 65 at 30', 30, null],
    ['e 1140 offset 65', 45, null],
  ])('%s', (text, angle, at) => {
    const { offset } = leg(text)
    expect(offset).toMatchObject({ set: { mm: 65 }, angle })
    expect(offset!.at?.mm ?? null).toBe(at)
  })
  it.each([
    ['', 'which way'],
    ['x 640', 'which way'],
    ['e', 'a length after e'],
    ['ee 640', 'different ways'],
    ['ew 640', 'different ways'],
    ['e 640 zz', '"zz" is not understood after "e 640"'],
    ['e 640 on 16 cheese', 'a size this pipe is made in'],
    ['e 640 by nails', 'a method'],
    ['e 640 offset', 'set'],
    ['e 640 offset 65 @ 95', 'angle'],
    ['e 640 w-c', 'stands off the wall'],
    ['e -5', 'a length'],
    ['e 640 offset 65 @ 30 elbows', '45 or 90'],
  ])('"%s" is not understood, and says what would be', (text, words) => {
    const read = readLeg(text, 'gb', 'legs.3', () => null)
    expect(read).toMatchObject({
      ok: false,
      error: { code: 'not-understood', path: 'legs.3', accepted: expect.arrayContaining(['e 640']) },
    })
    if (!read.ok) expect(read.error.message).toContain(words)
  })
  it('is split from a list; a step aside goes with the leg before it, a decimal comma stays', () => {
    expect(splitLegs('e 640, u 480, offset 60 @ 45, e 320 tee; d 22,5\nn 5,e 3')).toEqual([
      'e 640',
      'u 480 offset 60 @ 45',
      'e 320 tee',
      'd 22,5',
      'n 5',
      'e 3',
    ])
  })
})

describe('a run', () => {
  it('puts the fitting a corner wants, unless the pipe is bent', () => {
    expect(ends('e 640, u 900, ue 300, u 300')).toEqual(['elbow-90', 'elbow-45', 'elbow-45', 'free'])
    expect(ends('e 640, u 900, e 300', { corners: 'bends' })).toEqual(['bend', 'bend', 'free'])
    expect(ends('e 640, e 900')).toEqual(['coupling', 'free'])
    expect(ends('e 640, e 900 on 15')).toEqual(['reducer', 'free'])
  })
  it('makes a tee where a second leg goes on, entered by run or branch', () => {
    expect(ends('e 640, e 300, from b d 200')).toEqual(['tee-run', 'free', 'free'])
    expect(ends('u 640, e 300, from b w 200')).toEqual(['tee-branch', 'free', 'free'])
  })
  // By hand: C to D: 1140 along; 65 aside at 45 travels 91.92 and covers 65; two gains of 3.3132 at radius 77.
  it('takes a step aside within a leg, in the length it covers', () => {
    const { pieces, points } = plan('e 1140 offset s 65 @ 45 at 420')
    expect(pieces[0]!.cut).toBeCloseTo(1140 - 65 + 91.92388 - 2 * 3.31323, 3)
    expect(points.at(-1)!.map((x) => Math.round(x * 1000) / 1000)).toEqual([1140, -65, 0])
  })
  it('steps towards the next leg where it is not said which way', () => {
    expect(plan('u 480, offset 60 @ 45, e 320').points.at(-1)!.map(Math.round)).toEqual([380, 0, 480])
  })
  it('rolls a step: 30 up and 40 towards you is 50', () => {
    const rolled = draft('e 1000 offset u 30 roll s 40 @ 45')
    expect(rolled.question!.legs[1]!.length).toBeCloseTo(50 * Math.SQRT2, 6)
  })
  it('crosses over at its peak and comes back to its line', () => {
    const { points } = plan('e 900 over u 40 @ 22.5 at 400')
    expect(points[2]!.map((x) => Math.round(x * 1000) / 1000)).toEqual([400, 0, 40])
    expect(points.at(-1)!.map((x) => Math.round(x * 1000) / 1000)).toEqual([900, 0, 0])
  })
  it('takes lengths from faces, stops and walls', () => {
    // Face to centre of a 22 elbow: 500 and take-out 13.5 and depth 15.4 to the centre.
    expect(plan('e 500 c-f elbow, u 300').points[1]![0]).toBeCloseTo(528.9, 6)
    expect(plan('e 500 w25-c').pieces[0]!.cut).toBe(475)
    expect(draft('e 600 clip 150 700').rows[0]!.issue).toMatchObject({
      code: 'range',
      message: expect.stringContaining('700'),
    })
    expect(draft('e 20 w25-c').rows[0]!.issue).toMatchObject({ code: 'impossible', path: 'legs.0' })
  })
  it('keeps its rows when one is wrong, and lays what does not hang on it', () => {
    const { rows, question } = draft('e 640 tee, d 300 zz, d 100, from b e 500')
    expect(rows.map(({ issue, legs }) => [issue?.code ?? null, legs])).toEqual([
      [null, [0, 0]],
      ['not-understood', null],
      ['missing', null],
      [null, [1, 1]],
    ])
    expect(question!.legs).toHaveLength(2)
    expect(rows[2]!.issue!.message).toBe('Waits for the leg to C.')
  })
  it('says a turn that cannot be made at its row, in plain words', () => {
    const { rows } = draft('e 640, w 200, u 300')
    expect(rows[1]!.issue).toMatchObject({
      code: 'impossible',
      path: 'legs.1',
      message: expect.stringMatching(/^It turns straight back/),
    })
    expect(rows[2]!.issue!.message).toContain('Waits')
  })
  it('names a point that is not there, and reads the start and walls', () => {
    expect(draft('e 640, from h u 20').rows[1]!.issue).toMatchObject({
      code: 'unknown-id',
      message: expect.stringContaining('Accepted: B'),
    })
    expect(draft('e 640', { start: 'valve take-out 38 depth 16 = valve' }).question!.start).toEqual({
      kind: 'fitting',
      fitting: 'valve',
      takeOut: 38,
      insertion: 16,
    })
    expect(draft('e 640', { start: 'nonsense' }).issues).toMatchObject([{ code: 'not-understood', path: 'start' }])
    expect(draft('e 640', { walls: ['e 900 100'] }).question!.walls).toEqual([{ to: 'right', at: 900, thick: 100 }])
    expect(draft('e 640', { walls: ['thick'] }).issues).toMatchObject([{ path: 'walls.0' }])
  })
  it('reads inches and American pipe alike', () => {
    const answer = plan('e 24 elbow, u 18', US)
    expect(answer.pieces[0]!.cut).toBeCloseTo(609.6 - 13, 6)
  })
  it('clips along a leg with a step lie on its stretches', () => {
    const { question } = draft('e 1140 offset s 65 @ 45 at 420 clip 150 820')
    expect(question!.clips!.map(({ leg: at }) => at)).toEqual([0, 2])
    expect(question!.clips![1]!.at).toBeCloseTo(335, 6)
  })
})

describe('writing', () => {
  it('a length anew keeps the rest as it was typed', () => {
    const text = 'e 1140 offset s 65 @ 45 at 420 = x'
    expect(withLength(text, leg(text).length, 1200, 'metric')).toBe('e 1200 offset s 65 @ 45 at 420 = x')
    expect(withLength(text, leg(text).offset!.set, 55.5, 'metric')).toBe('e 1140 offset s 55.5 @ 45 at 420 = x')
    expect(typeLength(641.35, 'inch')).toBe('25 1/4')
  })
  it('reads back what it types, to a tenth of a millimetre or half a sixteenth', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 9000, noNaN: true }), (mm) => {
        expect(Math.abs(leg(`e ${typeLength(mm, 'metric')}`).length.mm - mm)).toBeLessThanOrEqual(0.0501)
        expect(Math.abs(leg(`e ${typeLength(mm, 'inch')}`, 'us').length.mm - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-6)
      }),
    )
  })
  it('a leg put in or taken out leaves the others where they began', () => {
    const texts = ['e 640', 'u 900', 'from b d 820', 'from c e 100']
    expect(insertLeg(texts, 1, 'n 50')).toEqual(['e 640', 'n 50', 'u 900', 'from b d 820', 'from d e 100'])
    expect(removeLeg(texts, 1)).toEqual(['e 640', 'from b d 820', 'from b e 100'])
    expect(removeLeg(['e 640', 'from b d 820', 'u 10'], 1)).toEqual(['e 640', 'u 10'])
    expect(removeLeg(['e 1', 'u 2', 'from b d 3', 'n 4'], 2)).toEqual(['e 1', 'u 2', 'from b n 4'])
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('e 500', 'u 400', 'n 300'), { minLength: 1, maxLength: 8 }),
        fc.nat(),
        (list, at) => {
          const place = at % (list.length + 1)
          expect(removeLeg(insertLeg(list, place, 'd 100'), place)).toEqual(list)
        },
      ),
    )
  })
})

describe('ways out of bends that do not fit', () => {
  const head: RunHead = { ...HEAD }
  const out = (texts: string[], row: number) => findWaysOut(head, texts, row, { bender: { radius: 88 } })
  // Radius 88 at 45: 72.90 of tangents in 63.64 of travel; at 30: 47.16 in 90.
  it('offers another angle, elbows and a larger set, each with its cut', () => {
    const ways = out(['e 640', 'u 1140 offset s 45 @ 45 at 420', 'e 300'], 1)
    expect(ways.map(({ name }) => name)).toEqual(['Bends of 30°', 'Elbows, not bends', 'A larger set'])
    expect(ways[0]!.straight).toBeCloseTo(42.841, 2)
    expect(ways[2]!.legs[1]).toContain('s 55')
    for (const { legs, cut } of ways) {
      const answer = planLine(draftRun(head, legs, { bender: { radius: 88 } }).question!)
      expect(answer.ok).toBe(true)
      expect(cut).not.toBeNull()
    }
  })
  it('offers an elbow or the least longer leg for a corner', () => {
    const ways = out(['e 60 bend', 'u 300'], 0)
    expect(ways.map(({ name }) => name)).toEqual(['Elbows, not a bend', 'A longer leg'])
    expect(ways[1]!.legs[0]).toBe('e 90 bend')
  })
})

describe('the sum of a piece', () => {
  const sums = (text: string, head: Partial<RunHead> = {}) => {
    const drafted = draft(text, head)
    return plan(text, head).pieces.map((piece) => ({ piece, lines: workPiece(drafted, piece, head.region ?? 'gb') }))
  }
  it.each([
    'e 1140 offset s 65 @ 45 at 420',
    'e 640 elbow, u 480 offset 60 @ 30 bend, e 320 f-c',
    'e 900 over u 40 at 400, u 300',
    'e 500 offset s 65 @ 45 elbows',
    'e 600 w25-c elbow, n 200 c-e stop',
  ])('of %s adds up to its cut, by rows as typed', (text) => {
    for (const { piece, lines } of sums(text)) {
      const total = lines
        .filter(({ op }) => op !== '=')
        .reduce((sum, { op, value }) => sum + (op === '-' ? -value : value), 0)
      expect(total).toBeCloseTo(piece.cut!, 6)
      expect(lines.at(-1)).toMatchObject({ op: '=', value: piece.cut })
    }
  })
  it('says travel, what it covers, and bends alike once', () => {
    expect(
      sums('e 1140 offset s 65 @ 45 at 420')[0]!.lines.map(({ text, value }) => [text, Math.round(value * 10) / 10]),
    ).toEqual([
      ['A to B, centre to centre', 1140],
      ['travel, 65 mm ÷ sin 45°', 91.9],
      ['the run it covers', 65],
      ['bend gain, 2 × 3.3 mm, 45 degrees', 6.6],
      ['cut', 1160.3],
    ])
  })
})
