// Loads the demo jobs through the app's own services, so that every figure in them was computed here.
// --if-empty: only into a database without jobs. --replace: takes the demo jobs out first; other jobs stay.
import { eq, sql } from 'drizzle-orm'
import { reading } from '../server/db/client'
import { jobs, joints as jointRows, signoffs, ticks } from '../server/db/schema'
import { createFind, createPhoto } from '../server/services/finds'
import { createJob } from '../server/services/jobs'
import { createLine } from '../server/services/lines'
import { createJoint, setTick, signOff, updateJoint } from '../server/services/joints'
import type { Write } from '../server/services/once'
import { findWays } from '#core/joints'
import { BLANK_FIND, kitOf } from '#core/record'
import { makeCards } from '#core/making'
import { demoPhoto } from './demo-photo'
import { DEMO_JOBS, type DemoJob, type DemoJoint } from './demo-data'

const now = (by = ''): Write => ({ key: null, request: '', at: new Date(), by })

async function addJoint(slug: string, job: DemoJob, demo: DemoJoint, findIds: readonly string[]) {
  const answer = findWays({ region: job.region, a: demo.a, b: demo.b, conditions: demo.conditions, policy: job.policy, kit: kitOf({ tools: job.tools ?? null, fittings: job.fittings ?? [] }) })
  if (!answer.ok) throw new Error(answer.error.message)
  const way = demo.way === undefined ? undefined : answer.value.ways.find(({ parts }) => parts.some(({ name }) => name === demo.way))
  if (demo.way !== undefined && !way) throw new Error(`${slug}: no way by ${demo.way}`)
  const created = await createJoint(slug, {
    place: demo.place, a: demo.a, b: demo.b, findA: demo.find === undefined ? null : findIds[demo.find]!, findB: null, conditions: demo.conditions, orientation: demo.orientation ?? 'horizontal', wayId: null, depths: {},
  }, now())
  if (!way) return
  await updateJoint(slug, created.id, { version: created.version, wayId: way.id }, now())
  const steps = makeCards({ joints: way.joints, region: job.region, orientation: demo.orientation ?? 'horizontal', conditions: demo.conditions, policy: job.policy })
    .flatMap(({ entry, answer: card }) => (card.ok ? card.value.steps.map((_, step) => ({ entry, step })) : []))
  for (const place of steps.slice(0, demo.signed ? steps.length : demo.ticks ?? 0)) await setTick(slug, created.id, place, true, now())
  if (!demo.signed) return
  const { initials, at } = demo.signed
  await signOff(slug, created.id, { initials }, now())
  // Work of an earlier day: the clock of the record is set back to when the story has it.
  await reading(async (db) => {
    await db.update(signoffs).set({ at }).where(eq(signoffs.jointId, created.id))
    await db.update(ticks).set({ at }).where(eq(ticks.jointId, created.id))
    await db.update(jointRows).set({ updatedAt: at }).where(eq(jointRows.id, created.id))
  })
}

async function addJob(job: DemoJob, position: number) {
  const { slug } = await createJob({ name: job.name, place: job.place, region: job.region, year: job.year ?? null }, now())
  await reading(db => db.update(jobs).set({ policy: job.policy, tools: job.tools ?? null, fittings: job.fittings ?? [], benders: job.benders ?? [], handedOver: job.handedOver ?? null, position }).where(eq(jobs.slug, slug)))
  const findIds: string[] = []
  for (const { photo, ...find } of job.finds) {
    const { id } = await createFind(slug, { ...BLANK_FIND, ...find }, now('Wyn'))
    findIds.push(id)
    if (photo) await createPhoto(slug, id, { name: photo, data: await demoPhoto() }, now('Wyn'))
  }
  for (const line of job.lines ?? []) await createLine(slug, line, now('Wyn'))
  for (const joint of job.joints) await addJoint(slug, job, joint, findIds)
}

const [{ n } = { n: 0 }] = await reading(db => db.select({ n: sql<number>`count(*)` }).from(jobs))
if (process.argv.includes('--replace') || Number(n) === 0) {
  for (const job of DEMO_JOBS) await reading(db => db.delete(jobs).where(eq(jobs.name, job.name)))
  for (const [i, job] of DEMO_JOBS.entries()) await addJob(job, i - DEMO_JOBS.length)
  console.log(`demo: ${DEMO_JOBS.length} jobs loaded`)
}
process.exit(0)
