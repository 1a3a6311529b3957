export { inspectJoint, looksFor } from './inspect'
export { ASKED_REFUSALS, OPEN_CONCERNS } from './facts'
export { LOOK_RULES } from './rules'
export type { Finding, InspectAnswer, InspectQuestion, Seen, SeenName } from './types'
