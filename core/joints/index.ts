export { isReducingSet } from './reducing-fittings'
export { adaptorThreads } from './size-classes'
export { orderList, orderName, outsideName } from './order'

export { factsIn, fillConditions, fillPolicy, fillSituation, hasOneTemper, toTube } from './defaults'
export { flexPlay, isFlexible } from './flex'
export type { FlexPlay } from './flex'
export { alongOf, drawApart } from './play'
export { asksFlow, findWays, readEnd, toOffer, waySteps } from './ways'
export { faceToFace, roomToTurn, takeOutAt } from './turning'
export type { TurnRoom } from './turning'
export { isOneWay, valveAmong } from './valve-fittings'
export { concernsOfPipe, concernsOn, refuse } from './rules/ask'
export type { Refused } from './rules/ask'
export { JOINT_RULES } from './rules'
export type { Concern } from './rules/rule'
export { isByThread, refuseMethod, threadCutOn } from './rules/threads'
export type { ThreadMethod } from './rules/threads'
export { ALL_METHODS, JOINT_METHODS, threadSteps, UNION_STEPS } from './methods'
export type { MethodLook, ThreadCard } from './methods'
export { AMBIENT_C, hasLiner } from './card/draft'
export { CEMENT_AIR_C, EXPANSION_FROST_C, solderByVolume, SOLDER_GAP_MM, THREADS_LEFT } from './card/facts'
export { weepWords } from './card/remedy'
export { MADE_METHODS, NEAR, STEP_CODES } from './card/types'
export type {
  Apart,
  Ask,
  Card,
  Consumable,
  DraftStep,
  MadeMethod,
  MakeQuestion,
  Mark,
  Near,
  Remedy,
  Step,
  StepCode,
} from './card/types'
export {
  isAtFace,
  isClosed,
  isLoose,
  METHODS,
  REASONS,
  REFUSAL_CODES,
  SEATS,
  SERVICES,
  THREAD_FORMS,
  THREAD_MATERIALS,
} from './types'
export type {
  Closed,
  Conditions,
  End,
  EndPlay,
  Gender,
  Joint,
  Kit,
  Method,
  Offer,
  OpenOffer,
  OfferedMethod,
  OtherEnd,
  Part,
  PartKind,
  PipeEnd,
  Reason,
  Policy,
  Refusal,
  RefusalCode,
  Service,
  Situation,
  Thread,
  ThreadMaterial,
  Tube,
  Verdict,
  Way,
  WaysAnswer,
  WaysQuestion,
} from './types'
