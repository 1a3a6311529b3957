import { randomInt } from 'node:crypto'
import net from 'node:net'

/** Below those that a Linux gives unasked, to a database or to a connection, between its being found and its use. */
const [FIRST, LAST] = [20_000, 32_000]
let next = randomInt(FIRST, LAST)

const isFree = (port: number) =>
  new Promise<boolean>((resolve) => {
    const server = net.createServer().once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })

/** A port for a server that is begun later, and anew: another one at each call. */
export async function appPort(): Promise<number> {
  for (let tries = 0; tries < LAST - FIRST; tries++) {
    const port = next
    next = next + 1 < LAST ? next + 1 : FIRST
    if (await isFree(port)) return port
  }
  throw new Error(`no port is free from ${FIRST} to ${LAST}`)
}
