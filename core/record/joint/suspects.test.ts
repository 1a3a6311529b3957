import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe, SURFACES } from '#core/catalogue'
import { FLEXES, HELD_BYS } from '#core/identify'
import { findWays, type PipeEnd } from '#core/joints'
import { makeCards } from '#core/making'
import {
  beginJoint,
  BLANK_JOINT,
  cardsOf,
  endsNow,
  factsOfFind,
  knownOf,
  suspectsOf,
  tickStep,
  type FindRecord,
  type JobRecord,
  type JointRecord,
} from '#core/record'
import { aFind, aJob, aJoint } from '../../../tests/records'

const HAND = { at: '2026-12-01T09:00:00.000Z', by: 'Wyn' }
const jobWith = (answers: FindRecord['answers'], pipe: string, region: JobRecord['region'] = 'gb'): JobRecord =>
  aJob({ region, finds: [aFind({ id: 'f', pipe, typed: '', answers: { traced: 'water', ...answers } })] })
const resting = (pipe: string, own: Partial<PipeEnd> = {}): JointRecord =>
  aJoint({ a: { pipe, ...own }, b: { pipe }, findA: 'f' })
const endOf = (job: JobRecord, joint: JointRecord): PipeEnd => endsNow(job, joint).a as PipeEnd

const answersOf = fc.record(
  {
    flex: fc.constantFrom(...FLEXES),
    'held-by': fc.constantFrom(...HELD_BYS),
    surface: fc.constantFrom(...SURFACES),
    print: fc.constantFrom(
      'EN 1057 R220 22 x 1',
      'PEX-A 3/4 F1960 ASTM F876',
      'PEX 5306 ASTM F876',
      'EN ISO 15875 CLASS 2 O2 BARRIER',
      'nothing to be read',
    ),
  },
  { requiredKeys: [] },
)
const PIPES = ['cu-en-x-22', 'pex-cts-3_4', 'pex-en-20', 'bs7291-22', 'pe-en-25'] as const

describe('what a find knows of its end', () => {
  it('gets lost nowhere on the way to Make: the end, its ways and its cards are asked with all of it', () => {
    fc.assert(
      fc.property(answersOf, fc.constantFrom(...PIPES), (answers, pipe) => {
        const job = jobWith(answers, pipe, pipe === 'pex-cts-3_4' ? 'us' : 'gb')
        const joint = resting(pipe)
        const facts = factsOfFind(job, job.finds[0]!)
        const end = endOf(job, joint)
        expect(end).toMatchObject(facts)
        const ways = findWays({ region: job.region, a: end, b: joint.b!, policy: job.policy })
        const way = ways.ok ? ways.value.ways[0] : undefined
        if (!way) return
        const taken = beginJoint(job, 'j', 1, { ...BLANK_JOINT, ...joint, wayId: way.id }, HAND)
        if (!taken.ok) throw new Error(taken.error.message)
        const asked = makeCards({
          joints: way.joints,
          parts: way.parts,
          region: job.region,
          policy: job.policy,
          orientation: 'horizontal',
          conditions: {},
          a: end,
          b: joint.b,
          ambient: null,
          torch: null,
          leastAmbient: null,
        })
        cardsOf(job, taken.value).forEach(({ answer }, i) => {
          const wanted = asked[i]!.answer
          expect(answer.ok).toBe(wanted.ok)
          if (!answer.ok || !wanted.ok) return
          // What else the find may be is said before what the card itself says.
          const { cautions, ...card } = wanted.value
          expect(answer.value).toMatchObject(card)
          expect(answer.value.cautions.slice(-cautions.length)).toEqual(cautions)
        })
      }),
      { seed: 20261201, numRuns: 60 },
    )
  })

  it('is followed while the joint has not answered it itself', () => {
    const joint = resting('cu-en-x-22')
    expect(endOf(jobWith({}, 'cu-en-x-22'), joint).temper).toBe('unknown')
    const copper = { colour: 'copper' }
    expect(endOf(jobWith({ ...copper, flex: 'soft' }, 'cu-en-x-22'), joint).temper).toBe('soft')
    const answered = resting('cu-en-x-22', { temper: 'hard' })
    expect(endOf(jobWith({ ...copper, flex: 'soft' }, 'cu-en-x-22'), answered).temper).toBe('hard')
    expect(endOf(jobWith(copper, 'cu-en-x-22'), resting('cu-en-x-22', { temper: 'unknown' })).temper).toBe('unknown')
  })

  it.each([
    ['cu-en-x-22', { temper: 'unknown' }],
    ['cu-m-3_4', {}],
    ['pex-cts-3_4', { pexType: 'unknown', barrier: 'unknown', chlorine: 'unknown' }],
    ['pert-cts-3_4', { barrier: 'unknown', chlorine: 'unknown' }],
    ['bs7291-22', { barrier: 'unknown' }],
    ['st-40-3_4', {}],
    ['pe-en-25', {}],
  ])('of %s is unknown where its joints hang on it and no find settled it', (pipe, unknown) => {
    expect(getPipe(pipe).id).toBe(pipe)
    expect(endOf(jobWith({}, pipe), resting(pipe))).toEqual({ pipe, traced: 'water', ...unknown })
  })

  it('is the usual where the end is no find but tube that is brought', () => {
    expect(endsNow(jobWith({}, 'cu-en-x-22'), resting('cu-en-x-22')).b).toEqual({ pipe: 'cu-en-x-22' })
  })

  it('is said with where it comes from', () => {
    const job = jobWith({ colour: 'copper', flex: 'soft', surface: 'painted' }, 'cu-en-x-22')
    expect(knownOf(job, resting('cu-en-x-22'), 'a')).toEqual(
      expect.arrayContaining([
        { name: 'temper', value: 'soft', from: 'find', by: 'flex' },
        { name: 'surface', value: 'painted', from: 'find', by: 'surface' },
      ]),
    )
    expect(knownOf(job, resting('cu-en-x-22', { surface: 'bare' }), 'a')).toContainEqual({
      name: 'surface',
      value: 'bare',
      from: 'joint',
    })
    expect(knownOf(jobWith({}, 'cu-en-x-22'), resting('cu-en-x-22'), 'a')).toContainEqual({
      name: 'temper',
      value: 'unknown',
      from: null,
    })
  })
})

describe('a cut at a find', () => {
  const codesFor = (answers: FindRecord['answers'], conditions: JointRecord['conditions'] = {}) =>
    suspectsOf(jobWith({ colour: 'copper', flex: 'rigid', ...answers }, 'cu-en-x-22'), {
      ...resting('cu-en-x-22'),
      conditions,
    }).map(({ code }) => code)

  it.each<[string, FindRecord['answers'], string[]]>([
    ['it is warm', { warm: true }, ['live']],
    ['it is under pressure', { water: 'live' }, ['live']],
    ['it drips', { water: 'drips' }, ['wet']],
    ['it was warm, and drips now', { warm: true, water: 'drips' }, ['wet']],
    ['it was warm, and is drained', { warm: true, water: 'drained' }, []],
    ['a clamp is on it', { earth: 'clamped' }, ['earth']],
    ['the line is bridged', { earth: 'bridged' }, []],
    ['nobody traced it', { traced: undefined }, ['gas']],
    ['nothing stands against it', {}, []],
  ])('is held or free where %s', (_, answers, codes) => {
    expect(codesFor(answers)).toEqual(codes)
  })

  it('is free where the joint is made wet, and of that only', () => {
    expect(codesFor({ water: 'drips' }, { wet: true })).toEqual([])
    expect(codesFor({ water: 'live' }, { wet: true })).toEqual(['live'])
  })

  it('is refused with the reason until it is answered, on every end of every joint that rests on it', () => {
    for (const answers of [{ water: 'live' }, { water: 'drips' }, { earth: 'clamped' }, { warm: true }] as const) {
      const job = jobWith({ colour: 'copper', flex: 'rigid', ...answers }, 'cu-en-x-22')
      const joint = aJoint({ a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, findA: 'f', findB: 'f' })
      const ways = findWays({ region: 'gb', ...(endsNow(job, joint) as { a: PipeEnd; b: PipeEnd }) })
      const way = ways.ok
        ? ways.value.ways.find(({ joints }) => joints.every(({ method }) => method === 'press'))
        : null
      const taken = beginJoint(job, 'j', 1, { ...BLANK_JOINT, ...joint, wayId: way!.id }, HAND)
      if (!taken.ok) throw new Error(taken.error.message)
      for (const entry of [0, 1]) {
        const cut = tickStep(job, taken.value, { entry, step: 'cut' }, true, HAND)
        expect(cut).toMatchObject({ ok: false, error: { path: 'step' } })
        expect(cardsOf(job, taken.value)[entry]!.answer).toMatchObject({ ok: true })
      }
      const drained = jobWith(
        { colour: 'copper', flex: 'rigid', ...answers, water: 'drained', earth: 'bridged' },
        'cu-en-x-22',
      )
      expect(tickStep(drained, taken.value, { entry: 0, step: 'cut' }, true, HAND).ok).toBe(true)
    }
  })
})
