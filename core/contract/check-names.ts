import type { Check } from '#core/identify'

/** What may be checked on a pipe, by the names the question knows. Here alone, so that an issue is put in words without the schemas. */
export const CHECK_NAMES = [
  'outside-diameter',
  'wall',
  'bore',
  'print',
  'colour',
  'stripe',
  'flex',
  'magnet',
  'scratch',
  'held-by',
  'lagging',
  'warm',
  'traced',
] as const satisfies readonly Check['check'][]
