import { begins } from '../act'
import { lookBody } from './schema'
import { keepLook } from './work'

export const lookActs = {
  'look/keep': begins('looks', {
    body: lookBody,
    means: 'What was seen of a joint that was there already is kept, with what it came to.',
    says: ({ place }) => `joint looked at${place ? `: ${place}` : ''}`,
    apply: (rules, body, doing) => keepLook(rules, body, doing),
  }),
}
