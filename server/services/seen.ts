/*
 * Which rows of a growing table were read already. Numbers are given before a transaction ends, so that a lower one may
 * come to be seen after a higher one: a gap is waited for, and let go when nothing can come into it any more.
 */

/** A transaction that has not ended by then never will, ms: the database ends it before. */
const GAP_MS = 15_000

/** Rows up to `floor` were seen, and those of `above`. */
export class SeenRows {
  private above = new Map<number, number>()

  constructor(private at: number) {}

  /** Every row up to this one was seen. */
  get floor(): number {
    return this.at
  }

  /** The rows that were not seen before; they are from now on. `now`: ms. */
  take<T extends { seq: number }>(rows: readonly T[], now: number): T[] {
    const fresh = rows.filter(({ seq }) => seq > this.at && !this.above.has(seq))
    for (const { seq } of fresh) this.above.set(seq, now)
    this.rise(now)
    return fresh
  }

  private rise(now: number): void {
    for (const [seq, at] of [...this.above].sort(([a], [b]) => a - b)) {
      if (seq !== this.at + 1 && now - at < GAP_MS) return
      this.at = seq
      this.above.delete(seq)
    }
  }
}
