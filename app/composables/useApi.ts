import { FetchError } from 'ofetch'
import type { Issue } from '#core/base'
import type { Request } from '~/outbox/entry'

/**
 * What came back: the value, or the issue in words. `away` where no server answered and trying again may help; `saved`
 * is the record as another hand left it.
 */
export type Answer<T> = { ok: true; value: T } | { ok: false; error: Issue; away: boolean; saved?: T }

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }
/** A server that has not answered by then is taken for away, ms. */
const ANSWER_WITHIN_MS = 15_000
/** A photo takes longer on a thin line: this much is waited for beside, bytes/ms. */
const LEAST_SPEED = 20
/** Statuses that a proxy or our server gives while it cannot do its work. */
const AWAY_STATUSES: ReadonlySet<number> = new Set([408, 429, 502, 503, 504])
/** A browser sends at most 64 kB for a page that is closing; well under it, bytes. */
const MOST_KEPT_ALIVE = 16_000

async function call<T>(
  hear: (date: string | null) => void,
  method: 'GET' | Request['method'],
  url: string,
  body?: object,
  headers?: Record<string, string>,
): Promise<Answer<T>> {
  const text = body && JSON.stringify(body)
  try {
    const value = await $fetch<T>(url, {
      method,
      retry: 0,
      timeout: ANSWER_WITHIN_MS + (text?.length ?? 0) / LEAST_SPEED,
      headers: { ...headers, ...(text === undefined ? {} : { 'Content-Type': 'application/json' }) },
      body: text,
      keepalive: text !== undefined && text.length < MOST_KEPT_ALIVE,
      onResponse: ({ response }) => hear(response.headers.get('date')),
    })
    return { ok: true, value: value as T }
  } catch (error) {
    if (!(error instanceof FetchError) || error.status === undefined) return { ok: false, error: AWAY, away: true }
    const data = error.data as { error?: Issue; saved?: T } | undefined
    return {
      ok: false,
      error: data?.error ?? AWAY,
      away: AWAY_STATUSES.has(error.status) || data?.error === undefined,
      ...(data?.saved ? { saved: data.saved } : {}),
    }
  }
}

/** The server's routes, with failures as data; `hear` gets the time of each answer. */
export const useApi = (hear: (date: string | null) => void = () => undefined) => ({
  get: <T>(url: string) => call<T>(hear, 'GET', url),
  /** A write: its key, how long ago it was done, ms, and by whose hand. */
  send: <T>({ method, url, body }: Request, { key, ago, hand }: { key: string; ago: number; hand: string }) =>
    call<T>(hear, method, url, body, {
      'Idempotency-Key': key,
      'Done-Ago': String(Math.max(0, Math.round(ago))),
      ...(hand ? { Hand: encodeURIComponent(hand) } : {}),
    }),
})
