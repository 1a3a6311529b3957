import { fail, ok, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import { identifyPipe } from '#core/identify'
import { restingOn } from '../joint/rests'
import { MOST_PHOTOS } from './photo'
import { readFind } from './reading'
import type { Hand } from '../hand'
import type { FindBody } from './schema'
import type { FindRecord, PhotoRecord } from './record'
import type { JobRecord } from '../job/record'
import type { JointRecord } from '../joint/record'

/* What each piece of work makes of a find, asked on the tablet and by the server alike: see `work.ts` for joints. */

/** What of a job its finds are weighed by. */
export type FindRules = Pick<JobRecord, 'region' | 'year'>

/**
 * A find with some fields changed; another pipe than before is a verdict of its own. Fails at `pipe` where the catalogue
 * has no such pipe.
 */
export function changeFind(
  rules: FindRules,
  find: FindRecord,
  changes: Partial<FindBody>,
  hand: Hand,
): Result<FindRecord> {
  if (changes.pipe) {
    const found = findPipe(changes.pipe, 'pipe')
    if (!found.ok) return found
  }
  const after: FindRecord = { ...find, ...changes }
  if (after.pipe === find.pipe) return ok(after)
  return ok({
    ...after,
    verdicts: [
      ...find.verdicts,
      { pipe: after.pipe, probability: after.pipe === null ? null : probabilityOf(rules, after, after.pipe), ...hand },
    ],
  })
}

/** A find as it is begun, at version 1. */
export const beginFind = (rules: FindRules, id: string, body: FindBody, hand: Hand): Result<FindRecord> =>
  changeFind(
    rules,
    { ...body, pipe: null, id, version: 1, photos: [], verdicts: [], updatedAt: hand.at, updatedBy: hand.by },
    body,
    hand,
  )

/** How likely a find is a pipe, by all that was checked at it; null where its checks cannot be weighed together. */
function probabilityOf({ region, year }: FindRules, find: FindRecord, pipe: string): number | null {
  const { checks } = readFind(find, region)
  const answer = identifyPipe({ region, ...(year === null ? {} : { year }), checks })
  return answer.ok ? (answer.value.candidates.find((candidate) => candidate.pipe === pipe)?.probability ?? 0) : null
}

/** A photo put to a find. Twice the same changes nothing; over `MOST_PHOTOS` is `too-many`. */
export function addPhoto(find: FindRecord, photo: PhotoRecord): Result<FindRecord> {
  if (find.photos.some(({ id }) => id === photo.id)) return ok(find)
  if (find.photos.length >= MOST_PHOTOS)
    return fail('too-many', 'photo', `photo: ${MOST_PHOTOS} are on this find. Take one off first.`)
  return ok({ ...find, photos: [...find.photos, photo] })
}

/** A photo taken off a find. */
export const dropPhoto = (find: FindRecord, id: string): Result<FindRecord> =>
  ok(
    find.photos.some((photo) => photo.id === id)
      ? { ...find, photos: find.photos.filter((photo) => photo.id !== id) }
      : find,
  )

/** A find taken out. Fails at `find` where a joint rests on it. Its photos go with it. */
export function dropFind(
  rules: { joints: readonly Pick<JointRecord, 'number' | 'findA' | 'findB'>[] },
  find: Pick<FindRecord, 'id'>,
): Result<null> {
  const names = restingOn(rules, find).map(({ number }) => `J${number}`)
  return names.length === 0
    ? ok(null)
    : fail(
        'impossible',
        'find',
        `find: ${names.join(', ')} ${names.length === 1 ? 'rests' : 'rest'} on it. Give the end another pipe there first.`,
      )
}
