export { benderFor, bendersFor, useBender, changeKit, hotWorkSum, kitOf, overdue } from './kit/work'
export type {
  BenderRecord,
  CountRecord,
  FittingRecord,
  HotWork,
  HotWorkRecord,
  KitBody,
  MinutesRecord,
  PriceRecord,
  VanRecord,
  ToolRecord,
} from './kit/schema'
export { HOT_WORK, MOST_PRICES } from './kit/schema'
export { LAST_ENDS, LEAST_ENDS, measuredMinutes, minutesFrom, workOf } from './kit/own-minutes'
export type { MeasuredMinutes, MinutesFrom } from './kit/own-minutes'
export type { EndMinutes } from './joint/record'
export { nextAction } from './job/next-action'
export { MOST_PHOTO_BYTES, MOST_PHOTOS, readPhotoKind } from './find/photo'

export {
  instrumentOf,
  EARTHS,
  LENGTH_ANSWERS,
  MEANS,
  readDiameter,
  readFind,
  readLength,
  SEEN,
  WATERS,
} from './find/reading'
export type { FindReading, LengthAnswer, LengthReading, Means, Reading, SeenName } from './find/reading'
export { restingOn, shiftedEnds } from './joint/rests'
export type { Shifted } from './joint/rests'
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
  USUAL_KEEP_MM,
  usualStock,
} from './cut/work'
export { changeOffcut, offRack, putOffcut, rackAfter, rackFor } from './rack/work'
export type { SheetPieces } from './cut/work'
export { cutFields, MOST_CUT_PIECES } from './cut/schema'
export type { CutBody, CutInput, DoneCutBody, FinishBody } from './cut/schema'
export type { OffcutBody } from './rack/schema'
export { ORDER_GROUPS, orderFor, uncutPieces } from './order/order'
export { amountWords, GROUP_WORDS, orderText, orderWords, toAsk } from './order/words'
export type { OrderGroup, OrderRow, OrderScope } from './order/order'
export { kitFields } from './kit/schema'
export type { CountBody, FoundBody } from './kit/schema'
export type { SupportBody } from './fix/schema'
export type { BendBody, BendPlace } from './bend/schema'
export type { LookBody } from './look/schema'
export type { LookRecord } from './look/record'
export { fixLine, fixSettings, fixSupport, freeSupport, moveSupport, supportOrder } from './fix/work'
export type { FixSettings } from './fix/work'
export { lineFlow } from './fix/flow'
export { bentPieces, bentSteps } from './bend/work'
export type { BentPiece } from './bend/work'
export { changeLine, draftLine, surveyed, tubesOf } from './line/work'

export { LINE_FILE_VERSION, readLineFile, writeLineFile } from './line/file'
export { BLANK_JOINT, jointFields, ON_FIRST, signoffBody } from './joint/schema'
export { BLANK_FIND, findFields } from './find/schema'
export { lineFields } from './line/schema'
export type { ClashBody, JobBody } from './job/schema'
export type { JointBody, JointInput, OnFirst, ReopenBody, SignoffBody, StepPlace, TickBody } from './joint/schema'
export type { FindBody, FindInput, PhotoBody } from './find/schema'
export type { LineBody, LineInput } from './line/schema'
export { backOn, comingBack, dayWords } from './job/come-back'
export type { ComingBack } from './job/come-back'
export { countParts, countStates, doubtsOf, foundThere, needsOf } from './kit/counts'
export { GIST_KINDS, GIST_RULES, gistOfJob, gistSteps, knowGist, workGist } from './gist'
export type { GistKind, GistOf, GistRules, JobGist } from './gist'
export { shelfOf, summaryOf } from './job/summary'
export type { JobSummary, Shelved } from './job/summary'
export { SHELVES } from './job/shelf'
export type { Shelf } from './job/shelf'
export { answers, foldText, readSearch } from './job/search'
export { searchText } from './job/search-text'
export type { SearchTerm } from './job/search'
export type { CountState } from './kit/counts'
export { isMade, standingSignoff, statusOf, SIGNED } from './joint/status'
export { cardsOf } from './joint/cards'
export { conditionsNow, playOfEnd } from './joint/conditions'
export { onFirstWords } from './joint/on-first'
export type { ClashRecord, JobRecord } from './job/record'
export type { CutRecord, CutResult } from './cut/record'
export type { FindRecord, PhotoRecord, VerdictRecord } from './find/record'
export type { JointRecord, MarkRecord, SignoffRecord, TickRecord, TimerRecord } from './joint/record'
export type { JointStatus } from './joint/status'
export type { LineRecord } from './line/record'
export type { OffcutRecord } from './rack/record'
export { beginJob, measuredOn } from './job/work'
export { copyActs } from './job/copy'
export { completeJob, idByCode } from './job/upgrade'
export { addPhoto, beginFind, changeFind, dropPhoto } from './find/work'
export type { FindRules } from './find/work'
export type { Hand } from './hand'

export type { LeftCode } from './joint/left'
export { otherCorners } from './line/corners'
export type { OtherCorners } from './line/corners'
export { mayBePrinted, nearestMark, printedEvery, printedOn } from './cut/printed'
export { besideOf } from './fix/opposite'
export type { Beside } from './fix/opposite'
export { carriedTo, centreLineOf, crossedText } from './joint/fixture'
export type { Carried, CentreLine } from './joint/fixture'
export { CLOSED_BY } from './joint/schema'
export { breakOff, brokenOff, takeApart, weepJoint, weepsOf } from './joint/apart'
export { leftToSign, reopenJoint, signJoint, WATCH_SECONDS } from './joint/sign'
export type { Left } from './joint/sign'
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
} from './joint/steps'
export type { At, StepState } from './joint/steps'
export { endsNow, knownOf, suspectsOf } from './joint/suspects'
export type { KnownFact, Suspect } from './joint/suspects'
export { factsOfFind, toldByFind } from './find/known'
export type { DoubtCode, DoubtedFind, FoundFact, ToldBy } from './find/known'
export { beginJoint, bringBack, changeJoint, isUntouched, stepsPutAside } from './joint/work'
export type { JobRules } from './joint/work'
export { cautionsOf, lateTool, stopsOf } from './joint/card-cautions'
export { pipesWanted } from './job/pipes-wanted'
export type { PipeWanted } from './job/pipes-wanted'
export { STATION_IDS, STATIONS, stationProgress } from './stations'
export type { Station, StationProgress } from './stations'

export type { Kind, ListKind } from './kinds'
export type { ActDef, AnyRecord, DoneAct, TakeBack, Doing, Fields, RecordOf, Rules } from './act'
export { id, ownId, time } from './texts'
export { bendActs } from './bend/acts'
export { cutActs } from './cut/acts'
export { findActs } from './find/acts'
export { fixActs } from './fix/acts'
export { jobActs } from './job/acts'
export { jointActs } from './joint/acts'
export { kitActs } from './kit/acts'
export { lineActs } from './line/acts'
export { lookActs } from './look/acts'
export { rackActs } from './rack/acts'
