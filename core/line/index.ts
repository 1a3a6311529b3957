export { planOffset } from './offset'
export type { OffsetAnswer, OffsetQuestion } from './offset'
