import { int, json, mysqlTable, smallint, varchar, datetime } from 'drizzle-orm/mysql-core'

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
  counts: json().notNull().default([]),
  handedOver: datetime('handed_over', { mode: 'string', fsp: 3 }),
  position: int().notNull(),
  version: int().notNull().default(1),
  updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }),
  updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
})
