import type { UnitSystem } from '#core/units'
import type { Region } from './types'

/** What a job of a country is measured in. */
export const unitSystemOf = (region: Region): UnitSystem => (region === 'us' ? 'inch' : 'metric')
