export { LEG_SHAPES, readLeg, readStart, splitLegs } from './leg'
export { draftRun, MOST_RUN_LEGS, pointLetter } from './run'
export type { EndWord, RunDraft, RunHead, RunRow, RunSurroundings, TypedDirection, TypedLeg, TypedLength, TypedOffset, TypedOver } from './types'
export { insertLeg, removeLeg, typeLength, withLength } from './write'
