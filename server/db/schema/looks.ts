import { datetime, int, json, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

/** Joints that were there already, looked at: what was seen, and what it came to. Only ever added. */
export const looks = mysqlTable(
  'looks',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    number: int().notNull(),
    look: json().notNull(),
    verdict: varchar({ length: 8 }).notNull(),
    found: json().notNull(),
    version: int().notNull().default(1),
    updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
  },
  (table) => [unique('looks_job_number').on(table.jobId, table.number)],
)
