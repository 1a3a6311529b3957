import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createHash } from 'node:crypto'
import { gunzipSync, gzipSync } from 'node:zlib'
import mysql from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { stop, url } from '../../scripts/db.mjs'
import { Running } from './running'

// A backup is a file from somewhere: what it says is checked before anything of it is done.
let run: Running
let other: Running
let whole: string
const file = (name: string) => path.join(run.folder, name)
const backup = (of: Running, to: string) => expect(of.script('backup', [to]).status).toBe(0)
const restore = (...args: string[]) => run.script('restore', args)
const refused = (words: RegExp, ...args: string[]) => {
  const { status, text } = restore(...args)
  expect(text).toMatch(words)
  expect(text).toMatch(/Nothing was changed|nothing was changed/)
  expect(text).not.toMatch(/^\s+at .*:\d+:\d+/m)
  expect(status).toBe(1)
}
/** The two parts of a backup: the lines of its head, and its rows. */
function partsOf(text: string) {
  const [first, second, ...rows] = text.split('\n')
  return { head: JSON.parse(first!) as Record<string, unknown>, first: first!, second: second!, rows: rows.join('\n') }
}
const read = (at: string) => partsOf(gunzipSync(readFileSync(at)).toString('utf8'))
const write = (at: string, ...parts: string[]) => writeFileSync(at, Buffer.concat(parts.map((part) => gzipSync(part))))
const counts = async () => {
  const connection = await mysql.createConnection(url(await run.connection()))
  const [[row]] = (await connection.query('select count(*) jobs, sum(length(name)) letters from jobs')) as unknown as [
    [Record<string, unknown>],
  ]
  const [databases] = (await connection.query('show databases')) as unknown as [unknown[]]
  await connection.end()
  await stop({ dir: run.database })
  return { ...row, databases: databases.length }
}

beforeAll(async () => {
  run = await Running.on()
  other = await Running.on()
  whole = file('whole.jolvet.gz')
  backup(run, whole)
})
afterAll(async () => {
  await run.remove()
  await other.remove()
})

describe('a backup', () => {
  it('is lines of JSON that any program unpacks, signed over its first line', () => {
    const { head, second, rows } = read(whole)
    expect(head).toMatchObject({ jolvet: 'backup', format: 2, rows: { jobs: 4 }, bytes: Buffer.byteLength(rows) })
    expect(head.sha256).toBe(createHash('sha256').update(rows).digest('hex'))
    expect(Object.keys(JSON.parse(second) as object)).toEqual(['key', 'signature'])
    for (const line of rows.trim().split('\n')) expect(typeof JSON.parse(line)).toBe('object')
    expect(rows).not.toMatch(/insert into|create table/i)
  })

  it('comes back row for row, bytes too', async () => {
    const before = await counts()
    const again = file('again.jolvet.gz')
    expect(restore(whole, '--yes').status).toBe(0)
    backup(run, again)
    expect(read(again).rows).toBe(read(whole).rows)
    expect(await counts()).toEqual(before)
  })

  it('goes into an empty database of ones own, and into no other', async () => {
    const connection = await other.connection()
    const open = await mysql.createConnection(url(connection))
    await open.query('create database jolvet_own')
    const own = { DATABASE_URL: url({ ...connection, database: 'jolvet_own' }) }
    expect(run.script('restore', [whole], own)).toMatchObject({
      status: 0,
      text: expect.stringMatching(/Restored: 4 jobs/),
    })
    expect(run.script('restore', [whole], own)).toMatchObject({
      status: 1,
      text: expect.stringMatching(/is not empty/),
    })
    await open.query('drop database jolvet_own')
    await open.end()
    await stop({ dir: other.database })
  })
})

describe('a crafted one', () => {
  it('of another server is named as such and asked about', async () => {
    const theirs = file('theirs.jolvet.gz')
    backup(other, theirs)
    refused(/made by another Jolvet, with the key [0-9a-f-]{19}.*add --trust/, theirs, '--yes')
    const key = /--trust (\S+) to/.exec(restore(theirs).text)![1]!
    refused(/another Jolvet/, theirs, '--yes', '--trust', 'unsigned')
    expect(restore(theirs, '--yes', '--trust', key).text).toMatch(/Restored: 4 jobs/)
    expect(restore(whole, '--yes').status).toBe(0)
  })

  it('that was changed anywhere is refused, and leaves nothing behind', async () => {
    const before = await counts()
    const { head, first, second, rows } = read(whole)
    const bad = file('bad.jolvet.gz')
    const isChanged = rows.replace('Kiln Lane', 'Kiln Line')
    expect(isChanged).not.toBe(rows)
    write(bad, `${first}\n${second}\n`, isChanged)
    refused(/what it holds is not what was put in/, bad, '--yes')
    const sha256 = createHash('sha256').update(isChanged).digest('hex')
    write(bad, `${JSON.stringify({ ...head, sha256 })}\n${second}\n`, isChanged)
    refused(/its signature does not fit/, bad, '--yes')
    write(bad, `${JSON.stringify({ ...head, at: '\u001b[2J' })}\n${second}\n`, rows)
    refused(/damaged or no backup/, bad, '--yes')
    for (const line of ['', '{}', '{"key":"","signature":""}', '{"key":7}', 'null'])
      for (const trust of [[], ['--trust', 'unsigned']]) {
        write(bad, `${first}\n${line}\n`, rows)
        refused(/its signature does not fit/, bad, '--yes', ...trust)
      }
    expect(await counts()).toEqual(before)
  })

  it('is not unpacked past the size it states', () => {
    const { first, second } = read(whole)
    const bad = file('bomb.jolvet.gz')
    // 2 GB of noughts in 2 MB: unpacked whole it would take seconds and the disk.
    const noughts = gzipSync(Buffer.alloc(64e6))
    writeFileSync(bad, Buffer.concat([gzipSync(`${first}\n${second}\n`), ...Array<Buffer>(32).fill(noughts)]))
    const before = process.hrtime.bigint()
    refused(/what it holds is not what was put in/, bad, '--yes')
    expect(Number(process.hrtime.bigint() - before) / 1e9).toBeLessThan(60)
    writeFileSync(bad, noughts)
    expect(restore(bad).text).toMatch(/is not a backup of Jolvet/)
  })
})

describe('one of before they were signed', () => {
  const old = (statements: string, bytes = Buffer.byteLength(statements)) => {
    const sha256 = createHash('sha256').update(statements).digest('hex')
    const head = { format: 1, at: '2026-11-01T08:00:00.000Z', migrations: 1, bytes, sha256, rows: {}, logs: null }
    const at = file('old.jolvet.sql.gz')
    writeFileSync(at, gzipSync(`-- jolvet-backup ${JSON.stringify(head)}\n${statements}`))
    return at
  }
  const fixture = readFileSync('tests/fixtures/steps-by-place.sql', 'utf8')

  it('runs no command of the shell, touches nothing here, and is asked about', async () => {
    const before = await counts()
    const marks = mkdtempSync(path.join(tmpdir(), 'jolvet-attack-'))
    const mark = path.join(marks, 'mark')
    const attacks = [
      `\\! touch ${mark}\n`,
      `system touch ${mark}\n`,
      `tee ${mark}\nselect 1;\n`,
      `source ${mark}\n`,
      `select 1 into outfile '${mark}';\n`,
      `load data local infile '/etc/passwd' into table jobs;\n`,
      'drop database jolvet_none;\n',
    ]
    refused(/has no signature.*add --trust unsigned/, old(fixture), '--yes')
    for (const attack of attacks) refused(/could not be loaded/, old(fixture + attack), '--yes', '--trust', 'unsigned')
    expect(await counts()).toEqual(before)
    // The client passes over this one where nobody sits at it.
    restore(old(`${fixture}pager touch ${mark}\nselect 1;\n`), '--yes', '--trust', 'unsigned')
    expect(existsSync(mark)).toBe(false)
    rmSync(marks, { recursive: true })
  })

  it('that is as it was made is still taken', () => {
    expect(restore(old(fixture), '--yes', '--trust', 'unsigned').text).toMatch(/Restored: 1 jobs/)
    expect(restore(whole, '--yes').status).toBe(0)
  })
})
