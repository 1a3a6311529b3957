import type { Act, Fields } from '#core/acts'
import type { JointRecord } from '#core/record'
import { isChange, lane, type About, type Entry } from './entry'
import { rules } from './rules'
import { depthsAfter, isSigned, pick } from './saved'

/* What comes of two entries that met, once it is said whose is kept. */

export type Kept = 'mine' | 'theirs'
/** An entry that met another hand's: it is held with both beside each other. */
export type Met = Entry & Required<Pick<Entry, 'saved' | 'clashes'>>

interface Added {
  job: string
  record: string
  act: Act
  about: About
}
/** Entries that go, what the entry itself goes out as anew, and what is done beside. */
export interface Settled {
  drops: string[]
  renews?: Partial<Entry>
  adds: Added[]
}

/** Both entries that met, put on record with whose is taken. */
function onRecord({ job, record, act, at, saved, clashes }: Met, kept: Kept, mine: string): Added {
  const theirs = 'updatedAt' in saved ? saved : { updatedBy: '', updatedAt: '' }
  const fields = clashes.map((clash) => ({
    path: clash.path,
    mine: { by: mine, at: new Date(at).toISOString(), value: clash.mine ?? null },
    theirs: { by: theirs.updatedBy, at: theirs.updatedAt, value: clash.theirs ?? null },
  }))
  const body = { kind: rules().actOf(act.name).on, record, kept, fields }
  return { job, record: job, act: { name: 'job/settle', body }, about: {} }
}

/** One answer settles all that was done here on a joint the other hand signed: what is kept of it is a correction. */
function ofSigned(entry: Met, saved: JointRecord, entries: readonly Entry[], kept: Kept, initials: string): Settled {
  const { job, record } = entry
  const own = entries.filter((one) => lane(one) === lane(entry))
  const signed = own.map(({ act }) => (act.name === 'joint/sign' ? act.body.initials : null)).findLast(Boolean)
  const body = { initials: signed ?? initials, corrects: saved.signoffs.at(-1)!.id, depths: depthsAfter(entry, saved) }
  const about = { version: saved.version, seen: pick(saved, ['depths', 'wayId']) }
  return {
    drops: own.map(({ key }) => key),
    adds: kept === 'mine' ? [{ job, record, act: { name: 'joint/sign', body }, about }] : [],
  }
}

/** A change goes on as far as it is kept, on what is saved now. */
function ofChange({ key, act, seen, saved }: Met, kept: Kept): Settled {
  const { changes } = rules().mergeFields(seen ?? {}, act.body as Fields, saved as unknown as Fields, kept)
  if (Object.keys(changes).length === 0) return { drops: [key], adds: [] }
  return {
    drops: [],
    renews: { act: { ...act, body: changes } as Act, seen: pick(saved, Object.keys(changes)), version: saved.version },
    adds: [],
  }
}

/** Signed to other figures than are saved: they are set right first, then it is signed; or it is signed anew by hand. */
function ofSign({ key, job, record, act, seen, saved, clashes }: Met, kept: Kept): Settled {
  if (kept === 'theirs') return { drops: [key], adds: [] }
  const fields = new Set(clashes.map(({ path }) => path.split('.')[0]!))
  const { version } = saved
  const change: Act = { name: 'joint/change', body: pick(seen ?? {}, fields) }
  return {
    drops: [key],
    adds: [
      { job, record, act: change, about: { version, seen: pick(saved, fields) } },
      { job, record, act, about: { version, seen } },
    ],
  }
}

/**
 * What comes of an entry that met another, once it is said whose is kept; both go on record. `initials` sign a correction
 * where the other's is signed.
 */
export function settled(
  entry: Met,
  entries: readonly Entry[],
  kept: Kept,
  by: { mine: string; initials: string },
): Settled {
  const { act, saved } = entry
  let made: Settled = { drops: [], adds: [] }
  if (isSigned(saved)) made = ofSigned(entry, saved, entries, kept, by.initials)
  else if (isChange(act)) made = ofChange(entry, kept)
  else if (act.name === 'joint/sign') made = ofSign(entry, kept)
  return { ...made, adds: [onRecord(entry, kept, by.mine), ...made.adds] }
}
