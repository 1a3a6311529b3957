import { END_CONCERNS, END_REFUSALS } from './ask'
import { CHAIN_ROWS } from './chain'
import { THREAD_REFUSALS } from './threads'

/** Every rule of joints in words: what refuses a method on an end, what an end asks for, what a whole way asks for. */
export const JOINT_RULES = {
  refusals: [...END_REFUSALS, ...THREAD_REFUSALS],
  ofEnds: END_CONCERNS,
  ofWays: CHAIN_ROWS,
} as const
