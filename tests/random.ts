import { randomFrom } from '../scripts/random'

/** A start that is printed, so that a run can be had again: SEED=n npm test. */
export function seeded(name: string): () => number {
  const seed = Number(process.env.SEED ?? Date.now() % 1_000_000)
  console.log(`${name}: SEED=${seed}`)
  return randomFrom(seed)
}
