import type { Method } from '#core/joints'
import type { StepCode } from './types'

/** What is done where the check of a step fails: the step again, or the end begun anew; whether its fitting is used again. */
export interface Remedy {
  do: string
  again: 'step' | 'end'
  reuses: boolean
}

const end = (words: string, reuses = false): Remedy => ({ do: words, again: 'end', reuses })
const step = (words: string): Remedy => ({ do: words, again: 'step', reuses: false })

const CUT_OUT = 'Cut it out: a press fitting is never used again. Begin on sound pipe with a new one'
const RING =
  'Cut the pipe just behind the ring and open the ring with a cutter. The metal fitting is used again if it is unmarked, the ring never'
const GRIP =
  'Take it apart with the collar, pressure off. Cut back the pipe that the teeth scratched; a new fitting if seal or grip ring is marked'

/** By method and step; trade practice. */
const REMEDIES: Readonly<Partial<Record<Method, Partial<Record<StepCode, Remedy>>>>> = {
  solder: {
    assemble: step('Draw it out, look for a burr or a dent, mark again and push to the mark'),
    feed: end(
      'Heat it again while it is bright and feed the gap once. If it does not take, pull it apart hot, clean both, flux anew; a fitting is cleaned once at most',
      true,
    ),
  },
  press: {
    insert: step('Draw it out, look for grit, an oval end or a rolled seal, then push to the mark'),
    press: end(CUT_OUT),
    check: end(CUT_OUT),
    gauge: end(CUT_OUT),
  },
  'push-fit': { insert: end(GRIP, true), tug: end(GRIP, true), check: end(GRIP, true), lock: end(GRIP, true) },
  compression: {
    check: step(
      'A quarter turn more, once. If it still weeps, take it apart: a new olive on a fresh end, nothing on it',
    ),
    tighten: step(
      'Weeping, a quarter turn more. If it still weeps, take it apart: a new olive on a fresh end, nothing on it',
    ),
    insert: step('Slacken, push to the stop, run the nut up by hand and look at the mark again'),
  },
  crimp: {
    assemble: step('Slide the ring to 3.2 to 6.4 mm from the end before it is closed'),
    insert: step('Push to the shoulder before the ring is closed'),
    gauge: end(RING, true),
    press: end(RING, true),
  },
  clamp: {
    assemble: step('Slide the clamp to 3.2 to 6.4 mm from the end before it is closed'),
    check: end(RING, true),
    insert: step('Push to the shoulder before the clamp is closed'),
    gauge: end(RING, true),
    press: end(RING, true),
  },
  expansion: {
    ring: step('Slide the ring until its stop edge is flush with the end'),
    check: end(
      'It has crept off the shoulder: cut it off, expand a fresh end with a new ring; a brass fitting is used again if it is unmarked',
      true,
    ),
    insert: end(
      'Cut the end off square and expand a fresh one with a new ring; a brass fitting is used again if it is unmarked',
      true,
    ),
  },
  'sliding-sleeve': {
    check: step('Draw the sleeve on, tool parallel to the pipe. If it does not go, cut it off behind the sleeve'),
    press: end('Cut it off behind the sleeve. A new sleeve; the fitting again only if its maker says so'),
  },
  'ml-press': {
    check: end('Cut it off: never pressed twice, never used again. Calibrate a fresh end'),
    insert: step('Draw it off, calibrate and bevel again, look at both O-rings, then push until every window is full'),
    press: end('Cut it off: never pressed twice, never used again. Calibrate a fresh end'),
  },
  'ml-compression': {
    tighten: step('A quarter turn more. If it still weeps, a new split ring and new O-rings on a fresh end'),
  },
  'solvent-cement': {
    cement: end('Wipe it off while wet and begin again'),
    insert: end('It sets in seconds and cannot be moved: cut it out, a new fitting'),
  },
  'pe-compression': { insert: step('Draw it out, chamfer and wet the end, push through the seal to the mark') },
  thread: {
    assemble: step('Back it off at once: a crossed thread is chased or thrown away'),
    tighten: end('Never turned back to line up: take it apart, clean both threads, seal anew', true),
  },
  union: { tighten: step('Open it, look at the faces, a new washer where it is flat, bring the ends in line') },
}

/** What to do where the check of a step fails: never nothing. */
export const remedyOf = (method: Method, code: StepCode): Remedy =>
  REMEDIES[method]?.[code] ?? step('Put it right and do this step again')
