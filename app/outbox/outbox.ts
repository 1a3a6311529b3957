import { changedSince, mergeFields, type Clash, type Fields, type JointRecord } from '#core/record'
import type { Issue } from '#core/base'
import { toRequest, type Act, type AnyRecord, type Entry } from './entry'
import type { Surroundings } from './surroundings'
import { depthsAfter, isSigned, pick } from './saved'
import { memoryStorage, type Storage } from './storage'

/** Pause after the last keystroke before it is sent, ms. */
const SEND_AFTER_MS = 300
/** Pauses before a call that found no server is tried again, ms; the last one is kept to. */
const RETRY_AFTER_MS = [1000, 2000, 4000, 8000] as const

/** Plain data: what a browser's database takes, and what comes back from it. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/**
 * What was done on this tablet, in order, until the server has it: each exactly once, whatever is cut off in between.
 * Entries of one record wait for one another; one that came back holds only its own record.
 */
export function createOutbox(surroundings: Surroundings) {
  const { now, newKey, send, onTaken, onSaved, onGone } = surroundings
  let storage = surroundings.storage
  const page = newKey()
  let entries: Entry[] = []
  let away: Issue | null = null
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let writing: Promise<unknown> = Promise.resolve()
  let sending: Promise<void> | undefined

  /**
   * Versions that this page's own entries came to: what it does next was done knowing them, even where its screen lags
   * behind.
   */
  const reached = new Map<string, number>()
  const atReachedVersion = (record: string, act: Act): Act =>
    act.do === 'change' || act.do === 'sign'
      ? { ...act, version: Math.max(act.version, reached.get(record) ?? 0) }
      : act

  const changed = () => surroundings.onChange(entries, away)

  /**
   * Does work on the storage after all work before it; a storage that fails is left for memory, which loses nothing but
   * the page.
   */
  function keep(work: (storage: Storage) => Promise<unknown>): Promise<boolean> {
    const done = writing.then(async () => {
      try {
        await work(storage)
        return true
      } catch {
        storage = memoryStorage(entries)
        changed()
        return false
      }
    })
    writing = done
    return done
  }

  const swap = (key: string, entry: Entry) => {
    entries = entries.map((one) => (one.key === key ? entry : one))
  }
  const drop = (keys: readonly string[]) => {
    entries = entries.filter(({ key }) => !keys.includes(key))
    for (const key of keys) void keep((kept) => kept.remove(key))
  }

  function append(job: string, record: string, act: Act, key = newKey()): Entry {
    const entry: Entry = plain({
      key,
      page,
      at: now(),
      job,
      record,
      act: atReachedVersion(record, act),
      isSealed: false,
      state: 'waiting',
    })
    entries = [...entries, entry]
    void keep((kept) => kept.add(entry))
    return entry
  }

  /** The last entry of a record, where a change can still be folded into it. */
  function openFor(record: string): Entry | undefined {
    const last = entries.findLast((entry) => entry.record === record)
    if (!last || last.page !== page || last.act.do !== 'change') return undefined
    return last.state === 'refused' || (last.state === 'waiting' && !last.isSealed) ? last : undefined
  }

  /** Adds what was done. Changes to one record go on in one entry until it is sent. */
  function add(job: string, record: string, act: Act, key?: string): Entry {
    const open = act.do === 'change' ? openFor(record) : undefined
    if (!open || act.do !== 'change' || open.act.do !== 'change') {
      const entry = append(job, record, act, key)
      changed()
      return entry
    }
    const both: Act = {
      ...open.act,
      changes: { ...open.act.changes, ...act.changes },
      base: { ...act.base, ...open.act.base },
    }
    if (open.state === 'refused') {
      const anew = plain({ ...renewed(open, both), at: now() })
      void put(open.key, anew)
      changed()
      return anew
    }
    const folded: Entry = plain({ ...open, at: now(), act: both })
    swap(open.key, folded)
    void keep(async (kept) => {
      // Another page of this browser sent it meanwhile: the rest goes after it, as an entry of its own.
      if (!(await kept.replace(open.key, folded, true))) {
        const rest: Entry = plain({ ...folded, key: newKey(), isSealed: false, act: atReachedVersion(record, act) })
        entries = [...entries, rest]
        await kept.add(rest)
        changed()
      }
    })
    changed()
    return folded
  }

  /** Puts another entry in the place of one, kept and shown. */
  async function put(key: string, entry: Entry) {
    const kept = plain(entry)
    swap(key, kept)
    await keep((storage) => storage.replace(key, kept))
  }

  /** The next version of a record is known: what this page did on top of it was done knowing it. */
  function rebase(entry: Entry, version: number) {
    if (entry.page === page) reached.set(entry.record, Math.max(version, reached.get(entry.record) ?? 0))
    for (const later of entries) {
      if (
        later.record !== entry.record ||
        later.page !== entry.page ||
        (later.act.do !== 'change' && later.act.do !== 'sign')
      )
        continue
      void put(later.key, { ...later, act: { ...later.act, version } })
    }
  }

  /** The record comes first, so that what was typed never leaves the screen in between. */
  async function taken(entry: Entry, value: unknown) {
    onTaken(entry, value)
    entries = entries.filter(({ key }) => key !== entry.key)
    const isChecked =
      entry.act.do === 'change' ||
      entry.act.do === 'sign' ||
      entry.act.do === 'begin-find' ||
      entry.act.do === 'begin-line' ||
      entry.act.do === 'begin-cut' ||
      entry.act.do === 'begin-joint' ||
      entry.act.do === 'bring-back'
    if (isChecked && value && typeof (value as AnyRecord).version === 'number')
      rebase(entry, (value as AnyRecord).version)
    await keep((kept) => kept.remove(entry.key))
  }

  const renewed = (entry: Entry, act: Act): Entry => ({
    ...entry,
    key: newKey(),
    isSealed: false,
    state: 'waiting',
    issue: undefined,
    saved: undefined,
    clashes: undefined,
    act,
  })

  /**
   * An entry the server refused because another hand was first: both kept where they are of different fields, else held
   * with both beside each other.
   */
  async function mergeOrHold(entry: Entry, issue: Issue, saved: AnyRecord): Promise<void> {
    const { act } = entry
    onSaved(entry, saved)
    const hold = (clashes: Clash[]) => put(entry.key, { ...entry, state: 'clash', issue, saved, clashes })
    if (act.do === 'change') {
      const { changes, clashes } = mergeFields(act.base, act.changes, saved as unknown as Fields)
      if (Object.keys(changes).length === 0) return drop([entry.key])
      if (clashes.length > 0) return hold(clashes)
      // What is signed takes no change more, even of a field nobody else touched.
      if (isSigned(saved))
        return hold(
          Object.entries(changes).map(([path, mine]) => ({
            path,
            base: act.base[path],
            mine,
            theirs: (saved as unknown as Fields)[path],
          })),
        )
      return put(
        entry.key,
        renewed(entry, { ...act, changes, base: pick(saved, Object.keys(changes)), version: saved.version }),
      )
    }
    if (act.do === 'sign') {
      const differing = changedSince(act.seen, saved as unknown as Fields)
      if (isSigned(saved)) {
        const theirs = saved.signoffs.at(-1)!
        return hold([{ path: 'signoff', base: null, mine: act.body.initials, theirs: theirs.initials }, ...differing])
      }
      if (differing.length > 0) return hold(differing)
      return put(entry.key, renewed(entry, { ...act, version: saved.version }))
    }
    return put(entry.key, { ...entry, state: 'refused', issue })
  }

  async function sendOne({ key }: Entry): Promise<'done' | 'away'> {
    let entry: Entry | undefined
    // Closed here before it is closed in the storage: what is done from now on goes after it, never into it.
    entries = entries.map((one) => (one.key === key ? { ...one, isSealed: true } : one))
    const isKept = await keep(async (storage) => {
      entry = await storage.seal(key)
    })
    if (!entry) {
      const gone = isKept ? entries.find((one) => one.key === key) : undefined
      entries = entries.filter((one) => one !== gone)
      if (gone) onGone(gone)
      return 'done'
    }
    // What is shown stays as it was typed last; what goes out is what is kept under this key.
    const reply = await send(toRequest(entry), { key: entry.key, ago: now() - entry.at })
    if (reply.ok) await taken(entry, reply.value)
    else if (reply.away) {
      away = reply.error
      return 'away'
    } else if (reply.saved) await mergeOrHold(entry, reply.error, reply.saved as AnyRecord)
    else await put(entry.key, { ...entry, state: 'refused', issue: reply.error })
    away = null
    failures = 0
    return 'done'
  }

  /** Sends what waits, oldest first, until nothing is left that can go. */
  async function sendAll() {
    for (;;) {
      const held = new Set<string>()
      const next = entries.find((entry) => {
        if (held.has(entry.record) || held.has(entry.job)) return false
        if (entry.state === 'waiting') return true
        held.add(entry.act.do === 'begin-job' ? entry.job : entry.record)
        return false
      })
      if (!next) return
      const result = await sendOne(next)
      changed()
      if (result === 'away') {
        later(RETRY_AFTER_MS[Math.min(failures++, RETRY_AFTER_MS.length - 1)]!)
        return
      }
    }
  }

  function later(ms: number) {
    clearTimeout(timer)
    timer = setTimeout(() => {
      void flush()
    }, ms)
  }

  /** Sends now. Comes back once everything is with the server, is held, or no server answers. */
  function flush(): Promise<void> {
    clearTimeout(timer)
    sending = (sending ?? Promise.resolve()).then(sendAll)
    return sending
  }

  /** Reads what is kept, this page's and that of pages that were closed. */
  async function load() {
    await keep(async (kept) => {
      entries = await kept.all()
    })
    changed()
  }

  /** Whose value stands where two hands met. `initials` sign a correction where the other's is signed. */
  function settle(key: string, kept: 'mine' | 'theirs', by: { mine: string; initials: string }) {
    const entry = entries.find((one) => one.key === key)
    if (!entry?.saved || !entry.clashes) return
    const { act, saved, clashes } = entry
    const time = new Date(entry.at).toISOString()
    const kind = act.do === 'change' ? act.kind : 'joints'
    append(entry.job, entry.record, {
      do: 'settle',
      body: {
        kind,
        record: entry.record,
        kept,
        fields: clashes.map(({ path, mine, theirs }) => ({
          path,
          mine: { by: by.mine, at: time, value: mine ?? null },
          theirs: { by: saved.updatedBy, at: saved.updatedAt, value: theirs ?? null },
        })),
      },
    })
    const ofRecord = entries
      .filter((one) => one.record === entry.record && one.act.do !== 'settle')
      .map((one) => one.key)
    const depths = depthsAfter(act, saved as JointRecord)
    if (isSigned(saved)) {
      // One answer settles all that was done here on a joint the other hand signed.
      const initials =
        entries
          .map((one) => (one.record === entry.record && one.act.do === 'sign' ? one.act.body.initials : null))
          .findLast(Boolean) ?? by.initials
      drop(ofRecord)
      if (kept === 'mine')
        append(entry.job, entry.record, {
          do: 'sign',
          version: saved.version,
          seen: pick(saved, ['depths', 'wayId']),
          body: { initials, corrects: saved.signoffs.at(-1)!.id, depths },
        })
    } else if (act.do === 'change') {
      const { changes } = mergeFields(act.base, act.changes, saved as unknown as Fields, kept)
      if (Object.keys(changes).length === 0) drop([key])
      else
        void put(
          key,
          renewed(entry, { ...act, changes, base: pick(saved, Object.keys(changes)), version: saved.version }),
        )
    } else if (act.do === 'sign') {
      // Signed to other figures than are saved: they are set right first, then it is signed; or it is signed anew by
      // hand.
      drop([key])
      if (kept === 'mine') {
        const fields = new Set(clashes.map(({ path }) => path.split('.')[0]!))
        append(entry.job, entry.record, {
          do: 'change',
          kind: 'joints',
          changes: pick(act.seen, fields),
          base: pick(saved, fields),
          version: saved.version,
        })
        append(entry.job, entry.record, { ...act, version: saved.version })
      }
    }
    changed()
    void flush()
  }

  /** Tries an entry that came back again, or lets it go. */
  function retry(key: string) {
    const entry = entries.find((one) => one.key === key)
    if (!entry || entry.state !== 'refused') return
    void put(key, renewed(entry, entry.act))
    changed()
    void flush()
  }
  function letGo(key: string) {
    const entry = entries.find((one) => one.key === key)
    if (!entry) return
    // With a record that was never begun goes all that was done to it.
    if (entry.act.do === 'begin-job') drop(entries.filter(({ job }) => job === entry.job).map((one) => one.key))
    else if (entry.act.do.startsWith('begin'))
      drop(entries.filter(({ record }) => record === entry.record).map((one) => one.key))
    else drop([key])
    changed()
    void flush()
  }

  return {
    add,
    flush,
    load,
    settle,
    retry,
    letGo,
    /** Sends after a pause, for what is still being typed. */
    soon: () => later(SEND_AFTER_MS),
    /** Comes back once all that was done is kept on this tablet. */
    kept: () => writing,
    get isKept() {
      return storage.isKept
    },
  }
}

export type Outbox = ReturnType<typeof createOutbox>
