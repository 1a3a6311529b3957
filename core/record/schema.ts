import { z } from 'zod'
import { schemas } from '#core/contract'

/*
 * What is saved of a job, as it goes over HTTP. Times are ISO 8601 in UTC; lengths mm. Texts a person typed are
 * kept as typed, right or wrong, beside what was understood of them.
 */

const id = z.string().min(1).max(40)
const line = (longest: number) => z.string().trim().min(1).max(longest)

/** A check answered at the pipe, other than a length, by its name. */
const answers = z.strictObject({
  'colour': z.string().max(30).optional(),
  'flex': z.string().max(30).optional(),
  'magnet': z.boolean().optional(),
  'scratch': z.string().max(30).optional(),
  'held-by': z.string().max(30).optional(),
  'traced': z.enum(['water', 'unknown']).optional(),
})

export const findBody = z.strictObject({
  place: z.string().trim().max(120),
  /** The outside diameter as typed, kept even when it cannot be read. */
  typed: z.string().max(200),
  by: z.enum(['calliper', 'tape-round', 'rule', 'gauge']),
  answers,
  /** Catalogue id the find is kept as; null while it is open. */
  pipe: z.string().max(60).nullable(),
})

export const jointBody = z.strictObject({
  place: z.string().trim().max(120),
  a: schemas.end.nullable(),
  b: schemas.end.nullable(),
  /** Find that end a came from. */
  findA: id.nullable(),
  conditions: schemas.conditions,
  orientation: z.enum(['horizontal', 'vertical']),
  /** Id of the way taken; null while none is. */
  wayId: z.string().max(400).nullable(),
  /** Depths the user measured, as typed, by entry of the way. */
  depths: z.record(z.string().regex(/^\d{1,2}$/), z.string().max(40)),
})

export const jobBody = z.strictObject({
  name: line(80),
  place: z.string().trim().max(120),
  region: schemas.region,
  year: z.number().int().min(1800).max(2200).nullable().optional(),
})

export const findPatch = findBody.partial().extend({ version: z.number().int().min(1) })
export const jointPatch = jointBody.partial().extend({ version: z.number().int().min(1) })
export const signoffBody = z.strictObject({ initials: z.string().trim().min(1).max(8) })
export const tickBody = z.strictObject({ entry: z.number().int().min(0).max(20), step: z.number().int().min(0).max(60) })
export const timerBody = tickBody

export type FindBody = z.output<typeof findBody>
export type JointBody = z.output<typeof jointBody>
export type JobBody = z.output<typeof jobBody>
