import type * as z from 'zod/mini'
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
import {
  GIST_RULES,
  ownId,
  rackAfter,
  type CutRecord,
  type FindRecord,
  type JobRecord,
  type OffcutRecord,
} from '#core/record'
import { inTransaction, retrying, type Transaction } from '../db/client'
import { driverFault, DUPLICATE } from '../db/fault'
import { dropJob } from '../records/drop'
import { droppedIssue, findDropped } from '../records/dropped'
import { keepAllGists, keepGistOf, type GistRow } from '../records/gists'
import { lockJobFor, readJobRow, type JobRow, type Receipt } from '../records/job-rows'
import { insertJob, saveJob, toJob } from '../records/jobs'
import { findsAfter, keepKnown, knownOf, type Known } from '../records/known'
import { loadRack, lockRack, saveRack } from '../records/rack'
import { rulesOf } from '../records/rules'
import { STORES } from '../records/stores'
import { keepSummary, keepWorked } from '../records/summaries'
import { forDatabase, toDatabase } from '../records/time'
import { findUnkeepable } from './keepable'
import { changedJob } from './changes'
import { append, findAct, lastActOn, nextOf as nextInLog, type LogRow } from './log'
import { isUploaded, type Upload } from './photos'

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
  /** Where the act came before. */
  receipt: Receipt | null
  before: AnyRecord | null
  rack: OffcutRecord[]
}
/** What an act made: its record as it then stands, and what is known of the rest of the job. */
interface Made {
  after: AnyRecord | null
  known: Known
}

/**
 * Holds the rows of an act, its own record before its job: one that waits for a record that another holds does not keep
 * the job from those on other records. null where there is no such job.
 */
async function hold(tx: Transaction, act: Sent, def: ActDef): Promise<Held | null> {
  const isOwn = def.on !== 'jobs' && def.does !== 'begins'
  const record = isOwn ? await STORES[def.on as ListKind].load(tx, { id: act.job }, act.record) : null
  const rack = isOnRack(def) ? await lockRack(tx) : []
  const found = await lockJobFor(tx, act.job, act.key)
  if (!found) return null
  const own = record?.id === act.record ? record : null
  return { ...found, before: def.on === 'jobs' ? await toJob(tx, found.job) : own, rack }
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

/** Asks the rules of an act and saves what it makes of its record, of the rack, and of what is known of its job. */
async function work(tx: Transaction, held: Held, known: Known, read: ReadAct, doing: Doing): Promise<Made> {
  const { act, body, def } = read
  const { job, before, rack } = held
  if (def.does === 'begins') await checkNew(tx, def, act)
  // Taken out twice is taken out.
  else if (!before && def.does === 'drops' && (await wasDropped(tx, def, act))) return { after: null, known }
  else if (!before) return refuse(act.key, await goneWords(tx, def, act))
  if (act.name === 'find/photo' && !(await isUploaded(tx, act.key, body as unknown as Upload)))
    refuse(act.key, issue('missing', 'photo', 'photo: the picture itself has not come yet. Send it first.'))
  const said = before ? bodyOn(def, act, body, before) : body
  const rules = { ...(await rulesOf(tx, job, known.finds, def)), rack }
  const next = def.does === 'begins' ? await nextOf(tx, job, def) : doing.next
  const result = def.apply(rules, before as never, said, { ...doing, next })
  if (!result.ok) return notDone(act, body, def, before, result.error)
  const after = raised(before, result.value, doing)
  if (after === before) return { after, known }
  await save(tx, held, def, act.record, after)
  return { after, known: await knownAfter(tx, held, known, read, { rules, after, at: doing.at }) }
}

/** What is known of a job once an act is done, its gists saved. */
async function knownAfter(
  tx: Transaction,
  { job, before }: Held,
  known: Known,
  { act, def }: ReadAct,
  { rules, after, at }: { rules: Rules; after: AnyRecord | null; at: string },
): Promise<Known> {
  const { finds, gists } = known
  if (def.on === 'jobs')
    return { ...known, gists: await gistsOfJob(tx, gists, before as JobRecord, after as JobRecord | null) }
  const place = { jobId: job.id, kind: def.on, id: act.record, at }
  return {
    ...known,
    finds: def.on === 'finds' ? findsAfter(finds, act.record, after as FindRecord | null) : finds,
    gists: await keepGistOf(tx, place, rules, gists, after as never),
  }
}

/** Where what gists are worked out by has changed, those of all records are. */
async function gistsOfJob(
  tx: Transaction,
  gists: readonly GistRow[],
  before: JobRecord,
  after: JobRecord | null,
): Promise<readonly GistRow[]> {
  return after && GIST_RULES.some((name) => after[name] !== before[name]) ? keepAllGists(tx, after) : gists
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

/** An act that came before: what stands now. null where it is new. */
async function takenBefore(tx: Transaction, held: Held | null, read: ReadAct): Promise<Answer | null> {
  const { key } = read.act
  const receipt = held ? held.receipt : await findAct(tx, key)
  if (!receipt) return null
  if (receipt.text !== null && receipt.text !== read.text) return refuse(key, ANOTHER_ACT)
  return held && standing(tx, held.job, read, receipt.seq)
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

/** Begins a job, and writes that into its log. */
async function doFirst(tx: Transaction, read: ReadAct, doing: Doing): Promise<Answer> {
  const { act, body, def } = read
  await begin(tx, act, body, def, doing)
  const { seq } = await append(tx, (await readJobRow(tx, act.job))!, logRow(read, doing))
  const job = (await readJobRow(tx, act.job))!
  await keepSummary(tx, job, [], doing, null)
  return taken(tx, job, read, seq, await toJob(tx, job))
}

/** Does an act that is new on a job that there is, and writes it into its log. */
async function doOne(tx: Transaction, held: Held, read: ReadAct, doing: Doing): Promise<Answer> {
  const { act, def } = read
  const known = await knownOf(tx, held.job)
  const made = await work(tx, held, known, read, doing)
  const row = logRow(read, doing)
  if (act.name === 'job/drop') {
    await dropJob(tx, held.job, { ...row, ...nextInLog(held.job, row) })
    return { key: act.key, state: 'taken', seq: null, acts: 0, record: null }
  }
  const { seq, number, hash } = await append(tx, held.job, row)
  // What an act made of the job's own row is read anew.
  const job = def.on === 'jobs' ? (await readJobRow(tx, act.job))! : { ...held.job, acts: number, head: hash }
  const isSeen = def.on === 'jobs' || made.known.gists !== known.gists
  const listed = await (isSeen ? keepSummary : keepWorked)(tx, job, made.known.gists, doing, made.known.listed)
  keepKnown(held.job, job, { ...made.known, listed })
  return taken(tx, job, read, seq, def.on === 'jobs' ? await toJob(tx, job) : made.after)
}

/** Does an act that is new, on its job or as the job's beginning. */
async function doNew(tx: Transaction, held: Held | null, read: ReadAct): Promise<Answer> {
  const { act, def } = read
  const { key, record, by } = act
  const isBeginning = def.on === 'jobs' && def.does === 'begins'
  if (isBeginning && held) refuse(key, issue('impossible', 'record', 'record: a job of this id is there already.'))
  // A beginning whose answer was lost does not bring back what was deleted since.
  if (!held && (!isBeginning || (await findDropped(tx, act.job)))) return noJob(tx, read)
  const clock = act.clock ?? 'server'
  const doing = { key, record, at: timeOf(act.at), by, clock, next: { number: 1, count: 0 } }
  return held ? doOne(tx, held, read, doing) : doFirst(tx, read, doing)
}

/** One act in one transaction: its receipt, its rules, its records and its row in the log are saved, or nothing is. */
async function takeOne(tx: Transaction, read: ReadAct): Promise<Answer> {
  const held = await hold(tx, read.act, read.def)
  const before = await takenBefore(tx, held, read)
  if (before) return before
  try {
    return await doNew(tx, held, read)
  } catch (error) {
    // The same act may have been taken while this one waited for its job: receipts are read as of before the wait.
    const receipt = held && error instanceof Undone ? await findAct(tx, read.act.key) : null
    if (receipt) throw new Undone((await takenBefore(tx, { ...held!, receipt }, read))!)
    throw error
  }
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
