import type { Issue } from '#core/base'
import type { AnyRecord, Entry, Request } from './entry'
import type { Storage } from './storage'

/** What came of a call; `away`: no server answered. */
export type Reply = { ok: true; value: unknown } | { ok: false; error: Issue; away: boolean; saved?: unknown }

/** What the outbox works with, and whom it tells. */
export interface Surroundings {
  storage: Storage
  send: (request: Request, about: { key: string; ago: number }) => Promise<Reply>
  /** ms since 1970, by this tablet's clock. */
  now: () => number
  newKey: () => string
  /** The server has an entry; `value` is the record as it then stands. */
  onTaken: (entry: Entry, value: unknown) => void
  /** The server has this record now, written by another hand. */
  onSaved: (entry: Entry, saved: AnyRecord) => void
  /** Another page of this browser has sent this entry. */
  onGone: (entry: Entry) => void
  /** What waits has changed, or whether the server answers: `away` is why not. */
  onChange: (entries: readonly Entry[], away: Issue | null) => void
}
