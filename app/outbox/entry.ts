import type { Act, AnyRecord, Clash, Fields, SentAct } from '#core/acts'
import { ok, type Issue, type Result } from '#core/base'
import type { JobRecord } from '#core/record'
import { rules } from './rules'

/** One thing done on this tablet, kept until the server has it. */
export interface Entry {
  /** By which the server knows it when it comes twice; what an act adds to its record takes it as its id. */
  key: string
  /** The page it was done on: only there it is still typed into. */
  page: string
  /** When it was done, ms since 1970, by the server's clock as it was known then, or by the tablet's where it was not. */
  at: number
  clock: 'server' | 'tablet'
  /** Name of the hand. */
  by: string
  /** Id of its job and of the record it is on. */
  job: string
  record: string
  act: Act
  /** Version of the record as it was seen; null where it is begun. */
  version: number | null
  /** The fields it rests on, as the screen showed them. */
  seen?: Fields
  /** The picture of a photo in base64, JPEG. */
  photo?: string
  /** Sent at least once: the server may have it, so it is not changed any more. */
  isSealed: boolean
  state: 'waiting' | 'clash' | 'refused'
  /** The beginning of a job that nobody has named yet: it stays here with all that is done on it. */
  isLoose?: boolean
  /** Why it came back. */
  issue?: Issue
  /** The record as the other hand saved it, and the fields both set. */
  saved?: AnyRecord
  clashes?: Clash[]
}

/** An entry as it goes out; the same each time it does. */
export const toSent = ({ key, job, record, version, seen, at, clock, by, act }: Entry): SentAct => ({
  key,
  name: act.name,
  job,
  record,
  version,
  ...(seen ? { seen } : {}),
  at: new Date(at).toISOString(),
  clock,
  by,
  body: act.body,
})

/** Whether an act sets fields, so that more can be typed into it until it is sent. */
export const isChange = ({ name }: Act): boolean => {
  const { does, rests, sees } = rules().actOf(name)
  return does === 'changes' && rests === 'fields' && sees.length === 0
}
/** Whether an act rests on a version alone: what is done to its record before it has to be answered first. */
export const restsOnVersion = ({ name }: Act): boolean => rules().actOf(name).rests === 'version'

/** What an entry waits behind: those before it of its record. */
export const lane = ({ act, job, record }: Entry): string => rules().laneOf(act.name, job, record)

/** What an act rests on, beside itself. */
export type About = Partial<Pick<Entry, 'version' | 'seen' | 'photo' | 'key' | 'isLoose'>>

/** A job as it stands once an entry is done; null where it is deleted. Fails with what core says against it. */
export function applyEntry(
  job: JobRecord,
  { key, at, by, clock, record, act, photo }: Entry,
): Result<JobRecord | null> {
  const after = rules().applyToJob(job, act, record, { key, at: new Date(at).toISOString(), by, clock })
  if (!after.ok || !after.value || photo === undefined) return after
  // Until the server has it a photo is shown from this tablet.
  return ok({
    ...after.value,
    finds: after.value.finds.map((find) =>
      find.id === record
        ? {
            ...find,
            photos: find.photos.map((one) =>
              one.id === key ? { ...one, data: `data:image/jpeg;base64,${photo}` } : one,
            ),
          }
        : find,
    ),
  })
}
