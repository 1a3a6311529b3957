import type { Steps } from '#core/base'
import { gistOfFind, type FindGist } from './find/gist'
import { gistOfCut, type CutGist } from './cut/gist'
import type { CardRules } from './joint/cards'
import { gistOfJoint, type JointGist } from './joint/gist'
import { gistOfLine, type LineGist } from './line/gist'
import type { LineRules } from './line/work'
import type { JobRecord } from './job/record'

/*
 * The gist of a job: what its overview, its stations and its next action are read from. That of a record is worked out
 * once for each version of it, here or by the server that sent it: a line's takes tens of ms on a cheap phone.
 */

export interface GistOf {
  finds: FindGist
  lines: LineGist
  cuts: CutGist
  joints: JointGist
}
export type GistKind = keyof GistOf
export const GIST_KINDS = ['finds', 'lines', 'cuts', 'joints'] as const satisfies readonly GistKind[]

/** What of a job its gists are worked out by. */
export type GistRules = LineRules & CardRules

/** A job with the gists of its records in their place. */
export type JobGist = Pick<
  JobRecord,
  'id' | 'slug' | 'name' | 'place' | 'region' | 'handedOver' | 'archivedAt' | 'waits' | 'counts'
> & { [K in GistKind]: GistOf[K][] }

const WORK: { [K in GistKind]: (rules: GistRules, record: JobRecord[K][number]) => GistOf[K] } = {
  finds: (_, find) => gistOfFind(find),
  lines: gistOfLine,
  cuts: (_, cut) => gistOfCut(cut),
  joints: gistOfJoint,
}

/** The gist of one record, worked out anew. */
export const workGist = <K extends GistKind>(kind: K, rules: GistRules, record: JobRecord[K][number]): GistOf[K] =>
  WORK[kind](rules, record)

/** What of a job every gist rests on: where it changes, all are worked out anew. */
export const GIST_RULES = ['region', 'policy', 'tools', 'fittings', 'benders'] as const satisfies (keyof GistRules)[]
interface Known {
  rules: Pick<GistRules, (typeof GIST_RULES)[number]>
  gist: GistOf[GistKind]
}
const KNOWN = new WeakMap<object, Known>()

/** A gist that was worked out for this very record elsewhere. */
export function knowGist<K extends GistKind>(rules: GistRules, record: JobRecord[K][number], gist: GistOf[K]): void {
  KNOWN.set(record, { rules, gist })
}

/** The gist of a record, where it was worked out for what it rests on now. */
function knownOf(rules: GistRules, record: object): Known['gist'] | undefined {
  const known = KNOWN.get(record)
  return known && GIST_RULES.every((name) => known.rules[name] === rules[name]) ? known.gist : undefined
}

function gistOf<K extends GistKind>(kind: K, rules: GistRules, record: JobRecord[K][number]): GistOf[K] {
  const known = knownOf(rules, record)
  if (known) return known as GistOf[K]
  const gist = workGist(kind, rules, record)
  knowGist(rules, record, gist)
  return gist
}

const OF_JOB = new WeakMap<JobRecord, JobGist>()

/** The gist of a job; of the same job always the same. */
export function gistOfJob(job: JobRecord): JobGist {
  const known = OF_JOB.get(job)
  if (known) return known
  const { id, slug, name, place, region, handedOver, archivedAt, waits, counts } = job
  const gist: JobGist = {
    ...{ id, slug, name, place, region, handedOver, archivedAt, waits, counts },
    finds: job.finds.map((find) => gistOf('finds', job, find)),
    lines: job.lines.map((line) => gistOf('lines', job, line)),
    cuts: job.cuts.map((cut) => gistOf('cuts', job, cut)),
    joints: job.joints.map((joint) => gistOf('joints', job, joint)),
  }
  OF_JOB.set(job, gist)
  return gist
}

/** The same in steps: one for each record whose gist is not known. */
export function* gistSteps(job: JobRecord): Steps<JobGist> {
  for (const kind of GIST_KINDS)
    for (const record of job[kind]) {
      if (knownOf(job, record)) continue
      gistOf(kind, job, record)
      yield
    }
  return gistOfJob(job)
}
