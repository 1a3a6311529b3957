export type { FactName, ToldFact } from './facts'
export { factsOfChecks, identifyPipe } from './identify'
export { IDENTIFY_RULES } from './rules'
export { DIAMETER_RANGE, INSTRUMENT_ERROR } from './likelihood-figures'
export { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES, TRACES } from './types'
export type {
  Candidate,
  Check,
  CheckName,
  Colour,
  IdentifyAnswer,
  IdentifyQuestion,
  Instrument,
  Meaning,
  NextCheck,
} from './types'
export { readPrint } from './print'
