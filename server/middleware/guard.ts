import { sendNoContent, setResponseHeaders } from 'h3'
import { checkHost } from '../guard/hosts'
import { checkMedia } from '../guard/media'
import { checkMethod } from '../guard/methods'
import { checkOrigin } from '../guard/origins'
import { isApi, plainPath } from '../guard/path'
import { checkRate } from '../guard/rates'
import { route } from '../http/route'

/** An answer is looked at at most: it loads and runs nothing, and is framed by nobody. A drawing has its styles in it. */
const NOTHING_RUNS = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'"

/** What is asked of every call before a route sees it: docs/security.md. */
export default route(async (event) => {
  const path = plainPath(event.path)
  // What a route gives may hold names and places: it is kept nowhere on its way, unless the route says otherwise.
  if (isApi(path)) setResponseHeaders(event, { 'Cache-Control': 'no-store', 'Content-Security-Policy': NOTHING_RUNS })
  checkHost(event)
  checkOrigin(event)
  if (checkMethod(event, path)) return sendNoContent(event)
  checkMedia(event)
  await checkRate(event, path)
  return undefined
})
