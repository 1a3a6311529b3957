import { setResponseHeader, type H3Event } from 'h3'
import { createRouter } from 'radix3'
import { handlers } from '#nitro-internal-virtual/server-handlers'
import { issue } from '#core/base'
import { Problem } from '../http/problem'
import { isApi } from './path'

/** The methods of each route under /api. */
function readRoutes() {
  const routes = createRouter<{ methods: Set<string> }>()
  for (const { route, method } of handlers) {
    if (!route?.startsWith('/api/') || method === undefined) continue
    const methods = routes.lookup(route)?.methods ?? new Set()
    routes.insert(route, { methods: methods.add(method.toUpperCase()) })
  }
  return routes
}
/** Read at the first call: this module is one of those handlers. */
let known: ReturnType<typeof readRoutes> | undefined

/** What an address takes; nothing where there is no such route. Pages and files are only read. */
function methodsOf(path: string): string[] | null {
  if (!isApi(path)) return ['GET']
  known ??= readRoutes()
  const found = known.lookup(path)
  return found ? [...found.methods] : null
}

/**
 * A known address by a method it does not take: Problem 405 with `Allow`. HEAD has come as GET (see `entry.ts`). True
 * where only was asked what is allowed.
 */
export function checkMethod(event: H3Event, path: string): boolean {
  const methods = methodsOf(path)
  if (!methods || methods.includes(event.method)) return false
  setResponseHeader(event, 'Allow', [...methods, ...(methods.includes('GET') ? ['HEAD'] : []), 'OPTIONS'].join(', '))
  if (event.method === 'OPTIONS') return true
  throw new Problem(405, issue('impossible', '', `${event.method} is not taken here. Accepted: ${methods.join(', ')}.`))
}
