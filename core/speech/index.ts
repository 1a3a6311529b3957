export { BAR_PER_PSI, LITRES_PER_GALLON, MM_PER_FOOT, quantityWords, toFahrenheit, unitOf } from './figures'
export type { QuantityName } from './figures'
export { clockWords, dateWords, LOCALES, weekdayWords } from './dates'
export { hasMarks } from './marks'
export {
  about,
  diameter,
  flow,
  force,
  length,
  lengths,
  perRegion,
  pressure,
  rise,
  run,
  soldInFeet,
  soldInMetres,
  speak,
  speakAll,
  speed,
  speeds,
  spoken,
  temperature,
  temperatures,
  volume,
} from './speak'
export { colourWords, TERMS, w } from './terms'
export type { TermName } from './terms'
