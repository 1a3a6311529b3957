import { char, datetime, index, mysqlTable, varchar } from 'drizzle-orm/mysql-core'

/** Keys of writes that an earlier version took, before there was a log: one that comes again is not done twice. */
export const receipts = mysqlTable(
  'receipts',
  {
    key: varchar('write_key', { length: 64 }).primaryKey(),
    /** SHA-256 of method, address and body, so that a key is not taken for another write. */
    request: char({ length: 64 }).notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
  },
  (table) => [index('receipts_at').on(table.at)],
)
