import { FIELD_WORDS } from '#core/acts'
import { getPipe } from '#core/catalogue'
import type { OtherEnd } from '#core/joints'
import { onFirstWords, type JobRecord, type OnFirst } from '#core/record'
import { formatDecimal, formatLength, unitSystemOf, type Region } from '#core/units'
import { answerWords, CHECK_WORDS, methodWords, type AskedName } from './en'
import { endLabel } from './way'
import { quantityWords, speak } from '#core/speech'

/** Named beside an entry, but no field of a record; and fields that earlier versions let two hands meet on. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
  signoff: 'signed by',
  pulled: 'bends',
  clips: 'clips',
  counts: 'counts',
}
const nameOf = (field: string): string | undefined => FIELD_WORDS[field] ?? OTHER_WORDS[field]

/** The name of a field by its path, such as "depth mark, end 1". */
export const fieldWords = (path: string, region: Region = 'gb'): string => speak(nameOfField(path), region)

function nameOfField(path: string): string {
  const [field, key] = path.split('.') as [string, string | undefined]
  if (key === undefined) return nameOf(field) ?? field
  if (field === 'depths') return `depth mark, end ${Number(key) + 1}`
  if (field === 'answers') return CHECK_WORDS[key as AskedName] ?? key
  return field === 'clips' || field === 'pulled' ? `${nameOf(field)} ${key}` : key
}

type Job = Pick<JobRecord, 'region' | 'joints' | 'lines'> | undefined
type Any = Readonly<Record<string, unknown>>

const lengthWords = (mm: unknown, job: Job): string =>
  formatLength(Number(mm), job ? unitSystemOf(job.region) : 'metric')
const degrees = (celsius: unknown, job: Job): string =>
  quantityWords('temperature', [Number(celsius)], job?.region ?? 'gb')
const bars = (bar: unknown, job: Job): string => quantityWords('pressure', [Number(bar)], job?.region ?? 'gb')

/** Figures by the name they have, in the reader's units. */
const FIGURES: Readonly<Record<string, (value: unknown, job: Job) => string>> = {
  temperature: degrees,
  installedAt: degrees,
  ambient: degrees,
  leastAmbient: degrees,
  pressure: bars,
  mm: lengthWords,
  length: lengthWords,
  insertion: lengthWords,
  takeOut: lengthWords,
  radius: lengthWords,
  setback: lengthWords,
  across: lengthWords,
  up: lengthWords,
  gap: lengthWords,
  along: lengthWords,
  aside: lengthWords,
  play: lengthWords,
  centre: lengthWords,
}

const joined = (parts: readonly (string | false)[], between = ', '): string =>
  parts.filter(Boolean).join(between) || 'nothing'
const times = (words: string, quantity: unknown): string =>
  quantity === null ? `${words}, as many as are wanted` : `${String(quantity)} × ${words}`

/** One of a list of things, by the field whose list it is. */
const ITEMS: Readonly<Record<string, (one: Any, job: Job) => string>> = {
  tools: ({ method, sizes }) => `${methodWords(method as never)} ${(sizes as string[]).join(' ')}`.trim(),
  fittings: ({ fitting, nominal, method }) => `${String(fitting)} ${String(nominal)} ${methodWords(method as never)}`,
  minutes: ({ method, nominal, work, wait }) =>
    `${methodWords(method as never)} ${nominal ?? 'every size'}, ${work} min, ${wait} to wait`,
  prices: ({ name, size, price }) => `${name} ${size}, ${price}`,
  benders: ({ pipe, radius }, job) => `${getPipe(String(pipe)).label}, radius ${lengthWords(radius, job)}`,
  counts: ({ item, out, back }) => `${String(item)} ${String(out)} out, ${back === null ? 'none' : String(back)} back`,
  stock: ({ length, quantity }) => times(String(length), quantity),
  extras: ({ name, length, quantity }) => times(`${String(name) || 'piece'} ${String(length)}`, quantity),
  onFirst: ({ on, what }, job) =>
    `${onFirstWords(what as OnFirst, { region: job?.region ?? 'gb' })} on the ${on === 'a' ? 'first' : 'other'} end`,
  sources: ({ line }, job) => {
    const own = job?.lines.find(({ id }) => id === line)
    return own ? `L${own.number}` : 'a line of another job'
  },
}

function itemWords(field: string, one: unknown, job: Job): string {
  const say = ITEMS[field]
  if (!say || typeof one !== 'object' || one === null) return valueWords('', one, job)
  try {
    const words = say(one as Any, job)
    if (!words.includes('undefined')) return words
  } catch {
    // Said part by part below.
  }
  // A record of another version.
  return valueWords('', one, job)
}

function listWords(field: string, list: readonly unknown[], job: Job): string {
  if (list.length === 0) return 'nothing'
  if (field === 'leave') return `${list.length} offcut${list.length === 1 ? '' : 's'}`
  if (field === 'cannot') return joined(list.map((name) => CHECK_WORDS[name as AskedName] ?? String(name)))
  const words = list.map((one) => itemWords(field, one, job))
  return joined(words, field === 'legs' || field === 'walls' ? ', ' : '; ').slice(0, 160)
}

/** A support or a bend as earlier versions had them meet. */
const wasFixed = ({ mm, at }: Any, job: Job): string => `${lengthWords(mm, job)}${at === null ? '' : ', fixed'}`

const endWords = (end: Any): string =>
  'pipe' in end || 'thread' in end || 'cap' in end ? endLabel(end as unknown as OtherEnd) : joined(Object.keys(end))

function mapWords(field: string, map: Any, job: Job): string {
  if (field === 'waits') return `${String(map.for)}${map.until ? ` till ${String(map.until)}` : ''}`
  if (field === 'clips' && 'mm' in map) return wasFixed(map, job)
  if (field === 'pulled' && 'marks' in map) return 'done'
  if (field === 'a' || field === 'b') return endWords(map)
  return joined(
    Object.entries(map).map(([key, one]) => one !== undefined && `${key} ${valueWords(`${field}.${key}`, one, job)}`),
  )
}

const wayWords = (id: unknown, job: Job): string =>
  job?.joints.map(({ way }) => way).find((way) => way?.id === id)?.parts[0]?.name ?? 'another way'

/** A value as the screen shows it: words, whatever it is. */
export const valueWords = (path: string, value: unknown, job: Job): string =>
  speak(said(path, value, job), job?.region ?? 'gb')

function said(path: string, value: unknown, job: Job): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  const [field, key] = path.split('.') as [string, string | undefined]
  if (Array.isArray(value)) return listWords(key ?? field, value, job)
  if (typeof value === 'object') return mapWords(field, value as Any, job)
  if (typeof value === 'boolean') return field === 'answers' ? answerWords(String(value), key) : yesNo(value)
  if (typeof value === 'number') return FIGURES[key ?? field]?.(value, job) ?? formatDecimal(value, 1)
  const text = String(value)
  if (path === 'pipe') return endLabel({ pipe: text })
  if (path === 'wayId') return wayWords(text, job)
  if (path === 'look') return 'a joint that was looked at'
  if (field === 'depths' && job) return `${text} ${unitSystemOf(job.region) === 'inch' ? 'in' : 'mm'}`
  return answerWords(text, field === 'answers' ? key : undefined)
}
const yesNo = (value: boolean): string => (value ? 'yes' : 'no')
