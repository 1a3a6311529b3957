import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { inTransaction, type Transaction } from '../db/client'
import { receipts } from '../db/schema'
import { invalid } from '../http/problem'
import { forDatabase } from './time'

/** Who writes, when it was done, and the key by which it is known when it comes again. */
export interface Write {
  key: string | null
  /** Digest of the whole request. */
  request: string
  /** When it was done, by this machine's clock. */
  at: Date
  /** Name of the hand or tablet; empty where none was given. */
  by: string
}

/** Id of what a write begins: the sender's own, else one that is the same when the write comes again. */
export const idOf = (own: string | undefined, { key }: Write): string => own ?? key ?? randomUUID()

const DUPLICATE = 1062
const isDuplicate = (error: unknown): boolean =>
  error instanceof Error && error.cause instanceof Error && 'errno' in error.cause && error.cause.errno === DUPLICATE

/**
 * A write with its receipt, in one transaction: both are saved or neither is. A key that has a receipt is not worked
 * again; `again` reads what stands now. Problem 422 where the key was given to another write.
 */
export const once = <T>(
  write: Write,
  again: (tx: Transaction) => Promise<T>,
  work: (tx: Transaction) => Promise<T>,
): Promise<T> =>
  inTransaction(async (tx) => {
    if (write.key === null) return work(tx)
    try {
      // The same key coming twice at once waits here for the first to be saved.
      await tx.insert(receipts).values({ key: write.key, request: write.request, at: forDatabase(new Date()) })
    } catch (error) {
      if (!isDuplicate(error)) throw error
      const [receipt] = await tx.select().from(receipts).where(eq(receipts.key, write.key))
      if (receipt?.request !== write.request)
        throw invalid({
          code: 'impossible',
          path: 'Idempotency-Key',
          message: 'Idempotency-Key: this key was given to another write. Give each write a key of its own.',
        })
      return again(tx)
    }
    return work(tx)
  })
