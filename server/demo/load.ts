import { randomUUID } from 'node:crypto'
import { and, count, eq, isNull, sql } from 'drizzle-orm'
import { reading } from '../db/client'
import { jobs, joints as jointRows, offcuts } from '../db/schema'
import { takeAct } from '../services/acts'
import { getJob } from '../services/jobs'
import { keepUpload } from '../services/photos'
import type { ActName, InputOf } from '#core/acts'
import { findWays } from '#core/joints'
import { cutQuestion, cutRows, planCuts, restsOf, takeAnswer } from '#core/cutting'
import {
  cardsOf,
  fixLine,
  kitOf,
  piecesFor,
  rackFor,
  readSheet,
  WATCH_SECONDS,
  type CutRecord,
  type FindRecord,
  type JobRecord,
  type JointRecord,
  type LineRecord,
} from '#core/record'
import { inMakingOrder } from '#core/making'
import { demoPhoto } from './photo'
import { DEMO_JOBS, type DemoCut, type DemoJob, type DemoJoint } from './data'

/** A step of the demo takes so long, s: with its eight to ten steps an end comes to what is met. */
const STEP_SECONDS = 18
/** When the demo's supports were fixed. */
const FIXED_AT = new Date('2026-11-25T15:40:00.000Z')

/** Of which record an act is, by whose hand and when; a new record where none is named. */
interface About {
  job: string
  record?: string
  version?: number
  by?: string
  at?: Date
  key?: string
}

/** When the job being loaded was worked on, and by whom. */
let usual = { at: new Date(), by: '' }

/** Does one act by the app's own rules and gives the record as it then stands. */
async function act<R>(name: ActName, body: InputOf<ActName>, about: About): Promise<R> {
  const { job, record = randomUUID(), version = null, by = usual.by, at = usual.at, key = randomUUID() } = about
  const answer = await takeAct({ key, name, job, record, version, at: at.toISOString(), by, body })
  if (!answer.ok) throw new Error(`${name}: ${answer.error.message}`)
  return answer.value.record as R
}

async function addJoint({ id: jobId, slug }: JobRecord, job: DemoJob, demo: DemoJoint, findIds: readonly string[]) {
  const answer = findWays({
    region: job.region,
    a: demo.a,
    b: demo.b,
    valve: demo.valve?.kind,
    conditions: demo.conditions,
    policy: job.policy,
    kit: kitOf({ tools: job.tools ?? null, fittings: job.fittings ?? [] }),
  })
  if (!answer.ok) throw new Error(answer.error.message)
  const way =
    demo.way === undefined
      ? undefined
      : answer.value.ways.find(({ parts }) => parts.some(({ name }) => name === demo.way))
  if (demo.way !== undefined && !way) throw new Error(`${slug}: no way by ${demo.way}`)
  const created = await act<JointRecord>(
    'joint/begin',
    {
      place: demo.place,
      a: demo.a,
      b: demo.b,
      valve: demo.valve ?? {},
      findA: demo.find === undefined ? null : findIds[demo.find]!,
      comeBack: demo.comeBack ?? null,
      conditions: demo.conditions,
      orientation: demo.orientation ?? 'horizontal',
    },
    { job: jobId },
  )
  if (!way) return
  const on = { job: jobId, record: created.id }
  await act('joint/change', { wayId: way.id }, { ...on, version: created.version })
  const whole = await getJob(slug)
  const taken = whole.joints.find(({ id }) => id === created.id)!
  const steps = inMakingOrder(cardsOf(whole, taken)).flatMap(({ entry, answer: card }) =>
    card.ok
      ? card.value.steps.map(({ id, seconds = 0 }) => ({ place: { entry, step: id }, took: STEP_SECONDS + seconds }))
      : [],
  )
  // Done one by one, each in its time and with its wait, and signed once the watch after a flame is over.
  const signedAt = demo.signed ? new Date(`${demo.signed.at.replace(' ', 'T')}Z`) : null
  const until = signedAt ? signedAt.getTime() - (WATCH_SECONDS + 300) * 1000 : usual.at.getTime()
  const ticked = steps.slice(0, demo.signed ? steps.length : (demo.ticks ?? 0))
  let at = until - ticked.reduce((sum, { took }) => sum + took, 0) * 1000
  for (const { place, took } of ticked) {
    at += took * 1000
    await act('joint/tick', place, { ...on, at: new Date(at) })
  }
  if (!demo.signed || !signedAt) return
  const { version } = (await getJob(slug)).joints.find(({ id }) => id === created.id)!
  await act('joint/sign', { initials: demo.signed.initials, seen: ['gauge'] }, { ...on, version, at: signedAt })
  await reading((db) => db.update(jointRows).set({ updatedAt: demo.signed!.at }).where(eq(jointRows.id, created.id)))
}

/** Plans what a sheet has still to cut, as the screen does. */
async function planSheet(slug: string, id: string, about: About): Promise<CutRecord> {
  const job = await getJob(slug)
  const sheet = job.cuts.find((cut) => cut.id === id)!
  const read = readSheet(job, sheet)
  if (!read.ok) throw new Error(read.error.message)
  const { stock, ...settings } = read.value
  const { pieces } = piecesFor(job, sheet, [])
  const rack = rackFor(job, sheet)
  const answer = planCuts(cutQuestion(pieces, stock, rack, sheet.plan, sheet.done, settings))
  if (!answer.ok) throw new Error(answer.error.message)
  return act(
    'cut/plan',
    takeAnswer(randomUUID(), answer.value, pieces, stock, rack, sheet.plan, sheet.done, settings),
    about,
  )
}

async function addCut(slug: string, demo: DemoCut) {
  const job = await getJob(slug)
  const at = demo.finished ? new Date(`${demo.finished.at.replace(' ', 'T')}Z`) : usual.at
  const who = { job: job.id, at, by: demo.finished?.by ?? usual.by }
  const { id } = await act<CutRecord>(
    'cut/begin',
    {
      name: demo.name,
      pipe: demo.pipe,
      sources: demo.lines.map((number) => ({
        job: job.id,
        line: job.lines.find((line) => line.number === number)!.id,
      })),
      extras: demo.extras.map(([name, length, quantity]) => ({ id: randomUUID(), name, length, quantity })),
      cutter: demo.cutter,
      stock: [{ id: randomUUID(), length: demo.stock, quantity: null, price: null }],
    },
    who,
  )
  const on = { ...who, record: id }
  let sheet = await planSheet(slug, id, on)
  for (let n = 1; n <= demo.cuts + (demo.wrong ? 1 : 0); n++) {
    const row = cutRows(sheet.plan!, sheet.done).find(({ done }) => done === null)
    if (!row) break
    const isWrong = demo.wrong?.number === n
    sheet = await act(
      'cut/enter',
      { id: randomUUID(), bar: row.bar.id, piece: row.piece.key, length: isWrong ? demo.wrong!.length : row.length },
      on,
    )
    if (isWrong) sheet = await planSheet(slug, id, on)
  }
  if (!demo.finished) return
  const kept = restsOf(sheet.plan!, sheet.done).filter(({ length }) => length >= sheet.plan!.keep)
  await act(
    'cut/finish',
    {
      kept: kept.map(({ id: rest, length }) => ({ id: randomUUID(), rest, length: Math.round(length), place: 'rack' })),
    },
    on,
  )
}

async function addJob(job: DemoJob, position: number) {
  const jobId = randomUUID()
  usual = { at: new Date(Date.now() - job.hours * 3_600_000), by: job.by }
  const { slug } = await act<JobRecord>(
    'job/begin',
    { name: job.name, place: job.place, region: job.region, year: job.year ?? null },
    { job: jobId, record: jobId },
  )
  await reading((db) =>
    db
      .update(jobs)
      .set({
        policy: job.policy,
        tools: job.tools ?? null,
        fittings: job.fittings ?? [],
        benders: job.benders ?? [],
        handedOver: job.handedOver ?? null,
        position,
      })
      .where(eq(jobs.slug, slug)),
  )
  const on = { job: jobId, by: job.by }
  const findIds: string[] = []
  for (const { photo, ...find } of job.finds) {
    const { id } = await act<FindRecord>('find/begin', find, on)
    findIds.push(id)
    if (!photo) continue
    const key = randomUUID()
    const upload = await keepUpload(key, photo, Buffer.from(await demoPhoto(), 'base64'))
    await act('find/photo', { name: photo, ...upload }, { ...on, key, record: id })
  }
  for (const { fixed = 0, ...line } of job.lines ?? []) {
    const made = await act<LineRecord>('line/begin', line, on)
    const first = fixLine(await getJob(slug), made)?.supports.slice(0, fixed) ?? []
    for (const { key, at } of first)
      await act('line/fix-support', { support: key, mm: at }, { ...on, record: made.id, at: FIXED_AT })
  }
  for (const offcut of job.rack ?? []) await act('rack/put', offcut, on)
  for (const cut of job.cuts ?? []) await addCut(slug, cut)
  for (const joint of job.joints) await addJoint(await getJob(slug), job, joint, findIds)
}

/** Takes out the demo jobs that are there; what came off one goes with it. */
async function takeOut(): Promise<void> {
  for (const { name } of DEMO_JOBS) {
    await reading((db) => db.delete(jobs).where(eq(jobs.name, name)))
    await reading((db) =>
      db.delete(offcuts).where(and(isNull(offcuts.jobId), sql`${offcuts.origin} like ${`${name}%`}`)),
    )
  }
}

/**
 * Loads the demo jobs through the app's own services, so that every figure in them was computed here; the first of them
 * last, so that it is the newest. Only into a database without jobs, or in the place of those that are there. Gives how
 * many were loaded.
 */
export async function loadDemo({ replace }: { replace: boolean }): Promise<number> {
  const [row] = await reading((db) => db.select({ n: count() }).from(jobs))
  if (!replace && row!.n > 0) return 0
  await takeOut()
  for (const [i, job] of [...DEMO_JOBS].reverse().entries()) await addJob(job, -1 - i)
  return DEMO_JOBS.length
}
