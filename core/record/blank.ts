import type { FindBody, JointBody, LineBody } from './schema'

/* Records before anything is said of them: what is begun on a tablet, and what an earlier version left out. */

export const BLANK_FIND: FindBody = {
  place: '',
  notes: '',
  typed: '',
  by: 'calliper',
  answers: {},
  cannot: [],
  pipe: null,
}

export const BLANK_JOINT: JointBody = {
  place: '',
  a: null,
  b: null,
  findA: null,
  findB: null,
  conditions: {},
  orientation: 'horizontal',
  ambient: null,
  torch: null,
  wayId: null,
  comeBack: null,
  depths: {},
}

/** A line is drawn before it is kept: only what is done of it later is blank. */
export const BLANK_LINE: Pick<LineBody, 'pulled' | 'fix' | 'clips'> = { pulled: {}, fix: {}, clips: {} }
