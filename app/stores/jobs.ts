import { ref } from 'vue'
import { defineStore } from 'pinia'
import type { FindBody, FindRecord, JobBody, JobRecord, JointBody, JointRecord } from '#core/record'
import { useApi, type Answer } from '~/composables/useApi'

/** Pause after the last keystroke before it is sent, ms. */
const SAVE_AFTER_MS = 300
/** Pause before a call that found no server is tried again, ms. */
const RETRY_AFTER_MS = 2000

type Kind = 'finds' | 'joints'
interface Waiting { slug: string, kind: Kind, id: string, changes: Record<string, unknown> }

/** What was typed into changes that were refused, so that it can be typed again. */
function typedIn(changes: Record<string, unknown>): string {
  const typed = Object.values(changes).filter((value): value is string => typeof value === 'string' && value.trim() !== '')
  return typed.length > 0 ? ` You had typed: ${typed.join(', ')}.` : ''
}

/**
 * The jobs as the screen sees them. Changes show at once, are sent in order and stay in line until the server has
 * them; a refused one is said in words and the saved record is read again.
 */
export const useJobStore = defineStore('jobs', () => {
  const api = useApi()
  const jobs = ref<JobRecord[]>([])
  const isLoaded = ref(false)
  /** Why the last load or save did not go through, in words. */
  const problem = ref<string | null>(null)
  const waiting = new Map<string, Waiting>()
  const unsaved = ref(0)
  /** Counts what the server has taken, so that an answer begun before it is not put over it. */
  let writes = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | undefined

  const jobOf = (slug: string) => jobs.value.find(job => job.slug === slug)
  const recordOf = (slug: string, kind: Kind, id: string): FindRecord | JointRecord | undefined => jobOf(slug)?.[kind].find(record => record.id === id)

  /** Puts a job as it was read; what was typed since is laid over it. */
  function putJob(job: JobRecord) {
    for (const { slug, kind, id, changes } of waiting.values()) {
      const record = slug === job.slug ? job[kind].find(one => one.id === id) : undefined
      if (record) Object.assign(record, changes)
    }
    const at = jobs.value.findIndex(({ slug }) => slug === job.slug)
    if (at >= 0) jobs.value[at] = job
    else jobs.value.push(job)
  }

  function putRecord(slug: string, kind: Kind, record: FindRecord | JointRecord) {
    writes++
    const list = jobOf(slug)?.[kind] as (FindRecord | JointRecord)[] | undefined
    if (!list) return
    const at = list.findIndex(({ id }) => id === record.id)
    // What was typed since the write left is newer than what comes back.
    const newer = waiting.get(`${kind}/${record.id}`)?.changes
    const whole = { ...record, ...newer }
    if (at >= 0) list[at] = whole
    else list.push(whole)
  }

  /** Reads until a server answers; meanwhile it is said why nothing comes. */
  async function read<T>(url: string): Promise<Answer<T>> {
    for (;;) {
      const answer = await api.get<T>(url)
      if (answer.ok || !answer.away) {
        problem.value = null
        return answer
      }
      problem.value = `Waiting: ${answer.error.message}`
      await new Promise(resolve => setTimeout(resolve, RETRY_AFTER_MS))
    }
  }

  /** Reads again while something was written meanwhile. */
  async function readUnchanged<T>(url: string): Promise<Answer<T>> {
    for (;;) {
      const before = writes
      const answer = await read<T>(url)
      if (!answer.ok || before === writes) return answer
    }
  }

  async function load() {
    const answer = await readUnchanged<{ jobs: JobRecord[] }>('/api/jobs')
    if (answer.ok) {
      jobs.value = []
      answer.value.jobs.forEach(putJob)
    } else problem.value = answer.error.message
    isLoaded.value = answer.ok
  }

  async function loadJob(slug: string): Promise<Answer<JobRecord>> {
    const answer = await readUnchanged<JobRecord>(`/api/jobs/${slug}`)
    if (answer.ok) putJob(answer.value)
    return answer
  }

  /** Sends what waits, oldest first, and keeps trying while there is no server. */
  async function sendWaiting() {
    for (const [key, { slug, kind, id, changes }] of waiting) {
      const record = recordOf(slug, kind, id)
      waiting.delete(key)
      if (!record) continue
      const answer = await api.patch<FindRecord | JointRecord>(`/api/jobs/${slug}/${kind}/${id}`, { ...changes, version: record.version })
      if (answer.ok) {
        putRecord(slug, kind, answer.value)
        problem.value = null
      } else if (answer.away) {
        waiting.set(key, { slug, kind, id, changes: { ...changes, ...waiting.get(key)?.changes } })
        problem.value = `Not saved yet: ${answer.error.message}`
        timer = setTimeout(flush, RETRY_AFTER_MS)
        break
      } else {
        await loadJob(slug)
        problem.value = `${answer.error.message}${typedIn(changes)}`
      }
    }
    unsaved.value = waiting.size
  }

  function flush(): Promise<void> {
    clearTimeout(timer)
    sending = (sending ?? Promise.resolve()).then(sendWaiting)
    return sending
  }

  function change(slug: string, kind: Kind, id: string, changes: Record<string, unknown>) {
    const record = recordOf(slug, kind, id)
    if (record) Object.assign(record, changes)
    const key = `${kind}/${id}`
    waiting.set(key, { slug, kind, id, changes: { ...waiting.get(key)?.changes, ...changes } })
    unsaved.value = waiting.size
    clearTimeout(timer)
    timer = setTimeout(flush, SAVE_AFTER_MS)
  }

  /** The last keystrokes of a page that is closing. */
  function flushOnLeave() {
    for (const { slug, kind, id, changes } of waiting.values()) {
      const record = recordOf(slug, kind, id)
      if (record) api.sendAndForget(`/api/jobs/${slug}/${kind}/${id}`, { ...changes, version: record.version })
    }
    waiting.clear()
    unsaved.value = 0
  }

  async function write<T>(send: () => Promise<Answer<T>>): Promise<Answer<T>> {
    await flush()
    const answer = await send()
    problem.value = answer.ok ? null : answer.error.message
    return answer
  }

  const createJob = async (body: JobBody) => {
    const answer = await write(() => api.post<JobRecord>('/api/jobs', body))
    if (answer.ok) putJob(answer.value)
    return answer
  }
  const createFind = async (slug: string, body: FindBody) => {
    const answer = await write(() => api.post<FindRecord>(`/api/jobs/${slug}/finds`, body))
    if (answer.ok) putRecord(slug, 'finds', answer.value)
    return answer
  }
  const createJoint = async (slug: string, body: JointBody) => {
    const answer = await write(() => api.post<JointRecord>(`/api/jobs/${slug}/joints`, body))
    if (answer.ok) putRecord(slug, 'joints', answer.value)
    return answer
  }
  const toJoint = async (slug: string, send: () => Promise<Answer<JointRecord>>) => {
    const answer = await write(send)
    if (answer.ok) putRecord(slug, 'joints', answer.value)
    return answer
  }
  const at = (slug: string, id: string) => `/api/jobs/${slug}/joints/${id}`

  return {
    jobs, isLoaded, problem, unsaved, jobOf, load, loadJob, flush, flushOnLeave, createJob, createFind, createJoint,
    changeFind: (slug: string, id: string, changes: Partial<FindBody>) => change(slug, 'finds', id, changes),
    changeJoint: (slug: string, id: string, changes: Partial<JointBody>) => change(slug, 'joints', id, changes),
    setTick: (slug: string, id: string, place: { entry: number, step: number }, done: boolean) => toJoint(slug, () => (done ? api.put(`${at(slug, id)}/ticks`, place) : api.remove(`${at(slug, id)}/ticks`, place))),
    setTimer: (slug: string, id: string, place: { entry: number, step: number }, running: boolean) => toJoint(slug, () => (running ? api.put(`${at(slug, id)}/timers`, place) : api.remove(`${at(slug, id)}/timers`, place))),
    sign: (slug: string, id: string, initials: string) => toJoint(slug, () => api.post(`${at(slug, id)}/signoffs`, { initials })),
  }
})
