import { fail, ok, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import type { OffcutBody } from './cut-schema'
import type { Hand } from './find-work'
import type { CutRecord, JobRecord, OffcutRecord } from './types'

/* What the rack holds and what a cut sheet makes of it, asked on the tablet and by the server alike: see `work.ts`. */

/** Most offcuts of the rack. */
const MOST_OFFCUTS = 500

/** Offcuts a sheet may be cut from: of its pipe, not promised elsewhere, not left alone. */
export const rackFor = (
  { rack }: Pick<JobRecord, 'rack'>,
  sheet: Pick<CutRecord, 'id' | 'pipe' | 'leave'>,
): OffcutRecord[] =>
  rack.filter(
    ({ id, pipe, promised }) =>
      pipe === sheet.pipe && (promised === null || promised.cut === sheet.id) && !sheet.leave.includes(id),
  )

/**
 * The rack once a sheet stands as it does: what its plan takes is promised to it; when it is finished, what was begun is
 * gone and what was kept is there.
 */
export function rackAfter(
  rack: readonly OffcutRecord[],
  job: Pick<JobRecord, 'id' | 'name'>,
  sheet: CutRecord | null,
  cut: string,
): OffcutRecord[] {
  const bars = sheet?.plan?.bars.filter(({ from }) => from === 'rack') ?? []
  const begun = new Set(bars.filter(({ id }) => sheet!.done.some(({ bar }) => bar === id)).map(({ stock }) => stock))
  const isWanted = (id: string) => !sheet?.result && bars.some(({ stock }) => stock === id)
  const after = rack
    .filter(({ id }) => !(sheet?.result && begun.has(id)))
    .map((offcut): OffcutRecord => {
      if (isWanted(offcut.id))
        return { ...offcut, promised: { job: job.id, name: job.name, cut, number: sheet!.number } }
      return offcut.promised?.cut === cut ? { ...offcut, promised: null } : offcut
    })
  for (const { id, length, place } of sheet?.result?.kept ?? [])
    if (!rack.some((one) => one.id === id))
      after.push({
        id,
        pipe: sheet!.pipe,
        length,
        place,
        job: job.id,
        from: `${job.name}, C${sheet!.number}`,
        at: sheet!.result!.at,
        by: sheet!.result!.by,
        promised: null,
      })
  return after
}

/**
 * An offcut put on the rack, or set right there. Fails where it is promised and would change its length, and where the
 * rack is full.
 */
export function putOffcut(
  job: Pick<JobRecord, 'id' | 'name' | 'rack'>,
  id: string,
  body: OffcutBody,
  { at, by }: Hand,
): Result<OffcutRecord> {
  const found = findPipe(body.pipe, 'pipe')
  if (!found.ok) return found
  const before = job.rack.find((one) => one.id === id)
  if (!before && job.rack.length >= MOST_OFFCUTS)
    return fail('too-many', 'rack', `rack: ${MOST_OFFCUTS} offcuts are on it. Take some off that are gone.`)
  if (before?.promised && (before.length !== body.length || before.pipe !== body.pipe))
    return fail(
      'impossible',
      'length',
      `length: this offcut is promised to ${before.promised.name}, sheet C${before.promised.number}. Leave it out there first.`,
    )
  return ok(before ? { ...before, ...body } : { id, ...body, job: job.id, from: job.name, at, by, promised: null })
}

/** Whether an offcut may be taken off the rack. */
export const offRack = (offcut: OffcutRecord): Result<null> =>
  offcut.promised
    ? fail(
        'impossible',
        'offcut',
        `This offcut is promised to ${offcut.promised.name}, sheet C${offcut.promised.number}. Leave it out there first.`,
      )
    : ok(null)
