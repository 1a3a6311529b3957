import { z } from 'zod'

/** A support of a line by its leg and number, both from 0, such as "0:2". */
export const supportPlace = z.strictObject({
  support: z.string().regex(/^\d{1,4}:\d{1,3}$/, 'a leg and a number such as 0:2 are accepted'),
})
/** Where it sits, mm along its leg. */
export const supportBody = supportPlace.extend({ mm: z.number().min(0).max(100_000) })

/** Several at once; `mm` null: back to where the code has it. */
export const supportsBody = z.strictObject({
  supports: z
    .array(supportPlace.extend({ mm: supportBody.shape.mm.nullable() }))
    .min(1)
    .max(1000),
})

export type SupportsBody = z.output<typeof supportsBody>
export type SupportPlace = z.output<typeof supportPlace>
export type SupportBody = z.output<typeof supportBody>
