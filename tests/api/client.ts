import { ownBed } from '../bed'
import type { Issue } from '#core/base'

/** What came back: the answer a test expects, or `{error}` with the saved record beside a clash. */
export interface Reply<T> {
  status: number
  body: T & { error: Issue; saved: T }
}

/** A call to the server under test; a string body goes as it is. */
export async function call<T = object>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Reply<T>> {
  const reply = await fetch(ownBed().baseUrl + path, {
    method, // Each call has its own connection: a test that blocks meanwhile would find a kept one closed.
    headers: { 'Content-Type': 'application/json', Connection: 'close', ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  const text = await reply.text()
  const isJson = reply.headers.get('content-type')?.includes('json')
  return { status: reply.status, body: isJson && text ? JSON.parse(text) : text }
}

export const get = <T = object>(path: string) => call<T>('GET', path)
export const post = <T = object>(path: string, body: unknown) => call<T>('POST', path, body)
