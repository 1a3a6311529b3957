// The server itself, in place of the framework's own: with time limits, bounds on connections, and certificates by
// their files.
import '#nitro-internal-pollyfills'
import { readFileSync } from 'node:fs'
import http, { type RequestListener } from 'node:http'
import https from 'node:https'
import compression from 'compression'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { setupGracefulShutdown, trapUnhandledNodeErrors } from 'nitropack/runtime/internal'
import { bound, TIMES } from './http/bounds'

const nitroApp = useNitroApp()
const answer = toNodeListener(nitroApp.h3App)

/** Pages and JSON go compressed, as far as the browser takes it; what is told as it happens goes out at once instead. */
const compress = compression({
  filter: (request, response) =>
    !String(response.getHeader('Content-Type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
})

/** HEAD is answered as GET is; Node leaves the body out of an answer that began as HEAD. */
const listen: RequestListener = (request, response) => {
  if (request.method === 'HEAD') request.method = 'GET'
  compress(request as never, response as never, () => void answer(request, response))
}

const { JOLVET_CERT: cert, JOLVET_KEY: key, PORT: port = '3000', HOST: host } = process.env
const server =
  cert && key
    ? https.createServer({ ...TIMES, cert: readFileSync(cert), key: readFileSync(key) }, listen)
    : http.createServer(TIMES, listen)
bound(server)
// Without its address it is of no use: it ends, and the start says so.
server.once('error', (error) => {
  console.error(`the server cannot listen: ${error.message}`)
  process.exit(1)
})
server.listen(Number(port), host)

trapUnhandledNodeErrors()
setupGracefulShutdown(server, nitroApp)

export default {}
