import { fail, ok, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import type { Hand } from '../hand'
import type { CutRecord } from '../cut/record'
import type { JobRecord } from '../job/record'
import type { OffcutRecord } from './record'
import type { OffcutBody } from './schema'

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
        version: 1,
        promised: null,
      })
  return after
}

/** An offcut put on the rack. Fails where there is no such pipe, and where the rack is full. */
export function putOffcut(
  job: Pick<JobRecord, 'id' | 'name' | 'rack'>,
  id: string,
  body: OffcutBody,
  { at, by }: Hand,
): Result<OffcutRecord> {
  const found = findPipe(body.pipe, 'pipe')
  if (!found.ok) return found
  if (job.rack.length >= MOST_OFFCUTS)
    return fail('too-many', 'rack', `rack: ${MOST_OFFCUTS} offcuts are on it. Take some off that are gone.`)
  return ok({ id, ...body, job: job.id, from: job.name, at, by, version: 1, promised: null })
}

/** An offcut set right. Fails where there is no such pipe, and where it is promised as it was. */
export function changeOffcut(offcut: OffcutRecord, body: OffcutBody): Result<OffcutRecord> {
  const found = findPipe(body.pipe, 'pipe')
  if (!found.ok) return found
  const { promised } = offcut
  return promised && (offcut.length !== body.length || offcut.pipe !== body.pipe)
    ? fail(
        'impossible',
        'length',
        `length: this offcut is promised to ${promised.name}, sheet C${promised.number}. Leave it out there first.`,
      )
    : ok({ ...offcut, ...body })
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
