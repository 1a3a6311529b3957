import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import http from 'node:http'
import { describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'

// What a browser is told, and what strangers are not.
const base = () => ownBed().baseUrl

describe('the page', () => {
  it('runs only its own scripts, by a nonce that is another each time, and is never framed', async () => {
    const [one, two] = await Promise.all(
      [1, 2].map(async () => {
        const reply = await fetch(`${base()}/jobs/kiln-lane-bakehouse/make`)
        return {
          policy: reply.headers.get('content-security-policy') ?? '',
          headers: reply.headers,
          html: await reply.text(),
        }
      }),
    )
    const nonce = (policy: string) => /'nonce-([^']+)'/.exec(policy)?.[1]
    expect(nonce(one!.policy)).toBeTruthy()
    expect(nonce(one!.policy)).not.toBe(nonce(two!.policy))
    for (const [, attributes] of one!.html.matchAll(/<script([^>]*)>/g))
      expect(attributes).toContain(`nonce="${nonce(one!.policy)}"`)
    expect(one!.policy).toMatch(/default-src 'self'/)
    expect(one!.policy).toMatch(/frame-ancestors 'none'/)
    expect(/script-src [^;]*/.exec(one!.policy)![0]).not.toMatch(/unsafe-inline|unsafe-eval'|https?:|\*/)
    expect(one!.headers.get('x-frame-options')).toBe('DENY')
  })

  it('asks nothing of other hosts', async () => {
    const html = await (await fetch(base())).text()
    for (const [, address] of html.matchAll(/(?:src|href)="([^"]+)"/g)) expect(address).toMatch(/^\/(?!\/)/)
  })
})

describe('every answer', () => {
  it.each(['/', '/api/jobs', '/api/nowhere', '/mark.svg', '/sw.js'])(
    '%s is taken for what it says it is',
    async (path) => {
      const { headers } = await fetch(base() + path)
      expect(headers.get('x-content-type-options')).toBe('nosniff')
      expect(headers.get('x-powered-by')).toBeNull()
    },
  )

  it.each(['/api/jobs', '/api/jobs/kiln-lane-bakehouse/register.csv', '/api/health', '/api/nowhere', '/api/core'])(
    '%s is kept nowhere on its way, and runs and frames nothing',
    async (path) => {
      const { headers } = await fetch(base() + path)
      expect(headers.get('cache-control')).toBe('no-store')
      expect(headers.get('content-security-policy')).toMatch(/^default-src 'none';.*frame-ancestors 'none'/)
      expect(headers.get('x-frame-options')).toBe('DENY')
      expect(headers.get('referrer-policy')).toBe('same-origin')
    },
  )
})

/** Every route that there is, by its file, with a name in each of its places. */
const ROUTES = readdirSync('server/api', { recursive: true, encoding: 'utf8' }).flatMap((file) => {
  const found = /^(.+?)(?:\/index)?\.(get|post|put)\.ts$/.exec(file)
  return found
    ? [{ at: `/api/${found[1]!.replaceAll(/\[[^\]]+\]/g, 'some-name')}`, method: found[2]!.toUpperCase() }]
    : []
})

describe('a route', () => {
  it.each(ROUTES)('$method $at takes no other method, and says which it takes', async ({ at, method }) => {
    for (const other of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'].filter((name) => name !== method)) {
      const reply = await fetch(base() + at, { method: other })
      expect(reply.status, other).toBe(405)
      expect(reply.headers.get('allow')?.split(', ')).toContain(method)
      expect(await reply.json()).toMatchObject({ error: { message: expect.stringMatching(/Accepted: /) } })
    }
    const asked = await fetch(base() + at, { method: 'OPTIONS' })
    expect(asked.status).toBe(204)
    expect(asked.headers.get('allow')?.split(', ')).toContain(method)
  })

  it('is the same however many slashes it is written with', async () => {
    for (const at of ['/api/jobs/', '//api/jobs', '/api//jobs//']) {
      const ask = (method: string) => fetch(base() + at, { method })
      const [got, deleted] = [await ask('GET'), await ask('DELETE')]
      expect(got.headers.get('cache-control'), at).toBe('no-store')
      expect(deleted.status, at).toBe(405)
    }
  })

  it('of a page or a file is only read', async () => {
    for (const at of ['/', '/jobs/kiln-lane-bakehouse/make', '/mark.svg', '/manifest.webmanifest'])
      for (const method of ['POST', 'PUT', 'DELETE']) {
        const reply = await fetch(base() + at, { method })
        expect(reply.status, `${method} ${at}`).toBe(405)
        expect(reply.headers.get('allow')).toBe('GET, HEAD, OPTIONS')
      }
  })

  it('that is read gives its head alone where that is asked', async () => {
    for (const at of ['/', '/api/health', '/api/jobs', '/mark.svg']) {
      const [head, got] = await Promise.all(['HEAD', 'GET'].map((method) => fetch(base() + at, { method })))
      expect(head!.status).toBe(got!.status)
      expect(head!.headers.get('content-type')).toBe(got!.headers.get('content-type'))
      expect(await head!.text()).toBe('')
    }
  })

  it('that takes JSON takes nothing that does not say so', async () => {
    const id = randomUUID()
    const body = JSON.stringify({
      acts: [acting().toSend('job/begin', { id }, id, { name: 'By form', place: '', region: 'gb' })],
    })
    for (const type of [
      'text/plain',
      'application/x-www-form-urlencoded',
      'multipart/form-data; boundary=x',
      'application/jsonx',
      '',
    ]) {
      for (const at of ['/api/acts', '/api/core/ask', '/api/demo']) {
        const reply = await fetch(base() + at, { method: 'POST', headers: { 'Content-Type': type }, body })
        expect(reply.status, `${type} ${at}`).toBe(415)
        expect(await reply.json()).toMatchObject({ error: { message: expect.stringContaining('application/json') } })
      }
    }
    const { jobs } = (await (await fetch(`${base()}/api/jobs?q=By+form`)).json()) as { jobs: unknown[] }
    expect(jobs).toEqual([])
    const headers = { 'Content-Type': 'Application/JSON; charset=utf-8' }
    expect((await fetch(`${base()}/api/acts`, { method: 'POST', headers, body })).status).toBe(200)
  })
})

describe('a thousand questions', () => {
  const QUESTION = { region: 'gb', a: { pipe: 'cu-bs-imp-3_4' }, b: { pipe: 'cu-en-x-22' } }
  const ask = async (questions: unknown) => {
    const reply = await fetch(`${base()}/api/core/ways`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(questions),
    })
    return { status: reply.status, answers: (await reply.json()) as { ways?: unknown[]; error?: { code: string } }[] }
  }

  it('by several callers hold up nobody: others are answered while they are worked', async () => {
    let isOver = false
    let answered = 0
    const storm = Promise.all(Array.from({ length: 5 }, () => ask(Array(1000).fill(QUESTION)))).finally(() => {
      isOver = true
    })
    while (!isOver) {
      expect((await fetch(`${base()}/api/health`)).status).toBe(200)
      if (!isOver) answered++
    }
    // In one thread with them it would be none till each is done.
    expect(answered).toBeGreaterThan(20)
    for (const { status, answers } of await storm) {
      expect(status).toBe(200)
      expect(answers).toHaveLength(1000)
      const worked = answers.findIndex(({ error }) => error)
      // Those within the second are answered, each after it is not, in its place.
      expect(worked).not.toBe(0)
      for (const [i, { ways, error }] of answers.entries())
        if (worked < 0 || i < worked) expect(ways?.length).toBeGreaterThan(0)
        else expect(error?.code).toBe('too-many')
    }
  })

  it('and one more are refused; few are answered whole', async () => {
    expect(await ask(Array(1001).fill(QUESTION))).toMatchObject({
      status: 422,
      answers: { error: { code: 'too-many' } },
    })
    const { answers } = await ask([QUESTION, { region: 'gb' }, QUESTION])
    expect(answers.map(({ error }) => error?.code)).toEqual([undefined, 'missing', undefined])
  })
})

describe('writes', () => {
  it.each([
    ['another site', 'https://example.org'],
    ['another port', 'http://127.0.0.1:1'],
    ['a page with no site', 'null'],
  ])('from %s are turned away before they are read', async (_, origin) => {
    for (const method of ['POST', 'PATCH', 'PUT', 'DELETE']) {
      const reply = await fetch(`${base()}/api/acts`, {
        method,
        headers: { Origin: origin },
        body: '{"acts":[{"name":"job/begin"}]}',
      })
      expect(reply.status).toBe(403)
      expect(JSON.stringify(await reply.json())).toMatch(/own pages only/)
    }
  })
  it('and reads by a name that was pointed at this machine are turned away', async () => {
    const ask = (host: string) =>
      new Promise<number>((resolve, reject) => {
        http
          .get(
            { host: '127.0.0.1', port: new URL(base()).port, path: '/api/jobs', headers: { Host: host } },
            (reply) => {
              reply.resume()
              resolve(reply.statusCode ?? 0)
            },
          )
          .on('error', reject)
      })
    expect(await ask('jobs.example.org')).toBe(421)
    expect(await ask('127.0.0.1.example.org')).toBe(421)
    expect(await ask(`localhost:${new URL(base()).port}`)).toBe(200)
  })
  it('from its own pages and from programs here are taken', async () => {
    for (const headers of [{ Origin: base() }, undefined]) {
      const id = randomUUID()
      const act = acting().toSend('job/begin', { id }, id, { name: 'Guarded', place: '', region: 'gb' })
      const body = JSON.stringify({ acts: [act] })
      expect(
        (
          await fetch(`${base()}/api/acts`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', ...headers },
            body,
          })
        ).status,
      ).toBe(200)
    }
  })
})
