import { defineEventHandler, getRequestHeader, setResponseStatus } from 'h3'

/** Writes come from our own pages or from a program on this machine; a page of another site is turned away. */
export default defineEventHandler((event) => {
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  if (origin === undefined || (URL.canParse(origin) && new URL(origin).host === getRequestHeader(event, 'host'))) return
  setResponseStatus(event, 403)
  return { error: { code: 'impossible', path: '', message: 'Writes are taken from this app\'s own pages only.' } }
})
