export { SHAPES, understand } from './understand'
export { suggestNext } from './suggest'
export type { Understood } from './types'
