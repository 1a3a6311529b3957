import { datetime, index, json, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

/** Two entries for one field that met, and whose was kept. Only ever added. */
export const clashes = mysqlTable(
  'clashes',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    kind: varchar({ length: 12 }).notNull(),
    recordId: varchar('record_id', { length: 40 }).notNull(),
    fields: json().notNull(),
    kept: varchar({ length: 8 }).notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
  },
  (table) => [index('clashes_job').on(table.jobId)],
)
