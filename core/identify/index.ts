export { identifyPipe } from './identify'
export { DIAMETER_RANGE, INSTRUMENT_ERROR } from './ours'
export { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES, TRACES } from './types'
export type { Candidate, Check, CheckName, Colour, Flex, HeldBy, IdentifyAnswer, IdentifyQuestion, Instrument, NextCheck, Scratch, Stripe } from './types'
