/**
 * An offcut on the rack, mm. The rack goes with the van: it is the same for every job. `from` says in words where it
 * came off.
 */
export interface OffcutRecord {
  id: string
  pipe: string
  length: number
  place: string
  job: string | null
  from: string
  at: string
  by: string
  version: number
  promised: { job: string; name: string; cut: string; number: number } | null
}
