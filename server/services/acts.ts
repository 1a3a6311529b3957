import type { z } from 'zod'
import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { toIssue } from '#core/contract'
import {
  ACT_NAMES,
  actOf,
  KIND_WORDS,
  laneOf,
  overtaken,
  restOn,
  sent,
  type ActAnswer,
  type ActDef,
  type AnyRecord,
  type Clash,
  type Doing,
  type Fields,
  type ListKind,
  type Rules,
} from '#core/acts'
import { GIST_RULES, ownId, rackAfter, type CutRecord, type JobRecord, type OffcutRecord } from '#core/record'
import { inTransaction, retrying, type Transaction } from '../db/client'
import { driverFault, DUPLICATE } from '../db/fault'
import { dropJob } from '../records/drop'
import { droppedIssue, findDropped } from '../records/dropped'
import { lockJobRow, readJobRow, type JobRow } from '../records/job-rows'
import { insertJob, saveJob, toJob } from '../records/jobs'
import { loadRack, lockRack, saveRack } from '../records/rack'
import { rulesOf } from '../records/rules'
import { STORES } from '../records/stores'
import { keepAllGists, keepGistOf, keepSummary, keepWorked } from '../records/summaries'
import { forDatabase, toDatabase } from '../records/time'
import { findUnkeepable } from './keepable'
import { changedJob } from './changes'
import { append, findAct, lastActOn, nextOf as nextInLog, type LogRow } from './log'
import { isUploaded, type Upload } from './photos'
import { wasTakenBefore } from './receipts'

type Sent = z.output<typeof sent>
type Body = Fields

/** What came of an act. */
export type Answer = ActAnswer

/** A tablet that was away longer has its clock wrong rather than its work that old, ms. */
const MOST_AGO_MS = 400 * 24 * 3600 * 1000

/** Whether a hand may begin something under an id. */
const isOwnId = (id: string): boolean => ownId.safeParse(id).success
const NO_ID = issue('type', 'record', 'record: 8 to 40 letters, digits, _ or - are accepted.')
const ANOTHER_ACT = issue(
  'impossible',
  'key',
  'key: this key was given to another act. Give each act a key of its own.',
)
/** Thrown inside a transaction to leave it undone with an answer. */
class Undone extends Error {
  constructor(readonly answer: Answer) {
    super('not taken')
  }
}
const refuse = (key: string, what: Issue): never => {
  throw new Undone({ key, state: 'refused', issue: what })
}
const meet = (key: string, what: Issue, saved: AnyRecord, clashes: Clash[] = []): never => {
  throw new Undone({ key, state: 'met', issue: what, saved, clashes })
}

/** An act as it was received, JSON, with its body as its own schema has it. */
interface ReadAct {
  act: Sent
  body: Body
  def: ActDef
  text: string
}

/** An act as it was given, checked: its frame, then its body by its own schema. */
function readAct(given: unknown): Result<ReadAct> {
  const unkeepable = findUnkeepable(given)
  if (unkeepable) return { ok: false, error: unkeepable }
  const frame = sent.safeParse(given)
  if (!frame.success) return { ok: false, error: toIssue(frame.error.issues[0]!, given) }
  const def = actOf(frame.data.name)
  const body = def.body.safeParse(frame.data.body)
  return body.success
    ? ok({ act: frame.data, body: body.data as Body, def, text: JSON.stringify(given) })
    : { ok: false, error: toIssue(body.error.issues[0]!, frame.data.body) }
}

/** When it was done: as said, but never after now, and not so long ago that only a clock can be wrong. */
function timeOf(at: string): string {
  const now = Date.now()
  return new Date(Math.min(now, Math.max(now - MOST_AGO_MS, Date.parse(at)))).toISOString()
}

/** The body to go on with: as it was sent, or merged field by field with what another hand saved meanwhile. */
function bodyOn(def: ActDef, act: Sent, body: Body, saved: AnyRecord): Body {
  const rest = restOn(def, act, body, saved)
  if (rest.state === 'met') return meet(act.key, rest.issue, saved, rest.clashes)
  return rest.state === 'refused' ? refuse(act.key, rest.issue) : rest.body
}

/** Who took a record out, where somebody did. */
async function goneWords(tx: Transaction, def: ActDef, act: Sent): Promise<Issue> {
  const what = KIND_WORDS[def.on]
  const last = await lastActOn(tx, act.record)
  const field = def.on === 'cuts' ? 'cut' : def.on.replace(/s$/, '')
  if (last?.jobId === act.job && actOf(last.name as Sent['name']).does === 'drops')
    return issue(
      'unknown-id',
      field,
      `${field}: this ${what} was taken out${last.by ? ` by ${last.by}` : ''} meanwhile.`,
    )
  return issue('unknown-id', field, `${field}: this job has no such ${what}. It may belong to another job.`)
}

/** The record of an act, its row held; the job itself where the act is on it. Ids are told apart by every letter. */
async function recordNow(tx: Transaction, job: JobRow, def: ActDef, id: string): Promise<AnyRecord | null> {
  const record = def.on === 'jobs' ? await toJob(tx, job) : await STORES[def.on].load(tx, job, id)
  return record?.id === id ? record : null
}

/** A record as an act left it, one version on. */
const raised = (before: AnyRecord | null, after: AnyRecord | null, { at, by }: Doing): AnyRecord | null => {
  if (!before || !after || after === before) return after
  const version = before.version + 1
  return 'updatedAt' in after ? { ...after, version, updatedAt: at, updatedBy: by } : { ...after, version }
}

/** Whether an act may change the rack. */
export const isOnRack = ({ on, touches }: ActDef): boolean => on === 'rack' || touches === 'rack'

/** What an act works on, held until the transaction ends: its job, its record, and the rack where it is touched. */
interface Held {
  job: JobRow
  before: AnyRecord | null
  rack: OffcutRecord[]
  /** Whether what is done shows in the list beside its hour. */
  isSeen: boolean
}

/**
 * Holds the rows of an act, its own record before its job: one that waits for a record that another holds does not keep
 * the job from those on other records. null where there is no such job.
 */
async function hold(tx: Transaction, act: Sent, def: ActDef): Promise<Held | null> {
  const isOwn = def.on !== 'jobs' && def.does !== 'begins'
  const record = isOwn ? await STORES[def.on as ListKind].load(tx, { id: act.job }, act.record) : null
  const rack = isOnRack(def) ? await lockRack(tx) : []
  const job = await lockJobRow(tx, act.job)
  if (!job) return null
  const own = record?.id === act.record ? record : null
  return { job, before: def.on === 'jobs' ? await toJob(tx, job) : own, rack, isSeen: true }
}

/** A job is begun where there is none of its id. */
async function begin(tx: Transaction, act: Sent, body: Body, def: ActDef, doing: Doing): Promise<void> {
  if (act.record !== act.job)
    refuse(act.key, issue('impossible', 'record', 'record: a job begins itself; record and job are one id.'))
  if (!isOwnId(act.record)) refuse(act.key, NO_ID)
  const made = def.apply({} as Rules, null, body, doing)
  if (!made.ok) return refuse(act.key, made.error)
  await insertJob(tx, made.value as Parameters<typeof insertJob>[1])
}

/**
 * Asks the rules of an act and saves what it makes of its record, of the rack, and of the job's overview. Gives the record
 * as it then stands.
 */
async function work(tx: Transaction, held: Held, read: ReadAct, doing: Doing): Promise<AnyRecord | null> {
  const { act, body, def } = read
  const { job, before, rack } = held
  if (def.does === 'begins') await checkNew(tx, def, act)
  // Taken out twice is taken out.
  else if (!before && def.does === 'drops' && (await wasDropped(tx, def, act))) return null
  else if (!before) return refuse(act.key, await goneWords(tx, def, act))
  if (act.name === 'find/photo' && !(await isUploaded(tx, act.key, body as unknown as Upload)))
    refuse(act.key, issue('missing', 'photo', 'photo: the picture itself has not come yet. Send it first.'))
  const said = before ? bodyOn(def, act, body, before) : body
  const rules = { ...(await rulesOf(tx, job, def)), rack }
  const next = def.does === 'begins' ? await nextOf(tx, job, def) : doing.next
  const result = def.apply(rules, before as never, said, { ...doing, next })
  if (!result.ok) return notDone(act, body, def, before, result.error)
  const after = raised(before, result.value, doing)
  if (after === before) {
    held.isSeen = false
    return after
  }
  await save(tx, held, def, act.record, after)
  if (def.on === 'jobs') await keepGistsOfJob(tx, before as JobRecord, after as JobRecord | null)
  else
    held.isSeen = await keepGistOf(
      tx,
      { jobId: job.id, kind: def.on, id: act.record, at: doing.at },
      rules,
      before,
      after,
    )
  return after
}

/** Where what gists are worked out by has changed, those of all records are. */
async function keepGistsOfJob(tx: Transaction, before: JobRecord, after: JobRecord | null): Promise<void> {
  if (after && GIST_RULES.some((name) => after[name] !== before[name])) await keepAllGists(tx, after)
}

function notDone(act: Sent, body: Body, def: ActDef, before: AnyRecord | null, why: Issue): never {
  const clashes = before && overtaken(def, act, body, before, why)
  return clashes ? meet(act.key, why, before!, clashes) : refuse(act.key, why)
}

/** What an act made of its record; the rack lets go of a sheet before the sheet goes. */
async function save(tx: Transaction, held: Held, def: ActDef, id: string, after: AnyRecord | null): Promise<void> {
  const { job, before, rack } = held
  // A job that is deleted goes once its own act is on record.
  if (def.on === 'jobs') return after === null ? undefined : saveJob(tx, before as JobRecord, after as JobRecord)
  const saveOwn = () => STORES[def.on as ListKind].save(tx, job, before as never, after as never)
  if (after !== null) await saveOwn()
  if (def.touches === 'rack') await saveRack(tx, rack, rackAfter(rack, job, after as CutRecord | null, id))
  if (after === null) await saveOwn()
}

async function nextOf(tx: Transaction, job: JobRow, def: ActDef): Promise<Doing['next']> {
  const numbers = await STORES[def.on as ListKind].numbers(tx, job)
  return { count: numbers.length, number: Math.max(0, ...numbers) + 1 }
}

async function checkNew(tx: Transaction, def: ActDef, act: Sent): Promise<void> {
  if (!isOwnId(act.record)) refuse(act.key, NO_ID)
  if (await STORES[def.on as ListKind].isTaken(tx, act.record))
    refuse(act.key, issue('impossible', 'record', `record: a ${KIND_WORDS[def.on]} of this id is there already.`))
}

/** Whether a record was taken out before; an offcut from any job, since the rack is one. */
async function wasDropped(tx: Transaction, def: ActDef, act: Sent): Promise<boolean> {
  const last = await lastActOn(tx, act.record)
  const isOwn = last !== null && (def.on === 'rack' || last.jobId === act.job)
  return isOwn && actOf(last.name as Sent['name']).does === 'drops'
}

/** What stands now, for the sender of an act that came before. */
async function standing(tx: Transaction, job: JobRow, { act, def }: ReadAct, seq: number | null): Promise<Answer> {
  const record = await recordNow(tx, job, def, act.record)
  return taken(tx, job, { act, def }, seq, record)
}

async function taken(
  tx: Transaction,
  { acts }: Pick<JobRow, 'acts'>,
  { act, def }: Pick<ReadAct, 'act' | 'def'>,
  seq: number | null,
  record: AnyRecord | null,
): Promise<Answer> {
  return { key: act.key, state: 'taken', seq, acts, record, ...(isOnRack(def) ? { rack: await loadRack(tx) } : {}) }
}

/** An act that came before: its receipt is in the log, or with the writes of an earlier version. null where it is new. */
async function takenBefore(tx: Transaction, job: JobRow | undefined, read: ReadAct): Promise<Answer | null> {
  const { key } = read.act
  const known = await findAct(tx, key)
  if (known && known.text !== read.text) return refuse(key, ANOTHER_ACT)
  if (!job) return null
  if (known) return standing(tx, job, read, known.seq)
  return (await wasTakenBefore(tx, key)) ? standing(tx, job, read, null) : null
}

/** What an act on a job that is not here is told. Deleted twice is deleted. */
async function noJob(tx: Transaction, { act }: ReadAct): Promise<Answer> {
  const dropped = await findDropped(tx, act.job)
  if (dropped && act.name === 'job/drop') return { key: act.key, state: 'taken', seq: null, acts: 0, record: null }
  if (dropped) return refuse(act.key, droppedIssue(dropped))
  return refuse(act.key, issue('unknown-id', 'job', 'job: there is no such job here. The id of a job is accepted.'))
}

/** A row of the log as an act is written there. */
const logRow = ({ act, text }: ReadAct, { at, by, clock }: Doing): Omit<LogRow, 'seq' | 'number' | 'hash'> => ({
  ...{ key: act.key, name: act.name, by, text, jobId: act.job, recordId: act.record, clock: clock ?? 'server' },
  at: toDatabase(at),
  takenAt: forDatabase(new Date()),
})

/** Does an act that is new, and writes it into the log of its job. */
async function doOne(tx: Transaction, held: Held | null, read: ReadAct, doing: Doing): Promise<Answer> {
  const { act, body, def } = read
  if (!held) await begin(tx, act, body, def, doing)
  const after = held ? await work(tx, held, read, doing) : null
  const row = logRow(read, doing)
  if (held && act.name === 'job/drop') {
    await dropJob(tx, held.job, { ...row, ...nextInLog(held.job, row) })
    return { key: act.key, state: 'taken', seq: null, acts: 0, record: null }
  }
  const job = held?.job ?? (await readJobRow(tx, act.job))!
  const { seq, number } = await append(tx, job, row)
  // What an act made of the job's own row is read anew.
  const now = def.on === 'jobs' ? (await readJobRow(tx, act.job))! : { ...job, acts: number }
  await (held && !held.isSeen ? keepWorked(tx, now, doing) : keepSummary(tx, now, doing))
  return taken(tx, now, read, seq, def.on === 'jobs' ? await toJob(tx, now) : after)
}

/** One act in one transaction: its receipt, its rules, its records and its row in the log are saved, or nothing is. */
async function takeOne(tx: Transaction, read: ReadAct): Promise<Answer> {
  const { act, def } = read
  const { key, record, by } = act
  const isBeginning = def.on === 'jobs' && def.does === 'begins'
  const held = await hold(tx, act, def)
  const before = await takenBefore(tx, held?.job, read)
  if (before) return before
  if (isBeginning && held) refuse(key, issue('impossible', 'record', 'record: a job of this id is there already.'))
  // A beginning whose answer was lost does not bring back what was deleted since.
  if (!held && (!isBeginning || (await findDropped(tx, act.job)))) return noJob(tx, read)
  const clock = act.clock ?? 'server'
  return doOne(tx, held, read, { key, record, at: timeOf(act.at), by, clock, next: { number: 1, count: 0 } })
}

const THERE_ALREADY = issue(
  'impossible',
  'key',
  'key: something of this id is there already. Give each act a key of its own.',
)
const NOT_KEPT = issue('type', 'body', 'body: holds something that cannot be kept as it is. Nothing was saved.')
/** MariaDB's numbers for values it does not take: too long, out of range, no such text or time, a check that fails. */
const NOT_TAKEN: ReadonlySet<number> = new Set([1264, 1292, 1366, 1406, 3140, 4025])

/** What an act is told where the database does not take what it would save; null for any other failure. */
function refusalOf(error: unknown): Issue | null {
  const { errno } = driverFault(error)
  if (errno === DUPLICATE) return THERE_ALREADY
  return errno !== undefined && NOT_TAKEN.has(errno) ? NOT_KEPT : null
}

async function take(read: ReadAct): Promise<Answer> {
  try {
    const answer = await retrying(() => inTransaction((tx) => takeOne(tx, read)))
    if (answer.state === 'taken') changedJob({ job: read.act.job, isOnRack: isOnRack(read.def) })
    return answer
  } catch (error) {
    if (error instanceof Undone) return error.answer
    const what = refusalOf(error)
    if (!what) throw error
    return { key: read.act.key, state: 'refused', issue: what }
  }
}

/** What of an act can be told before it is read: its key, and what those after it on its record wait behind. */
function frameOf(given: unknown): { key: string; job: string; lane: string } {
  const { key, name, job, record } = (given ?? {}) as Record<string, unknown>
  const text = (value: unknown) => (typeof value === 'string' ? value : '')
  const known = ACT_NAMES.find((one) => one === name)
  return {
    key: text(key).slice(0, 40),
    job: text(job),
    lane: known ? laneOf(known, text(job), text(record)) : text(record),
  }
}

/**
 * Takes acts in their order, each in a transaction of its own. One that does not go through holds those after it on the
 * same record, and all of a job that was not begun.
 */
export async function takeActs(given: readonly unknown[]): Promise<Answer[]> {
  const held = new Set<string>()
  const answers: Answer[] = []
  for (const one of given) {
    const { key, job, lane } = frameOf(one)
    if (held.has(lane) || held.has(job)) {
      answers.push({ key, state: 'held' })
      continue
    }
    const read = readAct(one)
    const answer: Answer = read.ok ? await take(read.value) : { key, state: 'refused', issue: read.error }
    if (answer.state !== 'taken' && lane !== '') held.add(lane)
    answers.push(answer)
  }
  return answers
}

/** One act taken, by a program of ours. Fails with what it was refused for. */
export async function takeAct(act: z.input<typeof sent>): Promise<Result<Extract<Answer, { state: 'taken' }>>> {
  const [answer] = await takeActs([act])
  if (answer?.state === 'taken') return ok(answer)
  return answer && 'issue' in answer ? { ok: false, error: answer.issue } : fail('impossible', '', 'not tried')
}
