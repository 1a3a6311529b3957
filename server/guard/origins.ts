import { getRequestHeader, type H3Event } from 'h3'
import { issue } from '#core/base'
import { Problem } from '../http/problem'

/** Writes come from our own pages or from a program; a page of another site is turned away. Problem 403. */
export function checkOrigin(event: H3Event) {
  if (event.method === 'GET') return
  const origin = getRequestHeader(event, 'origin')
  const host = getRequestHeader(event, 'host')
  if (origin === undefined || (URL.canParse(origin) && new URL(origin).host === host)) return
  throw new Problem(403, issue('impossible', '', "Writes are taken from this app's own pages only."))
}
