import { existsSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import type { BenchPlan } from '#core/cutting'
import { BLANK_FIND, BLANK_JOINT } from '#core/record'
import { aCut, aFind, aJob, aJoint, aLine } from '../../tests/records'
import { entryWords, fieldWords, recordWords, valueWords } from '~/wording/entry'
import { toRequest, type Act, type Entry } from './entry'

/* Everything that can be done on a tablet: each has its call, its route on the server, and its words. */

const PLAN: BenchPlan = {
  id: 'plan-0001',
  pieces: [],
  bars: [],
  kerf: 0,
  keep: 300,
  used: 0,
  bound: 0,
  optimal: true,
  how: '',
  slips: [],
  first: { taken: 0, pieces: 0, kept: 0, scrap: 0 },
}
const { id: _i, number: _n, version: _v, updatedAt: _a, updatedBy: _b, ...line } = aLine()
const {
  id: _ci,
  number: _cn,
  version: _cv,
  updatedAt: _ca,
  updatedBy: _cb,
  plan: _p,
  done: _d,
  result: _r,
  ...cut
} = aCut()
const place = { entry: 0, step: 'ream', code: 'ream', reading: null }

/** One of each; the compiler asks for one that is added. */
const ACTS: { readonly [Do in Act['do']]: { act: Extract<Act, { do: Do }>; record?: string; words: RegExp } } = {
  'begin-job': {
    act: { do: 'begin-job', body: { name: 'Yard', place: '', region: 'gb' } as never },
    words: /job begun/,
  },
  'begin-find': { act: { do: 'begin-find', body: BLANK_FIND }, words: /to be found/ },
  'begin-line': { act: { do: 'begin-line', body: line, number: 1 }, words: /line begun/ },
  'drop-line': { act: { do: 'drop-line' }, words: /line taken out/ },
  'begin-cut': { act: { do: 'begin-cut', body: cut, number: 1 }, words: /cut sheet begun/ },
  'drop-cut': { act: { do: 'drop-cut' }, words: /cut sheet taken out/ },
  'plan-cut': { act: { do: 'plan-cut', plan: PLAN }, words: /planned, 0 pieces/ },
  cut: { act: { do: 'cut', body: { id: 'done-0001', bar: 'b', piece: 'x:1', length: 640 } }, words: /cut at 640 mm/ },
  uncut: { act: { do: 'uncut', cut: 'done-0001' }, words: /taken back/ },
  'finish-cut': { act: { do: 'finish-cut', body: { rests: [] } as never }, words: /rests to the rack/ },
  'put-offcut': {
    act: { do: 'put-offcut', body: { pipe: 'cu-en-x-22', length: 740, place: 'van' } as never },
    words: /offcut 740 mm, 22 × 0\.9 copper/,
  },
  'drop-offcut': { act: { do: 'drop-offcut' }, words: /offcut taken off/ },
  'begin-joint': { act: { do: 'begin-joint', body: BLANK_JOINT, number: 1 }, words: /joint begun/ },
  photo: { act: { do: 'photo', body: { name: 'a.jpg', data: '' }, width: 1, height: 1 }, words: /photo taken$/ },
  'drop-photo': { act: { do: 'drop-photo', photo: 'photo-0001' }, words: /photo taken off/ },
  change: {
    act: { do: 'change', kind: 'joints', changes: { place: 'riser' }, base: { place: '' }, version: 1 },
    words: /where: riser/,
  },
  tick: { act: { do: 'tick', place, done: true }, words: /step "ream" done/ },
  fault: { act: { do: 'fault', place }, words: /check of step "ream" failed/ },
  reopen: {
    act: { do: 'reopen', body: { signoff: 'sign-0001', reason: 'it weeps' } as never },
    words: /opened again: it weeps/,
  },
  wait: { act: { do: 'wait', place, running: true }, words: /wait begun/ },
  'bring-back': { act: { do: 'bring-back' }, words: /brought back/ },
  sign: { act: { do: 'sign', body: { initials: 'OL' }, version: 1, seen: {} }, words: /signed OL/ },
  settle: {
    act: { do: 'settle', body: { kind: 'joints', record: 'j', kept: 'mine', fields: [] } },
    words: /two entries settled/,
  },
}
const all = Object.values(ACTS) as { act: Act; words: RegExp }[]
const entry = (act: Act, record = 'record-0001'): Entry => ({
  key: 'key-00001',
  page: 'p',
  at: 0,
  job: 'job-1',
  record,
  act,
  isSealed: false,
  state: 'waiting',
})

const ROUTES = path.resolve('server/api')
/** The file that answers a call: each part of the address by its name, or the one folder or file that takes any. */
function routeOf(method: string, url: string): string | null {
  const ends = [`.${method.toLowerCase()}.ts`, `/index.${method.toLowerCase()}.ts`]
  const found = url
    .slice('/api/'.length)
    .split('/')
    .reduce<string[]>(
      (places, part) =>
        places.flatMap((at) => [
          path.join(at, part),
          ...(existsSync(at) && statSync(at).isDirectory()
            ? readdirSync(at)
                .filter((name) => name.startsWith('[') && !name.startsWith('[...'))
                .map((name) => path.join(at, name.replace(/\].*$/, ']')))
            : []),
        ]),
      [ROUTES],
    )
  return found.flatMap((at) => ends.map((end) => at + end)).find((file) => existsSync(file)) ?? null
}

describe('what is done on a tablet', () => {
  it.each(all)('$act.do has its route', ({ act }) => {
    const { method, url } = toRequest(entry(act))
    expect(routeOf(method, url), `${method} ${url}`).not.toBeNull()
  })
  it('finds no route where there is none', () => {
    expect(routeOf('PUT', '/api/jobs/x/joints')).toBeNull()
    expect(routeOf('GET', '/api/nothing')).toBeNull()
  })
  it.each(all)('$act.do is said in words', ({ act, words }) => {
    expect(entryWords(entry(act), aJob())).toMatch(words)
  })
  it('takes its key as the id of what it makes, so that it is made once however often it comes', () => {
    for (const name of ['photo', 'fault', 'reopen', 'sign', 'settle'] as const)
      expect(toRequest(entry(ACTS[name].act)).body).toMatchObject({ id: 'key-00001' })
    for (const name of ['begin-find', 'begin-line', 'begin-cut', 'begin-joint'] as const)
      expect(toRequest(entry(ACTS[name].act)).body).toMatchObject({ id: 'record-0001' })
  })
  it('carries the version it was done on where it rests on one', () => {
    expect(toRequest(entry(ACTS.change.act)).body).toEqual({ place: 'riser', version: 1 })
    expect(toRequest(entry(ACTS.sign.act)).body).toMatchObject({ version: 1 })
  })
})

describe('the record an entry is about', () => {
  const job = aJob({
    joints: [aJoint({ id: 'j', number: 3 })],
    lines: [aLine({ id: 'l', number: 2 })],
    cuts: [aCut({ id: 'c', number: 4 })],
    finds: [aFind({ id: 'f' }), aFind({ id: 'g', place: 'north wall' })],
  })
  it.each([
    ['j', 'J3'],
    ['l', 'L2'],
    ['c', 'C4'],
    ['f', 'find 1'],
    ['g', 'north wall'],
    ['kit-job-1', 'kit'],
    ['gone', 'entry'],
  ])('%s is called %s', (record, words) => {
    expect(recordWords(entry(ACTS.change.act, record), job)).toBe(words)
  })
  it('is the rack for offcuts, and the job for a job', () => {
    expect(recordWords(entry(ACTS['put-offcut'].act, 'o'), job)).toBe('rack')
    expect(recordWords(entry(ACTS['begin-job'].act, job.id), undefined)).toBe('Yard')
  })
})

describe('values that two hands set', () => {
  const job = aJob()
  it.each<[string, unknown, string]>([
    ['place', '', 'nothing'],
    ['place', null, 'nothing'],
    ['place', 'riser', 'riser'],
    ['a', { pipe: 'cu-en-x-22' }, '22 × 0.9 copper'],
    ['pipe', 'cu-en-x-15', '15 × 0.7 copper'],
    ['depths.0', '21', '21 mm'],
    ['legs', ['e 640', 'u 480'], 'e 640, u 480'],
    ['legs', [], 'nothing'],
    ['tools', [1, 2, 3], '3 of them'],
    ['conditions.wet', true, 'yes'],
    ['conditions.wet', false, 'no'],
    ['wayId', 'unknown', 'another way'],
  ])('%s %j is %s', (field, value, words) => {
    expect(valueWords(field, value, job)).toBe(words)
  })
  it('go by the units of the job', () => {
    expect(valueWords('depths.0', '7/8', aJob({ region: 'us' }))).toBe('7/8 in')
    const { act } = ACTS.cut
    expect(entryWords(entry({ ...act, body: { ...act.body, length: 25.4 * 12 } }), aJob({ region: 'us' }))).toMatch(
      /12 in/,
    )
  })
  it('are named by their field, and by the end of a depth', () => {
    expect(fieldWords('depths.1')).toBe('depth mark, end 2')
    expect(fieldWords('comeBack')).toBe('come back on')
  })
  it('of a map are only those keys that changed', () => {
    const change: Act = {
      do: 'change',
      kind: 'joints',
      changes: { depths: { 0: '21', 1: '18' } },
      base: { depths: { 0: '21', 1: '17' } },
      version: 1,
    }
    expect(entryWords(entry(change), job)).toBe('depth mark, end 2: 18 mm')
  })
})
