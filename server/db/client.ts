import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2'
import mysql from 'mysql2/promise'
import * as schema from './schema'

export type Database = MySql2Database<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** Connections kept; a loopback server with one process needs few. */
const CONNECTIONS = 10
/** How long a request waits for the database before it is told to try again, ms. */
const CONNECT_TIMEOUT_MS = 5000

let database: Database | undefined

/**
 * One use case as one transaction. Reads see what others committed before each statement: after waiting for a row's
 * lock, the snapshot that the default level keeps would still be the one from before the wait.
 */
export const inTransaction = <T>(work: (tx: Transaction) => Promise<T>): Promise<T> => useDatabase().transaction(work, { isolationLevel: 'read committed' })

/** The one pool of this process, at `DATABASE_URL`. */
export function useDatabase(): Database {
  if (database) return database
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set; npm start sets it')
  const pool = mysql.createPool({ uri: url, connectionLimit: CONNECTIONS, connectTimeout: CONNECT_TIMEOUT_MS, timezone: 'Z', charset: 'utf8mb4' })
  // MariaDB has no lateral joins, which the default mode writes.
  database = drizzle(pool, { schema, mode: 'planetscale' })
  return database
}
