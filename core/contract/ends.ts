import { z } from 'zod'
import { CHLORINE_DIGITS, MADE_FOR, PEX_TYPES, SURFACES, TEMPERS, TRACED } from '#core/catalogue'
import { SEATS, THREAD_FORMS, THREAD_MATERIALS } from '#core/joints'

/* The ends that are joined, and what every schema takes for words and lengths. */

export const text = z.string().max(200)
/** mm */
export const length = z.number().finite().positive().max(100_000)

/** What is known of a pipe end beside its size. */
export const facts = {
  temper: z.enum(TEMPERS).optional(),
  pexType: z.enum(PEX_TYPES).optional(),
  barrier: z.union([z.boolean(), z.literal('unknown')]).optional(),
  chlorine: z.union([z.literal(CHLORINE_DIGITS), z.literal('unknown')]).optional(),
  class: z.string().max(40).optional(),
  listing: z.array(z.string().max(60)).max(40).optional(),
  surface: z.enum(SURFACES).optional(),
  traced: z.enum(TRACED).optional(),
  madeFor: z.enum(MADE_FOR).optional(),
}
export const end = z.union([
  z.strictObject({ pipe: text, wall: length.optional(), ...facts }),
  z.strictObject({
    thread: z.strictObject({
      form: z.enum(THREAD_FORMS),
      size: text,
      gender: z.enum(['male', 'female']),
      material: z.enum(THREAD_MATERIALS),
      seat: z.enum(SEATS).optional(),
    }),
  }),
])

/** The other end, or that the first is closed. */
export const otherEnd = z.union([...end.options, z.strictObject({ cap: z.literal(true) })])
