/**
 * How a figure read off the work stands: `outside` of a firm limit is wrong, of a typical one it is the fitting's paper
 * that decides.
 */
export function judgeReading({ lo, hi }: { lo: number; hi: number }, reading: number): 'within' | 'under' | 'over' {
  if (reading < lo - 1e-9) return 'under'
  return reading > hi + 1e-9 ? 'over' : 'within'
}
