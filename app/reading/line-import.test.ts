import { describe, expect, it } from 'vitest'
import { draftLine, LINE_FILE_VERSION, writeLineFile, lineFields } from '#core/record'
import { aJob, aLine } from '../../tests/records'
import { likeLine, readImport } from './line-import'

const job = aJob()
const line = aLine({ name: 'hot', legs: ['e 640', 'u 900 elbow', 'n 22,5 = tap'] })
const read = (name: string, text: string, region: 'gb' | 'us' = 'gb') =>
  readImport(name, text, { ...job, region }, likeLine(line))
const file = (changes: object = {}) => JSON.stringify({ ...writeLineFile(job, line, null), ...changes })

describe('a line from a file', () => {
  it('comes back as it was given out', () => {
    const back = read('line.json', file())
    expect(back).toMatchObject({
      ok: true,
      value: {
        from: 'JSON',
        body: { name: 'hot', legs: line.legs },
        rows: [{ problem: null }, { problem: null }, { problem: null }],
      },
    })
    if (back.ok)
      expect(draftLine(job, { ...lineFields.blank, ...back.value.body }).question).toEqual(
        draftLine(job, line).question,
      )
  })
  it.each([
    ['no JSON', '{', 'json', ''],
    ['another format', '{"format":"x"}', 'type', 'format'],
    ['a newer version', file({ version: LINE_FILE_VERSION + 1 }), 'range', 'version'],
    ['a field it does not know', file({ colour: 'red' }), 'unknown-field', 'colour'],
    ['an unknown pipe', file({ line: { ...likeLine(line), pipe: 'cu-9' } }), 'unknown-id', 'line.pipe'],
    ['an unknown method', file({ line: { ...likeLine(line), method: 'nails' } }), 'unknown-id', 'line.method'],
  ])('says what is wrong with %s', (_, text, code, path) =>
    expect(read('line.json', text)).toMatchObject({ ok: false, error: { code, path } }),
  )
  it('keeps inches out of a metric job', () => {
    expect(read('line.json', file(), 'us')).toMatchObject({ ok: false, error: { code: 'impossible', path: 'region' } })
  })
})

describe('legs from a table', () => {
  it('by one column of legs, or by way and length', () => {
    expect(read('legs.csv', 'leg\ne 640\n"u 22,5"\n')).toMatchObject({
      ok: true,
      value: { from: 'CSV', body: { legs: ['e 640', 'u 22,5'], pipe: line.pipe } },
    })
    expect(read('legs.csv', 'Way,Length,End,On,From,Name\ne,640,tee,,,\nd,820,stop,15,b,sink 1\n')).toMatchObject({
      ok: true,
      value: { body: { legs: ['e 640 tee', 'from b d 820 on 15 stop = sink 1'] } },
    })
  })
  it('names each row that is wrong by its line in the file, and keeps the rest', () => {
    const back = read('legs.csv', 'leg\ne 640\nx 20\nu 30\n')
    expect(back).toMatchObject({
      ok: true,
      value: {
        rows: [
          { number: 2, problem: null },
          { number: 3, problem: expect.stringContaining('which way') },
          { number: 4, problem: 'Waits for the leg to C.' },
        ],
      },
    })
  })
  it.each([
    ['other columns', 'a,b\n1,2\n', 'not-understood'],
    ['nothing below', 'leg\n', 'missing'],
    ['5,000 legs', `leg\n${'e 20\n'.repeat(5000)}`, 'too-many'],
    ['a file that is far too large', `leg\n${'e 20 '.repeat(300_000)}`, 'too-many'],
  ])('says what is wrong with %s', (_, text, code) =>
    expect(read('legs.csv', text)).toMatchObject({ ok: false, error: { code } }),
  )
})
