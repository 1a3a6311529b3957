import { datetime, index, int, json, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

export const finds = mysqlTable('finds', {
  id: varchar({ length: 40 }).primaryKey(),
  jobId: varchar('job_id', { length: 40 }).notNull().references(() => jobs.id, { onDelete: 'cascade' }),
  place: varchar({ length: 120 }).notNull(),
  typed: varchar({ length: 200 }).notNull(),
  by: varchar('measured_by', { length: 20 }).notNull(),
  answers: json().notNull(),
  pipe: varchar({ length: 60 }),
  version: int().notNull().default(1),
  createdAt: datetime('created_at', { mode: 'string', fsp: 3 }).notNull(),
  updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
  updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
}, table => [index('finds_job').on(table.jobId)])
