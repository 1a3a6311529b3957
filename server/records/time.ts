/** A time as MariaDB keeps it: UTC with milliseconds. */
export const forDatabase = (at: Date): string => at.toISOString().replace('T', ' ').replace('Z', '')

/** A time read from the database, as it goes over HTTP. */
export const toIso = (at: string): string => `${at.replace(' ', 'T')}Z`

/** A time as it goes over HTTP, as MariaDB keeps it. */
export const toDatabase = (iso: string): string => forDatabase(new Date(iso))

/** Today as a day, ISO 8601, UTC. */
export const isoToday = (): string => new Date().toISOString().slice(0, 10)
