import { defineEventHandler, getRequestHeader, setResponseStatus, type H3Event } from 'h3'

const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]'])
/** Names this machine is asked for by a proxy before it, as `JOLVET_HOSTS=jolvet.example,tablet.example`. */
const NAMES: ReadonlySet<string> = new Set(
  (process.env.JOLVET_HOSTS ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean),
)
const isLoopbackOnly = (): boolean => LOOPBACK.has(process.env.HOST ?? '') || process.env.HOST === '::1'

function refuse(event: H3Event, status: number, message: string) {
  setResponseStatus(event, status)
  return { error: { code: 'impossible', path: '', message } }
}

/**
 * Writes come from our own pages or from a program on this machine; a page of another site is turned away. A server on
 * loopback answers to loopback's names only, so that a site whose name was pointed here does not pass for our own page.
 */
export default defineEventHandler((event) => {
  const host = getRequestHeader(event, 'host') ?? ''
  const name = URL.canParse(`http://${host}`) ? new URL(`http://${host}`).hostname : ''
  if (isLoopbackOnly() && !LOOPBACK.has(name) && !NAMES.has(name))
    return refuse(event, 421, "Jolvet answers to 127.0.0.1 and localhost here. A proxy's name goes into JOLVET_HOSTS.")
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  if (origin === undefined || (URL.canParse(origin) && new URL(origin).host === host)) return
  return refuse(event, 403, "Writes are taken from this app's own pages only.")
})
