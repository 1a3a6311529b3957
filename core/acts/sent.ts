import * as z from 'zod/mini'
import type { Issue } from '#core/base'
import { id, ownId, time, type AnyRecord, type OffcutRecord } from '#core/record'
import type { Clash } from './merge'
import { ACT_NAMES, type ActName } from './registry'

/**
 * An act as it goes to the server. `at` is when it was done, by the server's clock as the tablet knew it, or by the
 * tablet's own where it knew none (`clock`). `version` is the record's as it was seen; `seen` the fields it rests on, as
 * they were shown.
 */
export const sent = z.strictObject({
  key: ownId,
  name: z.enum(ACT_NAMES),
  job: id,
  record: id,
  version: z.optional(z.nullable(z.number().check(z.int(), z.minimum(1)))),
  seen: z.optional(z.record(z.string().check(z.maxLength(40)), z.unknown())),
  at: time,
  clock: z.optional(z.enum(['server', 'tablet'])),
  by: z.string().check(z.maxLength(40)),
  body: z.unknown(),
})
export type SentAct = Omit<z.input<typeof sent>, 'name'> & { name: ActName }

/** What came of an act. */
export type ActAnswer =
  /**
   * It stands: its sequence number, null where an earlier version took it; how many acts its job has by now; and the
   * records as they are.
   */
  | { key: string; state: 'taken'; seq: number | null; acts: number; record: AnyRecord | null; rack?: OffcutRecord[] }
  /** Another hand was first: the record as it is saved, and the fields both set. */
  | { key: string; state: 'met'; issue: Issue; saved: AnyRecord; clashes: Clash[] }
  | { key: string; state: 'refused'; issue: Issue }
  /** Not tried: an act before it on its record did not go through. */
  | { key: string; state: 'held' }
