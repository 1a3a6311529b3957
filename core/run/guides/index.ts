import { CLEAR, PARALLEL, WALL_FITTING } from './bends'
import { OUTDOOR_TAP, PE_ENTRY, ROUGH_IN } from './ends'
import { REPAIR, TEE_IN } from './in-line'
import type { Guide } from './types'

/** Tasks a line begins from, in the order they come up. */
export const GUIDES: readonly Guide[] = [TEE_IN, REPAIR, ROUGH_IN, OUTDOOR_TAP, PE_ENTRY, CLEAR, PARALLEL, WALL_FITTING]
export { readFields } from './types'
export type { Guide, GuideAnswer, GuideContext, GuideFigure } from './types'
