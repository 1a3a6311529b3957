export { planCuts } from './cut'
export type { Bar, CutAnswer, CutPiece, CutQuestion, Stock } from './types'
