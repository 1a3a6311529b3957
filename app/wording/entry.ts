import { getPipe, unitSystemOf } from '#core/catalogue'
import type { CheckName } from '#core/identify'
import type { JobRecord } from '#core/record'
import { formatLength } from '#core/units'
import type { Entry } from '~/outbox/entry'
import { answerWords, CHECK_WORDS } from './en'
import { endLabel } from './way'

/** Words for the fields that two hands may set differently. */
export const FIELD_WORDS: Readonly<Record<string, string>> = {
  place: 'where',
  notes: 'notes',
  cannot: 'cannot be checked',
  findB: 'from the find',
  typed: 'diameter',
  by: 'read with',
  pipe: 'kept as',
  a: 'first end',
  b: 'other end',
  findA: 'from the find',
  comeBack: 'come back on',
  orientation: 'the pipe runs',
  ambient: 'air',
  torch: 'torch',
  pulled: 'bends',
  fix: 'how it is held',
  clips: 'clips',
  wayId: 'way',
  signoff: 'signed by',
  depths: 'depth mark',
  name: 'called',
  method: 'joined by',
  corners: 'corners',
  start: 'begins at',
  walls: 'walls',
  legs: 'legs',
  tools: 'tools',
  benders: 'benders',
  counts: 'counts',
  fittings: 'my fittings',
  policy: 'policy',
  sources: 'lines',
  extras: 'other pieces',
  cutter: 'cut with',
  kerf: 'kerf',
  keep: 'kept from',
  spare: 'bent pieces longer by',
  prefer: 'rests',
  stock: 'stock',
  leave: 'left on the rack',
  conditions: 'condition',
  answers: 'check',
}

/** The name of a field by its path, such as "depth mark, end 1". */
export function fieldWords(path: string): string {
  const [field, key] = path.split('.') as [string, string | undefined]
  if (key === undefined) return FIELD_WORDS[field] ?? field
  if (field === 'depths') return `depth mark, end ${Number(key) + 1}`
  return field === 'answers' ? (CHECK_WORDS[key as CheckName] ?? key) : key
}

/** A value as the screen shows it. */
export function valueWords(path: string, value: unknown, job: JobRecord | undefined): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  if (path === 'a' || path === 'b') return endLabel(value as Parameters<typeof endLabel>[0])
  if (path === 'pipe') return endLabel({ pipe: String(value) })
  if (path === 'wayId')
    return job?.joints.map(({ way }) => way).find((way) => way?.id === value)?.parts[0]?.name ?? 'another way'
  if (path.startsWith('depths') && job) return `${String(value)} ${unitSystemOf(job.region) === 'inch' ? 'in' : 'mm'}`
  if (path.startsWith('answers.')) return answerWords(String(value), path.slice('answers.'.length))
  if (path === 'legs' || path === 'walls') return (value as string[]).join(', ').slice(0, 160) || 'nothing'
  if (Array.isArray(value)) return `${value.length} of them`
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return answerWords(String(value))
}

const lengthWords = (mm: number, job: JobRecord | undefined): string =>
  formatLength(mm, job ? unitSystemOf(job.region) : 'metric')

/** The joint or find an entry is about, as it is called on the job. */
export function recordWords({ record, act }: Pick<Entry, 'record' | 'act'>, job: JobRecord | undefined): string {
  if (record.startsWith('kit-')) return 'kit'
  if (act.do === 'begin-job') return job?.name ?? act.body.name
  const joint = job?.joints.find(({ id }) => id === record)
  if (joint) return `J${joint.number}`
  const line = job?.lines.find(({ id }) => id === record)
  if (line) return `L${line.number}`
  const cut = job?.cuts.find(({ id }) => id === record)
  if (cut) return `C${cut.number}`
  if (act.do === 'put-offcut' || act.do === 'drop-offcut') return 'rack'
  const at = job?.finds.findIndex(({ id }) => id === record) ?? -1
  return at < 0 ? 'entry' : job!.finds[at]!.place || `find ${at + 1}`
}

/** A step by its id, or by its place in an entry of an earlier version. */
const stepName = (step: string | number): string =>
  typeof step === 'number' ? `step ${step + 1}` : `step "${step.replace(/-\d+$/, '')}"`

/** What was done, in a few words. */
export function entryWords({ act }: Pick<Entry, 'act'>, job: JobRecord | undefined): string {
  switch (act.do) {
    case 'begin-job':
      return 'job begun'
    case 'begin-find':
      return 'pipe to be found'
    case 'begin-line':
      return 'line begun'
    case 'drop-line':
      return 'line taken out'
    case 'begin-joint':
      return 'joint begun'
    case 'begin-cut':
      return 'cut sheet begun'
    case 'drop-cut':
      return 'cut sheet taken out'
    case 'plan-cut':
      return `planned, ${act.plan.pieces.length} pieces`
    case 'cut':
      return `cut at ${lengthWords(act.body.length, job)}`
    case 'uncut':
      return 'cut taken back'
    case 'finish-cut':
      return 'finished, rests to the rack'
    case 'put-offcut':
      return `offcut ${lengthWords(act.body.length, job)}, ${getPipe(act.body.pipe).label}`
    case 'drop-offcut':
      return 'offcut taken off'
    case 'photo':
      return 'photo taken'
    case 'drop-photo':
      return 'photo taken off'
    case 'change':
      return Object.entries(act.changes)
        .map(([field, value]) => {
          if (value === null || typeof value !== 'object' || Array.isArray(value) || field === 'a' || field === 'b')
            return `${fieldWords(field)}: ${valueWords(field, value, job)}`
          const was = (act.base[field] ?? {}) as Record<string, unknown>
          const keys = Object.keys(value).filter((key) => (value as Record<string, unknown>)[key] !== was[key])
          return (
            keys
              .map(
                (key) =>
                  `${fieldWords(`${field}.${key}`)}: ${valueWords(`${field}.${key}`, (value as Record<string, unknown>)[key], job)}`,
              )
              .join(', ') || fieldWords(field)
          )
        })
        .join(', ')
    case 'tick':
      return `${stepName(act.place.step)} ${act.done ? 'done' : 'not done'}`
    case 'bring-back':
      return 'steps brought back'
    case 'reopen':
      return `opened again: ${act.body.reason}`
    case 'fault':
      return `check of ${stepName(act.place.step)} failed`
    case 'wait':
      return act.running ? 'wait begun' : 'wait stopped'
    case 'sign':
      return `${act.body.corrects ? 'signed anew' : 'signed'} ${act.body.initials}`
    case 'settle':
      return 'two entries settled'
  }
}

export const clockTime = (ms: number): string =>
  new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

/** A time on record, as day and hour. */
export const dayTime = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
