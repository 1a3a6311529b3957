import { bringRules } from './rules'

// On a page they are brought with the first job; here they are there from the start.
await bringRules()
