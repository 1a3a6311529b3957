import * as z from 'zod/mini'
import { schemas } from '#core/contract'
import { KINDS } from '../kinds'
import { defineFields, field, needed, type FieldsOf } from '../fields'
import { day, id, said } from '../texts'

export const jobBody = z.strictObject({
  name: said(80),
  place: z.string().check(z.maxLength(120)),
  region: schemas.region,
  year: z.optional(z.nullable(z.number().check(z.int(), z.minimum(1800), z.maximum(2200)))),
})
export type JobBody = z.output<typeof jobBody>

/** What a job waits for, and the day it is looked at again, where one is known. */
const waits = z.strictObject({ for: said(120), until: z.nullable(day) })
export type Waits = z.output<typeof waits>

/** What is said of a job itself. */
export const jobFields = defineFields({
  name: needed(jobBody.shape.name, 'called'),
  place: field(jobBody.shape.place, 'what is done there', ''),
  region: needed(jobBody.shape.region, 'sizes'),
  year: field(jobBody.shape.year.def.innerType, 'built', null),
  waits: field(z.nullable(waits), 'waits for', null),
})
export type JobFields = FieldsOf<typeof jobFields>

/** A job is deleted with its name typed. */
export const dropJobBody = z.strictObject({ name: z.string().check(z.maxLength(80)) })

const clashSide = z.strictObject({
  by: z.string().check(z.maxLength(40)),
  at: z.string().check(z.maxLength(30)),
  value: z.unknown(),
})
/** Two entries for one field that met, and whose was kept. Both stay on record. */
export const clashBody = z.strictObject({
  kind: z.enum(KINDS),
  record: id,
  fields: z
    .array(z.strictObject({ path: z.string().check(z.maxLength(80)), mine: clashSide, theirs: clashSide }))
    .check(z.minLength(1), z.maxLength(40)),
  kept: z.enum(['mine', 'theirs']),
})
export type ClashBody = z.output<typeof clashBody>
