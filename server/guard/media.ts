import { getRequestHeader, type H3Event } from 'h3'
import { issue } from '#core/base'
import { Problem } from '../http/problem'

/** `application/json`, with a charset or without. */
export const isJson = (type: string): boolean => /^application\/json\s*(;|$)/i.test(type)

const hasBody = (event: H3Event): boolean =>
  getRequestHeader(event, 'transfer-encoding') !== undefined ||
  Number(getRequestHeader(event, 'content-length') ?? 0) > 0

/** What is posted is JSON and says so: a form of another site cannot. Problem 415. */
export function checkMedia(event: H3Event) {
  if (event.method !== 'POST' || !hasBody(event) || isJson(getRequestHeader(event, 'content-type') ?? '')) return
  throw new Problem(415, issue('type', '', 'Content-Type: application/json is accepted.'))
}
