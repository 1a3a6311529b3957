export { Reader } from './reader'
export type { Word } from './reader'
export { longestFirst, MATERIAL_NAMES, METHOD_NAMES, nameOfPipe, pipesNamed, startsWith } from './words'
