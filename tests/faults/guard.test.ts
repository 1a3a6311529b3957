import { existsSync, readdirSync, readFileSync, utimesSync, writeFileSync, mkdirSync } from 'node:fs'
import http from 'node:http'
import net from 'node:net'
import path from 'node:path'
import sharp from 'sharp'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { Running } from './running'

// What was tried against a running copy, kept as it was tried.
let run: Running
beforeAll(async () => {
  run = await Running.on()
})
afterAll(() => run.remove())
afterEach(() => run.end())

const WAITING = { timeout: 60_000, interval: 100 }
const asks = (at: string, headers: Record<string, string> = {}, localAddress = '127.0.0.1') =>
  new Promise<{ status: number; headers: http.IncomingHttpHeaders; body: string }>((resolve, reject) => {
    http
      .get(run.url + at, { headers, localAddress, agent: false }, (reply) => {
        let body = ''
        reply.on('data', (chunk: Buffer) => {
          body += String(chunk)
        })
        reply.on('end', () => resolve({ status: reply.statusCode ?? 0, headers: reply.headers, body }))
      })
      .on('error', reject)
  })

describe('a network', () => {
  const refused = (env: Record<string, string>, words: RegExp, ...args: string[]) => {
    const { status, text } = run.script('start', args, env)
    expect(text).toMatch(words)
    expect(status).toBe(1)
  }

  it('is not opened without the names it is reached by, nor without a certificate unless it is said', () => {
    refused({ HOST: '0.0.0.0' }, /Say by which names it is reached there.*JOLVET_HOSTS=/)
    refused({ HOST: '0.0.0.0', JOLVET_HOSTS: ' , ' }, /Say by which names/)
    refused({ HOST: '0.0.0.0', JOLVET_HOSTS: 'jolvet.test' }, /npm run certificate.*npm start -- --plain/)
    const none = path.resolve('package.json')
    refused({ JOLVET_CERT: none, JOLVET_KEY: none }, /package\.json is no certificate that can be read/)
    refused({ JOLVET_CERT: '/nowhere.pem' }, /JOLVET_CERT and JOLVET_KEY go together/)
    refused({ JOLVET_CERT: '/nowhere.pem', JOLVET_KEY: '/nowhere.key' }, /There is no file \/nowhere\.pem/)
  })

  it('asks by a listed name only: a name that was pointed here neither reads nor writes', async () => {
    await run.begin({ HOST: '0.0.0.0', JOLVET_HOSTS: 'jolvet.test, 192.0.2.7' }, '--plain')
    expect(run.output).toMatch(/Jolvet is at http:\/\/jolvet\.test:\d+/)
    expect(run.output).toMatch(/listens beyond this machine.*there is no sign-in[\s\S]*over plain HTTP/)
    for (const host of ['jolvet.test', `JOLVET.test:${run.port}`, '192.0.2.7', 'localhost', '127.0.0.1:1'])
      expect((await asks('/api/jobs', { host })).status, host).toBe(200)
    for (const host of ['rebound.example', 'jolvet.test.example', '0.0.0.0', '192.0.2.70', 'x', 'jolvet.test@x']) {
      const { status, body } = await asks('/api/jobs', { host })
      expect(status, host).toBe(421)
      expect(JSON.parse(body)).toMatchObject({ error: { message: expect.stringContaining('JOLVET_HOSTS') } })
      expect((await asks('/', { host })).status, host).toBe(421)
    }
  })
})

describe('connections', () => {
  it('half sent are bounded by address and ended in time; others are answered meanwhile', async () => {
    await run.begin()
    let closed = 0
    let told = ''
    const half =
      'POST /api/acts HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 900\r\n'
    const sockets = Array.from({ length: 400 }, (_, i) => {
      const socket = net.connect({ port: run.port, host: '127.0.0.1', localAddress: '127.0.0.2' })
      // Some stop within the head, some within the body.
      socket.on('connect', () => socket.write(i % 2 ? half : `${half}\r\n{"acts":`))
      socket.on('data', (text: Buffer) => {
        told += String(text)
      })
      socket.on('error', () => undefined)
      socket.on('close', () => closed++)
      return socket
    })
    await expect.poll(() => closed, WAITING).toBeGreaterThanOrEqual(400 - 256)
    expect((await asks('/api/health')).status).toBe(200)
    expect(closed).toBeLessThan(400)
    await expect.poll(() => closed, WAITING).toBe(400)
    expect(told).toMatch(/503 Service Unavailable[\s\S]*At most 256 connections/)
    expect(told).toMatch(/408 Request Timeout/)
    expect(told).toMatch(/Nothing more of it came for 10 s/)
    for (const socket of sockets) socket.destroy()
  })
})

describe('rates', () => {
  it('of acts, photos and files are bounded by address, and it is said when to come again', async () => {
    await run.begin({ JOLVET_RATE_TIMES: '1' })
    const send = (method: string, at: string) =>
      fetch(run.url + at, {
        method,
        headers: { 'Content-Type': 'application/json' },
        ...(method === 'GET' ? {} : { body: '{}' }),
      })
    for (const [method, at, most] of [
      ['POST', '/api/acts', 400],
      ['PUT', '/api/photos/keykeykey', 60],
      ['GET', '/api/print/wrap-strip.pdf?mm=x', 120],
    ] as const) {
      const statuses: number[] = []
      let last: Response | undefined
      while (last?.status !== 429 && statuses.length <= most) {
        last = await send(method, at)
        statuses.push(last.status)
        if (last.status !== 429) await last.body?.cancel()
      }
      expect(statuses.length, at).toBe(most + 1)
      expect(Number(last!.headers.get('retry-after'))).toBeGreaterThan(0)
      expect(await last!.json()).toMatchObject({
        error: { code: 'too-many', message: expect.stringMatching(/At most/) },
      })
    }
    expect((await asks('/api/jobs/kiln-lane-bakehouse/log.json', {}, '127.0.0.3')).status).toBe(200)
  })
})

const put = async (px: number, key: string) => {
  const body = await sharp({ create: { width: px, height: px, channels: 3, background: '#b5651d' } })
    .png()
    .toBuffer()
  const reply = await fetch(`${run.url}/api/photos/${key}?name=${key}.png`, {
    method: 'PUT',
    body: new Uint8Array(body),
  })
  return { status: reply.status, text: await reply.text() }
}

describe('photos', () => {
  it('of many pixels are made one at a time, in bounded memory; of too many, refused unopened', async () => {
    await run.begin()
    const peak = () => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${run.serverPid}/status`, 'utf8'))![1]) / 1024
    await put(100, 'small-photo-1')
    const before = peak()
    const replies = await Promise.all(Array.from({ length: 8 }, (_, i) => put(6900, `large-photo-${i}`)))
    expect(replies.map(({ status }) => status)).toEqual(Array(8).fill(200))
    // Unpacked, the eight would take 1,100 MB.
    expect(peak() - before).toBeLessThan(300)
    const { status, text } = await put(8000, 'too-large-photo')
    expect(status).toBe(422)
    expect(text).toMatch(/8000 x 8000 px are 64 million; at most 50 million are accepted/)
  })
})

describe('photos that come slowly', () => {
  it('keep no more than two dozen others waiting, and those are taken in the end', async () => {
    await run.begin()
    const half = 'PUT /api/photos/half-photo-1?name=x.png HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 900\r\n\r\n'
    const slow = Array.from({ length: 4 }, () => net.connect({ port: run.port, host: '127.0.0.1' }))
    for (const socket of slow) {
      socket.on('error', () => undefined)
      await new Promise<void>((resolve) => socket.write(half, () => resolve()))
    }
    // Each of the four is read by now: the next answer comes after them on the same thread.
    await asks('/api/health')
    const replies = await Promise.all(Array.from({ length: 40 }, (_, i) => put(60, `one-of-many-${i}`)))
    const count = (status: number) => replies.filter((reply) => reply.status === status).length
    expect([count(200), count(503)]).toEqual([24, 16])
    expect(replies.find(({ status }) => status === 503)!.text).toMatch(/Many photos are coming in/)
    for (const socket of slow) socket.destroy()
  })
})

describe('backups by night', () => {
  it('are made while it runs, seven of them kept, and the age of the last is said', async () => {
    const folder = path.join(run.folder, 'backups')
    mkdirSync(folder, { recursive: true })
    const old = Array.from({ length: 7 }, (_, i) => path.join(folder, `nightly-2026010${i + 1}-020000.jolvet.gz`))
    for (const [i, file] of old.entries()) {
      writeFileSync(file, '')
      const at = Date.now() / 1000 - (9 - i) * 86_400
      utimesSync(file, at, at)
    }
    await run.begin({ JOLVET_NIGHTLY_AFTER_S: '0' })
    expect(run.output).toMatch(/last backup: 3 days ago, .*nightly-20260107/)
    await expect.poll(() => existsSync(old[0]!), WAITING).toBe(false)
    expect(readdirSync(folder).filter((name) => name.startsWith('nightly-'))).toHaveLength(7)
    const { at } = JSON.parse((await asks('/api/backup')).body) as { at: string }
    expect(Date.now() - Date.parse(at)).toBeLessThan(120_000)
    expect(run.output).toMatch(/nightly backup: .*nightly-\d+-\d+\.jolvet\.gz/)
  })
})
