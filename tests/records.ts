import {
  beginJob,
  BLANK_FIND,
  BLANK_JOINT,
  type CutRecord,
  type FindRecord,
  type JobRecord,
  type JointRecord,
  type LineRecord,
  type OffcutRecord,
  type SignoffRecord,
  type TickRecord,
} from '#core/record'

/* Records as they are before anything is typed, for tests to begin from. */

export const aFind = (changes: Partial<FindRecord> = {}): FindRecord => ({
  ...BLANK_FIND,
  id: 'f',
  photos: [],
  verdicts: [],
  version: 1,
  updatedAt: '',
  updatedBy: '',
  ...changes,
})

export const aJoint = (changes: Partial<JointRecord> = {}): JointRecord => ({
  ...BLANK_JOINT,
  id: 'j',
  number: 1,
  version: 1,
  way: null,
  ticks: [],
  faults: [],
  timers: [],
  reopenings: [],
  signoffs: [],
  aside: [],
  updatedAt: '',
  updatedBy: '',
  ...changes,
})

export const aLine = (changes: Partial<LineRecord> = {}): LineRecord => ({
  id: 'l',
  number: 1,
  name: '',
  pipe: 'cu-en-x-22',
  method: 'solder',
  corners: 'fittings',
  start: 'free',
  walls: [],
  legs: [],
  pulled: {},
  fix: {},
  clips: {},
  version: 1,
  updatedAt: '',
  updatedBy: '',
  ...changes,
})

export const aCut = (changes: Partial<CutRecord> = {}): CutRecord => ({
  id: 'cut-0001',
  number: 1,
  name: '',
  pipe: 'cu-en-x-22',
  sources: [],
  extras: [],
  cutter: 'wheel',
  kerf: '',
  printed: '',
  keep: '',
  spare: '',
  prefer: 'longest-left',
  stock: [{ id: 'three', length: '3 m', quantity: null, price: null }],
  leave: [],
  plan: null,
  done: [],
  result: null,
  version: 1,
  updatedAt: '',
  updatedBy: '',
  ...changes,
})

export const anOffcut = (changes: Partial<OffcutRecord> = {}): OffcutRecord => ({
  id: 'offcut-1',
  pipe: 'cu-en-x-22',
  length: 1240,
  place: 'rack',
  job: null,
  from: '',
  at: '',
  by: '',
  version: 1,
  promised: null,
  ...changes,
})

/** A step of the first entry, cut unless said otherwise. */
export const aTick = (changes: Partial<TickRecord> = {}): TickRecord => ({
  entry: 0,
  step: 'cut',
  code: 'cut',
  at: '',
  by: '',
  reading: null,
  did: null,
  ...changes,
})

export const aSignoff = (changes: Partial<SignoffRecord> = {}): SignoffRecord => ({
  id: 's',
  initials: 'AB',
  at: '2026-11-23T10:00:00.000Z',
  marks: [],
  corrects: null,
  remarks: [],
  minutes: [],
  ...changes,
})

export const aJob = (changes: Partial<JobRecord> = {}): JobRecord => ({
  ...beginJob('job-1', { name: 'Yard', place: '', region: 'gb' }),
  slug: 'yard',
  ...changes,
})
