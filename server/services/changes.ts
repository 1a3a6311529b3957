/* What was changed, told to those who listen: the pages of this process's tablets. */

/** A job that an act was taken on, and whether the rack changed with it. */
export interface Changed {
  job: string
  isOnRack: boolean
}

const listeners = new Set<(changed: Changed) => void>()

/** Hears of what this process takes, at once. Gives what stops it. */
export function onChanged(listener: (changed: Changed) => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** An act was taken here. */
export const changedJob = (changed: Changed): void => {
  for (const listener of listeners) listener(changed)
}
