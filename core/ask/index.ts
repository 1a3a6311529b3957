export { SHAPES, understand } from './understand'
export { suggestNext } from './suggest'
export type { AskQuestion, Understood } from './types'
