export { finds } from './finds'
export { jobs } from './jobs'
export { joints, signoffs, ticks, timers } from './joints'
