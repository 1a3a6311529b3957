import type { JobSummary, Station } from '#core/record'

/** What a station calls the record that it opens, in its address. */
const QUERY_NAMES: Readonly<Record<Station, string>> = {
  find: 'find',
  line: 'line',
  fix: 'line',
  cut: 'cut',
  joint: 'joint',
  make: 'joint',
  handover: 'joint',
}

/** Where a job goes on: its next station, with the record the next action is about. */
export function gapLink({ slug, next }: Pick<JobSummary, 'slug' | 'next'>) {
  // A find that goes on to a joint begins one there.
  const name = next.isFromFind ? 'from' : QUERY_NAMES[next.station]
  return { path: `/jobs/${slug}/${next.station}`, query: next.id === undefined ? {} : { [name]: next.id } }
}
