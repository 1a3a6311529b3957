import { char, datetime, int, json, mysqlTable, smallint, varchar } from 'drizzle-orm/mysql-core'

export const jobs = mysqlTable('jobs', {
  id: varchar({ length: 40 }).primaryKey(),
  slug: varchar({ length: 80 }).notNull().unique(),
  name: varchar({ length: 80 }).notNull(),
  place: varchar({ length: 120 }).notNull(),
  region: varchar({ length: 4 }).notNull(),
  year: smallint(),
  policy: json().notNull(),
  tools: json(),
  fittings: json().notNull().default([]),
  benders: json().notNull().default([]),
  /** The user's own, by method and size; the supplier's, by part. */
  minutes: json().notNull().default([]),
  prices: json().notNull().default([]),
  /** What the van holds, by part. */
  van: json().notNull().default([]),
  hotWork: json('hot_work').notNull().default({}),
  counts: json().notNull().default([]),
  handedOver: datetime('handed_over', { mode: 'string', fsp: 3 }),
  archivedAt: datetime('archived_at', { mode: 'string', fsp: 3 }),
  waits: json(),
  position: int().notNull(),
  /** Acts of its log, and the hash of the last: a row of the log that is cut off its end is missed here. */
  acts: int().notNull().default(0),
  head: char({ length: 64 }).notNull().default(''),
  version: int().notNull().default(1),
  updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }),
  updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
})
