import type { Server } from 'node:http'
import type { Socket } from 'node:net'

/** Times a caller has, ms: for the head of a call, for a whole call, and between two calls of a connection. */
export const TIMES = {
  headersTimeout: 10_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 20_000,
  connectionsCheckingInterval: 2000,
} as const
/** A connection on which nothing moves is closed after, ms: over what the longest answer takes, and a stream pings. */
const SILENT_MS = 90_000
/** Connections at once: of one address (a proxy, or many tabs), and in all. */
const MOST_OF_AN_ADDRESS = 256
const MOST = 2000

const BUSY = [
  'HTTP/1.1 503 Service Unavailable',
  'Retry-After: 5',
  'Connection: close',
  'Content-Type: application/json',
  '',
  `{"error":{"code":"too-many","path":"","message":"At most ${MOST_OF_AN_ADDRESS} connections of one address are taken."}}`,
].join('\r\n')

/** Counts connections by address; those over the bound are told and closed. */
function boundAddresses(server: Server) {
  const open = new Map<string, number>()
  server.on('connection', (socket: Socket) => {
    const address = socket.remoteAddress ?? 'unknown'
    const count = (open.get(address) ?? 0) + 1
    open.set(address, count)
    socket.once('close', () => {
      const left = open.get(address)! - 1
      if (left > 0) open.set(address, left)
      else open.delete(address)
    })
    if (count > MOST_OF_AN_ADDRESS) socket.end(BUSY, () => socket.destroy())
  })
}

/** Bounds of a server that was made with `TIMES`. */
export function bound(server: Server) {
  server.maxConnections = MOST
  server.timeout = SILENT_MS
  boundAddresses(server)
}
