import { stationProgress, STATIONS, type JobRecord, type Station, type StationProgress } from '#core/record'
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

/** What is counted at each station, in words. */
const COUNTED: Readonly<Record<Station, (progress: StationProgress, lines: number) => string>> = {
  find: ({ of }) => (of ? plural(of, 'find') : 'nothing yet'),
  line: ({ of }, lines) => (lines ? plural(of, 'leg') : 'none yet'),
  joint: ({ done, of }) => (of ? `${done} of ${of} chosen` : 'none yet'),
  cut: ({ done, of }) => (of ? `${done} of ${of} cut` : 'none yet'),
  fix: ({ done, of }) => (of ? `${done} of ${of} fixed` : 'none yet'),
  make: ({ done, of }) => (of ? `${done} of ${of} made` : 'none yet'),
  handover: ({ of }) => (of ? plural(of, 'joint') : 'none yet'),
}

/** How far a job is at each station, in words and counts. */
export function stationViews(job: JobRecord, here: Station | null, detail?: string): StationView[] {
  const progress = stationProgress(job)
  const stateOf = (id: Station) => {
    if (id === here) return 'here'
    return progress[id].isBehind ? 'behind' : 'ahead'
  }
  return STATIONS.map((id): StationView => ({
    id,
    key: STATION_KEY[id],
    name: STATION_WORDS[id],
    count: id === here && detail ? detail : COUNTED[id](progress[id], job.lines.length),
    to: `/jobs/${job.slug}/${id}`,
    state: stateOf(id),
    held: progress[id].isHeld,
  }))
}
