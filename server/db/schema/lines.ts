import { datetime, int, json, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

/** Lines of a job; legs and walls are texts as they were typed. */
export const lines = mysqlTable(
  'lines',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    number: int().notNull(),
    name: varchar({ length: 120 }).notNull(),
    pipe: varchar({ length: 60 }).notNull(),
    method: varchar({ length: 20 }).notNull(),
    corners: varchar({ length: 12 }).notNull(),
    start: varchar('begins_at', { length: 100 }).notNull(),
    walls: json().notNull(),
    legs: json().notNull(),
    /** How it is held, as far as it was said; supports moved by hand or fixed. */
    fix: json().notNull().default({}),
    clips: json().notNull().default({}),
    /** Steps of its bends done, by piece and step. */
    pulled: json().notNull().default({}),
    version: int().notNull().default(1),
    updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
  },
  (table) => [unique('lines_job_number').on(table.jobId, table.number)],
)
