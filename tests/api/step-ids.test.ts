import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import mysql from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { start, stop, url } from '../../scripts/db.mjs'
import { runMigrations } from '../../scripts/migrate.mjs'

// A dump of the version that named steps by their place: half-made joints of every method that waits, a check that
// failed, a sign-off that was corrected, a temporary joint, and ticks that had slid when the job's policy changed.
const dir = mkdtempSync(path.join(tmpdir(), 'jolvet-steps-'))
/** The change of the tables that brings them over. */
const BROUGHT_OVER = readFileSync('server/db/migrations/0010_step-ids.sql', 'utf8').split('--> statement-breakpoint')
const rows = async <T>(sql: string): Promise<T[]> => {
  const connection = await mysql.createConnection(url(await start({ dir })))
  try {
    return (await connection.query(sql))[0] as T[]
  } finally {
    await connection.end()
  }
}
interface Tick {
  joint_id: string
  entry: number
  step: string
  code: string
  reading: number | null
  did: string | null
}
const ticksOf = async (n: number) =>
  (await rows<Tick>('select * from ticks order by joint_id, entry, at')).filter(
    ({ joint_id: id }) => id === `fixture-joint-${n}`,
  )
const waitsOf = async (n: number) =>
  (await rows<{ step: string }>(`select step from timers where joint_id = 'fixture-joint-${n}' order by seconds`)).map(
    ({ step }) => step,
  )

beforeAll(async () => {
  const connection = await mysql.createConnection({ uri: url(await start({ dir })), multipleStatements: true })
  await connection.query(readFileSync(new URL('../fixtures/steps-by-place.sql', import.meta.url), 'utf8'))
  await connection.end()
  await runMigrations(url(await start({ dir })))
})
afterAll(async () => {
  await stop({ dir })
  rmSync(dir, { recursive: true, force: true })
})

describe('records of steps by their place, brought over', () => {
  it("keep what was ticked, by the step's own id", async () => {
    const solder = await ticksOf(1)
    expect(solder.filter(({ entry }) => entry === 0).map(({ step }) => step)).toEqual([
      'cut',
      'ream',
      'deburr',
      'clean',
      'mark',
      'flux',
      'assemble',
      'protect',
      'heat',
      'feed',
      'hold',
    ])
    expect(solder.filter(({ entry }) => entry === 1)).toHaveLength(5)
    for (const { step, code, did } of solder) expect([step, did]).toEqual([code, null])
  })
  it('tell the two tightenings of a union apart', async () => {
    const union = await ticksOf(2)
    expect(union.map(({ step }) => step)).toEqual([
      'clean',
      'tape',
      'paste',
      'assemble',
      'tighten',
      'check',
      'tighten-2',
    ])
  })
  it('keep the check that failed, with its reading, under its id', async () => {
    const [joint] = await rows<{ faults: unknown }>("select faults from joints where id = 'fixture-joint-3'")
    expect(joint!.faults).toMatchObject([
      { id: 'fixture-fault-1', step: 'gauge', code: 'gauge', reading: 15.9, method: 'crimp' },
    ])
    const others = await rows<{ faults: unknown }>("select faults from joints where id <> 'fixture-joint-3'")
    for (const { faults } of others) expect(faults).toEqual([])
  })
  it('keep both entries of what was signed and corrected', async () => {
    const signed = await rows<{ id: string; corrects: string | null; remarks: unknown }>(
      'select id, corrects, remarks from signoffs order by seq',
    )
    expect(signed).toMatchObject([
      { id: 'fixture-sign-1', corrects: null },
      { id: 'fixture-sign-2', corrects: 'fixture-sign-1' },
    ])
    for (const { remarks } of signed) expect(remarks).toEqual([])
    expect((await ticksOf(4)).at(-1)).toMatchObject({ step: 'check', reading: 2 })
  })
  it('keep the temporary joint, its day and its steps', async () => {
    const [joint] = await rows<{ come_back: string }>("select come_back from joints where id = 'fixture-joint-5'")
    expect(joint!.come_back).toBe('2026-12-20')
    expect((await ticksOf(5)).map(({ step }) => step)).toEqual(['cut', 'ream', 'deburr', 'clean', 'nut', 'olive'])
  })
  it('keep every wait that runs', async () => {
    expect([await waitsOf(1), await waitsOf(6), await waitsOf(7)]).toEqual([
      ['hold', 'wait'],
      ['hold', 'wait'],
      ['hold', 'cure'],
    ])
  })
  it('count a step once that had slid, by what was really ticked', async () => {
    // Ticked: clean, tape, paste; then, sealed by tape alone, the step that had moved up, tighten; never assemble.
    expect((await ticksOf(8)).map(({ step }) => step)).toEqual(['clean', 'tape', 'paste', 'tighten'])
  })
  it('may be brought over again after a stop half way', async () => {
    const before = await ticksOf(1)
    for (const sql of BROUGHT_OVER) await rows(sql)
    expect(await ticksOf(1)).toEqual(before)
  })
})
