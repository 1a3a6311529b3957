export { benderFor, changeKit, kitOf, overdue } from './kit'
export { jobPatch } from './kit-schema'
export type { BenderRecord, CountRecord, FittingRecord, KitBody, ToolRecord } from './kit-schema'
export { changedSince, MERGED_BY_KEY, mergeFields } from './merge'
export type { Clash, Fields } from './merge'
export { nextAction, STATIONS } from './next-action'
export type { Station } from './next-action'
export { MOST_PHOTO_BYTES, MOST_PHOTOS, readPhotoKind } from './photo'

export { instrumentOf, LENGTH_ANSWERS, MEANS, readDiameter, readFind, readLength } from './reading'
export type { FindReading, LengthAnswer, LengthReading, Means, Reading } from './reading'
export { restingOn, shiftedEnds } from './rests'
export type { Shifted } from './rests'
export {
  beginCut,
  changeCut,
  enterCut,
  finishCut,
  FINISHED,
  OTHER_PLAN,
  piecesFor,
  planCut,
  progressOf,
  readSheet,
  staleness,
  takeBackCut,
  tooManyCuts,
  USUAL_KEEP_MM,
  usualStock,
} from './cut-work'
export { offRack, putOffcut, rackAfter, rackFor } from './rack-work'
export type { SheetPieces } from './cut-work'
export {
  cutPatch,
  doneCutBody,
  finishBody,
  MOST_CUT_PIECES,
  newCut,
  offcutBody,
  planBody,
  undoneCutBody,
} from './cut-schema'
export type { CutBody, DoneCutBody, FinishBody, OffcutBody } from './cut-schema'
export { fixLine, fixProgress, fixSettings, setSupport, supportOrder } from './fix-work'
export type { FixSettings } from './fix-work'
export { lineFlow } from './flow-work'
export { bentPieces } from './bend-work'
export type { BentPiece } from './bend-work'
export { beginLine, changeLine, draftLine, surveyed, tooManyLines, tubesOf } from './line-work'

export { LINE_FILE_VERSION, readLineFile, writeLineFile } from './line-file'
export {
  clashBody,
  faultBody,
  findPatch,
  jointPatch,
  linePatch,
  newFind,
  newJob,
  newJoint,
  newLine,
  newPhoto,
  signoffBody,
  reopenBody,
  stepPlace,
  tickBody,
} from './schema'
export type {
  ClashBody,
  FaultBody,
  FindBody,
  JobBody,
  JointBody,
  JointInput,
  LineBody,
  LineInput,
  PhotoBody,
  ReopenBody,
  SignoffBody,
  StepPlace,
  TickBody,
} from './schema'
export { comingBack, dayWords } from './come-back'
export type { ComingBack } from './come-back'
export { countStates, doubtsOf, needsOf } from './counts'
export type { CountState } from './counts'
export { isMade, standingSignoff, statusOf, SIGNED } from './types'
export { cardsOf } from './cards'
export type {
  ClashRecord,
  CutRecord,
  CutResult,
  FindRecord,
  JobRecord,
  JointRecord,
  JointStatus,
  LineRecord,
  MarkRecord,
  OffcutRecord,
  PhotoRecord,
  SignoffRecord,
  TickRecord,
  TimerRecord,
  VerdictRecord,
} from './types'
export { BLANK_FIND, BLANK_JOINT, BLANK_LINE } from './blank'
export { completeJob, idByCode } from './upgrade'
export { addPhoto, beginFind, changeFind, dropPhoto } from './find-work'
export type { FindRules, Hand } from './find-work'

export type { LeftCode } from './left'
export { leftToSign, reopenJoint, signJoint, WATCH_SECONDS } from './sign'
export type { Left } from './sign'
export {
  cuttingStep,
  failStep,
  heldStep,
  isAt,
  OTHER_WAY,
  reusesOf,
  runTimer,
  stateOfStep,
  tickStep,
  UNDONE,
} from './steps'
export type { At, StepState } from './steps'
export { endsNow, factsOfFind, suspectsOf } from './suspects'
export type { DoubtedFind, Suspect } from './suspects'
export { beginJoint, bringBack, changeJoint, stepsPutAside } from './work'
export type { JobRules } from './work'
export { cautionsOf, lateTool, stopsOf } from './card-cautions'
export { pipesWanted } from './pipes-wanted'
export type { PipeWanted } from './pipes-wanted'
export { stationProgress } from './progress'
export type { StationProgress } from './progress'
