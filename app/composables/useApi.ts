import { FetchError } from 'ofetch'
import type { Issue } from '#core/base'

/** What came back: the value, or the issue in words; `away` where no server answered and trying again may help. */
export type Answer<T> = { ok: true, value: T } | { ok: false, error: Issue, away: boolean }

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }

type Method = 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE'

async function call<T>(method: Method, url: string, body?: object): Promise<Answer<T>> {
  try {
    return { ok: true, value: await $fetch<T>(url, { method, body, retry: 0 }) as T }
  } catch (error) {
    if (!(error instanceof FetchError) || error.status === undefined) return { ok: false, error: AWAY, away: true }
    const issue = (error.data as { error?: Issue } | undefined)?.error ?? AWAY
    return { ok: false, error: issue, away: error.status === 503 }
  }
}

/** The server's routes, with failures as data. */
export const useApi = () => ({
  get: <T>(url: string) => call<T>('GET', url),
  post: <T>(url: string, body: object) => call<T>('POST', url, body),
  patch: <T>(url: string, body: object) => call<T>('PATCH', url, body),
  put: <T>(url: string, body: object) => call<T>('PUT', url, body),
  remove: <T>(url: string, body: object) => call<T>('DELETE', url, body),
  /** A change sent by a page that is closing; nobody waits for the answer. */
  sendAndForget: (url: string, body: object) => {
    void fetch(url, { method: 'PATCH', body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' }, keepalive: true }).catch(() => undefined)
  },
})
