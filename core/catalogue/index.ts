export { bendOf } from './bends'

export { comparePipes, namedBy } from './compare'

export { CHLORINE_DIGITS, MADE_FOR, PEX_TYPES, SURFACES, TEMPERS, TRACED } from './end-facts'
export type { ChlorineDigit, EndFacts, MadeFor, PexType, Surface, Temper } from './end-facts'
export { HAZARD_CODES, hazardNote, hazardOf, HAZARDS } from './hazards'
export type { HazardCode } from './hazards'
export { firstOf, namedDiameters, shortName } from './names'
export { findPipe, findPipes, getPipe, PIPES, pipesNear } from './pipes'

export { jointRating, pipeRating, pipeRatings } from './ratings'
export type { Rating } from './ratings'

export { bodySize, factsOf, FAMILY_WORDS, SERIES, seriesOf } from './series'
export { inchesOf, INCH_ORDER, METRIC_COPPER_ORDER, NOMINAL_OF_OUTSIDE, OUTSIDE_OF } from './sizes'
export { aboutSource, SOURCES, sourcesNamed } from './sources'
export {
  joinsKind,
  findSocket,
  ringGauge,
  ringGaugeSource,
  ringPosition,
  socketDepth,
  STANDARD_METHODS,
  bandClampMm,
  fusionOf,
  fusionTool,
  hasThread,
  insertionDepth,
  threadFormOf,
  threadMadeUp,
} from './sockets'

export { appliancesIn, isSmallTube, isSmallPlastic, tubeInsert, tubeNut } from './small-tubes'
export { soldAs } from './stock'

export { SUPPORT_CODES, spacingOf, supportCodeOf } from './supports'
export type { Spacing, SupportCode } from './supports'
export {
  findCapLength,
  findReducerTakeOut,
  findSlipLength,
  findTakeOut,
  findValveTakeOut,
  threadCapLength,
} from './take-outs'
export type { ValveMouth } from './take-outs'
export { turnReach, valveBody } from './valve-bodies'
export { FAMILIES, LINE_FITTINGS, LINE_VALVES, SOCKET_METHODS, USES, VALVES } from './types'
export type { Allowed, Family, LineFitting, Pipe, SeriesFacts, SocketMethod, ThreadForm, Use, Valve } from './types'
export { INSERT_WALL_MM } from './insert-wall'
