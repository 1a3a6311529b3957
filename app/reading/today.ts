/** Today as the record writes a day, such as 2026-11-26. */
export const today = (): string => new Date().toISOString().slice(0, 10)
