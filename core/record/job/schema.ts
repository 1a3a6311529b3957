import { z } from 'zod'
import { schemas } from '#core/contract'
import { KINDS } from '../kinds'
import { id, said } from '../texts'

export const jobBody = z.strictObject({
  name: said(80),
  place: z.string().max(120),
  region: schemas.region,
  year: z.number().int().min(1800).max(2200).nullable().optional(),
})
export type JobBody = z.output<typeof jobBody>

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
