import {
  bigint,
  char,
  customType,
  datetime,
  int,
  index,
  longtext,
  mysqlTable,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

const mediumblob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'mediumblob' })

/**
 * Everything that was done, in the order it was taken: the log of each job, and by its key the receipt of an act that
 * comes again because its answer was lost. Only ever added; never read back into the tables of what stands.
 */
export const acts = mysqlTable(
  'acts',
  {
    seq: bigint({ mode: 'number' }).primaryKey().autoincrement(),
    /** Given by the sender; told apart by every letter. */
    key: varchar('act_key', { length: 40 }).notNull(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    /** Its place in the log of its job, from 1. */
    number: int().notNull(),
    name: varchar({ length: 40 }).notNull(),
    recordId: varchar('record_id', { length: 40 }).notNull(),
    /** When it was done, and whose clock says so. */
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
    clock: varchar({ length: 8 }).notNull(),
    by: varchar('by_hand', { length: 40 }).notNull(),
    /** When it came here. */
    takenAt: datetime('taken_at', { mode: 'string', fsp: 3 }).notNull(),
    /** The act as it was received, JSON. */
    text: longtext('act_text').notNull(),
    /** SHA-256 of the row before it of the same job and of this one. */
    hash: char({ length: 64 }).notNull(),
  },
  (table) => [
    unique('acts_key').on(table.key),
    unique('acts_job_number').on(table.jobId, table.number),
    index('acts_record').on(table.recordId),
  ],
)

/** Photos that came before the act that puts them to a find, by its key. */
export const uploads = mysqlTable('uploads', {
  key: varchar('act_key', { length: 40 }).primaryKey(),
  /** SHA-256 of the bytes as they were received. */
  digest: char({ length: 64 }).notNull(),
  width: int().notNull(),
  height: int().notNull(),
  data: mediumblob().notNull(),
  at: datetime({ mode: 'string', fsp: 3 }).notNull(),
})
