import * as z from 'zod/mini'
import { SUPPORT_CODES } from '#core/catalogue'
import { METHODS, SERVICES } from '#core/joints'
import { MOST_RUN_LEGS } from '#core/run'
import { defineFields, field, needed, type FieldsInput, type FieldsOf } from '../fields'
import { id } from '../texts'

const shift = z.number().check(z.minimum(-100_000), z.maximum(100_000))

/**
 * How it is held: what it comes to and came from, degC, whose distances, and its flow as typed; what is not said is
 * usual.
 */
const fix = z.partial(
  z.strictObject({
    service: z.enum(SERVICES),
    temperature: z.number().check(z.minimum(-60), z.maximum(150)),
    installedAt: z.number().check(z.minimum(-60), z.maximum(60)),
    code: z.enum(SUPPORT_CODES),
    flow: z.string().check(z.maxLength(40)),
    /** The maker's own greatest distances, mm; they win over the code's. */
    across: z.number().check(z.positive(), z.maximum(100_000)),
    up: z.number().check(z.positive(), z.maximum(100_000)),
    /** Steel plates where nails may come, as counted on site. */
    guards: z.number().check(z.int(), z.minimum(0), z.maximum(200)),
    /** The line it runs beside, and where this one begins from the beginning of that, mm to the right, away and up. */
    beside: z.nullable(z.strictObject({ line: id, right: shift, away: shift, up: shift })),
  }),
)

/** A line of the job, its legs as they were typed. */
export const lineFields = defineFields({
  name: field(z.string().check(z.maxLength(120)), 'called', ''),
  /** Catalogue id of its pipe. */
  pipe: needed(z.string().check(z.maxLength(60)), 'pipe'),
  method: needed(z.enum(METHODS), 'joined by'),
  /** What a corner is where its leg does not say. */
  corners: field(z.enum(['fittings', 'bends']), 'corners', 'fittings'),
  start: field(z.string().check(z.maxLength(100)), 'begins at', 'free'),
  walls: field(z.array(z.string().check(z.maxLength(80))).check(z.maxLength(20)), 'walls', []),
  legs: field(z.array(z.string().check(z.maxLength(200))).check(z.maxLength(MOST_RUN_LEGS)), 'legs', []),
  fix: field(fix, 'how it is held', {}, { merge: 'keys' }),
})

export type LineBody = FieldsOf<typeof lineFields>
export type LineInput = FieldsInput<typeof lineFields>
