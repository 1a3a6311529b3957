import type * as z from 'zod/mini'
import type { Result } from '#core/base'
import { speakAll } from '#core/speech'
import type { CutRecord } from './cut/record'
import type { FindRecord } from './find/record'
import type { Hand, Next } from './hand'
import type { JobRecord } from './job/record'
import type { JointRecord } from './joint/record'
import type { DoubtedFind } from './find/known'
import type { LineRecord } from './line/record'
import type { LookRecord } from './look/record'
import type { OffcutRecord } from './rack/record'
import type { Kind } from './kinds'

/** Fields of a record by their names. */
export type Fields = Readonly<Record<string, unknown>>

export interface RecordOf {
  jobs: JobRecord
  finds: FindRecord
  lines: LineRecord
  cuts: CutRecord
  joints: JointRecord
  rack: OffcutRecord
  looks: LookRecord
}
export type AnyRecord = RecordOf[Kind]

/** What of a job its acts are judged by. The finds and the rack are there for the kinds that ask for them. */
export interface Rules extends Pick<
  JobRecord,
  | 'id'
  | 'name'
  | 'region'
  | 'year'
  | 'policy'
  | 'tools'
  | 'fittings'
  | 'benders'
  | 'minutes'
  | 'prices'
  | 'hotWork'
  | 'van'
> {
  finds: readonly DoubtedFind[]
  /** What may rest on a record that is to be taken out. */
  joints: readonly Pick<JointRecord, 'id' | 'number' | 'findA' | 'findB'>[]
  cuts: readonly Pick<CutRecord, 'id' | 'number' | 'sources'>[]
  rack: OffcutRecord[]
}

/** By whom and when something is done, its key, the id of its record, and what the next one is numbered. */
export interface Doing extends Hand {
  key: string
  record: string
  next: Next
}

/** What an act rests on: fields as they were seen, the version of its record, or nothing but its own rule. */
export type Rests = 'fields' | 'version' | null

/** An act as it was done: its record before and after it. */
export interface DoneAct<K extends Kind = Kind, B = unknown> {
  key: string
  body: B
  before: RecordOf[K] | null
  after: RecordOf[K] | null
}
/** What takes an act back. */
export interface TakeBack {
  name: string
  body: unknown
}
/** The act that takes another back, and what it says; null where this one stays after all. */
export interface Undo<K extends Kind = Kind, B = unknown> {
  name: string
  by: (done: DoneAct<K, B>) => TakeBack | null
}

/** One thing that can be done to a record. Everything that has to know of it reads it here. */
export interface ActDef<K extends Kind = Kind, S extends z.ZodMiniType = z.ZodMiniType> {
  on: K
  does: 'begins' | 'changes' | 'drops'
  body: S
  rests: Rests
  /** What else it may change. */
  touches: 'rack' | null
  /** The act that takes it back; null where it stays on record. */
  undo: Undo<K, z.output<S>> | null
  /** Who may do it. Everybody, until a crew has roles. */
  may: 'all'
  /** What it is, for those who read of it. */
  means: string
  /** What was done, in a few words, beside its record's name. */
  says: (body: z.output<S>, job: Pick<JobRecord, 'region'> | undefined) => string
  /** What was seen of the record where the body does not say it: a sign-off rests on the depths. */
  sees: readonly string[]
  /** Pure: the record as it then stands, null where it is gone, or what core says against it. */
  apply: (rules: Rules, record: RecordOf[K] | null, body: z.output<S>, doing: Doing) => Result<RecordOf[K] | null>
}

/** Taken back by an act that says the same place, or nothing. */
export const undoneBy = <K extends Kind, B>(
  name: string,
  body: (done: DoneAct<K, B>) => unknown = () => ({}),
): Undo<K, B> => ({
  name,
  by: (done) => {
    const said = body(done)
    return said === null ? null : { name, body: said }
  },
})
/** Taken back by setting the same fields to what they were. */
export const setBack = <K extends Kind, B>(name: string): Undo<K, B> =>
  undoneBy(name, ({ body, before }) => before && picked(before, Object.keys(body as Fields)))
/** What was taken out is begun again as it was. */
export const begunAgain = <K extends Kind, B>(name: string, table: object): Undo<K, B> =>
  undoneBy(name, ({ before }) => before && picked(before, Object.keys(table)))

/** Fields of a record by their names. */
export const picked = (record: object, names: readonly string[]): Fields =>
  Object.fromEntries(names.map((name) => [name, (record as Fields)[name]]))

type About<K extends Kind, S extends z.ZodMiniType> = Pick<ActDef<K, S>, 'body' | 'means' | 'says'> &
  Partial<Pick<ActDef<K, S>, 'rests' | 'touches' | 'undo' | 'sees'>>
const USUAL = { rests: null, touches: null, undo: null, may: 'all', sees: [] } as const

/** What core says against an act, in the words of its job; a record is left as it is. */
const inWords = <T>(result: Result<T>, { region }: Pick<Rules, 'region'>): Result<T> =>
  result.ok ? result : speakAll(result, region)

/** An act that begins a record under an id of its own. */
export const begins = <K extends Kind, S extends z.ZodMiniType>(
  on: K,
  { apply, ...about }: About<K, S> & { apply: (rules: Rules, body: z.output<S>, doing: Doing) => Result<RecordOf[K]> },
): ActDef<K, S> => ({
  ...USUAL,
  ...about,
  on,
  does: 'begins',
  apply: (rules, _, body, doing) => inWords(apply(rules, body, doing), rules),
})

/** An act on a record that is there. */
export const changes = <K extends Kind, S extends z.ZodMiniType>(
  on: K,
  {
    apply,
    ...about
  }: About<K, S> & {
    apply: (rules: Rules, record: RecordOf[K], body: z.output<S>, doing: Doing) => Result<RecordOf[K]>
  },
): ActDef<K, S> => ({
  ...USUAL,
  ...about,
  on,
  does: 'changes',
  apply: (rules, record, body, doing) => inWords(apply(rules, record!, body, doing), rules),
})

/** An act that takes a record out, as it was seen. */
export const drops = <K extends Kind, S extends z.ZodMiniType>(
  on: K,
  { apply, ...about }: About<K, S> & { apply: (rules: Rules, record: RecordOf[K], body: z.output<S>) => Result<null> },
): ActDef<K, S> => ({
  ...USUAL,
  rests: 'version',
  ...about,
  on,
  does: 'drops',
  apply: (rules, record, body) => inWords(apply(rules, record!, body), rules),
})

/** Fields changed, as they are called. */
export const changed = (fields: Fields): string => `changed: ${Object.keys(fields).join(', ')}`
