// Loads the demo jobs through the app's own services, so that every figure in them was computed here.
// --if-empty: only into a database without jobs. --replace: takes the demo jobs out first; other jobs stay.
import { randomUUID } from 'node:crypto'
import { and, eq, isNull, sql } from 'drizzle-orm'
import { reading } from '../server/db/client'
import { jobs, joints as jointRows, offcuts } from '../server/db/schema'
import { addDone, createCut, finish, saveOffcut, setPlan } from '../server/services/cuts'
import { createFind, createPhoto } from '../server/services/finds'
import { createJob, getJob } from '../server/services/jobs'
import { createLine, updateLine } from '../server/services/lines'
import { createJoint, setTick, signOff, updateJoint } from '../server/services/joints'
import type { Write } from '../server/services/once'
import { findWays } from '#core/joints'
import { cutQuestion, cutRows, planCuts, restsOf, takeAnswer } from '#core/cutting'
import {
  BLANK_JOINT,
  BLANK_FIND,
  cardsOf,
  fixLine,
  kitOf,
  newLine,
  piecesFor,
  rackFor,
  readSheet,
  WATCH_SECONDS,
} from '#core/record'
import { inMakingOrder } from '#core/making'
import { demoPhoto } from './demo-photo'
import { DEMO_JOBS, type DemoCut, type DemoJob, type DemoJoint } from './demo-data'

const now = (by = ''): Write => ({ key: null, request: '', at: new Date(), by })

async function addJoint(slug: string, job: DemoJob, demo: DemoJoint, findIds: readonly string[]) {
  const answer = findWays({
    region: job.region,
    a: demo.a,
    b: demo.b,
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
  const created = await createJoint(
    slug,
    {
      ...BLANK_JOINT,
      place: demo.place,
      a: demo.a,
      b: demo.b,
      findA: demo.find === undefined ? null : findIds[demo.find]!,
      comeBack: demo.comeBack ?? null,
      conditions: demo.conditions,
      orientation: demo.orientation ?? 'horizontal',
    },
    now(),
  )
  if (!way) return
  await updateJoint(slug, created.id, { version: created.version, wayId: way.id }, now())
  const whole = await getJob(slug)
  const taken = whole.joints.find(({ id }) => id === created.id)!
  const steps = inMakingOrder(cardsOf(whole, taken)).flatMap(({ entry, answer: card }) =>
    card.ok ? card.value.steps.map(({ id, seconds = 0 }) => ({ place: { entry, step: id }, took: 60 + seconds })) : [],
  )
  // Done one by one, a minute each and its wait, and signed once the watch after a flame is over.
  const signedAt = demo.signed ? new Date(`${demo.signed.at.replace(' ', 'T')}Z`) : null
  const until = signedAt ? signedAt.getTime() - (WATCH_SECONDS + 300) * 1000 : Date.now()
  const ticked = steps.slice(0, demo.signed ? steps.length : (demo.ticks ?? 0))
  let at = until - ticked.reduce((sum, { took }) => sum + took, 0) * 1000
  for (const { place, took } of ticked) {
    at += took * 1000
    await setTick(slug, created.id, place, true, { ...now(), at: new Date(at) })
  }
  if (!demo.signed || !signedAt) return
  await signOff(slug, created.id, { initials: demo.signed.initials, seen: ['gauge'] }, { ...now(), at: signedAt })
  await reading((db) => db.update(jointRows).set({ updatedAt: demo.signed!.at }).where(eq(jointRows.id, created.id)))
}

/** Plans what a sheet has still to cut, as the screen does. */
async function planSheet(slug: string, id: string, write: Write) {
  const job = await getJob(slug)
  const sheet = job.cuts.find((cut) => cut.id === id)!
  const read = readSheet(job, sheet)
  if (!read.ok) throw new Error(read.error.message)
  const { stock, ...settings } = read.value
  const { pieces } = piecesFor(job, sheet, [])
  const rack = rackFor(job, sheet)
  const answer = planCuts(cutQuestion(pieces, stock, rack, sheet.plan, sheet.done, settings))
  if (!answer.ok) throw new Error(answer.error.message)
  return setPlan(
    slug,
    id,
    takeAnswer(randomUUID(), answer.value, pieces, stock, rack, sheet.plan, sheet.done, settings),
    write,
  )
}

async function addCut(slug: string, demo: DemoCut) {
  const job = await getJob(slug)
  const at = demo.finished ? new Date(`${demo.finished.at.replace(' ', 'T')}Z`) : new Date()
  const write: Write = { key: null, request: '', at, by: demo.finished?.by ?? 'Wyn' }
  const { id } = await createCut(
    slug,
    {
      name: demo.name,
      pipe: demo.pipe,
      sources: demo.lines.map((number) => ({
        job: job.id,
        line: job.lines.find((line) => line.number === number)!.id,
      })),
      extras: demo.extras.map(([name, length, quantity]) => ({ id: randomUUID(), name, length, quantity })),
      cutter: demo.cutter,
      kerf: '',
      keep: '',
      spare: '',
      prefer: 'longest-left',
      stock: [{ id: randomUUID(), length: demo.stock, quantity: null, price: null }],
      leave: [],
    },
    write,
  )
  let sheet = await planSheet(slug, id, write)
  for (let n = 1; n <= demo.cuts + (demo.wrong ? 1 : 0); n++) {
    const row = cutRows(sheet.plan!, sheet.done).find(({ done }) => done === null)
    if (!row) break
    const isWrong = demo.wrong?.number === n
    sheet = await addDone(
      slug,
      id,
      { id: randomUUID(), bar: row.bar.id, piece: row.piece.key, length: isWrong ? demo.wrong!.length : row.length },
      write,
    )
    if (isWrong) sheet = await planSheet(slug, id, write)
  }
  if (!demo.finished) return
  const kept = restsOf(sheet.plan!, sheet.done).filter(({ length }) => length >= sheet.plan!.keep)
  await finish(
    slug,
    id,
    {
      kept: kept.map(({ id: rest, length }) => ({ id: randomUUID(), rest, length: Math.round(length), place: 'rack' })),
    },
    write,
  )
}

async function addJob(job: DemoJob, position: number) {
  const { slug } = await createJob(
    { name: job.name, place: job.place, region: job.region, year: job.year ?? null },
    now(),
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
  const findIds: string[] = []
  for (const { photo, ...find } of job.finds) {
    const { id } = await createFind(slug, { ...BLANK_FIND, ...find }, now('Wyn'))
    findIds.push(id)
    if (photo) await createPhoto(slug, id, { name: photo, data: await demoPhoto() }, now('Wyn'))
  }
  for (const { fixed = 0, ...line } of job.lines ?? []) {
    const made = await createLine(slug, newLine.parse(line), now('Wyn'))
    const first = fixLine(await getJob(slug), made)?.supports.slice(0, fixed) ?? []
    if (first.length > 0)
      await updateLine(
        slug,
        made.id,
        {
          version: made.version,
          clips: Object.fromEntries(first.map(({ key, at }) => [key, { mm: at, at: '2026-11-25T15:40:00.000Z' }])),
        },
        now('Wyn'),
      )
  }
  for (const offcut of job.rack ?? []) await saveOffcut(slug, randomUUID(), offcut, now('Wyn'))
  for (const cut of job.cuts ?? []) await addCut(slug, cut)
  for (const joint of job.joints) await addJoint(slug, job, joint, findIds)
}

const [{ n } = { n: 0 }] = await reading((db) => db.select({ n: sql<number>`count(*)` }).from(jobs))
if (process.argv.includes('--replace') || Number(n) === 0) {
  for (const job of DEMO_JOBS) {
    await reading((db) => db.delete(jobs).where(eq(jobs.name, job.name)))
    // What came off a demo job goes with it.
    await reading((db) =>
      db.delete(offcuts).where(and(isNull(offcuts.jobId), sql`${offcuts.origin} like ${`${job.name}%`}`)),
    )
  }
  for (const [i, job] of DEMO_JOBS.entries()) await addJob(job, i - DEMO_JOBS.length)
  console.log(`demo: ${DEMO_JOBS.length} jobs loaded`)
}
process.exit(0)
