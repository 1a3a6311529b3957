import { describe, expect, it } from 'vitest'
import { findWays, type OtherEnd } from '#core/joints'
import { orderFor, orderWords, uncutPieces, type JobRecord, type OrderRow } from '#core/record'
import type { Region } from '#core/units'
import type { Valve } from '#core/catalogue'
import { aJob, aJoint, aLine } from '../../../tests/records'

interface Chosen {
  a: string
  b?: OtherEnd
  method: string
  region?: Region
  valve?: Valve
}
function joint(id: string, { a, b = { pipe: a }, method, region = 'gb', valve }: Chosen) {
  const answer = findWays({ region, a: { pipe: a }, b, valve })
  const way = answer.ok ? answer.value.ways.find((one) => one.joints[0]!.method === method) : undefined
  if (!way) throw new Error(`no way by ${method}`)
  return aJoint({ id, a: { pipe: a }, b, valve: valve ? { kind: valve } : {}, way, wayId: way.id })
}
const found = (rows: readonly OrderRow[], name: string, size?: string): OrderRow | undefined =>
  rows.find((row) => row.name === name && (size === undefined || row.size === size))
const said = ({ name, size, order }: OrderRow) => `${order} x ${name} ${size}`.trim()

describe('an order for the counter', () => {
  // By hand: two press couplings and a ball valve of 22; a soldered cap of 15, its wire 15 mm by the rule of the trade.
  const job = aJob({
    joints: [
      joint('j1', { a: 'cu-en-x-22', method: 'press' }),
      joint('j2', { a: 'cu-en-x-22', method: 'press' }),
      joint('j3', { a: 'cu-en-x-22', method: 'press', valve: 'ball' }),
      joint('j4', { a: 'cu-en-x-15', method: 'solder', b: { cap: true } }),
    ],
  })
  it('sums what the joints take, by name and size, in its groups', () => {
    const rows = orderFor([job])
    expect(rows.filter(({ unit }) => unit === 'piece').map(said)).toEqual([
      '2 x press coupling 22',
      '1 x press ball valve 22',
      '1 x solder cap 15',
    ])
    expect(rows.map(({ group }) => group)).toEqual(['fittings', 'valves', 'ends', 'small'])
    expect(found(rows, 'lead-free solder wire')).toMatchObject({ unit: 'mm', need: 15 })
  })
  it('is less what the van holds, and never less than none', () => {
    const van = [
      { name: 'press coupling', size: '22', quantity: 1 },
      { name: 'solder cap', size: '15', quantity: 9 },
    ]
    const rows = orderFor([{ ...job, van }])
    expect(found(rows, 'press coupling')).toMatchObject({ need: 2, have: 1, order: 1 })
    expect(found(rows, 'solder cap')).toMatchObject({ need: 1, have: 9, order: 0 })
  })
  it('is of one joint, or of several jobs of a day', () => {
    expect(orderFor([job], { joint: 'j3' }).map(said)).toEqual(['1 x press ball valve 22'])
    expect(found(orderFor([job, { ...job, id: 'other' }]), 'press coupling')).toMatchObject({ need: 4, order: 4 })
  })
  it('asks nothing more for a joint that is made', () => {
    const [first, ...others] = job.joints
    const made = {
      ...first!,
      signoffs: [
        { id: 's', initials: 'WL', at: '', by: '', marks: [], remarks: [], minutes: [], corrects: null, depths: {} },
      ],
    }
    const rows = orderFor([{ ...job, joints: [made, ...others] } as unknown as JobRecord])
    expect(found(rows, 'press coupling')!.need).toBe(1)
  })
  it('names inch compression by the outside of the tube', () => {
    const us = aJob({ region: 'us', joints: [joint('j1', { a: 'cu-l-1_2', method: 'compression', region: 'us' })] })
    expect(orderFor([us]).map(said)).toEqual(['1 x compression coupling 5/8 OD (1/2 nominal)'])
  })
})

describe('a line at the counter', () => {
  const legs = ['e 1000 tee', 'e 800 elbow', 'd 300 cap', 'from b u 500 on 15']
  // By hand: a tee 22 x 22 x 15, an elbow 22 and a cap 22 by press. Take-outs: elbow 27.5, cap 10.5; the tee is reducing,
  // so the mouths of its branch are measured and the pieces there have no cut.
  const line = aLine({ id: 'l1', pipe: 'cu-en-x-22', method: 'press', legs })
  it('has its fittings in the order of size, run x run x branch', () => {
    const rows = orderFor([aJob({ lines: [line] })])
    expect(found(rows, 'press tee')!.size).toBe('22 x 22 x 15')
    expect(found(rows, 'press elbow 90')).toMatchObject({ size: '22', need: 1 })
    expect(found(rows, 'press cap')).toMatchObject({ size: '22', need: 1, group: 'ends' })
    const pipes = rows.filter(({ group }) => group === 'pipe')
    expect(pipes[0]!.lengths!.mm).toBe(3000)
    expect(rows.some(({ group }) => group === 'supports')).toBe(true)
    // What stands at a mouth that nobody has a figure for has no cut, and is said.
    const isOpen = uncutPieces(aJob({ lines: [line] }))
    expect(isOpen).toBe(4 - pipes.reduce((sum, { pieces }) => sum + pieces!, 0))
  })
  it('says a tee in words on the Continent, where the branch is named in the middle', () => {
    const rows = orderFor([aJob({ region: 'eu', lines: [line] })])
    expect(found(rows, 'press tee')!.size).toBe('run 22, branch 15, run 22')
  })
  // By hand: 24 in and 18 in of 3/4, an elbow soldered 5/8 in (15.9) at each: two ends in it, 19 mm of wire each.
  it('counts wire at each soldered end, and pipe by its cuts', () => {
    const us = aLine({ id: 'l1', pipe: 'cu-l-3_4', method: 'solder', legs: ['e 24', 'u 18'] })
    const rows = orderFor([aJob({ region: 'us', lines: [us] })])
    expect(found(rows, 'solder elbow 90')).toMatchObject({ size: '3/4', need: 1 })
    const [pipe] = rows
    expect(pipe).toMatchObject({ group: 'pipe', pieces: 2, lengths: { count: 1, isCoil: false } })
    expect(pipe!.lengths!.mm).toBeCloseTo(3048, 0)
    expect(pipe!.need).toBeLessThan((24 + 18) * 25.4)
    expect(found(rows, 'lead-free solder wire')!.need).toBeCloseTo(2 * 19.05, 0)
  })
  it('calls a tee by run x branch for short where its run goes on alike, and nowhere on the Continent', () => {
    const row = (region: Region) => {
      const [tee] = orderFor([aJob({ region, lines: [line] })]).filter(({ name }) => name === 'press tee')
      return orderWords(tee!, region).note
    }
    expect(row('gb')).toBe('for short 22 x 15')
    expect(row('eu')).toBe('')
  })
  it('asks no more for the pipe of a piece that is cut', () => {
    const two = aLine({ id: 'l1', pipe: 'cu-en-x-22', method: 'press', legs: ['e 1000 elbow', 'u 800'] })
    const whole = orderFor([aJob({ lines: [two] })]).find(({ group }) => group === 'pipe')!
    const piece = (key: string, length: number) => ({ key: `l1:${key}`, length })
    // By hand: 1,000 less the elbow's 27.5.
    const plan = { pieces: [piece('p1', 972.5), piece('p2', 772.5)], bars: [] }
    const sheet = (length: number) => ({ plan, done: [{ id: 'd', bar: 'b', piece: 'l1:p1', length, at: '', by: '' }] })
    const after = (length: number) =>
      orderFor([aJob({ lines: [two], cuts: [sheet(length)] as unknown as JobRecord['cuts'] })]).find(
        ({ group }) => group === 'pipe',
      )!
    expect(whole).toMatchObject({ pieces: 2, need: 972.5 + 772.5 })
    expect(after(972.5)).toMatchObject({ pieces: 1, need: 772.5 })
    // A wrong cut is no piece: it is still wanted.
    expect(after(950)).toMatchObject({ pieces: 2 })
  })
})
