import { fixProgress, isLineRight, progressOf, statusOf, STATIONS, type JobRecord, type Station } from '#core/record'
import { STATION_WORDS } from '~/wording/en'

/** Key digit of each station: its place in the order of the work, kept where a station is left out. */
export const STATION_KEY: Readonly<Record<Station, number>> = {
  find: 1,
  line: 2,
  joint: 3,
  cut: 4,
  fix: 5,
  make: 7,
  handover: 9,
}

export interface StationView {
  id: Station
  key: number
  name: string
  count: string
  to: string
  state: 'behind' | 'here' | 'ahead'
  held: boolean
}

const plural = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`

/** How far a job is at each station, in words and counts. */
export function stationViews(job: JobRecord, here: Station | null, detail?: string): StationView[] {
  const made = job.joints.filter((joint) => statusOf(joint) === 'made').length
  const chosen = job.joints.filter((joint) => joint.way).length
  const isRight = job.lines.every((line) => isLineRight(job, line))
  const planned = job.cuts.flatMap((cut) => progressOf(cut) ?? [])
  const [cut, toCut] = [planned.reduce((sum, { made: n }) => sum + n, 0), planned.reduce((sum, { of }) => sum + of, 0)]
  const held = fixProgress(job)
  const counts: Record<Station, string> = {
    find: job.finds.length ? plural(job.finds.length, 'find') : 'nothing yet',
    line: job.lines.length
      ? plural(
          job.lines.reduce((sum, { legs }) => sum + legs.length, 0),
          'leg',
        )
      : 'none yet',
    joint: job.joints.length ? `${chosen} of ${job.joints.length} chosen` : 'none yet',
    cut: toCut ? `${cut} of ${toCut} cut` : 'none yet',
    fix: held.of ? `${held.fixed} of ${held.of} fixed` : 'none yet',
    make: chosen ? `${made} of ${chosen} made` : 'none yet',
    handover: made ? plural(made, 'joint') : 'none yet',
  }
  const done: Record<Station, boolean> = {
    find: job.finds.length > 0 && job.finds.every((find) => find.pipe !== null),
    line: job.lines.length > 0 && isRight,
    joint: job.joints.length > 0 && chosen === job.joints.length,
    cut: job.cuts.length > 0 && job.cuts.every(({ result }) => result !== null),
    fix: held.of > 0 && held.fixed === held.of,
    make: chosen > 0 && made === chosen,
    handover: job.handedOver !== null,
  }
  return STATIONS.map((id): StationView => ({
    id,
    key: STATION_KEY[id],
    name: STATION_WORDS[id],
    count: id === here && detail ? detail : counts[id],
    to: `/jobs/${job.slug}/${id}`,
    state: id === here ? 'here' : done[id] ? 'behind' : 'ahead',
    held:
      id === 'find'
        ? job.finds.some((find) => find.pipe === null && find.answers.traced !== 'water')
        : id === 'line'
          ? !isRight && job.lines.some((line) => line.legs.length > 0)
          : id === 'fix' && held.isBroken,
  }))
}
