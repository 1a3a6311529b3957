import {
  bigint,
  char,
  customType,
  datetime,
  index,
  int,
  json,
  mysqlTable,
  primaryKey,
  varchar,
} from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

/** Text that is compared letter by letter. */
const exactText = customType<{ data: string }>({
  dataType: () => 'mediumtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin',
})

/** Every job as it stands in the list, made anew when an act on it is saved. */
export const summaries = mysqlTable(
  'summaries',
  {
    jobId: varchar('job_id', { length: 40 })
      .primaryKey()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    /** Version of our own rules that made it; one made by others is made anew at start. */
    made: int().notNull(),
    name: varchar({ length: 80 }).notNull(),
    shelf: varchar({ length: 8 }).notNull(),
    /** Day on which a waiting job is open again. */
    wakes: varchar({ length: 10 }),
    summary: json().notNull(),
    /** Last work, and whose. */
    workedAt: datetime('worked_at', { mode: 'string', fsp: 3 }).notNull(),
    workedBy: varchar('worked_by', { length: 40 }).notNull(),
    /** What it is found by: its own words folded; hands and days, each between line breaks. */
    words: exactText().notNull(),
    hands: exactText().notNull(),
    days: exactText().notNull(),
  },
  (table) => [index('summaries_shelf').on(table.shelf, table.workedAt, table.jobId, table.wakes)],
)

/** What a summary needs of each record: worked out when the record is saved, since a line takes long. */
export const gists = mysqlTable(
  'gists',
  {
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    kind: varchar({ length: 12 }).notNull(),
    recordId: varchar('record_id', { length: 40 }).notNull(),
    /** Its place among those of its kind: its number, or when it was begun. */
    place: bigint({ mode: 'number' }).notNull(),
    gist: json().notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.kind, table.recordId] })],
)

/** Jobs that were deleted: whose word it was, and the last hash of the log that went with them. Only ever added. */
export const droppedJobs = mysqlTable(
  'dropped_jobs',
  {
    id: varchar({ length: 40 }).primaryKey(),
    key: varchar('act_key', { length: 40 }).notNull(),
    slug: varchar({ length: 80 }).notNull(),
    name: varchar({ length: 80 }).notNull(),
    by: varchar('by_hand', { length: 40 }).notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
    takenAt: datetime('taken_at', { mode: 'string', fsp: 3 }).notNull(),
    acts: int().notNull(),
    head: char({ length: 64 }).notNull(),
  },
  (table) => [index('dropped_jobs_slug').on(table.slug), index('dropped_jobs_taken').on(table.takenAt)],
)
