import type { BenchPlan } from '#core/cutting'
import { ok, type Issue, type Result } from '#core/base'
import {
  BLANK_FIND,
  BLANK_JOINT,
  BLANK_LINE,
  addPhoto,
  bringBack,
  beginCut,
  beginFind,
  beginJoint,
  beginLine,
  changeCut,
  changeFind,
  changeKit,
  changeJoint,
  changeLine,
  dropPhoto,
  enterCut,
  failStep,
  finishCut,
  offRack,
  planCut,
  putOffcut,
  rackAfter,
  reopenJoint,
  runTimer,
  signJoint,
  takeBackCut,
  tickStep,
  type Clash,
  type ClashBody,
  type CutBody,
  type CutRecord,
  type DoneCutBody,
  type Fields,
  type FindBody,
  type FindRecord,
  type FinishBody,
  type JobBody,
  type JobRecord,
  type JointBody,
  type JointInput,
  type JointRecord,
  type KitBody,
  type LineBody,
  type LineInput,
  type LineRecord,
  type OffcutBody,
  type PhotoBody,
  type ReopenBody,
  type SignoffBody,
  type StepPlace,
  type TickBody,
} from '#core/record'

/** A change of kind `jobs` is of a job's own fields: policies, tools, measured fittings. */
export type Kind = 'jobs' | 'finds' | 'lines' | 'cuts' | 'joints'
export type AnyRecord = JobRecord | FindRecord | LineRecord | CutRecord | JointRecord

/** Where in its job a record stands, by what only its kind has. */
export function kindOf(record: Exclude<AnyRecord, JobRecord>): Exclude<Kind, 'jobs'> {
  if ('signoffs' in record) return 'joints'
  if ('legs' in record) return 'lines'
  return 'cutter' in record ? 'cuts' : 'finds'
}

/** A record of a job by its kind and id. */
export const recordOf = (job: JobRecord, kind: Kind, id: string): AnyRecord | undefined =>
  kind === 'jobs' ? job : job[kind].find((record) => record.id === id)

/**
 * Record that a change of a job's own fields belongs to: apart from the job, so that its finds and joints never wait for
 * it.
 */
export const kitRecord = (job: string): string => `kit-${job}`

/** A step's place with the way it was read from, so that it is never counted for another. */
export const withWay = <P extends Omit<StepPlace, 'way'>>(
  joint: JointRecord,
  place: P,
): P & Pick<StepPlace, 'way'> => ({ ...place, ...(joint.wayId === null ? {} : { way: joint.wayId }) })

/** What was done, with what it rests on: `base` and `seen` are the fields as the screen showed them. */
export type Act =
  | { do: 'begin-job'; body: JobBody }
  | { do: 'begin-find'; body: FindBody }
  | { do: 'begin-line'; body: LineInput; number: number }
  | { do: 'drop-line' }
  | { do: 'begin-cut'; body: CutBody; number: number }
  | { do: 'drop-cut' }
  | { do: 'plan-cut'; plan: BenchPlan }
  | { do: 'cut'; body: DoneCutBody }
  | { do: 'uncut'; cut: string }
  | { do: 'finish-cut'; body: FinishBody }
  | { do: 'put-offcut'; body: OffcutBody }
  | { do: 'drop-offcut' }
  | { do: 'begin-joint'; body: JointInput; number: number }
  | { do: 'photo'; body: Omit<PhotoBody, 'id'>; width: number; height: number }
  | { do: 'drop-photo'; photo: string }
  | { do: 'change'; kind: Kind; changes: Fields; base: Fields; version: number }
  | { do: 'tick'; place: TickBody; done: boolean }
  | { do: 'fault'; place: TickBody }
  | { do: 'reopen'; body: Omit<ReopenBody, 'id'> }
  | { do: 'wait'; place: StepPlace; running: boolean }
  | { do: 'bring-back' }
  | { do: 'sign'; body: Omit<SignoffBody, 'id' | 'version'>; version: number; seen: Fields }
  | { do: 'settle'; body: Omit<ClashBody, 'id'> }

/** One thing done on this tablet, kept until the server has it. */
export interface Entry {
  /**
   * By which the server knows it when it comes twice; a record that is begun, a sign-off and a settled clash take it as
   * their id.
   */
  key: string
  /** The page it was done on: what one page does, it did knowing its own earlier entries. */
  page: string
  /** When it was done, ms since 1970 by this tablet's clock. */
  at: number
  /** Id of its job and of the record it belongs to. */
  job: string
  record: string
  act: Act
  /** Sent at least once: the server may have it, so it is not changed any more. */
  isSealed: boolean
  state: 'waiting' | 'clash' | 'refused'
  /** Why it came back. */
  issue?: Issue
  /** The record as the other hand saved it, and the fields both set. */
  saved?: AnyRecord
  clashes?: Clash[]
}

export interface Request {
  method: 'POST' | 'PATCH' | 'PUT' | 'DELETE'
  url: string
  body: object
}

/** The call that sends an entry. */
export function toRequest({ key, job, record, act }: Entry): Request {
  const at = `/api/jobs/${job}`
  switch (act.do) {
    case 'begin-job':
      return { method: 'POST', url: '/api/jobs', body: { ...act.body, id: job } }
    case 'begin-find':
      return { method: 'POST', url: `${at}/finds`, body: { ...act.body, id: record } }
    case 'begin-line':
      return { method: 'POST', url: `${at}/lines`, body: { ...act.body, id: record } }
    case 'drop-line':
      return { method: 'DELETE', url: `${at}/lines/${record}`, body: {} }
    case 'begin-cut':
      return { method: 'POST', url: `${at}/cuts`, body: { ...act.body, id: record } }
    case 'drop-cut':
      return { method: 'DELETE', url: `${at}/cuts/${record}`, body: {} }
    case 'plan-cut':
      return { method: 'PUT', url: `${at}/cuts/${record}/plan`, body: act.plan }
    case 'cut':
      return { method: 'PUT', url: `${at}/cuts/${record}/done`, body: act.body }
    case 'uncut':
      return { method: 'DELETE', url: `${at}/cuts/${record}/done`, body: { id: act.cut } }
    case 'finish-cut':
      return { method: 'POST', url: `${at}/cuts/${record}/finish`, body: act.body }
    case 'put-offcut':
      return { method: 'PUT', url: `${at}/rack/${record}`, body: act.body }
    case 'drop-offcut':
      return { method: 'DELETE', url: `${at}/rack/${record}`, body: {} }
    case 'begin-joint':
      return { method: 'POST', url: `${at}/joints`, body: { ...act.body, id: record } }
    case 'photo':
      return { method: 'POST', url: `${at}/finds/${record}/photos`, body: { ...act.body, id: key } }
    case 'drop-photo':
      return { method: 'DELETE', url: `${at}/finds/${record}/photos/${act.photo}`, body: {} }
    case 'change':
      return {
        method: 'PATCH',
        url: act.kind === 'jobs' ? at : `${at}/${act.kind}/${record}`,
        body: { ...act.changes, version: act.version },
      }
    case 'tick':
      return { method: act.done ? 'PUT' : 'DELETE', url: `${at}/joints/${record}/ticks`, body: act.place }
    case 'fault':
      return { method: 'POST', url: `${at}/joints/${record}/faults`, body: { ...act.place, id: key } }
    case 'reopen':
      return { method: 'POST', url: `${at}/joints/${record}/reopenings`, body: { ...act.body, id: key } }
    case 'wait':
      return { method: act.running ? 'PUT' : 'DELETE', url: `${at}/joints/${record}/timers`, body: act.place }
    case 'bring-back':
      return { method: 'DELETE', url: `${at}/joints/${record}/aside`, body: {} }
    case 'sign':
      return {
        method: 'POST',
        url: `${at}/joints/${record}/signoffs`,
        body: { ...act.body, id: key, version: act.version },
      }
    case 'settle':
      return { method: 'POST', url: `${at}/clashes`, body: { ...act.body, id: key } }
  }
}

/**
 * A job as it stands once an entry is done; times are the server's, `ahead` ms of this tablet's. Fails with what core
 * says against it.
 */
export function applyEntry(job: JobRecord, { key, record, at, act }: Entry, ahead = 0): Result<JobRecord> {
  const time = new Date(at + ahead).toISOString()
  // Whose hand it was, the server learns with the call.
  const hand = { at: time, by: '' }
  const onFind = (work: (find: FindRecord) => Result<FindRecord>): Result<JobRecord> => {
    const find = job.finds.find(({ id }) => id === record)
    if (!find) return ok(job)
    const after = work(find)
    return after.ok ? ok({ ...job, finds: job.finds.map((one) => (one === find ? after.value : one)) }) : after
  }
  const onJoint = (work: (joint: JointRecord) => Result<JointRecord>): Result<JobRecord> => {
    const joint = job.joints.find(({ id }) => id === record)
    if (!joint) return ok(job)
    const after = work(joint)
    return after.ok ? ok({ ...job, joints: job.joints.map((one) => (one === joint ? after.value : one)) }) : after
  }
  const onLine = (work: (line: LineRecord) => Result<LineRecord>): Result<JobRecord> => {
    const line = job.lines.find(({ id }) => id === record)
    if (!line) return ok(job)
    const after = work(line)
    return after.ok ? ok({ ...job, lines: job.lines.map((one) => (one === line ? after.value : one)) }) : after
  }
  const onCut = (work: (cut: CutRecord) => Result<CutRecord>): Result<JobRecord> => {
    const cut = job.cuts.find(({ id }) => id === record)
    if (!cut) return ok(job)
    const after = work(cut)
    return after.ok
      ? ok({
          ...job,
          cuts: job.cuts.map((one) => (one === cut ? after.value : one)),
          rack: rackAfter(job.rack, job, after.value, record),
        })
      : after
  }
  switch (act.do) {
    case 'begin-job':
      return ok(job)
    case 'begin-find': {
      if (job.finds.some(({ id }) => id === record)) return ok(job)
      const find = beginFind(job, record, { ...BLANK_FIND, ...act.body }, hand)
      return find.ok ? ok({ ...job, finds: [...job.finds, find.value] }) : find
    }
    case 'begin-line': {
      if (job.lines.some(({ id }) => id === record)) return ok(job)
      const line = beginLine(record, act.number, { ...BLANK_LINE, ...act.body }, time)
      return line.ok ? ok({ ...job, lines: [...job.lines, line.value] }) : line
    }
    case 'drop-line':
      return ok({ ...job, lines: job.lines.filter(({ id }) => id !== record) })
    case 'begin-cut': {
      if (job.cuts.some(({ id }) => id === record)) return ok(job)
      const cut = beginCut(record, act.number, act.body, hand)
      return cut.ok ? ok({ ...job, cuts: [...job.cuts, cut.value] }) : cut
    }
    case 'drop-cut':
      return ok({
        ...job,
        cuts: job.cuts.filter(({ id }) => id !== record),
        rack: rackAfter(job.rack, job, null, record),
      })
    case 'plan-cut':
      return onCut((cut) => planCut(job, cut, act.plan))
    case 'cut':
      return onCut((cut) => enterCut(cut, act.body, hand))
    case 'uncut':
      return onCut((cut) => takeBackCut(cut, act.cut))
    case 'finish-cut':
      return onCut((cut) => finishCut(cut, act.body, hand))
    case 'put-offcut': {
      const offcut = putOffcut(job, record, act.body, hand)
      return offcut.ok
        ? ok({
            ...job,
            rack: job.rack.some(({ id }) => id === record)
              ? job.rack.map((one) => (one.id === record ? offcut.value : one))
              : [offcut.value, ...job.rack],
          })
        : offcut
    }
    case 'drop-offcut': {
      const offcut = job.rack.find(({ id }) => id === record)
      const free = offcut ? offRack(offcut) : ok(null)
      return free.ok ? ok({ ...job, rack: job.rack.filter((one) => one !== offcut) }) : free
    }
    case 'begin-joint': {
      if (job.joints.some(({ id }) => id === record)) return ok(job)
      const joint = beginJoint(job, record, act.number, { ...BLANK_JOINT, ...act.body }, time)
      return joint.ok ? ok({ ...job, joints: [...job.joints, joint.value] }) : joint
    }
    case 'photo':
      return onFind((find) =>
        addPhoto(find, {
          id: key,
          name: act.body.name,
          width: act.width,
          height: act.height,
          ...hand,
          data: `data:image/jpeg;base64,${act.body.data}`,
        }),
      )
    case 'drop-photo':
      return onFind((find) => ok(dropPhoto(find, act.photo)))
    case 'change':
      if (act.kind === 'jobs') return changeKit(job, act.changes as Partial<KitBody>)
      if (act.kind === 'cuts') return onCut((cut) => changeCut(cut, act.changes as Partial<CutBody>))
      if (act.kind === 'lines') return onLine((line) => changeLine(line, act.changes as Partial<LineBody>))
      return act.kind === 'finds'
        ? onFind((find) => changeFind(job, find, act.changes as Partial<FindBody>, hand))
        : onJoint((joint) => changeJoint(job, joint, act.changes as Partial<JointBody>))
    case 'tick':
      return onJoint((joint) => tickStep(job, joint, act.place, act.done, hand))
    case 'fault':
      return onJoint((joint) => failStep(job, joint, { ...act.place, id: key }, hand))
    case 'bring-back':
      return onJoint((joint) => bringBack(job, joint))
    case 'reopen':
      return onJoint((joint) => reopenJoint(job, joint, { ...act.body, id: key }, hand))
    case 'wait':
      return onJoint((joint) => runTimer(job, joint, act.place, act.running, time))
    case 'sign':
      return onJoint((joint) => signJoint(job, joint, { ...act.body, id: key }, time))
    case 'settle':
      return ok(
        job.clashes.some(({ id }) => id === key)
          ? job
          : { ...job, clashes: [...job.clashes, { ...act.body, id: key, at: time }] },
      )
  }
}

/** A job begun on this tablet, before the server has given it a name in its address. */
export const beginJob = (id: string, body: JobBody): JobRecord => ({
  ...body,
  id,
  slug: id,
  year: body.year ?? null,
  policy: {},
  tools: null,
  fittings: [],
  benders: [],
  counts: [],
  handedOver: null,
  version: 1,
  updatedAt: '',
  updatedBy: '',
  finds: [],
  lines: [],
  cuts: [],
  rack: [],
  joints: [],
  clashes: [],
})
