import { computed, reactive, ref, shallowRef } from 'vue'
import { defineStore } from 'pinia'
import { useDebounceFn } from '@vueuse/core'
import { NOW_MS, type JobList, type ListedJob, type News, type Order } from '#core/acts'
import { compareText } from '#core/base'
import { answers, foldText, readSearch, SHELVES, type ComingBack, type JobRecord, type Shelf } from '#core/record'
import { rules } from '~/outbox/rules'
import { today } from '~/reading/today'
import { useJobStore } from './jobs'
import { after } from './pauses'

/** A change of the counts is asked for so long after the last news, ms. */
const COUNT_AFTER_MS = 300

const summaryOf = (job: JobRecord) => rules().summaryOf(rules().gistOfJob(job))
const backOf = (jobs: readonly JobRecord[]): ComingBack[] =>
  jobs.length === 0 ? [] : rules().comingBack(jobs.map(rules().gistOfJob), today())

/** How long the server is waited for before what is kept here is shown, ms. */
const COPY_AFTER_MS = 800

export interface ListQuery {
  shelf: Shelf
  q: string
  order: Order
  isMine: boolean
}
interface Kept {
  list: JobList
  back: ComingBack[]
}

/**
 * The list of jobs: pages of the server's, kept in step by what it tells; without a server the last one that was read. Jobs
 * with work of this tablet that is not sent stand as they are here.
 */
export const useListStore = defineStore('list', () => {
  const store = useJobStore()
  const query = reactive<ListQuery>({ shelf: 'open', q: '', order: 'newest', isMine: false })
  const rows = shallowRef<readonly ListedJob[]>([])
  const cursor = ref<string | null>(null)
  const totals = shallowRef<Pick<JobList, 'counts' | 'now' | 'mine'>>({
    counts: { open: 0, waiting: 0, handed: 0, archive: 0 },
    now: 0,
    mine: 0,
  })
  const back = shallowRef<readonly ComingBack[]>([])
  /** Something can be shown: the server's answer, or the last one kept here. */
  const isLoaded = ref(false)
  /** The rows are the server's answer to what is asked for now. */
  const isAnswered = ref(false)
  /** When the list shown without a server was read, ms since 1970. */
  const keptAt = ref<number | null>(null)
  const problem = ref<string | null>(null)
  let kept: Kept | null = null
  let asked = 0

  const isPlain = ({ shelf, q, order, isMine }: ListQuery) =>
    shelf === 'open' && q === '' && order === 'newest' && !isMine

  function urlOf({ shelf, q, order, isMine }: ListQuery, more: Record<string, string> = {}): string {
    const said = {
      shelf: q.trim() === '' ? shelf : 'all',
      q: q.trim(),
      order,
      hand: store.hand,
      mine: isMine ? '1' : '0',
    }
    return `/api/jobs?${new URLSearchParams({ ...said, ...more })}`
  }

  /** Whether a row answers what is asked for, as far as its own words tell. */
  function fits(job: ListedJob, { shelf, q, isMine }: ListQuery): boolean {
    if (isMine && foldText(job.by) !== foldText(store.hand)) return false
    if (q.trim() === '') return job.shelf === shelf
    const text = foldText(`${job.name} ${job.place} ${job.by} ${job.next.words} ${job.next.below}`)
    return answers(readSearch(q, today()), text, [job.at.slice(0, 10)])
  }

  const keep = () => store.keepList(kept)
  function take(list: JobList, isPage: boolean) {
    rows.value = isPage
      ? [...rows.value, ...list.jobs.filter(({ id }) => !rows.value.some((one) => one.id === id))]
      : list.jobs
    cursor.value = list.cursor
    totals.value = list
    isLoaded.value = true
    isAnswered.value = true
    keptAt.value = null
    problem.value = null
    if (isPage || !isPlain(query)) return
    kept = { list, back: [...back.value] }
    keep()
  }

  /** The first page of what is asked for; it is shown with what stands above it, so that nothing moves. */
  async function read(above: Promise<void> = Promise.resolve()): Promise<void> {
    const own = ++asked
    const [answer] = await Promise.all([store.read<JobList>(urlOf(query)), above])
    if (own !== asked) return
    if (answer.ok) take(answer.value, false)
    else problem.value = answer.error.message
  }

  let isReadingMore = false
  /** The next page, where there is one. */
  async function more(): Promise<void> {
    if (cursor.value === null || isReadingMore) return
    isReadingMore = true
    const own = asked
    const answer = await store.read<JobList>(urlOf(query, { cursor: cursor.value }))
    isReadingMore = false
    if (own === asked && answer.ok) take(answer.value, true)
  }

  async function readBack(): Promise<void> {
    const answer = await store.read<{ joints: ComingBack[] }>('/api/come-back')
    if (!answer.ok) return
    back.value = answer.value.joints
    if (kept) {
      kept = { ...kept, back: answer.value.joints }
      keep()
    }
  }

  /** Asks for something else; without a server what is kept is looked through. */
  function ask(changes: Partial<ListQuery>): void {
    Object.assign(query, changes)
    isAnswered.value = false
    problem.value = null
    if (store.away) showKept()
    void read()
  }

  function showKept(): void {
    if (!kept) return
    rows.value = kept.list.jobs.filter((job) => fits(job, query))
    cursor.value = null
    isLoaded.value = true
  }

  const recount = useDebounceFn(async () => {
    const answer = await store.read<JobList>(urlOf(query, { limit: '1' }))
    if (answer.ok) totals.value = answer.value
    await readBack()
  }, COUNT_AFTER_MS)

  function hear(news: News | 'open'): void {
    if (!isLoaded.value) return
    if (news === 'open') {
      void read()
      void readBack()
      return
    }
    const told = new Map(news.jobs.map(({ acts: _, ...job }) => [job.id, job]))
    const isNewest = query.order === 'newest' && query.q.trim() === ''
    const others = rows.value
      .filter(({ id }) => !news.gone.includes(id) && !(isNewest && told.has(id)))
      .map((row) => told.get(row.id) ?? row)
    const top = isNewest ? [...told.values()].filter((job) => fits(job, query)) : []
    rows.value = [...top, ...others]
    void recount()
  }
  store.listen(hear)

  /** Reads what is shown; what is kept here stands there till the server answers. */
  async function load(): Promise<void> {
    await store.ready()
    if (!isLoaded.value) {
      const last = await store.keptList()
      if (last && !isLoaded.value) {
        kept = last.value as Kept
        totals.value = kept.list
        back.value = kept.back
        keptAt.value = last.at
        showKept()
      }
    }
    const above = readBack()
    const reading = Promise.all([above, read(above)])
    await Promise.race([reading, after(COPY_AFTER_MS)])
    if (!isLoaded.value) await showCopies()
    await reading
  }

  /** Where no list was ever read here: the jobs that were looked at on this tablet. */
  async function showCopies(): Promise<void> {
    await store.recallAll()
    if (isLoaded.value) return
    const list = {
      cursor: null,
      jobs: store.jobs.filter(({ id }) => !store.isLoose(id)).map(listedCopy),
      ...totals.value,
    }
    kept = { list, back: backOf(store.jobs) }
    back.value = kept.back
    keptAt.value = store.lastCopyAt
    showKept()
  }

  /** A job as its copy has it: by whom and when is what its records say. */
  function listedCopy(job: JobRecord): ListedJob {
    const records = [job, ...job.finds, ...job.lines, ...job.cuts, ...job.joints]
    const last = records.reduce((newest, one) => (one.updatedAt > newest.updatedAt ? one : newest))
    return { ...summaryOf(job), by: last.updatedBy, at: last.updatedAt || new Date(0).toISOString() }
  }

  /** A job as it stands on this tablet, with what is not sent. */
  function listedHere(job: JobRecord): ListedJob {
    const own = store.entries.filter((entry) => entry.job === job.id)
    const at = Math.max(...own.map((entry) => entry.at))
    return { ...summaryOf(job), by: store.hand, at: new Date(at).toISOString() }
  }
  const here = computed(() => {
    const ids = new Set(store.unsent.map(({ job }) => job))
    return { ids, jobs: store.jobs.filter(({ id }) => ids.has(id)).map(listedHere) }
  })

  return {
    query,
    isLoaded,
    isAnswered,
    keptAt,
    problem,
    cursor,
    totals,
    load,
    ask,
    more,
    /** Rows to draw: those of this tablet first, then the server's. */
    shown: computed(() => [
      ...here.value.jobs.filter((job) => fits(job, query)),
      ...rows.value.filter(({ id }) => !here.value.ids.has(id)),
    ]),
    /** Work that is in no job yet, kept on this tablet. */
    loose: computed(() => store.jobs.filter(({ id }) => store.isLoose(id))),
    back: computed(() => {
      const own = store.jobs.filter(({ id }) => here.value.ids.has(id))
      const others = back.value.filter(({ job }) => !own.some(({ id }) => id === job.id))
      return [...others, ...backOf(own)].sort((a, b) => compareText(a.on, b.on))
    }),
    /** All jobs on every shelf. */
    all: computed(() => SHELVES.reduce((sum, shelf) => sum + totals.value.counts[shelf], 0)),
  }
})

/** Whether a hand is on a job at this moment, as far as its last mark tells. */
export const isNow = ({ at }: Pick<ListedJob, 'at'>, now: number): boolean => now - Date.parse(at) < NOW_MS
