/** Now, as MariaDB keeps it: UTC with milliseconds. */
export const nowForDatabase = (): string => new Date().toISOString().replace('T', ' ').replace('Z', '')

/** A time read from the database, as it goes over HTTP. */
export const toIso = (at: string): string => `${at.replace(' ', 'T')}Z`
