import { z } from 'zod'
import { id, ownId, time } from '#core/record'
import { ACT_NAMES, type ActName } from './registry'

/**
 * An act as it goes to the server. `at` is when it was done, by the server's clock as the tablet knew it, or by the
 * tablet's own where it knew none (`clock`). `version` is the record's as it was seen; `seen` the fields it rests on, as
 * they were shown.
 */
export const sent = z.strictObject({
  key: ownId,
  name: z.enum(ACT_NAMES),
  job: id,
  record: id,
  version: z.number().int().min(1).nullable().optional(),
  seen: z.record(z.string().max(40), z.unknown()).optional(),
  at: time,
  clock: z.enum(['server', 'tablet']).optional(),
  by: z.string().max(40),
  body: z.unknown(),
})
export type SentAct = Omit<z.input<typeof sent>, 'name'> & { name: ActName }
