import { z } from 'zod'

/** An offcut put on the rack by hand, or set right there: its length as measured, mm. */
export const offcutBody = z.strictObject({
  pipe: z.string().max(60),
  length: z.number().positive().max(100_000),
  place: z.string().max(80),
})
export type OffcutBody = z.output<typeof offcutBody>
