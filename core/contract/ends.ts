import * as z from 'zod/mini'
import { CHLORINE_DIGITS, MADE_FOR, PEX_TYPES, SURFACES, TEMPERS, TRACED } from '#core/catalogue'
import { SEATS, THREAD_FORMS, THREAD_MATERIALS } from '#core/joints'

/* The ends that are joined, and what every schema takes for words and lengths. */

export const text = z.string().check(z.maxLength(200))
/** mm */
export const length = z.number().check(z.positive(), z.maximum(100_000))

/** What is known of a pipe end beside its size. */
export const facts = {
  temper: z.optional(z.enum(TEMPERS)),
  pexType: z.optional(z.enum(PEX_TYPES)),
  barrier: z.optional(z.union([z.boolean(), z.literal('unknown')])),
  chlorine: z.optional(z.union([z.literal(CHLORINE_DIGITS), z.literal('unknown')])),
  class: z.optional(z.string().check(z.maxLength(40))),
  listing: z.optional(z.array(z.string().check(z.maxLength(60))).check(z.maxLength(40))),
  surface: z.optional(z.enum(SURFACES)),
  traced: z.optional(z.enum(TRACED)),
  madeFor: z.optional(z.enum(MADE_FOR)),
}
export const end = z.union([
  z.strictObject({ pipe: text, wall: z.optional(length), ...facts }),
  z.strictObject({
    thread: z.strictObject({
      form: z.enum(THREAD_FORMS),
      size: text,
      gender: z.enum(['male', 'female']),
      material: z.enum(THREAD_MATERIALS),
      seat: z.optional(z.enum(SEATS)),
    }),
  }),
])

/** The other end, or that the first is closed. */
export const otherEnd = z.union([...end.def.options, z.strictObject({ cap: z.literal(true) })])
