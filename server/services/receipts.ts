import { eq } from 'drizzle-orm'
import type { Transaction } from '../db/client'
import { receipts } from '../db/schema'

/** Whether there are any: none is ever added, so that this is asked once. */
let areThere: boolean | undefined

/** Whether an earlier version, which kept no log, took the write of this key. */
export async function wasTakenBefore(tx: Transaction, key: string): Promise<boolean> {
  areThere ??= (await tx.select({ key: receipts.key }).from(receipts).limit(1)).length > 0
  if (!areThere) return false
  const rows = await tx.select({ key: receipts.key }).from(receipts).where(eq(receipts.key, key))
  return rows.some((row) => row.key === key)
}
