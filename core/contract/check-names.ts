import type { Check } from '#core/identify'

/** Every check of a pipe; one more does not compile till it stands here. */
const KNOWN: Record<Check['check'], true> = {
  'outside-diameter': true,
  wall: true,
  bore: true,
  print: true,
  colour: true,
  stripe: true,
  flex: true,
  magnet: true,
  scratch: true,
  'held-by': true,
  lagging: true,
  warm: true,
  traced: true,
}

/** What may be checked on a pipe. Apart from the schemas, so that an issue is put in words without them. */
export const CHECK_NAMES = Object.keys(KNOWN) as Check['check'][]
