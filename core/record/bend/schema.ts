import * as z from 'zod/mini'

/** A step of a bent piece, from 1, such as the third of "p2". */
export const bendPlace = z.strictObject({
  piece: z.string().check(z.regex(/^p\d{1,3}$/, 'a piece such as p2 is accepted')),
  step: z.number().check(z.int(), z.minimum(1), z.maximum(200)),
})
/** With the marks that the piece has on its card. */
export const bendBody = z.extend(bendPlace, { marks: z.string().check(z.maxLength(600)) })

export type BendPlace = z.output<typeof bendPlace>
export type BendBody = z.output<typeof bendBody>
