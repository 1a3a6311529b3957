import http, { type IncomingMessage, type ServerResponse } from 'node:http'
import https from 'node:https'
import type { AddressInfo } from 'node:net'
import { NAME, type OwnCertificate } from './certificate'

/**
 * What a bad network does to one call: lets it through, loses it on the way there or back, holds it, or carries it
 * twice.
 */
export type Fate = 'pass' | 'lose' | 'lose-reply' | 'delay' | 'twice'

export interface Proxy {
  url: string
  /** Decides the fate of each call that is a write; reads pass. */
  fate: (method: string, path: string) => Fate
  /** Refuses every connection while true, as a server that is away. */
  isDown: boolean
  /** How often each fate was dealt. */
  dealt: Record<Fate, number>
  close: () => Promise<void>
}

const DELAY_MS = 120

/** A network between a browser and the server at `target` that can be made bad; with a certificate, over TLS by its name. */
export async function openProxy(target: string, secure?: OwnCertificate): Promise<Proxy> {
  const to = new URL(target)
  const forward = (request: IncomingMessage, body: Buffer) =>
    new Promise<{ status: number; headers: http.IncomingHttpHeaders; body: Buffer }>((resolve, reject) => {
      // The host stays as the browser sent it: the server compares it with the page's own.
      const out = http.request(
        {
          host: to.hostname,
          port: to.port,
          method: request.method,
          path: request.url,
          headers: { ...request.headers, connection: 'close' },
        },
        (reply) => {
          const chunks: Buffer[] = []
          reply.on('data', (chunk) => chunks.push(chunk as Buffer))
          reply.on('end', () =>
            resolve({ status: reply.statusCode ?? 502, headers: reply.headers, body: Buffer.concat(chunks) }),
          )
          reply.on('error', reject)
        },
      )
      out.on('error', reject)
      out.end(body)
    })
  /** A line that stays open goes through as it comes, and is cut with the network. */
  function passThrough(request: IncomingMessage, response: ServerResponse) {
    const out = http.request(
      { host: to.hostname, port: to.port, path: request.url, headers: request.headers },
      (reply) => {
        response.writeHead(reply.statusCode ?? 502, reply.headers)
        reply.pipe(response)
      },
    )
    const watch = setInterval(() => {
      if (proxy.isDown) request.socket.destroy()
    }, DELAY_MS)
    response.on('close', () => {
      clearInterval(watch)
      out.destroy()
    })
    out.on('error', () => request.socket.destroy())
    out.end()
  }
  async function handle(request: IncomingMessage, response: ServerResponse) {
    if (proxy.isDown) return request.socket.destroy()
    if (request.url === '/api/stream') return passThrough(request, response)
    const chunks: Buffer[] = []
    for await (const chunk of request) chunks.push(chunk as Buffer)
    const body = Buffer.concat(chunks)
    const fate = request.method === 'GET' ? 'pass' : proxy.fate(request.method ?? '', request.url ?? '')
    proxy.dealt[fate]++
    if (fate === 'lose') return request.socket.destroy()
    if (fate === 'delay') await new Promise((resolve) => setTimeout(resolve, DELAY_MS))
    const [reply] = await Promise.all(Array.from({ length: fate === 'twice' ? 2 : 1 }, () => forward(request, body)))
    if (fate === 'lose-reply' || proxy.isDown) return request.socket.destroy()
    const { 'transfer-encoding': _, connection: __, ...headers } = reply!.headers
    response.writeHead(reply!.status, { ...headers, 'content-length': reply!.body.length, connection: 'close' })
    response.end(reply!.body)
  }
  const listen = (request: IncomingMessage, response: ServerResponse) => {
    handle(request, response).catch(() => request.socket.destroy())
  }
  const server = secure ? https.createServer(secure, listen) : http.createServer(listen)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const proxy: Proxy = {
    url: `${secure ? `https://${NAME}` : 'http://127.0.0.1'}:${(server.address() as AddressInfo).port}`,
    fate: () => 'pass',
    isDown: false,
    dealt: { pass: 0, lose: 0, 'lose-reply': 0, delay: 0, twice: 0 },
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections()
        server.close(() => resolve())
      }),
  }
  return proxy
}
