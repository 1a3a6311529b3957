export { judgeReading } from './judge'
export { decimalsApart, lengthsApart } from './apart'
export { formatDecimal, formatLength, formatMm, formatTape, toTape } from './format'

export { parseLength } from './parse-length'

export { MM_PER_INCH } from './system'
export type { UnitSystem } from './system'
export { FLOW_EXAMPLES, parseFlow } from './parse-flow'
export { tickRank } from './ticks'
export type { TickRank } from './ticks'
export { REGIONS, unitSystemOf } from './region'
export type { Region } from './region'
export { parsePressure, parseTemperature } from './parse-quantity'
