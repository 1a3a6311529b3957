import { FetchError } from 'ofetch'
import type { SentAct } from '#core/acts'
import type { Issue } from '#core/base'
import type { Answer as ActAnswer, Reply, Uploaded } from '~/outbox/surroundings'

/** What came back: the value, or the issue in words. `away` where no server answered and trying again may help. */
export type Answer<T> = Reply<T>

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }
/** A server that has not answered by then is taken for away, ms. */
const ANSWER_WITHIN_MS = 15_000
/** A photo takes longer on a thin line: this much is waited for beside, bytes/ms. */
const LEAST_SPEED = 20
/** Statuses that a proxy or our server gives while it cannot do its work. */
const AWAY_STATUSES: ReadonlySet<number> = new Set([408, 429, 502, 503, 504])
/** A browser sends at most 64 kB for a page that is closing; well under it, bytes. */
const MOST_KEPT_ALIVE = 16_000

interface Call {
  method: 'GET' | 'POST' | 'PUT'
  url: string
  body?: string | Blob
  type?: string
}

async function call<T>(hear: (date: string | null) => void, { method, url, body, type }: Call): Promise<Answer<T>> {
  const size = typeof body === 'string' ? body.length : (body?.size ?? 0)
  try {
    const value = await $fetch<T>(url, {
      method,
      retry: 0,
      timeout: ANSWER_WITHIN_MS + size / LEAST_SPEED,
      headers: type === undefined ? {} : { 'Content-Type': type },
      body,
      keepalive: body !== undefined && size < MOST_KEPT_ALIVE,
      onResponse: ({ response }) => hear(response.headers.get('date')),
    })
    return { ok: true, value: value as T }
  } catch (error) {
    if (!(error instanceof FetchError) || error.status === undefined) return { ok: false, error: AWAY, away: true }
    const data = error.data as { error?: Issue; acts?: unknown } | undefined
    // What came of acts is an answer, whatever its status.
    if (data?.acts) return { ok: true, value: data as T }
    return { ok: false, error: data?.error ?? AWAY, away: AWAY_STATUSES.has(error.status) || data?.error === undefined }
  }
}

/** A photo's bytes; letter by letter, which a cheap phone does in a few ms. */
function bytesOf(base64: string): Blob {
  const letters = atob(base64)
  const bytes = new Uint8Array(letters.length)
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i)
  return new Blob([bytes], { type: 'image/jpeg' })
}

/** The server's routes, with failures as data; `hear` gets the time of each answer. */
export const useApi = (hear: (date: string | null) => void = () => undefined) => ({
  get: <T>(url: string) => call<T>(hear, { method: 'GET', url }),
  /** Acts in their order, with what came of each. */
  async send(acts: readonly SentAct[]): Promise<Answer<readonly ActAnswer[]>> {
    const reply = await call<{ acts: readonly ActAnswer[] }>(hear, {
      method: 'POST',
      url: '/api/acts',
      body: JSON.stringify({ acts }),
      type: 'application/json',
    })
    return reply.ok ? { ok: true, value: reply.value.acts } : reply
  },
  /** The demo jobs, where there is none yet. */
  loadDemo: () => call<{ jobs: number }>(hear, { method: 'POST', url: '/api/demo' }),
  /** A photo in base64, by the key of the act that will put it to its find. */
  upload: (key: string, name: string, photo: string): Promise<Answer<Uploaded>> =>
    call<Uploaded>(hear, {
      method: 'PUT',
      url: `/api/photos/${key}?name=${encodeURIComponent(name)}`,
      body: bytesOf(photo),
      type: 'image/jpeg',
    }),
})
