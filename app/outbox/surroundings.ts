import type { ActAnswer as Answer, AnyRecord, SentAct } from '#core/acts'
import type { Issue } from '#core/base'
import type { PhotoBody } from '#core/record'
import type { Entry } from './entry'
import type { Storage } from './storage'

export type { ActAnswer as Answer } from '#core/acts'

/** What came of a call; `away`: no server answered. */
export type Reply<T> = { ok: true; value: T } | { ok: false; error: Issue; away: boolean }

/** What the act of a photo says of it, once the server has it. */
export type Uploaded = Omit<PhotoBody, 'name'>

/** What the outbox works with, and whom it tells. */
export interface Surroundings {
  storage: Storage
  send: (acts: readonly SentAct[]) => Promise<Reply<readonly Answer[]>>
  /** Sends a photo before the act that puts it to its find. */
  upload: (key: string, name: string, photo: string) => Promise<Reply<Uploaded>>
  /** ms since 1970, by the server's clock where it is known; whose clock it is; and the name of the hand. */
  now: () => Pick<Entry, 'at' | 'clock' | 'by'>
  /** ms the server's clock is ahead of this tablet's. */
  ahead: () => number
  newKey: () => string
  /** The server has an entry. */
  onTaken: (entry: Entry, answer: Extract<Answer, { state: 'taken' }>) => void
  /** The server has this record now, written by another hand. */
  onSaved: (entry: Entry, saved: AnyRecord) => void
  /** Another page of this browser has sent this entry. */
  onGone: (entry: Entry) => void
  /** What waits has changed, or whether the server answers: `away` is why not. */
  onChange: (entries: readonly Entry[], away: Issue | null) => void
}
