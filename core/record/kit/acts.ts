import { changed, changes, setBack, undoneBy, type DoneAct } from '../act'
import { countParts, foundThere } from './counts'
import type { JobRecord } from '../job/record'
import { countBody, foundBody, kitFields, type CountBody } from './schema'
import { changeKit } from './work'

/** A count as it was before; null where there was none to go back to. */
function countedAs({ counts }: Pick<JobRecord, 'counts'>, item: string): CountBody | null {
  const count = counts.find((one) => one.item === item)
  return count ? { item, out: count.out, back: count.back } : null
}

export const kitActs = {
  'kit/change': changes('jobs', {
    body: kitFields.patch,
    rests: 'fields',
    undo: setBack('kit/change'),
    means: 'Policies, tools, measured fittings or benders of a job are changed.',
    says: changed,
    apply: (_, job, body) => changeKit(job, body),
  }),
  'kit/count': changes('jobs', {
    body: countBody,
    undo: undoneBy(
      'kit/count',
      ({ body: { item }, before }: DoneAct<'jobs', CountBody>) => before && countedAs(before, item),
    ),
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
