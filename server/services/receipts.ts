import { eq } from 'drizzle-orm'
import type { Transaction } from '../db/client'
import { receipts } from '../db/schema'

/** Whether an earlier version, which kept no log, took the write of this key. */
export async function wasTakenBefore(tx: Transaction, key: string): Promise<boolean> {
  const rows = await tx.select({ key: receipts.key }).from(receipts).where(eq(receipts.key, key))
  return rows.some((row) => row.key === key)
}
