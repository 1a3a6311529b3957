export { askFlow, frictionOf, velocityIn } from './flow'
export type { FlowAnswer, FlowQuestion } from './flow'
export { FLOW_FITTINGS } from './ours'

export { FLOW_RULES } from './rules'
export { density, viscosity } from './water'
