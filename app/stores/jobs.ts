import { computed, reactive, ref, shallowRef } from 'vue'
import { defineStore } from 'pinia'
import { useStorage } from '@vueuse/core'
import { v4 as uuid } from 'uuid'
import {
  recordOf,
  type Act,
  type ActName,
  type ACTS,
  type InputOf,
  type News,
  type RecordOf,
  type SinceAnswer,
  type WholeJob,
} from '#core/acts'
import { fail, ok, type Issue, type Result } from '#core/base'
import type { JobBody, JobRecord, OffcutRecord } from '#core/record'
import { useApi, type Answer } from '~/composables/useApi'
import { useServerClock } from '~/composables/useServerClock'
import { applyEntry, isChange, type About, type Entry } from '~/outbox/entry'
import { answering } from '~/outbox/kept'
import { createOutbox, type Outbox } from '~/outbox/outbox'
import { bringRules, rules } from '~/outbox/rules'
import { pick } from '~/outbox/saved'
import { memoryStorage, openStorage, type Storage } from '~/outbox/storage'
import { createCopies } from './copies'
import { createDone } from './done'
import { after } from './pauses'
import { createReader } from './reader'
import { countedSet } from './counted-set'
import { openStream } from './stream'
import { createViews } from './views'
import type { Region } from '#core/units'

/** How long the server is waited for before the copy kept here is shown, ms. */
const COPY_AFTER_MS = 600
/** Of what came of the things done here, so many are shown. */
const MOST_RECENT = 12
/** What a job is called while nobody has named it. */
export const LOOSE_NAME = 'Not in a job yet'

const NO_JOB = fail('unknown-id', 'job', 'job: this job is not open here.')
type Begun<N extends ActName> = RecordOf[(typeof ACTS)[N]['on']]

/**
 * The jobs as the screen sees them: what the server last gave, with what was done here and is not there yet laid over it
 * by the same rules the server has. Every act is kept on this tablet first, then sent in order; what others do is heard
 * as it happens.
 */
export const useJobStore = defineStore('jobs', () => {
  const clock = useServerClock()
  const api = useApi(clock.hear)
  /** Name of this hand or tablet, as others see it beside their own entry. */
  const hand = useStorage('jolvet-hand', '')
  const jobs = shallowRef<readonly JobRecord[]>([])
  const entries = shallowRef<readonly Entry[]>([])
  /** What was done here and is kept has been read, so that nothing more can be waiting. */
  const isRead = ref(false)
  /** Why the last read did not go through, in words; null while a server answers. */
  const away = ref<Issue | null>(null)
  /** Why something could not be done at all, in words. */
  const problem = ref<string | null>(null)
  const lastCopyAt = ref<number | null>(null)
  /** What came of the last things done here, newest last. */
  const recent = shallowRef<readonly { entry: Entry; fate: 'taken' | 'clash' | 'refused' }[]>([])
  const isKept = ref(true)
  /** Jobs of which the server's own answer is here, not the copy alone. */
  const heard = reactive(new Set<string>())
  /** Jobs on the screen: they are read when something is done to them elsewhere. */
  const viewed = countedSet()
  /** Jobs that were deleted while there was work on them here that is not sent. */
  const gone = new Set<string>()
  const listeners = new Set<(news: News | 'open') => void>()
  const done = createDone()
  let storage: Storage = memoryStorage()
  let outbox: Outbox | undefined
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('jolvet')

  const isBusy = (id: string) => entries.value.some(({ job }) => job === id)
  const copies = createCopies({
    storage: () => storage,
    isHeld: (id) => isBusy(id) || viewed.has(id),
    onPut: (at) => {
      lastCopyAt.value = Math.max(lastCopyAt.value ?? 0, at)
    },
  })
  const reader = createReader(api.get, (why) => {
    away.value = why
  })
  const views = createViews(copies.get, () => entries.value)

  /** A job by the name in its address, or by its id while it has no other name. */
  const jobOf = (name: string) =>
    jobs.value.find(({ slug }) => slug === name) ?? jobs.value.find(({ id }) => id === name)

  /** Draws jobs anew where something of them has changed. */
  function show() {
    const begun = entries.value.filter(({ act }) => act.name === 'job/begin').map(({ job }) => job)
    const now = [...new Set([...copies.ids(), ...begun])].flatMap((id) => views.of(id) ?? [])
    if (now.length !== jobs.value.length || now.some((job, i) => job !== jobs.value[i])) jobs.value = now
  }

  const note = (entry: Entry, fate: 'taken' | 'clash' | 'refused') => {
    recent.value = [...recent.value, { entry, fate }].slice(-MOST_RECENT)
    if (fate === 'refused') done.forget(entry.key)
  }

  /** What waits has changed: what came back since is noted, and its jobs are drawn anew. */
  function waiting(now: readonly Entry[], why: Issue | null) {
    for (const entry of now)
      if (entry.state !== 'waiting' && !entries.value.some((one) => one.key === entry.key && one.state === entry.state))
        note(entry, entry.state)
    entries.value = now
    away.value = why
    isKept.value = outbox?.isKept ?? storage.isKept
    for (const id of gone) if (!isBusy(id)) drop(id)
    show()
  }

  const open = (): Outbox =>
    createOutbox({
      storage,
      send: api.send,
      upload: api.upload,
      now: () => ({
        at: Date.now() + clock.offset.value,
        clock: clock.isKnown.value ? 'server' : 'tablet',
        by: hand.value,
      }),
      ahead: () => clock.offset.value,
      newKey: uuid,
      onTaken: (entry, answer) => {
        note(entry, 'taken')
        // Others acted meanwhile: what they did is read.
        if (!copies.take(entry, answer)) void refresh(entry.job)
        channel?.postMessage(entry.job)
      },
      onSaved: ({ job, record, act }, saved) => copies.putRecord(job, rules().actOf(act.name).on, record, saved),
      onGone: ({ job }) => {
        void refresh(job)
      },
      onChange: waiting,
    })

  /** Opens what is kept in this browser, once: entries of earlier pages with their jobs, and the rack. */
  const ready = (async () => {
    storage = await answering(openStorage()).catch(() => memoryStorage())
    outbox = open()
    const rack = await answering(storage.answer('rack')).catch(() => undefined)
    if (rack) copies.setRack(rack.value as OffcutRecord[])
    // Nothing is judged before there is something to judge.
    if ((await answering(storage.all()).catch(() => [])).length > 0) await bringRules()
    await outbox.load()
    for (const id of new Set(entries.value.map(({ job }) => job)))
      await answering(copies.recall(id)).catch(() => undefined)
    isRead.value = true
    show()
    void outbox.flush()
    openStream({
      onNews: hear,
      onOpen: () => {
        for (const id of viewed.all()) void refresh(id)
        void loadRack()
        for (const listener of listeners) listener('open')
      },
    })
  })()
  // Another page of this browser did something: its entries and the server's answers are these here too.
  channel?.addEventListener('message', ({ data }: MessageEvent<string | null>) => {
    void bringRules()
      .then(() => outbox?.load())
      .then(() => (data === null ? undefined : refresh(data)))
  })

  /** What is kept here is read, and core is here to work on it. */
  const withRules = () => Promise.all([ready, bringRules()])

  async function loadRack() {
    const answer = await reader.read<{ rack: OffcutRecord[] }>('/api/rack')
    if (!answer.ok) return
    copies.setRack(answer.value.rack)
    void storage.putAnswer('rack', answer.value.rack, Date.now()).catch(() => undefined)
    show()
  }

  /** A job the server has no more goes, once nothing of it waits here. */
  function drop(id: string) {
    heard.delete(id)
    if (isBusy(id)) {
      gone.add(id)
      return
    }
    gone.delete(id)
    copies.drop(id)
  }

  /** What others did, as it is told. */
  function hear(news: News) {
    for (const { id, acts } of news.jobs) {
      const copy = copies.get(id)
      if (copy && copy.acts < acts && viewed.has(id)) void refresh(id)
    }
    for (const id of news.gone) drop(id)
    if (news.gone.length > 0) show()
    if (news.isRack) void loadRack()
    for (const listener of listeners) listener(news)
  }

  /** Reads a job of which there is no copy here, or one that the server's log does not go on from. */
  async function readWhole(name: string, isPutBack = false): Promise<Answer<unknown>> {
    const [answer] = await Promise.all([
      reader.read<WholeJob>(`/api/jobs/${encodeURIComponent(name)}`),
      // They are brought meanwhile, not after.
      bringRules(),
    ])
    if (answer.ok) {
      copies.putWhole(answer.value, isPutBack)
      heard.add(answer.value.id)
    }
    return answer
  }

  /** Reads what changed of a job since it was looked at, or the whole. */
  async function readJob(name: string): Promise<Answer<unknown>> {
    // The server knows a job by its name alone.
    const copy = copies.get(jobOf(name)?.id ?? name)
    // A copy of an earlier version does not say what it is the state after.
    if (!copy || copy.acts === 0) return readWhole(copy?.slug ?? name)
    const answer = await reader.read<SinceAnswer>(`/api/jobs/${encodeURIComponent(copy.slug)}?since=${copy.acts}`)
    if (!answer.ok) return answer.error.path === 'since' ? readWhole(copy.slug, true) : answer
    if ('whole' in answer.value) copies.putWhole(answer.value.whole)
    else if (answer.value.id === copy.id) copies.putChanges(answer.value)
    // Another job has the name by now: the one kept here was deleted.
    else return readWhole(copy.slug)
    heard.add(copy.id)
    return answer
  }

  async function refresh(name: string): Promise<Answer<unknown>> {
    const before = jobOf(name)?.id
    const answer = await readJob(name)
    if (!answer.ok && answer.error.code === 'unknown-id' && before && copies.get(before)) drop(before)
    show()
    return answer
  }

  /** A job by the name in its address; the copy kept here where no server answers soon. */
  async function loadJob(name: string): Promise<Answer<JobRecord>> {
    await ready
    await copies.recall(name)
    show()
    const known = jobOf(name)
    if (known && isLoose(known.id)) return { ok: true, value: known }
    const reading = refresh(name)
    await Promise.race([reading, after(COPY_AFTER_MS)])
    const here = jobOf(name)
    if (here) return { ok: true, value: here }
    const answer = await reading
    const job = jobOf(name)
    return job ? { ok: true, value: job } : (answer as Answer<JobRecord>)
  }

  /** What an act on a record rests on: its version, and the fields it sets or was seen to have. */
  function restsOn(job: JobRecord, act: Act, record: string): About {
    const { on, does, sees } = rules().actOf(act.name)
    const seen = does === 'begins' ? undefined : recordOf(job, on, record)
    if (!seen) return {}
    const fields = isChange(act) ? Object.keys(act.body) : sees
    return { version: seen.version, ...(fields.length > 0 ? { seen: pick(seen, fields) } : {}) }
  }

  /** Adds an act and sends it, soon where more is typed into it; another page of this browser sees it too. */
  function keep(job: string, record: string, act: Act, about: About): Entry {
    const entry = outbox!.add(job, record, act, about)
    if (isChange(act)) outbox!.soon()
    else void outbox!.flush()
    void outbox!.kept().then(() => channel?.postMessage(null))
    return entry
  }

  /** Does an act here, by core's own rules, and keeps it until the server has it. */
  function work<N extends ActName>(
    slug: string,
    name: N,
    record: string | null,
    body: InputOf<N>,
    { isUndo = false, ...about }: About & { isUndo?: boolean } = {},
  ): Result<JobRecord> {
    const job = jobOf(slug)
    if (!job) return NO_JOB
    const { actOf, toIssue } = rules()
    const parsed = actOf(name).body.safeParse(body)
    const act = { name, body: parsed.data } as Act
    const id = record ?? job.id
    const trial: Result<JobRecord | null> = parsed.success
      ? applyEntry(job, { ...TRIAL, key: about.key ?? id, at: Date.now(), job: job.id, record: id, act })
      : { ok: false, error: toIssue(parsed.error.issues[0]!, body) }
    problem.value = trial.ok ? null : trial.error.message
    if (!trial.ok) return trial
    const entry = keep(job.id, id, act, { ...restsOn(job, act, id), ...about })
    const now = jobOf(job.id)
    if (!isUndo) done.note(entry, job, now)
    return ok(now ?? job)
  }

  /** Begins a record of a job under an id of its own, and gives it. */
  function begin<N extends ActName>(slug: string, name: N, body: InputOf<N>, id: string = uuid()): Result<Begun<N>> {
    const answer = work(slug, name, id, body)
    return answer.ok ? ok(recordOf(answer.value, rules().actOf(name).on, id) as Begun<N>) : answer
  }

  /** Takes back the last thing this hand did on a job, by its own act. */
  function takeBack(slug: string): Result<JobRecord> | null {
    const job = jobOf(slug)
    const last = job && done.lastOn(job.id)
    if (!last?.back) return null
    done.forget(last.key)
    return work(slug, last.back.name, last.record, last.back.body as never, { isUndo: true })
  }

  async function createJob(body: JobBody): Promise<Result<JobRecord>> {
    await withRules()
    const id = uuid()
    keep(id, id, { name: 'job/begin', body }, {})
    // With a server it gets its name in the address at once; without one it goes by its id.
    await Promise.race([outbox!.flush(), after(COPY_AFTER_MS)])
    return ok(jobOf(id)!)
  }

  const loose = computed(() => new Set(entries.value.filter((entry) => entry.isLoose).map(({ job }) => job)))
  const isLoose = (id: string) => loose.value.has(id)
  /** A job without a name, kept on this tablet alone until it is given to one. */
  async function createLoose(region: Region): Promise<JobRecord> {
    await withRules()
    const id = uuid()
    keep(id, id, { name: 'job/begin', body: { name: LOOSE_NAME, place: '', region } }, { isLoose: true })
    return jobOf(id)!
  }
  /** Loose work becomes a job of its own. Gives its name in the address. */
  async function nameLoose(id: string, body: JobBody): Promise<string> {
    outbox!.name(id, body)
    await Promise.race([outbox!.flush(), after(COPY_AFTER_MS)])
    return jobOf(id)?.slug ?? id
  }
  /** Loose work goes to a job that there is. Gives its name in the address. */
  async function moveLoose(id: string, slug: string): Promise<Result<JobRecord>> {
    const to = await loadJob(slug)
    if (!to.ok) return to
    outbox!.move(id, to.value.id)
    show()
    return ok(jobOf(to.value.id)!)
  }

  /** What waits to be sent: what is loose stays here by choice. */
  const unsent = computed(() => entries.value.filter(({ job }) => !isLoose(job)))

  return {
    jobs,
    isRead,
    problem,
    recent,
    away,
    entries,
    unsent,
    loose,
    hand,
    isKept,
    lastCopyAt,
    ready: () => ready,
    jobOf,
    /** Shows every job kept on this tablet. */
    async recallAll() {
      await ready
      for (const { id } of await answering(storage.looked()).catch(() => [])) await copies.recall(id)
      show()
    },
    /** Shows a job kept on this tablet, by its id or name, without asking the server. */
    async recall(name: string) {
      await ready
      await copies.recall(name)
      show()
    },
    loadJob,
    loadRack,
    read: <T>(url: string) => reader.read<T>(url),
    isHeard: (id: string) => heard.has(id),
    isLoose,
    /** A page shows a job; gives what says that it does no more. */
    view(id: string) {
      copies.look(id)
      return viewed.add(id)
    },
    /** Hears what others do, and that the line is there again. */
    listen(listener: (news: News | 'open') => void) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    keptList: async () => answering(storage.answer('list')).catch(() => undefined),
    keepList: (value: unknown) => void storage.putAnswer('list', value, Date.now()).catch(() => undefined),
    createJob,
    createLoose,
    nameLoose,
    moveLoose,
    do: work,
    begin,
    lastDone: (id: string) => done.lastOn(id),
    lastJobDone: done.lastOfJobs,
    takeBack,
    clashes: computed(() => entries.value.filter(({ state }) => state === 'clash')),
    refused: computed(() => entries.value.filter(({ state }) => state === 'refused')),
    flush: async () => {
      void copies.write()
      return outbox?.flush()
    },
    retry: (key: string) => outbox?.retry(key),
    letGo: (key: string) => outbox?.letGo(key),
    settle: (key: string, kept: 'mine' | 'theirs', initials: string) =>
      outbox?.settle(key, kept, { mine: hand.value, initials }),
    addPhoto(slug: string, find: string, { name, width, height, data }: NewPhoto): Result<JobRecord> {
      // Its digest is known once the server has it.
      const body = { name, width, height, digest: '0'.repeat(64) }
      return work(slug, 'find/photo', find, body, { photo: data, key: uuid() })
    },
  }
})

/** A photo as it was taken: px, and its bytes in base64, JPEG. */
interface NewPhoto {
  name: string
  width: number
  height: number
  data: string
}

/** What an act is tried as before it is an entry. */
const TRIAL = { page: '', clock: 'tablet', by: '', version: null, isSealed: false, state: 'waiting' } as const
