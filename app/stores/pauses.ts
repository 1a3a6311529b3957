/** Pauses before something that found no server is tried again, ms; the last one is kept to. */
const PAUSES_MS = [1000, 2000, 4000, 8000, 15_000, 30_000] as const

/** How long to wait after so many failures in a row, ms. */
export const pauseAfter = (failures: number): number => PAUSES_MS[Math.min(failures, PAUSES_MS.length - 1)]!

export const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))
