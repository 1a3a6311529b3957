import { isClosed } from '#core/joints'
import { getPipe } from '#core/catalogue'
import { shiftedEnds, standingSignoff, statusOf, type JobRecord, type JointRecord } from '#core/record'
import { formatDecimal } from '#core/units'
import { csv } from '../exports/csv'
import { onTape, unitOf } from '../exports/tape'
import type { Chain } from './log'

/** Version of the exported register; it rises when a column changes its meaning. */
const REGISTER_VERSION = 1

export interface RegisterRow {
  joint: string
  where: string
  pipes: string
  methods: string
  marksMm: string
  measured: string
  status: string
  madeBy: string
  at: string
  /** What is to be looked at again; empty where nothing is. */
  care: string
  /** Steps whose check failed on the way, as often as it did. */
  failedChecks: string
  /** Why it was opened again once signed, as often as it was. */
  reopened: string
  /** What was left when it was signed, and how its steps were ticked. */
  remarks: string
  /** Head of the job's log when this was given out; empty where nothing is logged. */
  log: string
}

const yesNo = (is: boolean): string => (is ? 'yes' : 'no')

function endLabel(end: JointRecord['b']): string {
  if (end === null) return ''
  if (isClosed(end)) return 'closed'
  if ('pipe' in end) return getPipe(end.pipe).label
  return `${end.thread.size} ${end.thread.form.toUpperCase()} ${end.thread.gender}`
}

/** Depths that were signed, in order. */
const marksWords = (joint: JointRecord, say: (mm: number) => string): string =>
  standingSignoff(joint)
    ?.marks.map(({ mm }) => (mm === null ? '?' : say(mm)))
    .join(', ') ?? ''

function toRow(job: JobRecord, joint: JointRecord, { head }: Pick<Chain, 'head'>): RegisterRow {
  const signed = standingSignoff(joint)
  return {
    joint: `J${joint.number}`,
    where: joint.place,
    pipes: isClosed(joint.b) ? `${endLabel(joint.a)}, closed` : `${endLabel(joint.a)} to ${endLabel(joint.b)}`,
    methods: [...new Set(joint.way?.joints.map(({ method }) => method) ?? [])].join(', '),
    marksMm: marksWords(joint, (mm) => formatDecimal(mm, 1)),
    measured: signed ? yesNo(signed.marks.some(({ measured }) => measured)) : '',
    status: statusOf(joint),
    madeBy: signed?.initials ?? '',
    at: signed?.at ?? '',
    care: shiftedEnds(job, joint)
      .map(
        ({ find, was, now }) =>
          `${find.place || 'find'}: was ${getPipe(was).label}, is kept as ${now === null ? 'nothing' : getPipe(now).label}`,
      )
      .join('; '),
    failedChecks: joint.faults.map(({ code }) => code).join(', '),
    reopened: joint.reopenings.map(({ reason }) => reason).join('; '),
    remarks: signed?.remarks.map(({ text }) => text).join(' ') ?? '',
    log: head,
  }
}

const COLUMNS: readonly (keyof RegisterRow)[] = [
  'joint',
  'where',
  'pipes',
  'methods',
  'marksMm',
  'measured',
  'status',
  'madeBy',
  'at',
  'care',
  'failedChecks',
  'reopened',
  'remarks',
  'log',
]

/** The register of a job as CSV (RFC 4180, UTF-8), one row a joint that a way was taken for. */
export const registerCsv = (job: JobRecord, chain: Chain): string =>
  csv(
    COLUMNS,
    job.joints
      .filter((joint) => joint.way)
      .map((joint) => ({ ...toRow(job, joint, chain), marksMm: marksWords(joint, (mm) => onTape(mm, job.region)) })),
    { marksMm: `marks (${unitOf(job.region)})` },
  )

/** The register of a job as JSON, with the job it belongs to and the format's version. */
export const registerJson = (job: JobRecord, chain: Chain) => ({
  format: 'jolvet-register',
  version: REGISTER_VERSION,
  job: { name: job.name, place: job.place, region: job.region },
  log: { acts: chain.acts, head: chain.head, isWhole: chain.brokenAt === null },
  joints: job.joints
    .filter((joint) => joint.way)
    .map((joint) => ({
      ...toRow(job, joint, chain),
      ends: { a: joint.a, b: joint.b },
      conditions: joint.conditions,
      parts: joint.way?.parts ?? [],
      signoffs: joint.signoffs,
      reopenings: joint.reopenings,
      ticks: joint.ticks,
    })),
})
