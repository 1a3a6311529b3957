export { inspectJoint, looksFor } from './inspect'
export type { Finding, InspectAnswer, InspectQuestion, Seen, SeenName } from './types'
