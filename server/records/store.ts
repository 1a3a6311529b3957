import { eq } from 'drizzle-orm'
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core'
import isEqual from 'fast-deep-equal'
import type { Kind, RecordOf } from '#core/acts'
import type { Transaction } from '../db/client'
import type { JobRow } from './job-rows'

/** How records of a kind are read from their tables and saved there: the record as core knows it, nothing else. */
export interface Store<R> {
  /** A record of this job, held until the transaction ends; null where it has none such. */
  load: (tx: Transaction, job: Pick<JobRow, 'id'>, id: string) => Promise<R | null>
  /** Whether any job has a record of this id. */
  isTaken: (tx: Transaction, id: string) => Promise<boolean>
  /** Numbers of the records of this job, where they have any. */
  numbers: (tx: Transaction, job: JobRow) => Promise<number[]>
  /** Saves what an act made of a record; null before it was begun, or once it is gone. */
  save: (tx: Transaction, job: JobRow, before: R | null, after: R | null) => Promise<void>
}
export type Stores = { readonly [K in Exclude<Kind, 'jobs'>]: Store<RecordOf[K]> }

/** What differs of a row. */
export const changedColumns = <T extends object>(before: T, after: T): Partial<T> =>
  Object.fromEntries(
    Object.entries(after).filter(([name, value]) => !isEqual(value, before[name as keyof T])),
  ) as Partial<T>

/** Rows of a list that are new or changed, and those that are gone, by their keys. */
export function changedRows<T>(
  keyOf: (one: T) => string,
  before: readonly T[],
  after: readonly T[],
): { gone: T[]; put: T[] } {
  const [was, now] = [before, after].map((list) => new Map(list.map((one) => [keyOf(one), one])))
  return {
    gone: before.filter((one) => !isEqual(now!.get(keyOf(one)), one)),
    put: after.filter((one) => !isEqual(was!.get(keyOf(one)), one)),
  }
}

type Rows = MySqlTable & { id: MySqlColumn; jobId: MySqlColumn }
/** Whether a table has a row of an id. */
export const takenIn =
  (table: Pick<Rows, 'id'> & MySqlTable) =>
  async (tx: Transaction, id: string): Promise<boolean> =>
    (await tx.select({ id: table.id }).from(table).where(eq(table.id, id))).length > 0
/** The numbers of a job's rows in a table. */
export const numbersIn =
  (table: Rows & { number: MySqlColumn }) =>
  async (tx: Transaction, { id }: JobRow): Promise<number[]> =>
    (await tx.select({ number: table.number }).from(table).where(eq(table.jobId, id))).map(({ number }) =>
      Number(number),
    )
