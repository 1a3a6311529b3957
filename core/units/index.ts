export { formatDecimal, formatLength, formatMm, toTape } from './format'
export type { TapeReading, UnitSystem } from './format'
export { MM_PER_INCH, parseLength } from './parse-length'
export type { ParsedLength } from './parse-length'
