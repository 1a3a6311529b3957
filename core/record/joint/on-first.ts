import type { Step } from '#core/joints'
import { speak, w } from '#core/speech'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'
import type { OnFirst } from './schema'

/** What is put on a pipe before its end is closed, in words. */
const ON_FIRST_WORDS: Readonly<Record<OnFirst, string>> = {
  flange: 'flange',
  nut: 'nut',
  ring: 'ring',
  sleeve: 'sleeve',
  lagging: w.lagging,
  cover: 'cover plate',
}
export const onFirstWords = (what: OnFirst, { region }: Pick<JobRecord, 'region'>): string =>
  speak(ON_FIRST_WORDS[what], region)

/** The step that asks for what has to be on the pipe of an end before it is closed; null where nothing has. */
export function onFirstStep(
  job: Pick<JobRecord, 'region'>,
  { onFirst }: Pick<JointRecord, 'onFirst'>,
  on: 'a' | 'b' | 'between',
): Step | null {
  const things = onFirst.filter((one) => one.on === on).map(({ what }) => onFirstWords(what, job))
  return things.length === 0
    ? null
    : {
        id: 'onpipe',
        code: 'onpipe',
        do: `On this pipe first: ${things.join(', then ')}`,
        why: 'Once the end is closed nothing goes over it.',
        check: things.length === 1 ? 'It faces the right way.' : 'In this order, each facing the right way.',
      }
}
