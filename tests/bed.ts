import { inject } from 'vitest'

/**
 * A server to test on and its database: each worker has one of its own, so what runs beside it never meets its data.
 */
export interface Bed {
  baseUrl: string
  databaseUrl: string
  /** Where its database lives, for tests that restart it. */
  databaseFolder: string
}

declare module 'vitest' {
  interface ProvidedContext {
    beds: Bed[]
    /** A stopped database with the demo jobs, to begin from. */
    template: string
  }
}

/** The bed of the worker that asks. */
export const ownBed = (): Bed => inject('beds')[Number(process.env.VITEST_POOL_ID) - 1]!
