/** Which unit a job is measured in. */
export type UnitSystem = 'metric' | 'inch'

/** Exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4
