export {
  barWords,
  cutQuestion,
  cutRows,
  findPlanFault,
  isRight,
  openPieces,
  plannedRest,
  restOf,
  restsOf,
  slipsOf,
  sumOf,
  takeAnswer,
  trueSum,
} from './bench'
export type {
  BenchBar,
  BenchPiece,
  BenchPlan,
  BenchSettings,
  CutRow,
  CutSum,
  DoneCut,
  RackRow,
  StockRow,
} from './bench'
export { planCuts, searchCuts } from './cut'
export { CUTTERS, CUTTER_KERF, cutterFor } from './cutters'
export type { Cutter } from './cutters'
export type { CutAnswer, CutQuestion } from './types'
