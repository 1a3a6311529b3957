import { z } from 'zod'
import { schemas } from '#core/contract'
import { KINDS } from '../kinds'
import { defineFields, field, needed, type FieldsOf } from '../fields'
import { day, id, said } from '../texts'

export const jobBody = z.strictObject({
  name: said(80),
  place: z.string().max(120),
  region: schemas.region,
  year: z.number().int().min(1800).max(2200).nullable().optional(),
})
export type JobBody = z.output<typeof jobBody>

/** What a job waits for, and the day it is looked at again, where one is known. */
const waits = z.strictObject({ for: said(120), until: day.nullable() })
export type Waits = z.output<typeof waits>

/** What is said of a job itself. */
export const jobFields = defineFields({
  name: needed(jobBody.shape.name, 'called'),
  place: field(jobBody.shape.place, 'what is done there', ''),
  region: needed(jobBody.shape.region, 'sizes'),
  year: field(jobBody.shape.year.unwrap(), 'built', null),
  waits: field(waits.nullable(), 'waits for', null),
})
export type JobFields = FieldsOf<typeof jobFields>

/** A job is deleted with its name typed. */
export const dropJobBody = z.strictObject({ name: z.string().max(80) })

const clashSide = z.strictObject({ by: z.string().max(40), at: z.string().max(30), value: z.unknown() })
/** Two entries for one field that met, and whose was kept. Both stay on record. */
export const clashBody = z.strictObject({
  kind: z.enum(KINDS),
  record: id,
  fields: z
    .array(z.strictObject({ path: z.string().max(80), mine: clashSide, theirs: clashSide }))
    .min(1)
    .max(40),
  kept: z.enum(['mine', 'theirs']),
})
export type ClashBody = z.output<typeof clashBody>
