import { execFile } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { promisify } from 'node:util'
import mysql from 'mysql2/promise'
import { afterAll, describe, expect, inject, it } from 'vitest'
import { freePort, isRunning, start, stop, url } from '../../scripts/db.mjs'
import { runMigrations } from '../../scripts/migrate.mjs'
import { tsx } from '../../scripts/setup.mjs'
import { copyDatabase } from '../copy-database'
import '../bed'

const run = promisify(execFile)

// The private database and the start, on folders of their own.
const dir = mkdtempSync(path.join(tmpdir(), 'jolvet-db-'))
const demoDir = path.join(dir, 'demo')
afterAll(async () => {
  await stop({ dir })
  await stop({ dir: demoDir })
  rmSync(dir, { recursive: true, force: true })
})

async function ask<T>(folder: string, sql: string): Promise<T[]> {
  const connection = await mysql.createConnection(url(await start({ dir: folder })))
  try {
    return (await connection.query(sql))[0] as T[]
  } finally {
    await connection.end()
  }
}
const query = <T>(sql: string) => ask<T>(dir, sql)

describe('the private database', () => {
  it('starts on loopback, and a second start finds the first', async () => {
    const one = await start({ dir })
    const two = await start({ dir })
    expect(two).toMatchObject({ port: one.port, pid: one.pid, host: '127.0.0.1' })
    expect(isRunning(dir)).toBe(true)
    expect(readFileSync(`/proc/${one.pid}/cmdline`, 'utf8')).toContain('--bind-address=127.0.0.1')
  })

  it('keeps its temporary tables to itself: databases begun at one moment leave each other alone', async () => {
    const script = path.resolve('scripts/db.mjs')
    const folders = Array.from({ length: 6 }, (_, at) => path.join(dir, `beside-${at}`))
    const begun = await Promise.allSettled(
      folders.map((folder) =>
        run(process.execPath, [script, 'start'], { env: { ...process.env, JOLVET_DATA: folder } }),
      ),
    )
    const stopped = await Promise.all(folders.map((folder) => stop({ dir: path.join(folder, 'mariadb') })))
    expect(begun.filter(({ status }) => status === 'rejected')).toEqual([])
    expect(stopped).toEqual(folders.map(() => true))
  })

  it('keeps what was committed when it is killed', async () => {
    const { pid } = await start({ dir })
    await query('create table kept (n int)')
    await query('insert into kept values (1), (2)')
    process.kill(pid, 'SIGKILL')
    await new Promise((resolve) => setTimeout(resolve, 300))
    expect(isRunning(dir)).toBe(false)
    expect(await query<{ n: number }>('select n from kept order by n')).toEqual([{ n: 1 }, { n: 2 }])
  })

  it('takes the migrations once and again', async () => {
    const connection = url(await start({ dir }))
    await runMigrations(connection)
    await runMigrations(connection)
    const tables = (await query<Record<string, string>>('show tables')).flatMap((row) => Object.values(row))
    expect(tables).toEqual(expect.arrayContaining(['jobs', 'finds', 'joints', 'ticks', 'timers', 'signoffs']))
  })

  it('loads the demo into an empty database only, and puts it back when asked, leaving other jobs', async () => {
    // What every test begins from was loaded into an empty database.
    copyDatabase(inject('template'), demoDir)
    const env = { DATABASE_URL: url(await start({ dir: demoDir })) }
    const query = <T>(sql: string) => ask<T>(demoDir, sql)
    const names = async () =>
      (await query<{ name: string }>('select name from jobs order by position')).map(({ name }) => name)
    expect(await names()).toHaveLength(4)
    await query(
      "insert into jobs (id, slug, name, place, region, policy, position) values ('own', 'own', 'My own yard', '', 'gb', '{}', 99)",
    )
    await query('delete from joints')
    tsx('scripts/demo.ts', ['--if-empty'], env)
    expect(await query('select id from joints')).toEqual([])
    tsx('scripts/demo.ts', ['--replace'], env)
    expect(await names()).toHaveLength(5)
    expect(await names()).toContain('My own yard')
    expect((await query('select id from joints')).length).toBeGreaterThan(10)
  })
})

describe('a port', () => {
  it('for a test is one that is free', async () => {
    expect(await freePort()).not.toBe(await start({ dir }).then(({ port }) => port))
  })
})
