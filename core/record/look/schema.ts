import { schemas } from '#core/contract'
import * as z from 'zod/mini'

/** A joint that was there already, and what was seen of it, in the words of the inspect verb. Lengths mm. */
export const lookBody = z.extend(z.omit(schemas.inspect, { region: true, policy: true }), {
  place: z.string().check(z.maxLength(120)),
})
export type LookBody = z.output<typeof lookBody>
