import { schemas } from '#core/contract'
import { z } from 'zod'

/** A joint that was there already, and what was seen of it, in the words of the inspect verb. Lengths mm. */
export const lookBody = schemas.inspect.omit({ region: true, policy: true }).extend({ place: z.string().max(120) })
export type LookBody = z.output<typeof lookBody>
