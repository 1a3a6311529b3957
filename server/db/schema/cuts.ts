import { datetime, double, index, int, json, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

/**
 * Cut sheets of a job: what is cut from what, the plan, and what was really cut. Lengths are texts as typed, or mm in
 * the plan.
 */
export const cuts = mysqlTable(
  'cuts',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    number: int().notNull(),
    name: varchar({ length: 120 }).notNull(),
    pipe: varchar({ length: 60 }).notNull(),
    sources: json().notNull(),
    extras: json().notNull(),
    cutter: varchar({ length: 12 }).notNull(),
    kerf: varchar({ length: 40 }).notNull(),
    keep: varchar('keep_from', { length: 40 }).notNull(),
    spare: varchar({ length: 40 }).notNull(),
    printed: varchar({ length: 40 }).notNull().default(''),
    prefer: varchar({ length: 16 }).notNull(),
    stock: json().notNull(),
    leave: json('left_alone').notNull(),
    plan: json(),
    done: json().notNull(),
    result: json(),
    version: int().notNull().default(1),
    updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
  },
  (table) => [unique('cuts_job_number').on(table.jobId, table.number)],
)

/** The rack: offcuts of every job, mm. */
export const offcuts = mysqlTable(
  'offcuts',
  {
    id: varchar({ length: 40 }).primaryKey(),
    pipe: varchar({ length: 60 }).notNull(),
    length: double().notNull(),
    place: varchar({ length: 80 }).notNull(),
    jobId: varchar('job_id', { length: 40 }).references(() => jobs.id, { onDelete: 'set null' }),
    /** Where it came off, in words that outlive the job. */
    origin: varchar({ length: 160 }).notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
    by: varchar('put_by', { length: 40 }).notNull().default(''),
    version: int().notNull().default(1),
    /** The cut sheet whose plan takes it. */
    promisedTo: varchar('promised_to', { length: 40 }).references(() => cuts.id, { onDelete: 'set null' }),
  },
  (table) => [index('offcuts_promised').on(table.promisedTo)],
)
