import type { UnitSystem } from './system'

/** Where a job is: whose units, words, pipes and codes it goes by. */
export const REGIONS = ['us', 'gb', 'eu'] as const
export type Region = (typeof REGIONS)[number]

/** What a job of a country is measured in. */
export const unitSystemOf = (region: Region): UnitSystem => (region === 'us' ? 'inch' : 'metric')
