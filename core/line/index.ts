export { arcOfBend, gainOf, radiusOf, tangentOf } from './bend'
export { BEND_SPARE, bendCard, bendRemedy } from './bend-card'
export type { BendCard, BendStep, BendStepCode } from './bend-card'
export { failPull, isPulledOtherwise, nextPull, pulledAt, pullStep } from './bend-progress'
export type { PulledPiece } from './bend-progress'
export { calibrateBender } from './calibrate'
export type { Calibration, TestBend } from './calibrate'
export { LITTLE_STRAIGHT_MM } from './clearances'
export { centreLine, projectIsometric } from './centre-line'
export { layLine, vectorOf } from './lay'
export { planLine, surveyLine } from './line'
export type { Survey } from './line'
export { fittingMouth } from './mouths'
export { planOffset } from './offset'
export { orderBends } from './order'
export { LINE_RULES, OFFSET_RULES } from './rules'

export { MOUTH_WORDS } from './pieces'
export { isLineValve } from './parts'
export { crossesWall } from './checks'
export type { OffsetAnswer, OffsetQuestion } from './offset'
export { DIRECTIONS, MEASURED_TO } from './types'
export type {
  Bender,
  Direction,
  LaidLeg,
  LineAnswer,
  LineEnd,
  LineLeg,
  LineQuestion,
  LineStart,
  LineWarning,
  MeasuredTo,
  Mouth,
  Piece,
  PieceEnd,
  PieceMark,
  Wall,
} from './types'
export { add, angleBetween, dot, pointAlong, scale } from './vector'
export type { Vector } from './vector'
