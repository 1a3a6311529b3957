import { z } from 'zod'
import { schemas } from '#core/contract'
import { SUPPORT_CODES } from '#core/catalogue'
import { METHODS, SERVICES } from '#core/joints'
import { MOST_RUN_LEGS } from '#core/run'
import { MEANS } from './reading'
import { LEFT_CODES } from './left'

/*
 * What is saved of a job, as it goes over HTTP. Times are ISO 8601 in UTC; lengths mm. Texts a person typed are
 * kept as typed, right or wrong, beside what was understood of them.
 */

const id = z.string().min(1).max(40)
const line = (longest: number) => z.string().trim().min(1).max(longest)

/** Checks answered at the pipe beside its diameter, by their names. */
const answers = z.strictObject({
  /** The print line as it was found, worn letters as `?`. */
  print: z.string().max(300).optional(),
  /** Wall and bore at a cut end, as typed. */
  wall: z.string().max(40).optional(),
  bore: z.string().max(40).optional(),
  colour: z.string().max(30).optional(),
  stripe: z.string().max(30).optional(),
  flex: z.string().max(30).optional(),
  magnet: z.boolean().optional(),
  scratch: z.string().max(30).optional(),
  'held-by': z.string().max(30).optional(),
  lagging: z.string().max(30).optional(),
  warm: z.boolean().optional(),
  traced: z.enum(['water', 'unknown']).optional(),
  /** What it might have been, and was looked at and is not. */
  'ruled-out': z
    .array(z.enum(['lead', 'polybutylene']))
    .max(2)
    .optional(),
})

const findBody = z.strictObject({
  place: z.string().trim().max(120),
  notes: z.string().max(2000),
  /** The outside diameter as typed, kept even when it cannot be read. */
  typed: z.string().max(200),
  by: z.enum(MEANS),
  answers,
  /** Checks that cannot be made at this pipe, by their names. */
  cannot: z.array(z.string().max(30)).max(20),
  /** Catalogue id the find is kept as; null while it is open. */
  pipe: z.string().max(60).nullable(),
})

const jointBody = z.strictObject({
  place: z.string().trim().max(120),
  a: schemas.end.nullable(),
  b: schemas.end.nullable(),
  /** Finds that the ends came from. */
  findA: id.nullable(),
  findB: id.nullable(),
  conditions: schemas.conditions,
  orientation: z.enum(['horizontal', 'vertical']),
  /** Air where it is made, degC; null where nobody said. */
  ambient: z.number().finite().min(-40).max(60).nullable(),
  torch: z.enum(['propane', 'propylene']).nullable(),
  /** Id of the way taken; null while none is. */
  wayId: z.string().max(400).nullable(),
  /** Day a temporary joint is come back to; null where none is booked, or once it was. */
  comeBack: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-12-03')
    .refine((text) => !Number.isNaN(Date.parse(text)), 'a day that there is')
    .nullable(),
  /** Depths the user measured, as typed, by entry of the way. */
  depths: z.record(z.string().regex(/^\d{1,2}$/), z.string().max(40)),
})

/** A line of the job, its legs as they were typed. */
export const lineBody = z.strictObject({
  name: z.string().trim().max(120),
  /** Catalogue id of its pipe. */
  pipe: z.string().max(60),
  method: z.enum(METHODS),
  /** What a corner is where its leg does not say. */
  corners: z.enum(['fittings', 'bends']),
  start: z.string().max(100),
  walls: z.array(z.string().max(80)).max(20),
  legs: z.array(z.string().max(200)).max(MOST_RUN_LEGS),
  /**
   * How it is held: what it comes to and came from, degC, whose distances, and its flow as typed; what is not said is
   * usual.
   */
  fix: z
    .strictObject({
      service: z.enum(SERVICES),
      temperature: z.number().finite().min(-60).max(150),
      installedAt: z.number().finite().min(-60).max(60),
      code: z.enum(SUPPORT_CODES),
      flow: z.string().max(40),
      /** The maker's own greatest distances, mm; they win over the code's. */
      across: z.number().finite().positive().max(100_000),
      up: z.number().finite().positive().max(100_000),
    })
    .partial(),
  /** Supports moved by hand or fixed, by leg and number: mm along the leg, and when it was fixed. */
  clips: z.record(
    z.string().regex(/^\d{1,4}:\d{1,3}$/),
    z.strictObject({ mm: z.number().finite().min(0).max(100_000), at: z.string().max(30).nullable() }),
  ),
  /** Steps of its bends done, by piece and step: when, and the marks they were done to. */
  pulled: z.record(
    z.string().regex(/^p\d{1,3}:\d{1,3}$/),
    z.strictObject({ at: z.string().max(30), marks: z.string().max(600) }),
  ),
})

const jobBody = z.strictObject({
  name: line(80),
  place: z.string().trim().max(120),
  region: schemas.region,
  year: z.number().int().min(1800).max(2200).nullable().optional(),
})

/** Id a tablet gives a record it begins, so that it can go on with it before the server has heard of it. */
const ownId = {
  id: z
    .string()
    .regex(/^[\w-]{8,40}$/, 'id: 8 to 40 letters, digits, _ or -')
    .optional(),
}
export const newJob = jobBody.extend(ownId)
// What a tablet with an earlier version kept has not these fields yet.
export const newFind = findBody.extend({
  ...ownId,
  notes: findBody.shape.notes.default(''),
  cannot: findBody.shape.cannot.default([]),
})
export const newLine = lineBody.extend({
  ...ownId,
  pulled: lineBody.shape.pulled.default({}),
  fix: lineBody.shape.fix.default({}),
  clips: lineBody.shape.clips.default({}),
})
export const newJoint = jointBody.extend({
  ...ownId,
  findB: jointBody.shape.findB.default(null),
  comeBack: jointBody.shape.comeBack.default(null),
  ambient: jointBody.shape.ambient.default(null),
  torch: jointBody.shape.torch.default(null),
})

/** A photo of a find: the file's name, and the file itself in base64 (RFC 4648). Over 8 MB is refused by its bytes. */
export const newPhoto = z.strictObject({ ...ownId, name: z.string().max(200), data: z.string().max(16_000_000) })

export const findPatch = findBody.partial().extend({ version: z.number().int().min(1) })
export const linePatch = lineBody.partial().extend({ version: z.number().int().min(1) })
export const jointPatch = jointBody.partial().extend({ version: z.number().int().min(1) })
/** Id of a step; entries that an earlier version kept name it by its place. */
const stepId = z.union([
  z.string().regex(/^[a-z]{2,20}(?:-\d{1,2})?$/, 'step: the id of a step, such as cut or tighten-2'),
  z.number().int().min(0).max(60),
])
/** A step of one entry of a way; `way` is the id of the way it was read from. */
export const stepPlace = z.strictObject({
  entry: z.number().int().min(0).max(20),
  step: stepId,
  way: z.string().max(400).optional(),
})
/** What was read off the work at a step, in the unit its card asks in. */
const reading = z.number().finite().min(0).max(100_000).nullable().optional()
export const tickBody = stepPlace.extend({ reading })
/** A check that failed at a step; the id is the sender's, so that it is entered once. */
export const faultBody = stepPlace.extend({
  reading,
  id: z.string().regex(/^[\w-]{8,40}$/, 'id: 8 to 40 letters, digits, _ or -'),
})
export const signoffBody = z.strictObject({
  ...ownId,
  initials: z.string().trim().min(1).max(8),
  /** Version of the joint that was seen when it was signed. */
  version: z.number().int().min(1).optional(),
  /** Id of the sign-off this one corrects, with the depths it should have had. */
  corrects: id.optional(),
  /** Codes of what is left, and was seen by the hand that signs. */
  seen: z.array(z.enum(LEFT_CODES)).max(LEFT_CODES.length).optional(),
  depths: jointBody.shape.depths.optional(),
})

/** A signed joint opened again, and the step that is to be done again, where it is one. */
export const reopenBody = z.strictObject({
  id: faultBody.shape.id,
  signoff: id,
  reason: line(200),
  entry: stepPlace.shape.entry.optional(),
  step: stepPlace.shape.step.optional(),
})

const clashSide = z.strictObject({ by: z.string().max(40), at: z.string().max(30), value: z.unknown() })
/** Two entries for one field that met, and whose was kept. Both stay on record. */
export const clashBody = z.strictObject({
  ...ownId,
  kind: z.enum(['jobs', 'finds', 'lines', 'cuts', 'joints']),
  record: id,
  fields: z
    .array(z.strictObject({ path: z.string().max(80), mine: clashSide, theirs: clashSide }))
    .min(1)
    .max(40),
  kept: z.enum(['mine', 'theirs']),
})

export type FindBody = z.output<typeof findBody>
export type LineBody = z.output<typeof lineBody>
export type JointBody = z.output<typeof jointBody>
/** A line or joint as it is begun: what nobody has said of it yet may be left out. */
export type LineInput = Omit<z.input<typeof newLine>, 'id'>
export type JointInput = Omit<z.input<typeof newJoint>, 'id'>
export type PhotoBody = z.output<typeof newPhoto>
export type JobBody = z.output<typeof jobBody>
export type StepPlace = z.output<typeof stepPlace>
export type TickBody = z.output<typeof tickBody>
export type ReopenBody = z.output<typeof reopenBody>
export type FaultBody = z.output<typeof faultBody>
export type SignoffBody = z.output<typeof signoffBody>
export type ClashBody = z.output<typeof clashBody>
