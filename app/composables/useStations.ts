import { STATION_IDS, STATIONS, type JobGist, type Station } from '#core/record'

export interface StationView {
  id: Station
  key: number
  name: string
  count: string
  to: string
  state: 'behind' | 'here' | 'ahead'
  held: boolean
}

/** The stations by their names, before it is known how far the job is at each. */
export const stationNames = (job: string, here: Station | null, detail?: string): StationView[] =>
  STATION_IDS.map((id) => ({
    id,
    key: STATIONS[id].key,
    name: STATIONS[id].name,
    count: (id === here && detail) || '',
    to: `/jobs/${job}/${id}`,
    state: id === here ? 'here' : 'ahead',
    held: false,
  }))

/** How far a job is at each station, in words and counts. */
export function stationViews(job: JobGist, here: Station | null, detail?: string): StationView[] {
  return STATION_IDS.map((id): StationView => {
    const { key, name, progress, counted } = STATIONS[id]
    const now = progress(job)
    const ahead = now.isBehind ? 'behind' : 'ahead'
    return {
      id,
      key,
      name,
      count: id === here && detail ? detail : counted(now, job),
      to: `/jobs/${job.slug}/${id}`,
      state: id === here ? 'here' : ahead,
      held: now.isHeld,
    }
  })
}
