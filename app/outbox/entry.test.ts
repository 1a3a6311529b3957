import { describe, expect, it } from 'vitest'
import { sent, type Act } from '#core/acts'
import { HAND, SAMPLES } from '../../tests/act-samples'
import { aCut, aFind, aJob, aJoint, aLine } from '../../tests/records'
import { entryWords, recordWords } from '~/wording/entry'
import { entryTime } from '~/wording/times'
import { fieldWords, valueWords } from '~/wording/values'
import { applyEntry, isChange, restsOnVersion, toSent, type Entry } from './entry'

/* Everything that can be done on a tablet: as it goes out, as it shows at once, and as it is said. */

const samples = Object.values(SAMPLES)
const entry = (act: Act, record = 'record-0001', changes: Partial<Entry> = {}): Entry => ({
  key: 'key-00001',
  page: 'p',
  at: Date.parse(HAND.at),
  clock: 'server',
  by: 'Wyn',
  job: 'job-1',
  record,
  act,
  version: 1,
  isSealed: false,
  state: 'waiting',
  ...changes,
})

describe('what is done on a tablet', () => {
  it.each(samples)('$act.name goes out as the server reads it, the same each time', ({ act, record }) => {
    const one = entry(act, record, { seen: { place: '' } })
    expect(sent.safeParse(toSent(one))).toMatchObject({ success: true })
    expect(JSON.stringify(toSent(one))).toBe(JSON.stringify(toSent({ ...one, isSealed: true, page: 'q' })))
    expect(toSent(one)).toMatchObject({ key: 'key-00001', at: HAND.at, by: 'Wyn', clock: 'server', version: 1 })
  })
  it.each(samples)('$act.name shows at once by the rules the server has', ({ act, record, job }) => {
    expect(applyEntry(job, entry(act, record))).toMatchObject({ ok: true })
  })
  it.each(samples)('$act.name is said in words', ({ act, record, job }) => {
    const one = entry(act, record)
    expect(entryWords(one, job)).toMatch(/^[\S ]{4,}$/)
    expect(entryWords(one, undefined)).not.toMatch(/undefined|\[object/)
    expect(recordWords(one, job)).not.toMatch(/undefined|\[object/)
  })
  it('a photo is shown from here until the server has it', () => {
    const { act, record, job } = SAMPLES['find/photo']
    const shown = applyEntry(job, entry(act, record, { photo: 'AAAA' }))
    expect(shown.ok && shown.value!.finds[0]!.photos[0]!.data).toBe('data:image/jpeg;base64,AAAA')
  })
  it('is typed on where it sets fields, and waits for its record where it takes it out', () => {
    expect(samples.filter(({ act }) => isChange(act)).map(({ act }) => act.name)).toEqual([
      'job/change',
      'kit/change',
      'find/change',
      'line/change',
      'joint/change',
      'cut/change',
    ])
    expect(samples.filter(({ act }) => restsOnVersion(act)).map(({ act }) => act.name)).toEqual([
      'find/drop',
      'line/drop',
      'joint/drop',
      'cut/drop',
      'rack/change',
      'rack/drop',
    ])
  })
  it('has its time by the clock it was told by', () => {
    const at = new Date(2026, 10, 26, 14, 5).getTime()
    expect(entryTime({ at, clock: 'server' })).toBe('14:05')
    expect(entryTime({ at, clock: 'tablet' })).toBe("14:05 by the tablet's clock")
  })
})

describe('the record an entry is about', () => {
  const job = aJob({
    joints: [aJoint({ id: 'j', number: 3 })],
    lines: [aLine({ id: 'l', number: 2 })],
    cuts: [aCut({ id: 'c', number: 4 })],
    finds: [aFind({ id: 'f' }), aFind({ id: 'g', place: 'north wall' })],
  })
  const change: Act = { name: 'joint/change', body: {} }
  it.each([
    ['j', 'J3'],
    ['l', 'L2'],
    ['c', 'C4'],
    ['f', 'find 1'],
    ['g', 'north wall'],
    ['gone', 'entry'],
  ])('%s is called %s', (record, words) => {
    expect(recordWords(entry(change, record), job)).toBe(words)
  })
  it('is the rack for offcuts, the kit, and the job for a job', () => {
    expect(recordWords(entry(SAMPLES['rack/put'].act, 'o'), job)).toBe('rack')
    expect(recordWords(entry(SAMPLES['kit/change'].act, job.id), job)).toBe('kit')
    expect(recordWords(entry(SAMPLES['job/begin'].act, job.id), undefined)).toBe('Mill')
    const { act } = SAMPLES['job/settle']
    expect(recordWords(entry({ ...act, body: { ...act.body, record: 'j' } }, job.id), job)).toBe('J3')
  })
})

describe('values that two hands set', () => {
  const job = aJob({ lines: [aLine({ id: 'l', number: 2 })] })
  const us = aJob({ region: 'us' })
  it.each<[string, unknown, string]>([
    ['place', '', 'nothing'],
    ['place', null, 'nothing'],
    ['place', 'riser', 'riser'],
    ['a', { pipe: 'cu-en-x-22' }, '22 × 0.9 copper'],
    ['b', { thread: { form: 'npt', size: '3/4', gender: 'female', material: 'brass' } }, '3/4 NPT female, brass'],
    ['pipe', 'cu-en-x-15', '15 × 0.7 copper'],
    ['depths.0', '21', '21 mm'],
    ['legs', ['e 640', 'u 480'], 'e 640, u 480'],
    ['legs', [], 'nothing'],
    ['conditions.wet', true, 'yes'],
    ['conditions.wet', false, 'no'],
    ['conditions.temperature', 60, '60 °C'],
    ['fix.across', 1800, '1800 mm'],
    ['wayId', 'unknown', 'another way'],
    ['clips.0:2', { mm: 640, at: '2026-11-26T09:00:00.000Z' }, '640 mm, fixed'],
    ['clips.0:2', { mm: 640, at: null }, '640 mm'],
    ['pulled.p2:3', { at: '', marks: '1/2/3' }, 'done'],
    ['tools', [{ method: 'press', sizes: ['15', '22'], due: null }], 'press 15 22'],
    ['tools', [], 'nothing'],
    ['stock', [{ id: 'a', length: '3 m', quantity: 4, price: null }], '4 × 3 m'],
    ['stock', [{ id: 'a', length: '3 m', quantity: null, price: 2 }], '3 m, as many as are wanted'],
    ['extras', [{ id: 'x', name: 'flow', length: '640', quantity: 2 }], '2 × flow 640'],
    ['sources', [{ job: 'job-1', line: 'l' }], 'L2'],
    ['leave', ['o1', 'o2'], '2 offcuts'],
    ['benders', [{ pipe: 'cu-en-x-22', radius: 77 }], '22 × 0.9 copper, radius 77 mm'],
    ['counts', [{ item: 'olive 22', out: 10, back: 8 }], 'olive 22 10 out, 8 back'],
  ])('%s %j is %s', (field, value, words) => {
    expect(valueWords(field, value, job)).toBe(words)
  })
  it('are words, whatever they are', () => {
    const odd = [{}, { a: { b: [1, { c: 2 }] } }, [[], [{}]], [{ x: 1 }], 12.5, true, 'x', new Array(30).fill({ y: 2 })]
    for (const field of ['clips', 'pulled', 'tools', 'stock', 'conditions', 'fix', 'answers', 'policy', 'unheard', 'a'])
      for (const value of odd)
        for (const of of [job, us, undefined])
          expect(valueWords(field, value, of), `${field} ${JSON.stringify(value)}`).not.toMatch(/\[object|undefined/)
  })
  it('go by the units of the job', () => {
    expect(valueWords('depths.0', '7/8', us)).toBe('7/8 in')
    expect(valueWords('conditions.temperature', 60, us)).toBe('140 °F')
    expect(valueWords('conditions.pressure', 3, us)).toBe('44 psi')
    expect(valueWords('clips.0:1', { mm: 25.4 * 12, at: null }, us)).toMatch(/^12 in/)
    const { act } = SAMPLES['cut/enter']
    expect(entryWords(entry({ ...act, body: { ...act.body, length: 25.4 * 12 } }), us)).toMatch(/12 in/)
  })
  it('are named by their field, and by the end of a depth', () => {
    expect(fieldWords('depths.1')).toBe('depth mark, end 2')
    expect(fieldWords('comeBack')).toBe('come back on')
    expect(fieldWords('signoff')).toBe('signed by')
  })
  it('of a map are only those keys that changed', () => {
    const change: Act = { name: 'joint/change', body: { depths: { 0: '21', 1: '18' } } }
    expect(entryWords(entry(change, 'j', { seen: { depths: { 0: '21', 1: '17' } } }), job)).toBe(
      'depth mark, end 2: 18 mm',
    )
  })
})
