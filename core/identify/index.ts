export { factsOfChecks, identifyPipe } from './identify'
export { IDENTIFY_RULES } from './rules'
export { DIAMETER_RANGE, INSTRUMENT_ERROR } from './ours'
export { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES, TRACES } from './types'
export type {
  Candidate,
  Check,
  CheckName,
  Colour,
  Contradiction,
  Flex,
  HeldBy,
  IdentifyAnswer,
  IdentifyQuestion,
  Instrument,
  Meaning,
  NextCheck,
  Scratch,
  Stripe,
} from './types'
export { readPrint } from './print'
export type { PrintReading, PrintToken } from './print'
