import type { Act } from '#core/acts'
import type { Issue } from '#core/base'
import type { JobBody } from '#core/record'
import { plain } from '../reading/plain'
import { isChange, lane, restsOnVersion, toSent, type About, type Entry } from './entry'
import { createKeeper } from './kept'
import { rules } from './rules'
import { settled, type Kept, type Met } from './settle'
import type { Answer, Surroundings } from './surroundings'
import { fromEarlier } from './upgrade'

/** Pause after the last keystroke before it is sent, ms. */
const SEND_AFTER_MS = 300
/** Pauses before a call that found no server is tried again, ms; the last one is kept to. */
const RETRY_AFTER_MS = [1000, 2000, 4000, 8000] as const
/** Acts of one call, and their letters together: well under what the server takes at once. */
const MOST_ACTS = 50
const MOST_LETTERS = 1_000_000

/**
 * What was done on this tablet, in order, until the server has it: each exactly once, whatever is cut off in between.
 * Entries of one record wait for one another; one that came back holds only its own record.
 */
export function createOutbox(surroundings: Surroundings) {
  const { now, newKey, send, upload, onTaken, onSaved, onGone } = surroundings
  const page = newKey()
  let entries: readonly Entry[] = []
  let away: Issue | null = null
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | undefined
  /** Keys on their way into the storage, and out of it: what it does not say of them yet. */
  const coming = new Set<string>()
  const going = new Set<string>()

  const changed = () => surroundings.onChange(entries, away)
  const keeper = createKeeper(surroundings.storage, () => entries, changed)
  const { keep } = keeper

  const swap = (key: string, entry: Entry) => {
    entries = entries.map((one) => (one.key === key ? entry : one))
  }
  function remove(key: string): Promise<boolean> {
    going.add(key)
    return keep((kept) => kept.remove(key)).finally(() => going.delete(key))
  }
  const drop = (keys: readonly string[]) => {
    entries = entries.filter(({ key }) => !keys.includes(key))
    for (const key of keys) void remove(key)
  }
  function put(key: string, entry: Entry): Promise<boolean> {
    const kept = plain(entry)
    swap(key, kept)
    coming.add(kept.key)
    return keep((storage) => storage.replace(key, kept)).finally(() => coming.delete(kept.key))
  }
  function insert(entry: Entry): Promise<boolean> {
    entries = [...entries, entry]
    coming.add(entry.key)
    return keep((kept) => kept.add(entry)).finally(() => coming.delete(entry.key))
  }

  function append(job: string, record: string, act: Act, { key = newKey(), version = null, ...about }: About): Entry {
    const entry: Entry = plain({
      key,
      page,
      ...now(),
      job,
      record,
      act,
      version,
      ...about,
      isSealed: false,
      state: 'waiting',
    })
    void insert(entry)
    return entry
  }

  /** The last entry of a record, where a change can still be folded into it. */
  function openFor(act: Act, job: string, record: string): Entry | undefined {
    if (!isChange(act)) return undefined
    const own = rules().laneOf(act.name, job, record)
    const last = entries.findLast((entry) => lane(entry) === own)
    if (!last || last.page !== page || last.act.name !== act.name) return undefined
    return last.state === 'refused' || (last.state === 'waiting' && !last.isSealed) ? last : undefined
  }

  /** An entry that is sent as another: what came back is forgotten. */
  const renewed = (entry: Entry, changes: Partial<Entry>): Entry => ({
    ...entry,
    key: newKey(),
    isSealed: false,
    state: 'waiting',
    issue: undefined,
    saved: undefined,
    clashes: undefined,
    ...changes,
  })

  /** More of the same fields into an entry that is still open. */
  function fold(open: Entry, act: Act, about: About): Entry {
    const both = { ...open.act, body: { ...open.act.body, ...act.body } } as Act
    const seen = { ...about.seen, ...open.seen }
    if (open.state === 'refused') {
      const anew = plain(renewed(open, { act: both, seen, ...now() }))
      void put(open.key, anew)
      return anew
    }
    const folded: Entry = plain({ ...open, ...now(), act: both, seen })
    swap(open.key, folded)
    void keep(async (kept) => {
      // Another page of this browser sent it meanwhile: the rest goes after it, as an entry of its own.
      if (await kept.replace(open.key, folded, true)) return
      const rest: Entry = plain({ ...folded, key: newKey(), isSealed: false, act, ...about })
      entries = [...entries, rest]
      await kept.add(rest)
      changed()
    })
    return folded
  }

  /** Adds what was done. Changes to one record go on in one entry until it is sent. */
  function add(job: string, record: string, act: Act, about: About = {}): Entry {
    const open = openFor(act, job, record)
    const entry = open ? fold(open, act, about) : append(job, record, act, about)
    changed()
    return entry
  }

  /**
   * The record as it then stands comes first, so that what was typed never leaves the screen in between. What was done
   * here on top of it knew it: its version is the next.
   */
  async function taken(entry: Entry, answer: Extract<Answer, { state: 'taken' }>): Promise<void> {
    onTaken(entry, answer)
    entries = entries.filter(({ key }) => key !== entry.key)
    const version = answer.record?.version
    if (version !== undefined)
      for (const later of entries)
        if (later.record === entry.record && !later.isSealed && later.version === version - 1)
          void put(later.key, { ...later, version })
    await remove(entry.key)
  }

  /** An entry that met another hand's: held with both beside each other, where there is a choice. */
  function met(entry: Entry, { issue, saved, clashes }: Extract<Answer, { state: 'met' }>): Promise<boolean> {
    onSaved(entry, saved)
    return put(entry.key, { ...entry, state: clashes.length > 0 ? 'clash' : 'refused', issue, saved, clashes })
  }

  async function heard(entry: Entry, answer: Answer): Promise<void> {
    switch (answer.state) {
      case 'taken':
        return taken(entry, answer)
      case 'met':
        return void (await met(entry, answer))
      case 'refused':
        return void (await put(entry.key, { ...entry, state: 'refused', issue: answer.issue }))
      case 'held':
        // It was not tried, so it may still change.
        return void (await put(entry.key, { ...entry, isSealed: false }))
    }
  }

  /** What can go out together, oldest first: nothing behind an entry that came back. */
  function nextCall(): Entry[] {
    const held = new Set<string>()
    const busy = new Set<string>()
    const call: Entry[] = []
    let letters = 0
    for (const entry of entries) {
      const own = lane(entry)
      const waits = restsOnVersion(entry.act) && busy.has(own)
      if (held.has(own) || held.has(entry.job)) continue
      if (entry.isLoose) {
        held.add(entry.job)
        continue
      }
      if (entry.state !== 'waiting' || waits) {
        held.add(own)
        continue
      }
      letters += JSON.stringify(entry.act.body).length
      if (call.length > 0 && (call.length >= MOST_ACTS || letters > MOST_LETTERS)) break
      busy.add(own)
      call.push(entry)
    }
    return call
  }

  /** Closed here before it is closed in the storage: what is done from now on goes after it, never into it. */
  async function seal({ key }: Entry): Promise<Entry | undefined> {
    let entry: Entry | undefined
    entries = entries.map((one) => (one.key === key ? { ...one, isSealed: true } : one))
    const isKept = await keep(async (storage) => {
      entry = await storage.seal(key)
    })
    if (entry) return entry
    const gone = isKept ? entries.find((one) => one.key === key) : undefined
    entries = entries.filter((one) => one !== gone)
    if (gone) onGone(gone)
    return undefined
  }

  /** The photo of an entry goes before it; what the server made of it goes with the act. */
  async function withPhoto(entry: Entry): Promise<Entry | 'away' | 'refused'> {
    if (entry.act.name !== 'find/photo' || entry.photo === undefined) return entry
    const reply = await upload(entry.key, entry.act.body.name, entry.photo)
    if (reply.ok) {
      const act: Act = { ...entry.act, body: { ...entry.act.body, ...reply.value } }
      const whole = { ...entry, act }
      await put(entry.key, whole)
      return whole
    }
    if (reply.away) {
      away = reply.error
      return 'away'
    }
    await put(entry.key, { ...entry, state: 'refused', issue: reply.error })
    return 'refused'
  }

  /** The entries of a call as they go out; fewer where one cannot, `away` where no server takes its photo. */
  async function prepare(call: readonly Entry[]): Promise<Entry[] | 'away'> {
    const ready: Entry[] = []
    const held = new Set<string>()
    for (const one of call) {
      if (held.has(lane(one))) continue
      const sealed = await seal(one)
      if (!sealed) continue
      const entry = await withPhoto(sealed)
      if (entry === 'away') return 'away'
      if (entry === 'refused') held.add(lane(one))
      else ready.push(entry)
    }
    return ready
  }

  async function sendCall(call: readonly Entry[]): Promise<'done' | 'away'> {
    const ready = await prepare(call)
    if (ready === 'away') return 'away'
    if (ready.length === 0) return 'done'
    const reply = await send(ready.map(toSent))
    if (!reply.ok && reply.away) {
      away = reply.error
      return 'away'
    }
    for (const [i, entry] of ready.entries()) {
      const answer = reply.ok ? reply.value[i] : { key: entry.key, state: 'refused' as const, issue: reply.error }
      if (answer) await heard(entry, answer)
    }
    away = null
    failures = 0
    return 'done'
  }

  /** Sends what waits until nothing is left that can go. */
  async function sendAll() {
    for (;;) {
      const call = nextCall()
      if (call.length === 0) return
      const result = await sendCall(call)
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

  /** Entries of an earlier version in the form of this one. */
  async function bringOver(kept: readonly unknown[]): Promise<void> {
    for (const [key, anew] of fromEarlier(kept, now(), surroundings.ahead())) {
      await keep(async (storage) => {
        const [first, ...others] = anew
        if (first) await storage.replace(key, first)
        else await storage.remove(key)
        for (const other of others) await storage.add(other)
      })
    }
  }

  /** Reads what is kept: this page's, that of pages that were closed, and that of others that are open. */
  async function load() {
    let kept: Entry[] = []
    const read = () =>
      keep(async (storage) => {
        kept = await storage.all()
      })
    await read()
    if (fromEarlier(kept, now(), surroundings.ahead()).length > 0) {
      await bringOver(kept)
      await read()
    }
    const here = new Map(entries.map((entry) => [entry.key, entry]))
    const there = new Set(kept.map(({ key }) => key))
    const gone = entries.filter(({ key }) => !there.has(key) && !coming.has(key))
    // What this page knows of its own is never older than what is kept of it.
    const own = (entry: Entry): Entry => (entry.page === page ? (here.get(entry.key) ?? entry) : entry)
    entries = [
      ...kept.filter(({ key }) => !going.has(key)).map(own),
      ...entries.filter(({ key }) => coming.has(key) && !there.has(key)),
    ]
    changed()
    gone.forEach(onGone)
  }

  /** Whose value stands where two hands met. `initials` sign a correction where the other's is signed. */
  function settle(key: string, kept: Kept, by: { mine: string; initials: string }) {
    const entry = entries.find((one) => one.key === key)
    if (!entry?.saved || !entry.clashes) return
    const { drops, renews, adds } = settled(entry as Met, entries, kept, by)
    for (const { job, record, act, about } of adds) append(job, record, act, about)
    drop(drops)
    if (renews) void put(key, renewed(entry, renews))
    changed()
    void flush()
  }

  /** Tries an entry that came back again, on the record as it is saved now. */
  function retry(key: string) {
    const entry = entries.find((one) => one.key === key)
    if (!entry || entry.state !== 'refused') return
    void put(key, renewed(entry, { version: entry.saved?.version ?? entry.version }))
    changed()
    void flush()
  }

  /** Lets an entry go; with a record that was never begun goes all that was done to it. */
  function letGo(key: string) {
    const entry = entries.find((one) => one.key === key)
    if (!entry) return
    const { on, does } = rules().actOf(entry.act.name)
    const isBegun = does === 'begins'
    const follows = (one: Entry) => (on === 'jobs' ? one.job === entry.job : one.record === entry.record)
    drop(isBegun ? entries.filter(follows).map((one) => one.key) : [key])
    changed()
    void flush()
  }

  /** A loose job is named, and goes out with all that was done on it. */
  function name(job: string, body: JobBody) {
    const begun = entries.find(({ job: on, isLoose }) => on === job && isLoose)
    if (!begun) return
    const { isLoose: _, ...entry } = begun
    void put(begun.key, { ...entry, ...now(), act: { name: 'job/begin', body } })
    changed()
    void flush()
  }

  /** What was done on a loose job is done on another; its kit stays behind. */
  function move(from: string, to: string) {
    const own = entries.filter(({ job }) => job === from)
    const stays = own.filter(({ act }) => rules().actOf(act.name).on === 'jobs').map(({ key }) => key)
    drop(stays)
    for (const entry of own) if (!stays.includes(entry.key)) void put(entry.key, { ...entry, job: to })
    changed()
    void flush()
  }

  return {
    add,
    name,
    move,
    flush,
    load,
    settle,
    retry,
    letGo,
    /** Sends after a pause, for what is still being typed. */
    soon: () => later(SEND_AFTER_MS),
    /** Comes back once all that was done is kept on this tablet. */
    kept: () => keeper.idle(),
    get isKept() {
      return keeper.isKept
    },
  }
}

export type Outbox = ReturnType<typeof createOutbox>
