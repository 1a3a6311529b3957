import { execFileSync, spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import {
  appendFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import net from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import mysql from 'mysql2/promise'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord } from '#core/record'
import { isRunning, lives, stop, url } from '../../scripts/db.mjs'
import { acting } from '../acts'
import { Running } from './running'

// Every fault of a start has its sentence or mends itself; none ends in a stack alone, none loses what was saved.
let run: Running
beforeAll(async () => {
  run = await Running.on()
  await run.begin()
})
afterAll(() => run.remove())
afterEach(() => run.end())

const script = (...asked: Parameters<Running['script']>) => run.script(...asked)
const query = async <T>(sql: string): Promise<T[]> => {
  const connection = await mysql.createConnection(url(await run.connection()))
  try {
    return (await connection.query(sql))[0] as T[]
  } finally {
    await connection.end()
  }
}
const alone = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work()
  } finally {
    await stop({ dir: run.database })
  }
}
/** A dump of what an earlier version kept, in place of what is there. */
async function beOfAnEarlierVersion() {
  const uri = url(await run.connection())
  const connection = await mysql.createConnection({ uri, multipleStatements: true })
  const name = new URL(uri).pathname.slice(1)
  await connection.query(`drop database \`${name}\`; create database \`${name}\`; use \`${name}\``)
  await connection.query(readFileSync('tests/fixtures/steps-by-place.sql', 'utf8'))
  await connection.end()
}
const jobs = async () => ((await (await fetch(`${run.url}/api/jobs`)).json()) as { jobs: JobRecord[] }).jobs
/** A job begun on a server that was started here; the answer as it came. */
function beginJob(baseUrl: string, name: string, place = '') {
  const id = randomUUID()
  const act = acting(() => baseUrl).toSend('job/begin', { id }, id, { name, place, region: 'gb' })
  return fetch(`${baseUrl}/api/acts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ acts: [act] }),
  })
}
const newJob = (name: string) => beginJob(run.url, name)
const recordOf = async (reply: Response) => ((await reply.json()) as { acts: { record: JobRecord }[] }).acts[0]!.record
/** Ends in words: no stack, and what to do. */
const inWords = ({ status, text }: { status: number | null; text: string }, words: RegExp) => {
  expect(text).toMatch(words)
  expect(text).not.toMatch(/^\s+at .*:\d+:\d+/m)
  expect(status).toBe(1)
}
const WAITING = { timeout: 30_000, interval: 100 }
const isRoot = process.getuid?.() === 0
/** Two ports only, in a network of its own, and whether that can be had here. */
const NARROW = 'echo 40000 40001 > /proc/sys/net/ipv4/ip_local_port_range'
const canNarrow = isRoot && spawnSync('unshare', ['-n', 'sh', '-c', NARROW]).status === 0
if (!canNarrow) console.log('skipped: a machine without free ports needs root and a network of its own')
/** Whether a small disk can be mounted here. */
const canMount =
  isRoot &&
  (() => {
    const place = mkdtempSync(path.join(tmpdir(), 'jolvet-mount-'))
    const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=64k', 'tmpfs', place]).status === 0
    if (mounted) spawnSync('umount', [place])
    rmSync(place, { recursive: true })
    return mounted
  })()
if (!canMount) console.log('skipped: full and read-only disks need root and the right to mount')
const onDisk = async (options: string, work: (place: string) => Promise<void> | void) => {
  const place = mkdtempSync(path.join(tmpdir(), 'jolvet-disk-'))
  execFileSync('mount', ['-t', 'tmpfs', '-o', options, 'tmpfs', place])
  try {
    await work(place)
  } finally {
    execFileSync('umount', ['-l', place])
    rmSync(place, { recursive: true })
  }
}

describe('ports and starts', () => {
  it('a second start finds the first, and a port that is taken is named', async () => {
    await run.begin()
    inWords(script('start'), new RegExp(`runs already, at http://127.0.0.1:${run.port}`))
    await run.end()
    const other = net.createServer()
    await new Promise<void>((resolve) => other.listen(run.port, '127.0.0.1', resolve))
    inWords(script('start'), new RegExp(`Port ${run.port} is taken.*PORT=\\d+ npm start`))
    await new Promise((resolve) => other.close(resolve))
    inWords(script('start', [], { PORT: 'http' }), /PORT is "http"\. Give a number from 1 to 65535/)
    inWords(
      script('start', ['--plain'], { HOST: '203.0.113.9', JOLVET_HOSTS: 'jolvet.test' }),
      /HOST is "203\.0\.113\.9"; this machine cannot listen there/,
    )
  })

  it.skipIf(!canNarrow)('says when no port is left on loopback', () => {
    const command = `${NARROW}; node -e "const net=require('net');let n=0;for(const p of [40000,40001])net.createServer().listen(p,'127.0.0.1',()=>{if(++n==2)console.log(require('child_process').spawnSync(process.execPath,['scripts/start.mjs'],{encoding:'utf8'}).stderr),process.exit()})"`
    const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-ports-'))
    const { stdout } = spawnSync('unshare', ['-n', 'sh', '-c', command], {
      encoding: 'utf8',
      env: { ...process.env, JOLVET_DATA: folder, PORT: '3999' },
    })
    rmSync(folder, { recursive: true })
    expect(stdout).toMatch(/No port is free on loopback/)
  })

  it('that is killed takes its server and its database with it, and is begun again', async () => {
    await run.begin()
    await newJob('Before the kill')
    const [server, database] = [run.serverPid, run.databasePid]
    run.killStart()
    await expect.poll(() => [server, database].filter((pid) => lives(pid, '')), WAITING).toEqual([])
    await run.begin()
    expect((await jobs()).map(({ name }) => name)).toContain('Before the kill')
  })

  it('stops when it is told to through npm, and when npm is killed', async () => {
    for (const signal of ['SIGTERM', 'SIGKILL'] as const) {
      await run.begin()
      await run.end()
      const npm = await run.beginByNpm()
      const [server, database] = [run.serverPid, run.databasePid]
      npm.kill(signal)
      await expect.poll(() => [server, database].filter((pid) => lives(pid, '')), WAITING).toEqual([])
    }
    expect(readFileSync(path.join(run.folder, 'logs/jolvet.log'), 'utf8')).toMatch(
      /stopping: (SIGTERM|npm, which started it, ended)[\s\S]*stopped[\s\S]*stopping: npm, which started it, ended/,
    )
  })

  it('says a clock that is behind what is on record', async () => {
    await alone(() => query('update joints set updated_at = date_add(utc_timestamp(), interval 40 day) limit 1'))
    await run.begin()
    expect(run.output).toMatch(/clock shows .* set the clock/)
    await query('update joints set updated_at = utc_timestamp()')
  })
})

describe('data folders', () => {
  it('half begun: kept aside, and begun anew', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'jolvet-half-'))
    mkdirSync(path.join(folder, 'mariadb/data/mysql'), { recursive: true })
    writeFileSync(path.join(folder, 'mariadb/data/ibdata1'), 'cut off')
    const half = await Running.on(folder)
    await half.begin()
    expect(half.output).toMatch(/begun and not finished; it is kept as/)
    expect(readdirSync(path.join(folder, 'mariadb')).filter((name) => name.includes('unfinished'))).toHaveLength(1)
    await half.remove()
  })

  it('with a connection file cut off: reached again, nothing lost', async () => {
    await run.begin()
    await newJob('Kept over the cut')
    await run.end()
    truncateSync(path.join(run.database, 'conn.json'), 9)
    await run.begin()
    expect((await jobs()).map(({ name }) => name)).toContain('Kept over the cut')
  })

  it('last used by a newer MariaDB, or by a newer Jolvet: said, not touched', async () => {
    const info = path.join(run.database, 'data/mysql_upgrade_info')
    const own = readFileSync(info, 'utf8')
    writeFileSync(info, '99.1.0-MariaDB')
    inWords(script('start'), /last used by MariaDB 99\.1; here is/)
    writeFileSync(info, own)
    await alone(() => query("insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)"))
    inWords(script('start'), /made by a newer Jolvet/)
    await alone(() => query("delete from __drizzle_migrations where hash = 'later'"))
    await stop({ dir: run.database })
  })

  it('of an earlier version: backed up, then its tables changed', async () => {
    await run.begin()
    const own = path.join(run.folder, 'own.gz')
    expect(script('backup', [own]).status).toBe(0)
    await run.end()
    await alone(beOfAnEarlierVersion)
    await run.begin()
    expect(run.output).toMatch(/backed up to .*before-update.*then changed/)
    // The server answers while it brings the list of an earlier version's jobs up to date.
    await expect.poll(async () => (await jobs()).map(({ name }) => name), WAITING).toEqual(['Half-made yard'])
    await run.end()
    expect(script('restore', [own])).toMatchObject({ status: 0 })
  })

  it('whose tables were being changed when the power went: put back from the backup, then changed', async () => {
    await run.begin()
    const job = await recordOf(await newJob('Through the cut'))
    const line = { pipe: 'cu-en-x-22', method: 'solder' as const, legs: ['e 640'] }
    await acting(() => run.url).begin('line/begin', job, line)
    const backup = path.join(run.folder, 'cut.gz')
    expect(script('backup', [backup]).text).toMatch(/jobs, .* 4 lines, .* are in/)
    await run.end()
    await alone(async () => {
      await query('drop table ticks')
      writeFileSync(path.join(run.database, 'changing-tables.json'), JSON.stringify({ backup }))
    })
    await run.begin()
    expect(run.output).toMatch(/was cut off; going back/)
    expect((await jobs()).map(({ name }) => name)).toContain('Through the cut')
    expect(existsSync(path.join(run.database, 'changing-tables.json'))).toBe(false)
  })

  it.skipIf(!canMount)(
    'on a disk of 64 kB, one that is read only, one that is full: each has its sentence',
    async () => {
      await onDisk('size=64k', (place) => {
        inWords(script('start', [], { JOLVET_DATA: place }), /MB are free where the data lies|disk of .* is full/)
      })
      await onDisk('size=64k,ro', (place) => {
        inWords(script('start', [], { JOLVET_DATA: place }), /read only/)
      })
      await onDisk('size=64k,nr_inodes=1', (place) => {
        inWords(script('start', [], { JOLVET_DATA: path.join(place, 'data') }), /is full/)
      })
    },
  )

  it.skipIf(!canMount)(
    'on a disk that fills up while it works: told, nothing acknowledged lost, on again once there is room',
    async () => {
      await onDisk('size=400m', async (place) => {
        const small = await Running.on(place)
        await small.begin()
        const job = await recordOf(await beginJob(small.url, 'Full', 'x'.repeat(100)))
        const { slug } = job
        const filler = path.join(place, 'filler')
        for (let free = true; free;) {
          try {
            appendFileSync(filler, Buffer.alloc(1 << 20))
          } catch {
            free = false
          }
        }
        const { toSend } = acting(() => small.url)
        const depths = Object.fromEntries(Array.from({ length: 99 }, (_, n) => [n, 'z'.repeat(40)]))
        const write = (i: number) => {
          const body = { place: 'y'.repeat(120), a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, depths }
          const act = toSend('joint/begin', job, `joint-${String(i).padStart(6, '0')}`, body)
          return fetch(`${small.url}/api/acts`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ acts: [act] }),
          })
        }
        const acknowledged: string[] = []
        let refused: Response | undefined
        for (let i = 0; i < 4000 && !refused; i += 10) {
          const replies = await Promise.all(Array.from({ length: 10 }, (_, n) => write(i + n)))
          for (const [n, reply] of replies.entries()) {
            if (reply.ok) acknowledged.push(`joint-${String(i + n).padStart(6, '0')}`)
            else refused = reply
          }
        }
        expect(refused?.status).toBe(503)
        expect(await refused!.text()).toMatch(/disk takes no more|busy|away/)
        rmSync(filler)
        let again = await write(9999)
        for (let i = 0; !again.ok && i < 100; i++) {
          await new Promise((resolve) => setTimeout(resolve, 200))
          again = await write(9999)
        }
        expect(again.status).toBe(200)
        const { joints } = (await (await fetch(`${small.url}/api/jobs/${slug}`)).json()) as JobRecord
        const saved = new Set(joints.map(({ id }) => id))
        expect(acknowledged.filter((id) => !saved.has(id))).toEqual([])
        await small.end()
      })
    },
    180_000,
  )
})

describe('backup and restore', () => {
  const file = () => path.join(run.folder, 'kept.gz')

  it('bring everything back, after the database was lost', async () => {
    await run.begin()
    await newJob('Worth keeping')
    const before = await jobs()
    expect(script('backup', [file()])).toMatchObject({ status: 0, text: expect.stringContaining('are in') })
    inWords(script('restore', [file()]), /Jolvet runs at .* Stop it/)
    await run.end()
    rmSync(run.database, { recursive: true })
    expect(script('restore', [file()]).text).toMatch(/Restored: \d+ jobs/)
    await run.begin()
    expect(await jobs()).toEqual(before)
  })

  it('never go over a fuller database without being asked, and keep what was there', async () => {
    await run.begin()
    await newJob('Newer than the backup')
    await run.end()
    const refused = script('restore', [file()])
    inWords(refused, /is fuller .* Nothing was changed; add --yes/)
    await run.begin()
    expect((await jobs()).map(({ name }) => name)).toContain('Newer than the backup')
    await run.end()
    const done = script('restore', [file(), '--yes'])
    expect(done.text).toMatch(/What was here before is in .*before-restore/)
    await run.begin()
    expect((await jobs()).map(({ name }) => name)).not.toContain('Newer than the backup')
  })

  it('name a file that is not there, is no backup, is cut off or damaged, and change nothing', async () => {
    const bad = path.join(run.folder, 'bad.gz')
    writeFileSync(bad, 'hello')
    inWords(script('backup', [path.join(bad, 'kept.gz')]), /bad\.gz is a file, where a folder is needed/)
    expect(isRunning(run.database), 'the database is stopped again').toBe(false)
    inWords(script('restore'), /Which backup\?/)
    inWords(script('restore', [path.join(run.folder, 'none.gz')]), /There is no file/)
    writeFileSync(bad, 'hello')
    inWords(script('restore', [bad]), /damaged or no backup/)
    const whole = readFileSync(file())
    writeFileSync(bad, whole.subarray(0, whole.length - 200))
    inWords(script('restore', [bad]), /ends too early|damaged/)
    const wrong = Buffer.from(whole)
    wrong[Math.floor(whole.length / 2)]! ^= 0xff
    writeFileSync(bad, wrong)
    inWords(script('restore', [bad]), /damaged|ends too early/)
    execFileSync('sh', ['-c', `echo "-- something else" | gzip > ${bad}`])
    inWords(script('restore', [bad]), /is not a backup of Jolvet/)
    await run.begin()
    expect((await jobs()).length).toBeGreaterThan(3)
  })
})
