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
export const stationViews = (job: JobGist, here: Station | null, detail?: string): StationView[] =>
  stationNames(job.slug, here, detail).map((named): StationView => {
    const { progress, counted } = STATIONS[named.id]
    const now = progress(job)
    const ahead = now.isBehind ? 'behind' : 'ahead'
    return {
      ...named,
      count: named.count || counted(now, job),
      state: named.state === 'here' ? 'here' : ahead,
      held: now.isHeld,
    }
  })
