import { changed, changes } from '../act'
import { countParts, foundThere } from './counts'
import { countBody, foundBody, kitFields } from './schema'
import { changeKit } from './work'

export const kitActs = {
  'kit/change': changes('jobs', {
    body: kitFields.patch,
    rests: 'fields',
    means: 'Policies, tools, measured fittings or benders of a job are changed.',
    says: changed,
    apply: (_, job, body) => changeKit(job, body),
  }),
  'kit/count': changes('jobs', {
    body: countBody,
    means: 'Small parts that joints take are counted out, or back again.',
    says: ({ item, out, back }) => `${item}: ${out} out${back === null ? '' : `, ${back} back`}`,
    apply: (_, job, body, hand) => countParts(job, body, hand),
  }),
  'kit/found': changes('jobs', {
    body: foundBody,
    means: 'A joint that may lack a part was looked at and has it.',
    says: ({ item }) => `${item} is there`,
    apply: (_, job, body) => foundThere(job, body),
  }),
}
