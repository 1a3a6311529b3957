import { z } from 'zod'

/** A step of a bent piece, from 1, such as the third of "p2". */
export const bendPlace = z.strictObject({
  piece: z.string().regex(/^p\d{1,3}$/, 'a piece such as p2 is accepted'),
  step: z.number().int().min(1).max(200),
})
/** With the marks that the piece has on its card. */
export const bendBody = bendPlace.extend({ marks: z.string().max(600) })

export type BendPlace = z.output<typeof bendPlace>
export type BendBody = z.output<typeof bendBody>
