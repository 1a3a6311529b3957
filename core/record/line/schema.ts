import { z } from 'zod'
import { SUPPORT_CODES } from '#core/catalogue'
import { METHODS, SERVICES } from '#core/joints'
import { MOST_RUN_LEGS } from '#core/run'
import { defineFields, field, needed, type FieldsInput, type FieldsOf } from '../fields'
import { id } from '../texts'

const shift = z.number().min(-100_000).max(100_000)

/**
 * How it is held: what it comes to and came from, degC, whose distances, and its flow as typed; what is not said is
 * usual.
 */
const fix = z
  .strictObject({
    service: z.enum(SERVICES),
    temperature: z.number().min(-60).max(150),
    installedAt: z.number().min(-60).max(60),
    code: z.enum(SUPPORT_CODES),
    flow: z.string().max(40),
    /** The maker's own greatest distances, mm; they win over the code's. */
    across: z.number().positive().max(100_000),
    up: z.number().positive().max(100_000),
    /** Steel plates where nails may come, as counted on site. */
    guards: z.number().int().min(0).max(200),
    /** The line it runs beside, and where this one begins from the beginning of that, mm to the right, away and up. */
    beside: z.strictObject({ line: id, right: shift, away: shift, up: shift }).nullable(),
  })
  .partial()

/** A line of the job, its legs as they were typed. */
export const lineFields = defineFields({
  name: field(z.string().max(120), 'called', ''),
  /** Catalogue id of its pipe. */
  pipe: needed(z.string().max(60), 'pipe'),
  method: needed(z.enum(METHODS), 'joined by'),
  /** What a corner is where its leg does not say. */
  corners: field(z.enum(['fittings', 'bends']), 'corners', 'fittings'),
  start: field(z.string().max(100), 'begins at', 'free'),
  walls: field(z.array(z.string().max(80)).max(20), 'walls', []),
  legs: field(z.array(z.string().max(200)).max(MOST_RUN_LEGS), 'legs', []),
  fix: field(fix, 'how it is held', {}, { merge: 'keys' }),
})

export type LineBody = FieldsOf<typeof lineFields>
export type LineInput = FieldsInput<typeof lineFields>
