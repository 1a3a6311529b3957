import { customType, datetime, index, int, json, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

export const finds = mysqlTable(
  'finds',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    place: varchar({ length: 120 }).notNull(),
    notes: varchar({ length: 2000 }).notNull().default(''),
    typed: varchar({ length: 200 }).notNull(),
    by: varchar('measured_by', { length: 20 }).notNull(),
    answers: json().notNull(),
    cannot: json().notNull().default([]),
    pipe: varchar({ length: 60 }),
    /** What it was kept as, in order; only ever added to. */
    verdicts: json().notNull().default([]),
    version: int().notNull().default(1),
    createdAt: datetime('created_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
  },
  (table) => [index('finds_job').on(table.jobId)],
)

const mediumblob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'mediumblob' })

/** Photos of finds: JPEG without metadata, as they are shown. */
export const photos = mysqlTable(
  'photos',
  {
    id: varchar({ length: 40 }).primaryKey(),
    findId: varchar('find_id', { length: 40 })
      .notNull()
      .references(() => finds.id, { onDelete: 'cascade' }),
    name: varchar({ length: 200 }).notNull(),
    width: int().notNull(),
    height: int().notNull(),
    data: mediumblob().notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
    by: varchar('taken_by', { length: 40 }).notNull(),
  },
  (table) => [index('photos_find').on(table.findId)],
)
