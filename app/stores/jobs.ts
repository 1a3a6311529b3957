import { computed, reactive, ref, shallowRef } from 'vue'
import { defineStore } from 'pinia'
import { useStorage } from '@vueuse/core'
import { v4 as uuid } from 'uuid'
import { fail, ok, type Issue, type Result } from '#core/base'
import type { BenchPlan } from '#core/cutting'
import {
  completeJob,
  rackAfter,
  type CutBody,
  type DoneCutBody,
  type FinishBody,
  type FindBody,
  type JobBody,
  type JobRecord,
  type JointBody,
  type JointInput,
  type JointRecord,
  type KitBody,
  type LineBody,
  type LineInput,
  type OffcutBody,
  type PhotoBody,
  type ReopenBody,
  type SignoffBody,
  type StepPlace,
  type TickBody,
} from '#core/record'
import { useApi, type Answer } from '~/composables/useApi'
import { useServerClock } from '~/composables/useServerClock'
import {
  applyEntry,
  beginJob,
  kindOf,
  kitRecord,
  recordOf,
  withWay,
  type Act,
  type AnyRecord,
  type Entry,
  type Kind,
} from '~/outbox/entry'
import { createOutbox, type Outbox } from '~/outbox/outbox'
import { memoryStorage, openStorage, type Storage } from '~/outbox/storage'

/** Pause before a read that found no server is tried again, ms. */
const RETRY_AFTER_MS = 2000
/** How long the server is waited for before the copy kept here is shown, ms. */
const COPY_AFTER_MS = 600

/** Of what came of the things done here, so many are shown. */
const MOST_RECENT = 12

type NewPhoto = Omit<PhotoBody, 'id'> & { width: number; height: number }
const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/**
 * The jobs as the screen sees them: what the server last gave, with what was done here and is not there yet laid over it
 * by the same rules the server has. Every change is kept on this tablet first, then sent in order.
 */
export const useJobStore = defineStore('jobs', () => {
  const clock = useServerClock()
  const api = useApi(clock.hear)
  /** Name of this hand or tablet, as others see it beside their own entry. */
  const hand = useStorage('jolvet-hand', '')
  const jobs = shallowRef<JobRecord[]>([])
  const entries = shallowRef<readonly Entry[]>([])
  const isLoaded = ref(false)
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
  const copies = new Map<string, JobRecord>()
  /** Counts what the server has taken, so that an answer begun before it is not put over it. */
  let writes = 0
  let storage: Storage = memoryStorage()
  let outbox: Outbox | undefined
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('jolvet')

  const jobOf = (name: string) => jobs.value.find((job) => job.slug === name || job.id === name)

  function view(id: string): JobRecord | undefined {
    const own = entries.value.filter((entry) => entry.job === id)
    const begun = own.find(({ act }) => act.do === 'begin-job')?.act
    const copy = copies.get(id) ?? (begun?.do === 'begin-job' ? beginJob(id, begun.body) : undefined)
    return (
      copy &&
      own.reduce((job, entry) => {
        const next = applyEntry(job, entry, clock.offset.value)
        return next.ok ? next.value : job
      }, copy)
    )
  }

  /** Draws one job anew, or all of them in the order they are worked. */
  function show(id?: string) {
    const ids = [
      ...new Set([
        ...copies.keys(),
        ...entries.value.filter(({ act }) => act.do === 'begin-job').map(({ job }) => job),
      ]),
    ]
    jobs.value = ids
      .map((one) => (id === undefined || one === id ? view(one) : (jobOf(one) ?? view(one))))
      .filter((job) => job !== undefined)
  }

  function putCopy(job: JobRecord) {
    copies.set(job.id, job)
    lastCopyAt.value = Date.now()
    void storage.putCopy({ id: job.id, job, at: lastCopyAt.value }).catch(() => undefined)
  }

  /** A job the server has no more. */
  function dropCopy(id: string) {
    copies.delete(id)
    void storage.dropCopy(id).catch(() => undefined)
  }

  /** Puts one record, as the server gave it, into the copy of its job. */
  function putRecord(jobId: string, record: AnyRecord) {
    writes++
    const copy = copies.get(jobId)
    if (!copy) return
    if ('joints' in record) return putCopy(record)
    const kind = kindOf(record)
    const list: readonly AnyRecord[] = copy[kind]
    const next = list.some(({ id }) => id === record.id)
      ? list.map((one) => (one.id === record.id ? record : one))
      : [...list, record]
    // What a sheet's plan takes, and what it left, is so on the rack at once.
    putCopy({
      ...copy,
      [kind]: next,
      ...('cutter' in record ? { rack: rackAfter(copy.rack, copy, record, record.id) } : {}),
    })
  }

  const note = (entry: Entry, fate: 'taken' | 'clash' | 'refused') => {
    recent.value = [...recent.value, { entry, fate }].slice(-MOST_RECENT)
  }

  /** Opens what is kept in this browser, once: entries of earlier pages, and the last copies. */
  const ready = (async () => {
    storage = await openStorage().catch(() => memoryStorage())
    outbox = createOutbox({
      storage,
      send: (request, { key, ago }) => api.send(request, { key, ago, hand: hand.value }),
      now: Date.now,
      newKey: uuid,
      onTaken: (entry, value) => {
        const { job, act } = entry
        const copy = copies.get(job)
        note(entry, 'taken')
        if (act.do === 'begin-job') putCopy(value as JobRecord)
        else if (act.do === 'settle') {
          if (copy) putCopy({ ...copy, clashes: [...copy.clashes, value as JobRecord['clashes'][number]] })
        } else if (act.do === 'drop-line' || act.do === 'drop-cut') {
          writes++
          const without = copy && applyEntry(copy, entry)
          if (without?.ok) putCopy(without.value)
        } else if (act.do === 'put-offcut' || act.do === 'drop-offcut') {
          writes++
          const { rack } = value as Pick<JobRecord, 'rack'>
          for (const one of [...copies.values()]) putCopy({ ...one, rack })
        } else putRecord(job, value as AnyRecord)
        channel?.postMessage(job)
      },
      onSaved: ({ job }, saved) => putRecord(job, saved),
      onGone: ({ job }) => {
        void loadJob(job)
      },
      onChange: (now, why) => {
        for (const entry of now)
          if (
            entry.state !== 'waiting' &&
            !entries.value.some((one) => one.key === entry.key && one.state === entry.state)
          )
            note(entry, entry.state)
        entries.value = now
        away.value = why
        isKept.value = outbox?.isKept ?? storage.isKept
        show()
      },
    })
    const kept = await storage.copies().catch(() => [])
    for (const { job, at } of kept) {
      copies.set(job.id, completeJob(job))
      lastCopyAt.value = Math.max(lastCopyAt.value ?? 0, at)
    }
    await outbox.load()
    void outbox.flush()
  })()
  // Another page of this browser did something: its entries and the server's answers are these here too.
  channel?.addEventListener('message', ({ data }: MessageEvent<string>) => {
    void outbox?.load().then(() => loadJob(data))
  })

  /** Reads that are under way, by address: asked for again meanwhile, they are not begun twice. */
  const reads = new Map<string, Promise<Answer<unknown>>>()
  function read<T>(url: string): Promise<Answer<T>> {
    const begun = reads.get(url) ?? readOnce<T>(url).finally(() => reads.delete(url))
    reads.set(url, begun)
    return begun as Promise<Answer<T>>
  }

  /** Reads until a server answers; meanwhile it is said why nothing comes. */
  async function readOnce<T>(url: string): Promise<Answer<T>> {
    for (;;) {
      const before = writes
      const answer = await api.get<T>(url)
      if (answer.ok && before !== writes) continue
      if (answer.ok || !answer.away) {
        away.value = null
        return answer
      }
      away.value = answer.error
      await after(RETRY_AFTER_MS)
    }
  }

  async function load() {
    await ready
    const reading = read<{ jobs: JobRecord[] }>('/api/jobs').then((answer) => {
      problem.value = answer.ok ? null : answer.error.message
      if (!answer.ok) return
      const there = new Set(answer.value.jobs.map(({ id }) => id))
      for (const id of copies.keys()) if (!there.has(id)) dropCopy(id)
      // In the order they are worked.
      copies.clear()
      answer.value.jobs.forEach(putCopy)
      show()
      isLoaded.value = true
    })
    await Promise.race([reading, after(COPY_AFTER_MS)])
    if (!isLoaded.value && copies.size > 0) {
      show()
      isLoaded.value = true
    }
  }

  /** A job by the name in its address; the copy kept here where no server answers soon. */
  async function loadJob(name: string): Promise<Answer<JobRecord>> {
    await ready
    const reading = read<JobRecord>(`/api/jobs/${encodeURIComponent(name)}`).then((answer) => {
      if (answer.ok) {
        putCopy(answer.value)
        heard.add(answer.value.id)
        show(answer.value.id)
      } else if (answer.error.code === 'unknown-id') {
        const gone = jobOf(name)
        if (gone && copies.has(gone.id)) {
          dropCopy(gone.id)
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

  /** Does something here, by core's own rules, and keeps it until the server has it. */
  function work(job: JobRecord, record: string, act: Act): Result<JobRecord> {
    const trial = applyEntry(job, {
      key: record,
      page: '',
      at: Date.now(),
      job: job.id,
      record,
      act,
      isSealed: false,
      state: 'waiting',
    })
    problem.value = trial.ok ? null : trial.error.message
    if (!trial.ok) return trial
    outbox!.add(job.id, record, act)
    if (act.do === 'change') outbox!.soon()
    else void outbox!.flush()
    return ok(jobOf(job.id)!)
  }

  function change(
    slug: string,
    kind: Kind,
    id: string,
    changes: Partial<FindBody> | Partial<LineBody> | Partial<CutBody> | Partial<JointBody> | Partial<KitBody>,
  ) {
    const job = jobOf(slug)
    const record = job && recordOf(job, kind, id)
    if (!record) return
    const base = Object.fromEntries(Object.keys(changes).map((field) => [field, record[field as keyof AnyRecord]]))
    work(job, id, { do: 'change', kind, changes, base, version: record.version })
  }

  async function createJob(body: JobBody): Promise<Result<JobRecord>> {
    await ready
    const id = uuid()
    outbox!.add(id, id, { do: 'begin-job', body })
    // With a server it gets its name in the address at once; without one it goes by its id.
    await Promise.race([outbox!.flush(), after(COPY_AFTER_MS)])
    return ok(jobOf(id)!)
  }

  const NO_JOB = fail('unknown-id', 'job', 'job: this job is not open here.')
  type Kept = Pick<JobRecord, 'finds' | 'lines' | 'cuts' | 'joints'>
  /** Begins a record of a job under an id of its own, with the next number of its kind. */
  function begin<K extends keyof Kept>(slug: string, kind: K, act: (number: number) => Act): Result<Kept[K][number]> {
    const job = jobOf(slug)
    if (!job) return NO_JOB
    const id = uuid()
    const answer = work(job, id, act(Math.max(0, ...job[kind].map((one) => ('number' in one ? one.number : 0))) + 1))
    return answer.ok ? ok(answer.value[kind].find((one) => one.id === id)!) : answer
  }
  /** Work on a record of a job that is no change of its fields. */
  function onRecord<K extends keyof Kept>(
    slug: string,
    kind: K,
    id: string,
    act: (record: Kept[K][number]) => Act,
  ): Result<JobRecord> {
    const job = jobOf(slug)
    const record: Kept[K][number] | undefined = job?.[kind].find((one) => one.id === id)
    return job && record ? work(job, id, act(record)) : NO_JOB
  }
  const onCut = (slug: string, id: string, act: Act) => onRecord(slug, 'cuts', id, () => act)
  const onJoint = (slug: string, id: string, act: (joint: JointRecord) => Act) => onRecord(slug, 'joints', id, act)
  /** Work on the rack, done from a job. */
  function onRack(slug: string, id: string, act: Act): Result<JobRecord> {
    const job = jobOf(slug)
    return job ? work(job, id, act) : NO_JOB
  }

  return {
    jobs,
    isLoaded,
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
    createFind: (slug: string, body: FindBody) => begin(slug, 'finds', () => ({ do: 'begin-find', body })),
    createLine: (slug: string, body: LineInput) =>
      begin(slug, 'lines', (number) => ({ do: 'begin-line', body, number })),
    createCut: (slug: string, body: CutBody) => begin(slug, 'cuts', (number) => ({ do: 'begin-cut', body, number })),
    createJoint: (slug: string, body: JointInput) =>
      begin(slug, 'joints', (number) => ({ do: 'begin-joint', body, number })),
    clashes: computed(() => entries.value.filter(({ state }) => state === 'clash')),
    refused: computed(() => entries.value.filter(({ state }) => state === 'refused')),
    flush: async () => outbox?.flush(),
    retry: (key: string) => outbox?.retry(key),
    letGo: (key: string) => outbox?.letGo(key),
    settle: (key: string, kept: 'mine' | 'theirs', initials: string) =>
      outbox?.settle(key, kept, { mine: hand.value, initials }),
    changeFind: (slug: string, id: string, changes: Partial<FindBody>) => change(slug, 'finds', id, changes),
    dropLine: (slug: string, id: string) => onRecord(slug, 'lines', id, () => ({ do: 'drop-line' })),
    changeCut: (slug: string, id: string, changes: Partial<CutBody>) => change(slug, 'cuts', id, changes),
    dropCut: (slug: string, id: string) => onCut(slug, id, { do: 'drop-cut' }),
    planCut: (slug: string, id: string, plan: BenchPlan) => onCut(slug, id, { do: 'plan-cut', plan }),
    enterCut: (slug: string, id: string, body: Omit<DoneCutBody, 'id'>) =>
      onCut(slug, id, { do: 'cut', body: { ...body, id: uuid() } }),
    takeBackCut: (slug: string, id: string, cut: string) => onCut(slug, id, { do: 'uncut', cut }),
    finishCut: (slug: string, id: string, body: FinishBody) => onCut(slug, id, { do: 'finish-cut', body }),
    putOffcut: (slug: string, body: OffcutBody, id: string = uuid()) => onRack(slug, id, { do: 'put-offcut', body }),
    dropOffcut: (slug: string, id: string) => onRack(slug, id, { do: 'drop-offcut' }),
    changeLine: (slug: string, id: string, changes: Partial<LineBody>) => change(slug, 'lines', id, changes),
    changeKit: (slug: string, changes: Partial<KitBody>) => {
      const job = jobOf(slug)
      if (job) change(slug, 'jobs', kitRecord(job.id), changes)
    },
    changeJoint: (slug: string, id: string, changes: Partial<JointBody>) => change(slug, 'joints', id, changes),
    addPhoto: (slug: string, find: string, { width, height, ...body }: NewPhoto) =>
      onRecord(slug, 'finds', find, () => ({ do: 'photo', body, width, height })),
    dropPhoto: (slug: string, find: string, photo: string) =>
      onRecord(slug, 'finds', find, () => ({ do: 'drop-photo', photo })),
    setTick: (slug: string, id: string, place: Omit<TickBody, 'way'>, done: boolean) =>
      onJoint(slug, id, (joint) => ({ do: 'tick', place: withWay(joint, place), done })),
    failStep: (slug: string, id: string, place: Omit<TickBody, 'way'>) =>
      onJoint(slug, id, (joint) => ({ do: 'fault', place: withWay(joint, place) })),
    reopen: (slug: string, id: string, body: Omit<ReopenBody, 'id'>) =>
      onJoint(slug, id, () => ({ do: 'reopen', body })),
    bringBack: (slug: string, id: string) => onJoint(slug, id, () => ({ do: 'bring-back' })),
    setTimer: (slug: string, id: string, place: Omit<StepPlace, 'way'>, running: boolean) =>
      onJoint(slug, id, (joint) => ({ do: 'wait', place: withWay(joint, place), running })),
    sign: (slug: string, id: string, body: Omit<SignoffBody, 'id' | 'version'>) =>
      onJoint(slug, id, (joint) => ({
        do: 'sign',
        body,
        version: joint.version,
        seen: { depths: joint.depths, wayId: joint.wayId },
      })),
  }
})
