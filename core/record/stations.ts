import { cutStation } from './cut/status'
import { findStation } from './find/status'
import { fixStation } from './fix/status'
import type { JobGist } from './gist'
import { handoverStation, jointStation, makeStation } from './joint/stations'
import { lineStation } from './line/status'
import type { StationDef, StationProgress } from './station'

/** The stations in the order of the work, by their names in an address. */
export const STATIONS = {
  find: findStation,
  line: lineStation,
  joint: jointStation,
  cut: cutStation,
  fix: fixStation,
  make: makeStation,
  handover: handoverStation,
} as const satisfies Record<string, StationDef>

export type Station = keyof typeof STATIONS
export const STATION_IDS = Object.keys(STATIONS) as Station[]
export type { StationDef, StationProgress } from './station'

/** How far a job is at each station. */
export const stationProgress = (job: JobGist): Record<Station, StationProgress> =>
  Object.fromEntries(STATION_IDS.map((id) => [id, STATIONS[id].progress(job)])) as Record<Station, StationProgress>
