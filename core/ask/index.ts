export { shapesOf, understand } from './understand'
export { suggestNext } from './suggest'
export { lexicon } from './words'
export type { JobSaid, Understood } from './types'
