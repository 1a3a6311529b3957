import type { Ref } from 'vue'
import { useStorage } from '@vueuse/core'
import { recordOf, type Act } from '#core/acts'
import type { JobRecord } from '#core/record'
import type { Entry } from '~/outbox/entry'
import { rules } from '~/outbox/rules'

/** What this hand did that can be taken back, in words; `back` null where it stays on record. */
export interface Done {
  key: string
  job: string
  record: string
  name: Act['name']
  words: string
  back: Act | null
}

/** So many are remembered, over a reload too. */
const MOST_DONE = 40
/** What takes more letters to put back is not remembered: it would slow down every tap. */
const MOST_LETTERS = 20_000

/** Fields of a change that was typed on in one entry go back to what they were before the first letter. */
function joined(before: Done | undefined, now: Done): Done {
  if (before?.key !== now.key || !before.back || !now.back || before.back.name !== now.back.name) return now
  return { ...now, back: { ...now.back, body: { ...now.back.body, ...before.back.body } } as Act }
}

/** What was done on this tablet, so that it can be taken back by the act's own undo. */
export function createDone() {
  const done: Ref<Done[]> = useStorage('jolvet-done', [], undefined, { shallow: true })

  return {
    /** The last thing done to a job itself, such as to put it to the archive. */
    lastOfJobs: (): Done | undefined =>
      done.value.findLast(({ name, back }) => name.startsWith('job/') && back !== null),
    /** The last thing done on a job that is not taken back yet. */
    lastOn: (job: string): Done | undefined => done.value.findLast((one) => one.job === job),
    /** Remembers an act, of the job as it was before and after it. */
    note(
      { key, job, record, act }: Pick<Entry, 'key' | 'job' | 'record' | 'act'>,
      was: JobRecord,
      is: JobRecord | undefined,
    ) {
      const { actOf, entryWords, recordWords, takeBackOf } = rules()
      const { on } = actOf(act.name)
      const [before, after] = [recordOf(was, on, record) ?? null, (is && recordOf(is, on, record)) ?? null]
      const words = `${recordWords({ record, act }, after ? is : was)}: ${entryWords({ act }, was)}`
      const back = takeBackOf(act, { key, before, after })
      const isLong = back !== null && JSON.stringify(back.body).length > MOST_LETTERS
      const one = joined(done.value.at(-1), { key, job, record, name: act.name, words, back: isLong ? null : back })
      const others = done.value.filter((other) => other.key !== key)
      done.value = [...others, one].slice(-MOST_DONE)
    },
    /** It was taken back, or never came to be. */
    forget(key: string) {
      if (done.value.some((one) => one.key === key)) done.value = done.value.filter((one) => one.key !== key)
    },
  }
}
