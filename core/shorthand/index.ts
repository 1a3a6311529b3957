export { Reader } from './reader'
export type { Word } from './reader'
export {
  longestFirst,
  materialNames,
  MATERIALS,
  METHOD_NAMES,
  nameOfPipe,
  pipesNamed,
  seriesOfMaterial,
  startsWith,
} from './words'
export type { Material } from './words'
