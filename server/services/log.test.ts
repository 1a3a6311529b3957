import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BEGINNING, chainOf, hashOf, type LogRow } from './log'

/** A log of so many acts, as it would be written. */
function aLog(length: number): LogRow[] {
  let before = BEGINNING
  return Array.from({ length }, (_, i): LogRow => {
    const said = { key: `key-${i}`, name: 'joint/tick', job: 'job-1', record: `j${i % 3}`, by: 'Wyn' }
    const row = {
      ...{ seq: i + 1, key: said.key, jobId: said.job, number: i + 1, name: said.name, recordId: said.record },
      ...{ at: '2026-11-26 09:00:00.000', clock: 'server', by: said.by, takenAt: `2026-11-26 09:00:${i + 10}.000` },
      text: JSON.stringify(said),
    }
    before = hashOf(before, row)
    return { ...row, hash: before }
  })
}
const length = fc.integer({ min: 1, max: 40 })

describe('the log of a job', () => {
  it('is whole as it was written, and ends with the hash of its last row', () => {
    for (const n of [1, 2, 40]) {
      const rows = aLog(n)
      expect(chainOf(rows)).toEqual({ acts: n, head: rows.at(-1)!.hash, brokenAt: null })
    }
    expect(chainOf([])).toEqual({ acts: 0, head: '', brokenAt: null })
  })
  it.each<[string, (row: LogRow) => LogRow]>([
    ['its text', (row) => ({ ...row, text: row.text.replace('Wyn', 'Ola') })],
    ['when it came', (row) => ({ ...row, takenAt: '1066-10-14 09:00:00.000' })],
    ['its number', (row) => ({ ...row, number: row.number + 1 })],
    ['its hash', (row) => ({ ...row, hash: 'f'.repeat(64) })],
    ['the record it is on', (row) => ({ ...row, recordId: 'another' })],
    ['its name', (row) => ({ ...row, name: 'joint/untick' })],
    ['its key', (row) => ({ ...row, key: 'another' })],
    ['its hand', (row) => ({ ...row, by: 'Ola' })],
  ])('is broken where %s was changed, wherever it stands', (_, change) => {
    fc.assert(
      fc.property(length, fc.nat(), (n, where) => {
        const rows = aLog(n)
        const at = where % n
        expect(chainOf(rows.map((row, i) => (i === at ? change(row) : row))).brokenAt).toBe(at + 1)
      }),
    )
  })
  it('is broken where a row was taken out, put in or moved', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 20 }), fc.nat(), (n, where) => {
        const rows = aLog(n)
        const at = where % (n - 1)
        expect(chainOf(rows.filter((_, i) => i !== at)).brokenAt).not.toBeNull()
        expect(chainOf([...rows.slice(0, at), rows[at]!, ...rows.slice(at)]).brokenAt).not.toBeNull()
        expect(chainOf([...rows.slice(0, at), rows[at + 1]!, rows[at]!, ...rows.slice(at + 2)]).brokenAt).toBe(at + 1)
      }),
    )
  })
  it('is broken where it was cut short, by the end that its job has; not where an act came since', () => {
    fc.assert(
      fc.property(length, fc.nat(), (n, where) => {
        const rows = aLog(n)
        const end = { acts: n, head: rows.at(-1)!.hash }
        const kept = where % n
        expect(chainOf(rows, end).brokenAt).toBeNull()
        expect(chainOf(rows.slice(0, kept), end).brokenAt).toBe(kept + 1)
        expect(chainOf(rows, { acts: kept, head: rows[kept - 1]?.hash ?? '' }).brokenAt).toBeNull()
        expect(chainOf(rows, { ...end, head: 'f'.repeat(64) }).brokenAt).toBe(n + 1)
      }),
    )
  })
  it('rewritten from a row on ends with another hash: what was given out before is not of it', () => {
    const rows = aLog(12)
    const heads = new Set(rows.map(({ hash }) => hash))
    let before = rows[4]!.hash
    const rewritten = rows.slice(5).map((row) => {
      const changed = { ...row, text: row.text.replace('Wyn', 'Ola'), by: 'Ola' }
      before = hashOf(before, changed)
      return { ...changed, hash: before }
    })
    const log = [...rows.slice(0, 5), ...rewritten]
    expect(chainOf(log).brokenAt).toBeNull()
    expect(heads.has(chainOf(log).head)).toBe(false)
  })
})
