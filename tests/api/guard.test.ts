import { randomUUID } from 'node:crypto'
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
      expect((await fetch(`${base()}/api/acts`, { method: 'POST', headers, body })).status).toBe(200)
    }
  })
})
