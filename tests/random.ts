/** A start that is printed, so that a run can be had again: SEED=n npm test. */
export function seeded(name: string): () => number {
  const seed = Number(process.env.SEED ?? Date.now() % 1_000_000)
  console.log(`${name}: SEED=${seed}`)
  // Mulberry32: small, and the same everywhere.
  let state = seed >>> 0
  return () => {
    state = (state + 0x6D2B79F5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}
