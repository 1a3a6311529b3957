import * as z from 'zod/mini'

/** A support of a line by its leg and number, both from 0, such as "0:2". */
export const supportPlace = z.strictObject({
  support: z.string().check(z.regex(/^\d{1,4}:\d{1,3}$/, 'a leg and a number such as 0:2 are accepted')),
})
/** Where it sits, mm along its leg. */
export const supportBody = z.extend(supportPlace, { mm: z.number().check(z.minimum(0), z.maximum(100_000)) })

/** Several at once; `mm` null: back to where the code has it. */
export const supportsBody = z.strictObject({
  supports: z
    .array(z.extend(supportPlace, { mm: z.nullable(supportBody.shape.mm) }))
    .check(z.minLength(1), z.maxLength(1000)),
})

export type SupportsBody = z.output<typeof supportsBody>
export type SupportPlace = z.output<typeof supportPlace>
export type SupportBody = z.output<typeof supportBody>
