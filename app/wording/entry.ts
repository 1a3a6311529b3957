import { actOf, type Act, type Fields } from '#core/acts'
import type { JobRecord } from '#core/record'
import { isChange, type Entry } from '~/outbox/entry'
import { fieldWords, valueWords } from './values'

/** What a record is called on its job: J1, L2, a find by its place. */
export function nameOfRecord(record: string, job: JobRecord | undefined): string | undefined {
  const numbered = (letter: string, list: readonly { id: string; number: number }[] | undefined) => {
    const own = list?.find(({ id }) => id === record)
    return own && `${letter}${own.number}`
  }
  const at = job?.finds.findIndex(({ id }) => id === record) ?? -1
  return (
    numbered('J', job?.joints) ??
    numbered('L', job?.lines) ??
    numbered('C', job?.cuts) ??
    numbered('look ', job?.looks) ??
    (at < 0 ? undefined : job!.finds[at]!.place || `find ${at + 1}`)
  )
}

/** The record an entry is about, as it is called on the job. */
export function recordWords({ record, act }: Pick<Entry, 'record' | 'act'>, job: JobRecord | undefined): string {
  if (act.name === 'job/begin') return job?.name ?? act.body.name
  if (act.name === 'job/settle') return nameOfRecord(act.body.record, job) ?? 'entry'
  if (act.name.startsWith('job/')) return job?.name ?? 'job'
  const { on } = actOf(act.name)
  if (on === 'jobs') return 'kit'
  return nameOfRecord(record, job) ?? (on === 'rack' ? 'rack' : 'entry')
}

/** The keys of a map that changed, each by its name. */
function keysChanged(field: string, now: Fields, was: Fields, job: JobRecord | undefined): string {
  const keys = Object.keys(now).filter((key) => now[key] !== was[key])
  return (
    keys
      .map((key) => `${fieldWords(`${field}.${key}`, job?.region)}: ${valueWords(`${field}.${key}`, now[key], job)}`)
      .join(', ') || fieldWords(field, job?.region)
  )
}

/** Fields that are said as one thing, though they have parts. */
const WHOLE: ReadonlySet<string> = new Set(['a', 'b', 'waits'])

function changeWords(body: Fields, seen: Fields, job: JobRecord | undefined): string {
  return Object.entries(body)
    .map(([field, value]) => {
      const isMap = typeof value === 'object' && value !== null && !Array.isArray(value)
      return isMap && !WHOLE.has(field)
        ? keysChanged(field, value as Fields, (seen[field] ?? {}) as Fields, job)
        : `${fieldWords(field, job?.region)}: ${valueWords(field, value, job)}`
    })
    .join(', ')
}

/** What was done, in a few words. */
export const entryWords = ({ act, seen }: { act: Act; seen?: Fields }, job: JobRecord | undefined): string =>
  isChange(act) ? changeWords(act.body, seen ?? {}, job) : actOf(act.name).says(act.body, job)
