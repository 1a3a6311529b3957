import { defineNitroErrorHandler } from 'nitropack/runtime'

/** Last resort for failures outside a route: no stack and no cause leave the server. */
export default defineNitroErrorHandler((error, event) => {
  const status = error.statusCode || 500
  if (status >= 500)
    console.error(`${event.method} ${event.context.matchedRoute?.path ?? 'unknown route'} failed: ${error.name}`)
  event.node.res.statusCode = status
  event.node.res.setHeader('Content-Type', 'application/json')
  const message = status === 404 ? 'There is nothing at that address.' : 'The server could not do that.'
  event.node.res.end(
    JSON.stringify({ error: { code: status === 404 ? 'unknown-id' : 'impossible', path: '', message } }),
  )
})
