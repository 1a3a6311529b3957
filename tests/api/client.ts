import { inject } from 'vitest'

export interface Reply { status: number, body: any }

/** A call to the server under test; a string body goes as it is. */
export async function call(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Reply> {
  const reply = await fetch(inject('baseUrl') + path, {
    method, // Each call has its own connection: a test that blocks meanwhile would find a kept one closed.
    headers: { 'Content-Type': 'application/json', 'Connection': 'close', ...headers }, ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  const text = await reply.text()
  const isJson = reply.headers.get('content-type')?.includes('json')
  return { status: reply.status, body: isJson && text ? JSON.parse(text) : text }
}

export const get = (path: string) => call('GET', path)
export const post = (path: string, body: unknown) => call('POST', path, body)
export const patch = (path: string, body: unknown) => call('PATCH', path, body)
