import { computed, reactive, ref, shallowRef } from 'vue'
import { defineStore } from 'pinia'
import { useStorage } from '@vueuse/core'
import { v4 as uuid } from 'uuid'
import { actOf, recordOf, type Act, type ActName, type InputOf, type RecordOf, type ACTS } from '#core/acts'
import { fail, ok, type Issue, type Result } from '#core/base'
import { toIssue } from '#core/contract'
import { beginJob, completeJob, type JobBody, type JobRecord } from '#core/record'
import { useApi, type Answer } from '~/composables/useApi'
import { useServerClock } from '~/composables/useServerClock'
import { applyEntry, isChange, type About, type Entry } from '~/outbox/entry'
import { answering } from '~/outbox/kept'
import { createOutbox, type Outbox } from '~/outbox/outbox'
import { pick } from '~/outbox/saved'
import { memoryStorage, openStorage, type Storage } from '~/outbox/storage'
import { createCopies } from './copies'
import { createReader } from './reader'

/** How long the server is waited for before the copy kept here is shown, ms. */
const COPY_AFTER_MS = 600
/** Of what came of the things done here, so many are shown. */
const MOST_RECENT = 12

const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))
const NO_JOB = fail('unknown-id', 'job', 'job: this job is not open here.')
type Begun<N extends ActName> = RecordOf[(typeof ACTS)[N]['on']]

/**
 * The jobs as the screen sees them: what the server last gave, with what was done here and is not there yet laid over it
 * by the same rules the server has. Every act is kept on this tablet first, then sent in order.
 */
export const useJobStore = defineStore('jobs', () => {
  const clock = useServerClock()
  const api = useApi(clock.hear)
  /** Name of this hand or tablet, as others see it beside their own entry. */
  const hand = useStorage('jolvet-hand', '')
  const jobs = shallowRef<JobRecord[]>([])
  const entries = shallowRef<readonly Entry[]>([])
  const isLoaded = ref(false)
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
  let storage: Storage = memoryStorage()
  let outbox: Outbox | undefined
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('jolvet')

  const copies = createCopies(
    (job) => {
      lastCopyAt.value = Date.now()
      void storage.putCopy({ id: job.id, job, at: lastCopyAt.value }).catch(() => undefined)
    },
    (id) => void storage.dropCopy(id).catch(() => undefined),
  )
  const reader = createReader(api.get, (why) => {
    away.value = why
  })

  /** A job by the name in its address, or by its id while it has no other name. */
  const jobOf = (name: string) =>
    jobs.value.find(({ slug }) => slug === name) ?? jobs.value.find(({ id }) => id === name)

  function view(id: string): JobRecord | undefined {
    const own = entries.value.filter((entry) => entry.job === id)
    const begun = own.find(({ act }) => act.name === 'job/begin')?.act
    const copy = copies.get(id) ?? (begun?.name === 'job/begin' ? beginJob(id, begun.body) : undefined)
    return (
      copy &&
      own.reduce((job, entry) => {
        const next = applyEntry(job, entry)
        return next.ok ? next.value : job
      }, copy)
    )
  }

  /** Draws one job anew, or all of them in the order they are worked. */
  function show(id?: string) {
    const begun = entries.value.filter(({ act }) => act.name === 'job/begin').map(({ job }) => job)
    jobs.value = [...new Set([...copies.ids(), ...begun])]
      .map((one) => (id === undefined || one === id ? view(one) : (jobOf(one) ?? view(one))))
      .filter((job) => job !== undefined)
  }

  const note = (entry: Entry, fate: 'taken' | 'clash' | 'refused') => {
    recent.value = [...recent.value, { entry, fate }].slice(-MOST_RECENT)
  }

  /** What waits has changed: what came back since is noted, and every job is drawn anew. */
  function waiting(now: readonly Entry[], why: Issue | null) {
    for (const entry of now)
      if (entry.state !== 'waiting' && !entries.value.some((one) => one.key === entry.key && one.state === entry.state))
        note(entry, entry.state)
    entries.value = now
    away.value = why
    isKept.value = outbox?.isKept ?? storage.isKept
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
        reader.written()
        copies.take(entry, answer)
        channel?.postMessage(entry.job)
      },
      onSaved: ({ job, record, act }, saved) => {
        reader.written()
        copies.putRecord(job, actOf(act.name).on, record, saved)
      },
      onGone: ({ job }) => {
        void loadJob(job)
      },
      onChange: waiting,
    })

  /** Opens what is kept in this browser, once: entries of earlier pages, and the last copies. */
  const ready = (async () => {
    storage = await answering(openStorage()).catch(() => memoryStorage())
    outbox = open()
    const kept = await answering(storage.copies()).catch(() => [])
    for (const { job, at } of kept) {
      copies.set(completeJob(job))
      lastCopyAt.value = Math.max(lastCopyAt.value ?? 0, at)
    }
    await outbox.load()
    isRead.value = true
    void outbox.flush()
  })()
  // Another page of this browser did something: its entries and the server's answers are these here too.
  channel?.addEventListener('message', ({ data }: MessageEvent<string | null>) => {
    void outbox?.load().then(() => (data === null ? undefined : loadJob(data)))
  })

  async function load() {
    await ready
    const reading = reader.read<{ jobs: JobRecord[] }>('/api/jobs').then((answer) => {
      problem.value = answer.ok ? null : answer.error.message
      if (!answer.ok) return
      copies.replace(answer.value.jobs)
      show()
      isLoaded.value = true
    })
    await Promise.race([reading, after(COPY_AFTER_MS)])
    if (!isLoaded.value && copies.ids().length > 0) {
      show()
      isLoaded.value = true
    }
  }

  /** A job by the name in its address; the copy kept here where no server answers soon. */
  async function loadJob(name: string): Promise<Answer<JobRecord>> {
    await ready
    // The server knows a job by its name alone.
    const address = copies.get(name)?.slug ?? name
    const reading = reader.read<JobRecord>(`/api/jobs/${encodeURIComponent(address)}`).then((answer) => {
      if (answer.ok) {
        copies.put(answer.value)
        heard.add(answer.value.id)
        show(answer.value.id)
      } else if (answer.error.code === 'unknown-id') {
        const gone = jobOf(name)
        if (gone && copies.get(gone.id)) {
          copies.drop(gone.id)
          show()
        }
      }
      return answer
    })
    await Promise.race([reading, after(COPY_AFTER_MS)])
    show()
    const here = jobOf(name)
    return here ? { ok: true, value: here } : reading
  }

  /** What an act on a record rests on: its version, and the fields it sets or was seen to have. */
  function restsOn(job: JobRecord, act: Act, record: string): About {
    const { on, does, sees } = actOf(act.name)
    const seen = does === 'begins' ? undefined : recordOf(job, on, record)
    if (!seen) return {}
    const fields = isChange(act) ? Object.keys(act.body) : sees
    return { version: seen.version, ...(fields.length > 0 ? { seen: pick(seen, fields) } : {}) }
  }

  /** Adds an act and sends it, soon where more is typed into it; another page of this browser sees it too. */
  function keep(job: string, record: string, act: Act, about: About) {
    outbox!.add(job, record, act, about)
    if (isChange(act)) outbox!.soon()
    else void outbox!.flush()
    void outbox!.kept().then(() => channel?.postMessage(null))
  }

  /** Does an act here, by core's own rules, and keeps it until the server has it. */
  function work<N extends ActName>(
    slug: string,
    name: N,
    record: string | null,
    body: InputOf<N>,
    about: About = {},
  ): Result<JobRecord> {
    const job = jobOf(slug)
    if (!job) return NO_JOB
    const parsed = actOf(name).body.safeParse(body)
    const act = { name, body: parsed.data } as Act
    const id = record ?? job.id
    const trial: Result<JobRecord> = parsed.success
      ? applyEntry(job, { ...TRIAL, key: about.key ?? id, at: Date.now(), job: job.id, record: id, act })
      : { ok: false, error: toIssue(parsed.error.issues[0]!, body) }
    problem.value = trial.ok ? null : trial.error.message
    if (!trial.ok) return trial
    keep(job.id, id, act, { ...restsOn(job, act, id), ...about })
    return ok(jobOf(job.id)!)
  }

  /** Begins a record of a job under an id of its own, and gives it. */
  function begin<N extends ActName>(slug: string, name: N, body: InputOf<N>, id: string = uuid()): Result<Begun<N>> {
    const answer = work(slug, name, id, body)
    return answer.ok ? ok(recordOf(answer.value, actOf(name).on, id) as Begun<N>) : answer
  }

  async function createJob(body: JobBody): Promise<Result<JobRecord>> {
    await ready
    const id = uuid()
    keep(id, id, { name: 'job/begin', body }, {})
    // With a server it gets its name in the address at once; without one it goes by its id.
    await Promise.race([outbox!.flush(), after(COPY_AFTER_MS)])
    return ok(jobOf(id)!)
  }

  return {
    jobs,
    isLoaded,
    isRead,
    problem,
    recent,
    away,
    entries,
    hand,
    isKept,
    lastCopyAt,
    jobOf,
    load,
    loadJob,
    isHeard: (id: string) => heard.has(id),
    createJob,
    do: work,
    begin,
    clashes: computed(() => entries.value.filter(({ state }) => state === 'clash')),
    refused: computed(() => entries.value.filter(({ state }) => state === 'refused')),
    flush: async () => outbox?.flush(),
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
