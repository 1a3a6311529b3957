import * as z from 'zod/mini'

/** An offcut put on the rack by hand, or set right there: its length as measured, mm. */
export const offcutBody = z.strictObject({
  pipe: z.string().check(z.maxLength(60)),
  length: z.number().check(z.positive(), z.maximum(100_000)),
  place: z.string().check(z.maxLength(80)),
})
export type OffcutBody = z.output<typeof offcutBody>
