export { SHAPES, understand } from './understand'
export { suggestNext } from './suggest'
export type { AskQuestion, AskWord, Understood } from './types'
