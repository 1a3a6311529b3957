import type { z } from 'zod'
import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { toIssue } from '#core/contract'
import {
  actOf,
  changedSince,
  laneOf,
  mergeFields,
  sent,
  type ActDef,
  type AnyRecord,
  type Clash,
  type Doing,
  type Fields,
  type ListKind,
  type Rules,
} from '#core/acts'
import {
  FINISHED,
  OTHER_PLAN,
  OTHER_WAY,
  rackAfter,
  SIGNED,
  standingSignoff,
  UNDONE,
  type CutRecord,
  type JointRecord,
  type OffcutRecord,
} from '#core/record'
import { inTransaction, retrying, type Transaction } from '../db/client'
import { driverFault, DUPLICATE } from '../db/fault'
import { lockJobRow, type JobRow } from '../records/job-rows'
import { insertJob, saveJob, toJob } from '../records/jobs'
import { lockRack, saveRack } from '../records/rack'
import { rulesOf } from '../records/rules'
import { STORES } from '../records/stores'
import { forDatabase } from '../records/time'
import { findUnkeepable } from './keepable'
import { append, findAct, lastActOn } from './log'
import { isUploaded } from './photos'
import { wasTakenBefore } from './receipts'

type Sent = z.output<typeof sent>
type Body = Fields

/** What came of an act. */
export type Answer =
  /** It stands: its sequence number, null where an earlier version took it, and the records as they are now. */
  | { key: string; state: 'taken'; seq: number | null; record: AnyRecord | null; rack?: OffcutRecord[] }
  /** Another hand was first: the record as it is saved, and the fields both set. */
  | { key: string; state: 'met'; issue: Issue; saved: AnyRecord; clashes: Clash[] }
  | { key: string; state: 'refused'; issue: Issue }
  /** Not tried: an act before it on its record did not go through. */
  | { key: string; state: 'held' }

/** A tablet that was away longer has its clock wrong rather than its work that old, ms. */
const MOST_AGO_MS = 400 * 24 * 3600 * 1000

const ANOTHER_ACT = issue(
  'impossible',
  'key',
  'key: this key was given to another act. Give each act a key of its own.',
)
const CHANGED = (what: string): Issue =>
  issue(
    'impossible',
    'version',
    `Someone else changed this ${what} meanwhile. What is saved now stands beside yours.`,
  )
const WORDS: Readonly<Record<ActDef['on'], string>> = {
  jobs: 'job',
  finds: 'find',
  lines: 'line',
  cuts: 'cut sheet',
  joints: 'joint',
  rack: 'offcut',
  looks: 'look',
}
/** What core says where another hand was first: both see what is saved. */
const OVERTAKEN: ReadonlySet<Issue> = new Set([SIGNED, UNDONE, OTHER_WAY, OTHER_PLAN, FINISHED])

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

/** An act as it was given, checked: its frame, then its body by its own schema. */
function readAct(given: unknown): Result<{ act: Sent; body: Body; def: ActDef; text: string }> {
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

/** The fields of a change that stand beside another hand's, each set to something else there. */
const allFields = (act: Sent, body: Body, saved: Fields): Clash[] =>
  Object.entries(body).map(([path, mine]) => ({ path, base: act.seen?.[path] ?? null, mine, theirs: saved[path] }))

/** What to show beside each other where core says that another hand was first. */
function overtaken(def: ActDef, act: Sent, body: Body, saved: AnyRecord, why: Issue): Clash[] {
  if (why !== SIGNED || def.rests !== 'fields') return []
  if (def.sees.length === 0) return allFields(act, body, saved as unknown as Fields)
  const theirs = standingSignoff(saved as JointRecord)?.initials
  return [
    { path: 'signoff', base: null, mine: body.initials, theirs },
    ...changedSince(act.seen ?? {}, saved as unknown as Fields),
  ]
}

/** The body to go on with: as it was sent, or merged field by field with what another hand saved meanwhile. */
function merged(def: ActDef, act: Sent, body: Body, saved: AnyRecord): Body {
  if (def.rests === null) return body
  const { key, version, seen } = act
  if ((version ?? null) === null && !(seen && def.rests === 'fields'))
    return refuse(
      key,
      issue('missing', 'version', `version: is missing. The version of the ${WORDS[def.on]} that was seen is accepted.`),
    )
  if ('version' in saved && version === saved.version) return body
  if (!seen || def.rests === 'version') return meet(key, CHANGED(WORDS[def.on]), saved)
  if (def.sees.length > 0) {
    const clashes = changedSince(seen, saved as unknown as Fields)
    return clashes.length > 0 ? meet(key, CHANGED(WORDS[def.on]), saved, clashes) : body
  }
  const { changes, clashes } = mergeFields(seen, body, saved as unknown as Fields)
  return clashes.length > 0 ? meet(key, CHANGED(WORDS[def.on]), saved, clashes) : changes
}

/** Who took a record out, where somebody did. */
async function goneWords(tx: Transaction, def: ActDef, act: Sent): Promise<Issue> {
  const what = WORDS[def.on]
  const last = await lastActOn(tx, act.record)
  const field = def.on === 'cuts' ? 'cut' : def.on.replace(/s$/, '')
  if (last?.jobId === act.job && actOf(last.name as Sent['name']).does === 'drops')
    return issue('unknown-id', field, `${field}: this ${what} was taken out${last.by ? ` by ${last.by}` : ''} meanwhile.`)
  return issue('unknown-id', field, `${field}: this job has no such ${what}. It may belong to another job.`)
}

/** The record of an act, its row held; the job itself where the act is on it. Ids are told apart by every letter. */
async function recordNow(tx: Transaction, job: JobRow, def: ActDef, id: string): Promise<AnyRecord | null> {
  const record = def.on === 'jobs' ? await toJob(tx, job) : await STORES[def.on].load(tx, job, id)
  return record?.id === id ? record : null
}

async function save(tx: Transaction, job: JobRow, kind: ListKind, before: AnyRecord | null, after: AnyRecord | null) {
  await STORES[kind].save(tx, job, before as never, after as never)
}

/** A record as an act left it, one version on. */
const raised = (before: AnyRecord | null, after: AnyRecord | null, { at, by }: Doing): AnyRecord | null => {
  if (!before || !after || after === before) return after
  const version = before.version + 1
  return 'updatedAt' in after ? { ...after, version, updatedAt: at, updatedBy: by } : { ...after, version }
}

/** A job is begun where there is none of its id. */
async function begin(tx: Transaction, act: Sent, body: Body, def: ActDef, doing: Doing): Promise<void> {
  if (act.record !== act.job)
    refuse(act.key, issue('impossible', 'record', 'record: a job begins itself; record and job are one id.'))
  const made = def.apply({} as Rules, null, body, doing)
  if (!made.ok) return refuse(act.key, made.error)
  await insertJob(tx, made.value as Parameters<typeof insertJob>[1])
}

/** Asks the rules of an act and saves what it makes of its record, and of the rack. */
async function work(tx: Transaction, job: JobRow, act: Sent, body: Body, def: ActDef, doing: Doing): Promise<void> {
  const before = await recordNow(tx, job, def, act.record)
  if (def.does === 'begins') await checkNew(tx, def, act, before)
  else if (!before) {
    // Taken out twice is taken out.
    if (def.does === 'drops' && (await wasDropped(tx, act))) return
    return refuse(act.key, await goneWords(tx, def, act))
  }
  const withPhoto = act.name === 'find/photo' ? await isUploaded(tx, act.key, body as never) : true
  if (!withPhoto) refuse(act.key, issue('missing', 'photo', 'photo: the picture itself has not come yet. Send it first.'))
  const said = before ? merged(def, act, body, before) : body
  const rules = await rulesOf(tx, job, def)
  const next = def.does === 'begins' ? await nextOf(tx, job, def) : doing.next
  const result = def.apply(rules, before as never, said, { ...doing, next })
  if (!result.ok) {
    const { error } = result
    return before && OVERTAKEN.has(error)
      ? meet(act.key, error, before, overtaken(def, act, body, before, error))
      : refuse(act.key, error)
  }
  const after = raised(before, result.value, doing)
  if (after === before) return
  if (def.on === 'jobs') return saveJob(tx, before as never, after as never)
  const isDrop = after === null
  if (!isDrop) await save(tx, job, def.on, before, after)
  if (def.touches === 'rack')
    await saveRack(tx, rules.rack, rackAfter(rules.rack, job, after as CutRecord | null, act.record))
  if (isDrop) await save(tx, job, def.on, before, null)
}

async function nextOf(tx: Transaction, job: JobRow, def: ActDef): Promise<Doing['next']> {
  const numbers = await STORES[def.on as ListKind].numbers(tx, job)
  return { count: numbers.length, number: Math.max(0, ...numbers) + 1 }
}

async function checkNew(tx: Transaction, def: ActDef, act: Sent, before: AnyRecord | null): Promise<void> {
  if (!/^[\w-]{8,40}$/.test(act.record))
    refuse(act.key, issue('type', 'record', 'record: 8 to 40 letters, digits, _ or - are accepted.'))
  if (before || (await STORES[def.on as ListKind].isTaken(tx, act.record)))
    refuse(act.key, issue('impossible', 'record', `record: a ${WORDS[def.on]} of this id is there already.`))
}

async function wasDropped(tx: Transaction, act: Sent): Promise<boolean> {
  const last = await lastActOn(tx, act.record)
  return last !== null && last.jobId === act.job && actOf(last.name as Sent['name']).does === 'drops'
}

/** What stands now, for the sender. */
async function standing(tx: Transaction, job: JobRow, def: ActDef, act: Sent, seq: number | null): Promise<Answer> {
  const record = await recordNow(tx, job, def, act.record)
  const isRack = def.touches === 'rack' || def.on === 'rack'
  return { key: act.key, state: 'taken', seq, record, ...(isRack ? { rack: await lockRack(tx) } : {}) }
}

/** One act in one transaction: its receipt, its rules, its records and its row in the log are saved, or nothing is. */
async function takeOne(tx: Transaction, read: { act: Sent; body: Body; def: ActDef; text: string }): Promise<Answer> {
  const { act, body, def, text } = read
  const isBeginning = def.on === 'jobs' && def.does === 'begins'
  const job = await lockJobRow(tx, act.job)
  const known = await findAct(tx, act.key)
  if (known && known.text !== text) return refuse(act.key, ANOTHER_ACT)
  if (job && known) return standing(tx, job, def, act, known.seq)
  if (job && (await wasTakenBefore(tx, act.key))) return standing(tx, job, def, act, null)
  if (isBeginning && job) refuse(act.key, issue('impossible', 'record', 'record: a job of this id is there already.'))
  if (!isBeginning && !job)
    refuse(act.key, issue('unknown-id', 'job', 'job: there is no such job here. The id of a job is accepted.'))
  const at = timeOf(act.at)
  const { key, record, by, name } = act
  const doing: Doing = { key, record, at, by, next: { number: 1, count: 0 } }
  if (isBeginning) await begin(tx, act, body, def, doing)
  else await work(tx, job!, act, body, def, doing)
  const seq = await append(tx, {
    key,
    jobId: act.job,
    name,
    recordId: record,
    at: forDatabase(new Date(at)),
    clock: act.clock ?? 'server',
    by,
    takenAt: forDatabase(new Date()),
    text,
  })
  return standing(tx, (job ?? (await lockJobRow(tx, act.job)))!, def, act, seq)
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

async function take(read: Parameters<typeof takeOne>[1]): Promise<Answer> {
  try {
    return await retrying(() => inTransaction((tx) => takeOne(tx, read)))
  } catch (error) {
    if (error instanceof Undone) return error.answer
    const what = refusalOf(error)
    if (!what) throw error
    return { key: read.act.key, state: 'refused', issue: what }
  }
}

const keyOf = (given: unknown): string => {
  const key = typeof given === 'object' && given !== null ? (given as { key?: unknown }).key : undefined
  return typeof key === 'string' ? key.slice(0, 40) : ''
}

/**
 * Takes acts in their order, each in a transaction of its own. One that does not go through holds those after it on the
 * same record, and all of a job that was not begun.
 */
export async function takeActs(given: readonly unknown[]): Promise<Answer[]> {
  const held = new Set<string>()
  const answers: Answer[] = []
  for (const one of given) {
    const read = readAct(one)
    if (!read.ok) {
      answers.push({ key: keyOf(one), state: 'refused', issue: read.error })
      continue
    }
    const { key, name, job, record } = read.value.act
    const lane = laneOf(name, job, record)
    if (held.has(lane) || held.has(job)) {
      answers.push({ key, state: 'held' })
      continue
    }
    const answer = await take(read.value)
    if (answer.state !== 'taken') held.add(lane)
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
