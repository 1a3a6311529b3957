import { randomUUID } from 'node:crypto'
import { ownBed } from './bed'
import { actOf, recordOf } from '#core/acts'
import type { ACTS, ActName, AnyRecord, Clash, InputOf, RecordOf } from '#core/acts'
import type { Issue } from '#core/base'
import type { JobRecord, OffcutRecord } from '#core/record'
import type { Region } from '#core/units'

/* Acts done as a program does them, over HTTP. */

/** What an act may say of itself; what is left out is usual. */
export interface About {
  key?: string
  version?: number | null
  seen?: Record<string, unknown>
  at?: string
  clock?: 'server' | 'tablet'
  by?: string
}
/** What came of an act, with the status of the call. */
export interface Answered<R = AnyRecord> {
  status: number
  key: string
  state: 'taken' | 'met' | 'refused' | 'held'
  seq?: number | null
  record: R
  rack: OffcutRecord[]
  issue: Issue
  saved: R
  clashes: Clash[]
}
type Of<N extends ActName> = RecordOf[(typeof ACTS)[N]['on']]

/** Acts on a server, the one of this test where no other is named. */
export function acting(baseUrl: () => string = () => ownBed().baseUrl) {
  async function json<T>(method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
    const reply = await fetch(baseUrl() + path, {
      method,
      // Each call has its own connection: a test that blocks meanwhile would find a kept one closed.
      headers: { 'Content-Type': 'application/json', Connection: 'close' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    return { status: reply.status, body: (await reply.json()) as T }
  }
  const read = async <T>(path: string): Promise<T> => (await json<T>('GET', path)).body

  /** A job as a tablet has it: with the rack. */
  const jobAt = async (slug: string): Promise<JobRecord> => ({
    ...(await read<JobRecord>(`/api/jobs/${slug}`)),
    rack: (await read<{ rack: OffcutRecord[] }>('/api/rack')).rack,
  })

  /** An act as it goes out. */
  const toSend = (name: string, job: { id: string }, record: string, body: unknown, about: About = {}) => ({
    key: randomUUID(),
    name,
    job: job.id,
    record,
    at: new Date().toISOString(),
    by: '',
    body,
    ...about,
  })
  /** Acts of one call, and what came of each. */
  async function sendAll(acts: readonly unknown[]): Promise<Answered[]> {
    const { status, body } = await json<{ acts: Answered[]; error?: Issue }>('POST', '/api/acts', { acts })
    if (!body.acts) throw new Error(body.error?.message ?? `status ${status}`)
    return body.acts.map((answer) => ({ ...answer, status }))
  }
  /** One act, and what came of it. */
  async function tryAct<N extends ActName>(
    name: N,
    job: { id: string },
    record: string,
    body: unknown,
    about: About = {},
  ): Promise<Answered<Of<N>>> {
    const [answer] = await sendAll([toSend(name, job, record, body, about)])
    return answer as Answered<Of<N>>
  }
  async function versionOf(name: ActName, job: JobRecord, record: string): Promise<number | null> {
    const { on, does, rests } = actOf(name)
    if (does === 'begins' || rests === null) return null
    const now = await jobAt(job.slug)
    return recordOf(now, on, record)?.version ?? null
  }
  /** One act on what is saved now, which has to be taken; the record as it then stands. */
  async function act<N extends ActName>(
    name: N,
    job: JobRecord,
    record: string,
    body: InputOf<N>,
    about: About = {},
  ): Promise<Of<N>> {
    const version = about.version ?? (await versionOf(name, job, record))
    const answer = await tryAct(name, job, record, body, { ...about, version })
    if (answer.state !== 'taken') throw new Error(`${name}: ${answer.issue?.message ?? answer.state}`)
    return answer.record
  }
  /** A record begun under an id of its own. */
  const begin = <N extends ActName>(
    name: N,
    job: JobRecord,
    body: InputOf<N>,
    id: string = randomUUID(),
    about: About = {},
  ): Promise<Of<N>> => act(name, job, id, body, about)
  async function newJob(name = 'Test yard', region: Region = 'gb', place = 'here'): Promise<JobRecord> {
    const id = randomUUID()
    const answer = await tryAct('job/begin', { id }, id, { name, place, region })
    if (answer.state !== 'taken') throw new Error(answer.issue?.message)
    return answer.record
  }
  return {
    read,
    job: jobAt,
    /** What a verb of core says. */
    ask: async <T>(verb: string, question: unknown): Promise<T> =>
      (await json<T>('POST', `/api/core/${verb}`, question)).body,
    toSend,
    sendAll,
    tryAct,
    act,
    begin,
    newJob,
  }
}
