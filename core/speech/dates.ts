import type { Region } from '#core/units'

/** How a region writes days and hours: 3 Dec and 15:05, or Dec 3 and 3:05 PM. */
export const LOCALES: Readonly<Record<Region, string>> = { gb: 'en-GB', eu: 'en-GB', us: 'en-US' }
