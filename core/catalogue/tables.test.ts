import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { BendRow, EndRow, LengthRow, PipeRow, RatingRow, Source, SupportRow, TakeOutRow, ValveRow } from './types'

interface Table {
  SOURCE: Source
  ROWS?: readonly PipeRow[]
  RATINGS?: readonly RatingRow[]
  TAKE_OUTS?: readonly TakeOutRow[]
  SUPPORTS?: readonly SupportRow[]
  VALVES?: readonly ValveRow[]
  METRIC_COPPER?: readonly BendRow[]
  INCH_COPPER?: readonly BendRow[]
  [ends: string]: unknown
}

// Read from the folder, so that a table that is added cannot be forgotten here.
const tables = await Promise.all(
  readdirSync(new URL('./tables', import.meta.url))
    .filter((name) => name !== 'index.ts')
    .map(async (name) => ({
      file: name.slice(0, -'.ts'.length),
      table: (await import(`./tables/${name.slice(0, -'.ts'.length)}.ts`)) as Table,
    })),
)
const TABLES = Object.fromEntries(tables.map(({ file, table }) => [file, table]))

/** Tables of distances between supports. */
const SUPPORT_TABLES = ['bs-8558', 'dvs-2210-1', 'en-multilayer-supports', 'ipc-308-5', 'irc-p2605', 'upc-313-3']

/** Groups of rows of a table that are depths: cups, sockets, barbs, threads. */
const endsOf = (table: Table): [string, readonly EndRow[]][] =>
  Object.entries(table).filter(
    (entry): entry is [string, readonly EndRow[]] =>
      Array.isArray(entry[1]) && entry[1].length > 0 && 'depthMm' in (entry[1][0] as object),
  )

/** Groups of rows that are whole lengths: slip couplings, caps, plugs. */
const lengthsOf = (table: Table): [string, readonly LengthRow[]][] =>
  Object.entries(table).filter(
    (entry): entry is [string, readonly LengthRow[]] =>
      Array.isArray(entry[1]) && entry[1].length > 0 && 'lengthMm' in (entry[1][0] as object),
  )

/** Rows by a key, in order. */
function groupBy<T>(rows: readonly T[], key: (row: T) => string): Record<string, T[]> {
  const groups: Record<string, T[]> = {}
  for (const row of rows) (groups[key(row)] ??= []).push(row)
  return groups
}

const inches = (size: string): number => {
  const [, whole = '0', over = '0', under = '1'] = /^(?:(\d+)(?:-|$))?(?:(\d+)\/(\d+))?$/.exec(size) ?? []
  return Number(whole) + Number(over) / Number(under)
}

it('reads every table', () => expect(tables.length).toBe(58))

describe.each(tables)('$file', ({ file, table }) => {
  it('names its standard and what it is about', () => {
    expect(table.SOURCE.id).toBe(file)
    expect(table.SOURCE.standard).toMatch(/^(Makers|ASTM|ASME|ASSE|AWWA|DVS|EN|BS|ISO|IPC|IRC|SAE|UPC)/)
    expect(table.SOURCE.subject.length).toBeGreaterThan(10)
  })

  it('holds rows', () => {
    expect(Object.values(table).filter((value) => Array.isArray(value) && value.length > 0)).not.toEqual([])
  })
  it('holds supports nearer to each other for small pipe than for large, and greatest distances that hold pipe', () => {
    const rows = table.SUPPORTS ?? []
    expect(rows.length === 0).toBe(!SUPPORT_TABLES.includes(file))
    for (const { family, from, horizontalMm, verticalMm } of rows) {
      const name = `${family} ${from}`
      expect(horizontalMm === null || (horizontalMm >= 250 && horizontalMm <= 4600), name).toBe(true)
      expect(verticalMm === null || horizontalMm === null || verticalMm >= horizontalMm, name).toBe(true)
    }
    for (const [family, own] of Object.entries(groupBy(rows, (row) => row.family)))
      own.forEach(({ horizontalMm }, i) => {
        const before = own[i - 1]?.horizontalMm
        if (before != null && horizontalMm !== null) expect(horizontalMm, family).toBeGreaterThanOrEqual(before)
      })
  })
  if (SUPPORT_TABLES.includes(file)) return
  it('holds rows in a plausible range, each once, ascending', () => {
    for (const [series, rows] of Object.entries(groupBy(table.ROWS ?? [], (row) => row.series))) {
      expect(new Set(rows.map(({ nominal }) => nominal)).size, series).toBe(rows.length)
      rows.forEach(({ odMm, wallMm, boreMm, nominal }, i) => {
        expect(odMm > 5 && odMm < 70, nominal).toBe(true)
        if (wallMm !== null) expect(wallMm >= 0.5 && wallMm < odMm / 4, nominal).toBe(true)
        expect((wallMm === null) === (boreMm === null), nominal).toBe(true)
        if (i > 0) expect(odMm, `${series} ${nominal}`).toBeGreaterThanOrEqual(rows[i - 1]!.odMm)
      })
    }
    for (const [name, rows] of endsOf(table)) {
      expect(new Set(rows.map(({ nominal }) => nominal)).size, name).toBe(rows.length)
      for (const { nominal, depthMm, loMm, hiMm } of rows) {
        if (depthMm !== null)
          expect(
            loMm! <= depthMm && depthMm <= hiMm! && (depthMm > 2 || depthMm === 0) && depthMm < 130,
            `${name} ${nominal}`,
          ).toBe(true)
      }
    }
    for (const { fitting, nominal, takeOutMm, loMm, hiMm } of table.TAKE_OUTS ?? [])
      expect(loMm <= takeOutMm && takeOutMm <= hiMm && takeOutMm > 0.5 && takeOutMm < 90, `${fitting} ${nominal}`).toBe(
        true,
      )
    for (const { valve, method, nominal, takeOutMm, loMm, hiMm } of table.VALVES ?? [])
      expect(loMm <= takeOutMm && takeOutMm <= hiMm && loMm > 4 && hiMm < 60, `${valve} ${method} ${nominal}`).toBe(
        true,
      )
    for (const [name, rows] of lengthsOf(table)) {
      expect(new Set(rows.map(({ nominal }) => nominal)).size, name).toBe(rows.length)
      for (const { nominal, lengthMm, loMm, hiMm } of rows)
        expect(loMm <= lengthMm && lengthMm <= hiMm && loMm >= 7 && hiMm <= 205, `${name} ${nominal}`).toBe(true)
    }
    for (const { nominal, radiusMm, loMm, hiMm } of [...(table.METRIC_COPPER ?? []), ...(table.INCH_COPPER ?? [])])
      expect(loMm <= radiusMm && radiusMm <= hiMm && radiusMm >= 19 && hiMm < 760, nominal).toBe(true)
    for (const { of, tempC, maxBar } of table.RATINGS ?? []) {
      expect(tempC >= 20 && tempC <= 121, of).toBe(true)
      if (maxBar !== null) expect(maxBar > 2 && maxBar < 100, of).toBe(true)
    }
  })
})

describe.each(tables.filter(({ table }) => (table.RATINGS ?? []).some(({ maxBar }) => maxBar !== null)))(
  'ratings of $file',
  ({ table }) => {
    it('never take more pressure hotter', () => {
      const known = table.RATINGS!.filter(({ maxBar }) => maxBar !== null)
      for (const rows of Object.values(groupBy(known, (row) => row.of))) {
        const bars = [...rows].sort((a, b) => a.tempC - b.tempC).map(({ maxBar }) => maxBar!)
        expect(bars).toEqual([...bars].sort((a, b) => b - a))
      }
    })
  },
)

// Retyped by hand: file, group, size, figures as the standard writes them (inches times 25.4 where it writes inches).
describe('rows retyped from the standards', () => {
  const pipe = (file: string, series: string, nominal: string) =>
    TABLES[file]!.ROWS!.find((row) => row.series === series && row.nominal === nominal)!
  const end = (file: string, group: string, nominal: string) =>
    (TABLES[file]![group] as readonly EndRow[]).find((row) => row.nominal === nominal)!

  it.each([
    ['astm-b88', 'cu-k', '1', 1.125, 0.065],
    ['astm-b88', 'cu-l', '1/2', 0.625, 0.04],
    ['astm-b88', 'cu-m', '3/4', 0.875, 0.032],
    ['astm-f876', 'pex-cts', '1', 1.125, 0.125],
    ['astm-f876', 'pex-cts', '3/4', 0.875, 0.097],
    ['astm-d2846', 'cpvc-cts', '3/4', 0.875, 0.08],
    ['asme-b36-10', 'st-40', '1/2', 0.84, 0.109],
    ['asme-b36-10', 'st-40', '1', 1.315, 0.133],
    ['astm-d1785', 'pvc-40', '1/2', 0.84, 0.109],
  ])('%s %s %s: %f in by %f in', (file, series, nominal, od, wall) => {
    expect(pipe(file, series, nominal).odMm).toBeCloseTo(od * 25.4, 1)
    expect(pipe(file, series, nominal).wallMm!).toBeCloseTo(wall * 25.4, 1)
  })

  it.each([
    ['en-1057', 'cu-en-x', '28', 28, 0.9],
    ['en-1057', 'cu-en-y', '22', 22, 1.2],
    ['en-12201', 'pe-en', '32', 32, 3],
    ['en-iso-21003', 'ml-en', '16', 16, 2],
    ['en-iso-21003', 'ml-en', '26', 26, 3],
    ['en-10255', 'st-en', '3/4', 26.9, 2.6],
  ])('%s %s %s: %f by %f mm', (file, series, nominal, od, wall) => {
    expect([pipe(file, series, nominal).odMm, pipe(file, series, nominal).wallMm]).toEqual([od, wall])
  })

  it.each([
    // ASME B16.22, cup G: 0.31, 0.50, 0.91 in. EN 1254-1: 10.6 and 18.4 mm.
    ['asme-b16-22', 'CUPS', '1/4', 0.31 * 25.4],
    ['asme-b16-22', 'CUPS', '1/2', 0.5 * 25.4],
    ['asme-b16-22', 'CUPS', '1', 0.91 * 25.4],
    ['en-1254-1', 'CUPS', '15', 10.6],
    ['en-1254-1', 'CUPS', '28', 18.4],
  ])('%s %s %s is %f deep', (file, group, nominal, depth) =>
    expect(end(file, group, nominal).depthMm!).toBeCloseTo(depth, 1),
  )

  it('copper tube sizes are the nominal plus an eighth', () => {
    for (const file of ['astm-b88', 'astm-f876', 'astm-f2769', 'astm-d2846', 'astm-d3309', 'astm-d2737']) {
      for (const { nominal, odMm } of TABLES[file]!.ROWS!)
        expect(odMm, `${file} ${nominal}`).toBeCloseTo((inches(nominal) + 1 / 8) * 25.4, 2)
    }
  })

  it('old British copper has the bore it is called by', () => {
    for (const { nominal, boreMm } of TABLES['bs-659']!.ROWS!)
      expect(boreMm!, nominal).toBeCloseTo(inches(nominal) * 25.4, 2)
  })

  it('NPT goes home by its hand-tight length and three threads', () => {
    // L1 in inches and threads to the inch, ASME B1.20.1.
    for (const [nominal, l1, threads] of [
      ['3/4', 0.339, 14],
      ['1', 0.4, 11.5],
      ['2', 0.436, 11.5],
    ] as const)
      expect(end('asme-b1-20-1', 'MADE_UP', nominal).depthMm!).toBeCloseTo((l1 + 3 / threads) * 25.4, 1)
  })
})
