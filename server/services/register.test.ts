import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { aFind, aJob, aJoint, aSignoff } from '../../tests/records'
import { registerCsv, registerJson } from './register'

const answer = findWays({ region: 'gb', a: { pipe: 'pe-en-25' }, b: { pipe: 'cu-en-x-22' } })
const way = answer.ok ? answer.value.ways[0]! : null!
const joint = (changes: Partial<JointRecord> = {}) =>
  aJoint({ place: 'entry', a: { pipe: 'pe-en-25' }, b: { pipe: 'cu-en-x-22' }, wayId: way.id, way, ...changes })
const job = (...joints: JointRecord[]) => aJob({ place: 'mill', joints })
const CHAIN = { acts: 7, head: 'a'.repeat(64), brokenAt: null }
const rows = (of: JobRecord) => Papa.parse<Record<string, string>>(registerCsv(of, CHAIN), { header: true }).data

describe('the register as CSV', () => {
  it('reads back what was written', () => {
    expect(rows(job(joint()))).toEqual([
      {
        joint: 'J1',
        where: 'entry',
        pipes: '25 × 2.3 PE to 22 × 0.9 copper',
        methods: 'pe-compression, compression',
        'marks (mm)': '',
        measured: '',
        status: 'planned',
        madeBy: '',
        at: '',
        care: '',
        failedChecks: '',
        reopened: '',
        remarks: '',
        log: CHAIN.head,
      },
    ])
  })
  it('keeps commas, quotes, line breaks and other scripts in their own cell', () => {
    for (const place of ['a, b', 'the "old" stub', 'two\r\nlines', 'Küche, 台所', ''])
      expect(rows(job(joint({ place })))[0]!.where).toBe(place)
  })
  it('disarms what a spreadsheet would run', () => {
    for (const place of ['=1+1', '+1', '-1', '@x']) expect(rows(job(joint({ place })))[0]!.where).toBe(`'${place}`)
  })
  it('leaves out joints without a way, and gives the last sign-off', () => {
    const marks = [
      { entry: 0, method: 'pe-compression', pipe: 'pe-en-25', mm: 55.5, measured: false },
      { entry: 1, method: 'compression', pipe: 'cu-en-x-22', mm: 21.25, measured: true },
    ]
    const signed = joint({ number: 2, signoffs: [aSignoff({ at: '2026-11-23T08:40:00.000Z', marks })] })
    expect(rows(job(joint({ way: null, wayId: null }), signed))).toMatchObject([
      {
        joint: 'J2',
        'marks (mm)': '55.5, 21.3',
        measured: 'yes',
        status: 'made',
        madeBy: 'AB',
        at: '2026-11-23T08:40:00.000Z',
      },
    ])
  })
})

describe('a find corrected since', () => {
  it('is said in the row of every joint that rests on it', () => {
    const find = aFind({ id: 'f', place: 'under the step', pipe: 'pe-en-32' })
    expect(rows({ ...job(joint({ findA: 'f' })), finds: [find] })[0]!.care).toBe(
      'under the step: was 25 × 2.3 PE, is kept as 32 × 3 PE',
    )
    expect(rows({ ...job(joint({ findA: 'f' })), finds: [{ ...find, pipe: 'pe-en-25' }] })[0]!.care).toBe('')
  })
})

describe('the register as JSON', () => {
  it('says its format and version, and holds ends, parts and sign-offs whole', () => {
    const out = registerJson(job(joint()), CHAIN)
    expect(out).toMatchObject({ format: 'jolvet-register', version: 1, job: { name: 'Yard', region: 'gb' } })
    expect(out.joints[0]).toMatchObject({
      ends: { a: { pipe: 'pe-en-25' } },
      parts: [{ name: 'PE x copper compression adaptor' }, { name: 'PE liner' }],
      signoffs: [],
    })
    expect(JSON.parse(JSON.stringify(out))).toEqual(out)
  })
  it('says how the log stood when it was given out', () => {
    const log = { acts: 7, head: CHAIN.head, isWhole: true }
    expect(registerJson(job(joint()), CHAIN).log).toEqual(log)
    expect(registerJson(job(joint()), { ...CHAIN, brokenAt: 3 }).log).toEqual({ ...log, isWhole: false })
  })
})
