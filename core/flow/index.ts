export { askFlow, frictionOf, velocityIn } from './flow'
export type { FlowAnswer, FlowQuestion } from './flow'
export { flowAlong } from './line-flow'
export type { LineFlow } from './line-flow'
export { FLOW_FITTINGS } from './loss-figures'

export { FLOW_RULES } from './rules'
export { density, viscosity } from './water'
