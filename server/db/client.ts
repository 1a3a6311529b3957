import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2'
import mysql, { type Pool, type PoolConnection } from 'mysql2/promise'
import { driverFault, DUPLICATE } from './fault'

export type Database = MySql2Database
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/** Connections kept; a loopback server with one process needs few. */
const CONNECTIONS = 10
/** Requests that may wait for one of them; more are told at once to come again. */
const MOST_WAITING = 60
/** How long a request waits for a connection, ms. */
const CONNECT_WITHIN_MS = 3000
/** How long its work may take once it has one, ms. A connection that hangs is thrown away, not given to the next. */
const WORK_WITHIN_MS = 8000
/**
 * The database's own bounds, s, under ours: they end a statement in order instead of cutting its connection; and the
 * level of transactions, see `inTransaction`.
 */
const SESSION = [
  'SET SESSION max_statement_time = 5, innodb_lock_wait_timeout = 4',
  'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
]

/** The database did not answer in time. What was sent may or may not have been done. */
export class DatabaseBusy extends Error {
  override name = 'DatabaseBusy'
}

let pool: Pool | undefined

/** The one pool of this process, at `DATABASE_URL`. */
function usePool(): Pool {
  if (pool) return pool
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set; npm start sets it')
  pool = mysql.createPool({
    uri: url,
    connectionLimit: CONNECTIONS,
    queueLimit: MOST_WAITING,
    connectTimeout: CONNECT_WITHIN_MS,
    timezone: 'Z',
    charset: 'utf8mb4',
  })
  pool.pool.on('connection', (connection) => {
    for (const statement of SESSION) connection.query(statement, () => undefined)
  })
  return pool
}

/** What `work` gives, or `DatabaseBusy` once the time is up; `late` gets what comes after all. */
async function within<T>(ms: number, work: Promise<T>, late: (value: T) => void = () => undefined): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  let isLate = false
  const timeUp = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      isLate = true
      reject(new DatabaseBusy(`no answer within ${ms} ms`))
    }, ms)
  })
  work.then(
    (value) => isLate && late(value),
    () => undefined,
  )
  try {
    return await Promise.race([work, timeUp])
  } finally {
    clearTimeout(timer)
  }
}

/** The query builder of each connection of the pool: it is dearer to make than most queries are. */
const BUILDERS = new WeakMap<object, Database>()

function onConnection(connection: PoolConnection): Database {
  // The pool wraps the same connection anew each time it is lent.
  const own = (connection as unknown as { connection: object }).connection
  const known = BUILDERS.get(own)
  if (known) return known
  const made = drizzle(connection) as unknown as Database
  BUILDERS.set(own, made)
  return made
}

async function withConnection<T>(work: (db: Database, connection: PoolConnection) => Promise<T>): Promise<T> {
  const connection = await within(CONNECT_WITHIN_MS, usePool().getConnection(), (late) => late.release())
  try {
    const value = await within(WORK_WITHIN_MS, work(onConnection(connection), connection))
    connection.release()
    return value
  } catch (error) {
    if (error instanceof DatabaseBusy) connection.destroy()
    else connection.release()
    throw error
  }
}

/** Reads of one use case, on one connection, within a bounded time. */
export const reading = <T>(work: (db: Database) => Promise<T>): Promise<T> => withConnection(work)

/**
 * One use case as one transaction, within a bounded time. Reads see what others committed before each statement: after
 * waiting for a row's lock, the snapshot that the default level keeps would still be the one from before the wait.
 */
export const inTransaction = <T>(work: (tx: Transaction) => Promise<T>): Promise<T> =>
  withConnection(async (db, connection) => {
    await connection.beginTransaction()
    try {
      // The builder of the connection itself: what is prepared on it stays prepared.
      const value = await work(db as unknown as Transaction)
      await connection.commit()
      return value
    } catch (error) {
      await connection.rollback().catch(() => connection.destroy())
      throw error
    }
  })

/** A statement of which only the values differ: put together once on each connection. */
export function prepared<S>(build: (db: Transaction) => S): (db: Database | Transaction) => S {
  const known = new WeakMap<object, S>()
  return (db) => {
    const made = known.get(db) ?? build(db as Transaction)
    known.set(db, made)
    return made
  }
}

/**
 * Tries of one transaction that another try may get through, by MariaDB's number of the conflict: a deadlock, a row begun
 * by two at once, and a wait for a lock, which took its time already.
 */
const TRIES: ReadonlyMap<number | undefined, number> = new Map([
  [1213, 4],
  [DUPLICATE, 4],
  [1205, 2],
])
/** Longest pause between two tries, ms. */
const PAUSE_MS = 60

/** Does a transaction again, whole, where it met another; what it was asked first is asked anew. */
export async function retrying<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await work()
    } catch (error) {
      if (tries >= (TRIES.get(driverFault(error).errno) ?? 1)) throw error
      await new Promise((resolve) => setTimeout(resolve, Math.random() * PAUSE_MS))
    }
  }
}
