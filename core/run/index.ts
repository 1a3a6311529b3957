export { LEG_SHAPES, readLeg, readStart, splitLegs } from './leg'
export { draftRun, MOST_RUN_LEGS, plainMessage, pointLetter } from './run'
export type {
  EndWord,
  RunDraft,
  RunHead,
  RunRow,
  RunSurroundings,
  TypedDirection,
  TypedLeg,
  TypedLength,
  TypedOffset,
  TypedOver,
} from './types'
export { insertLeg, removeLeg, typeLength, withLength } from './write'
export { findWaysOut } from './ways-out'
export type { WayOut } from './ways-out'
export { rowsAlong } from './rows'
export { workPiece } from './working'
export { markRows, piecesOf } from './marks'
export type { MarkRow, RunPiece } from './marks'
export { GUIDES, readFields } from './guides'
export type { Guide, GuideAnswer, GuideContext, GuideField, GuideFigure } from './guides'
