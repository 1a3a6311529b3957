import type { Act, AnyRecord, Clash, Fields } from '#core/acts'
import type { Issue } from '#core/base'
import type { Entry } from './entry'

/* Entries that an earlier version left in this browser, brought into the form of this one: none of them is lost. */

/** An entry as it was kept when acts were spelled by what they do. */
interface EarlierEntry {
  key: string
  page: string
  at: number
  job: string
  record: string
  act: EarlierAct
  isSealed: boolean
  state: Entry['state']
  issue?: Issue
  saved?: AnyRecord
  clashes?: Clash[]
}
type Any = Record<string, unknown>
interface EarlierAct {
  do: string
  kind?: 'jobs' | 'finds' | 'lines' | 'cuts' | 'joints'
  body?: Any
  plan?: Any
  place?: Any
  changes?: Fields
  base?: Fields
  seen?: Fields
  version?: number
  done?: boolean
  running?: boolean
  cut?: string
  photo?: string
  width?: number
  height?: number
}
type Made = Pick<Entry, 'record' | 'version'> &
  Partial<Pick<Entry, 'seen' | 'photo'>> & { act: { name: Act['name']; body: unknown } }

const isEarlier = (entry: unknown): entry is EarlierEntry =>
  typeof (entry as { act?: { do?: unknown } }).act?.do === 'string'

const without = (body: Any | undefined, ...names: string[]): Any =>
  Object.fromEntries(Object.entries(body ?? {}).filter(([name]) => !names.includes(name)))
const asMap = (value: unknown): Record<string, Any> => (value ?? {}) as Record<string, Any>

/** Keys of a map that a change set, and those it took out. */
function mapChanges(changes: Fields, base: Fields, field: string): { put: [string, Any][]; gone: string[] } {
  if (!(field in changes)) return { put: [], gone: [] }
  const [now, was] = [asMap(changes[field]), asMap(base[field])]
  return {
    put: Object.entries(now).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(was[key])),
    gone: Object.keys(was).filter((key) => !(key in now)),
  }
}
const bendPlace = (key: string) => {
  const [piece, step] = key.split(':') as [string, string]
  return { piece, step: Number(step) }
}

/** Supports and bends were fields of a line; each of them is an act of its own by now. */
function lineActs(changes: Fields, base: Fields): Made['act'][] {
  const [clips, pulled] = [mapChanges(changes, base, 'clips'), mapChanges(changes, base, 'pulled')]
  return [
    ...clips.put.map(([support, { mm, at }]) => ({
      name: at === null ? ('line/move-support' as const) : ('line/fix-support' as const),
      body: { support, mm },
    })),
    ...clips.gone.map((support) => ({ name: 'line/free-support' as const, body: { support } })),
    ...pulled.put.map(([key, { marks }]) => ({ name: 'line/bend-step' as const, body: { ...bendPlace(key), marks } })),
    ...pulled.gone.map((key) => ({ name: 'line/unbend-step' as const, body: bendPlace(key) })),
  ]
}

/** Counts were a field of a job. */
function countActs(changes: Fields, base: Fields): Made['act'][] {
  const [now, was] = [(changes.counts ?? []) as Any[], (base.counts ?? []) as Any[]]
  return now.flatMap(({ item, out, back, seen }): Made['act'][] => {
    const before = was.find((one) => one.item === item)
    const looked = ((seen ?? []) as string[]).filter((joint) => !((before?.seen ?? []) as string[]).includes(joint))
    return [
      ...(before && before.out === out && before.back === back
        ? []
        : [{ name: 'kit/count' as const, body: { item, out, back } }]),
      ...looked.map((joint) => ({ name: 'kit/found' as const, body: { item, joint } })),
    ]
  })
}

const CHANGES = {
  jobs: 'kit/change',
  finds: 'find/change',
  lines: 'line/change',
  cuts: 'cut/change',
  joints: 'joint/change',
} as const

function changeActs({ job, record: own, act }: EarlierEntry): Made[] {
  const { kind = 'joints', changes = {}, base = {}, version = null } = act
  const record = kind === 'jobs' ? job : own
  const parts = ['clips', 'pulled', 'counts']
  const body = without(changes, ...(kind === 'lines' || kind === 'jobs' ? parts : []))
  const about = { record, version }
  return [
    ...(Object.keys(body).length > 0
      ? [{ ...about, seen: without(base, ...parts), act: { name: CHANGES[kind], body } }]
      : []),
    ...[...(kind === 'lines' ? lineActs(changes, base) : []), ...(kind === 'jobs' ? countActs(changes, base) : [])].map(
      (one) => ({ ...about, act: one }),
    ),
  ]
}

/** What one entry comes to; empty where nothing is known of it. */
function actsOf(entry: EarlierEntry): Made[] {
  const { job, record, act } = entry
  const one = (name: Act['name'], body: unknown, about: Partial<Made> = {}): Made[] => [
    { record, version: null, ...about, act: { name, body } },
  ]
  switch (act.do) {
    case 'begin-job':
      return one('job/begin', without(act.body, 'id'))
    case 'begin-find':
      return one('find/begin', without(act.body, 'id'))
    case 'begin-line':
      return one('line/begin', without(act.body, 'id', 'pulled', 'clips'))
    case 'begin-cut':
      return one('cut/begin', without(act.body, 'id'))
    case 'begin-joint':
      return one('joint/begin', without(act.body, 'id'))
    case 'drop-line':
      return one('line/drop', {}, { version: 1 })
    case 'drop-cut':
      return one('cut/drop', {}, { version: 1 })
    case 'plan-cut':
      return one('cut/plan', act.plan)
    case 'cut':
      return one('cut/enter', act.body)
    case 'uncut':
      return one('cut/take-back', { id: act.cut })
    case 'finish-cut':
      return one('cut/finish', act.body)
    case 'put-offcut':
      return one('rack/put', act.body)
    case 'drop-offcut':
      return one('rack/drop', {}, { version: 1 })
    case 'photo':
      return one(
        'find/photo',
        { name: act.body?.name, digest: '0'.repeat(64), width: act.width, height: act.height },
        { photo: String(act.body?.data) },
      )
    case 'drop-photo':
      return one('find/drop-photo', { photo: act.photo })
    case 'change':
      return changeActs(entry)
    case 'tick':
      return one(act.done ? 'joint/tick' : 'joint/untick', act.done ? act.place : without(act.place, 'reading'))
    case 'fault':
      return one('joint/fail', act.place)
    case 'reopen':
      return one('joint/reopen', act.body)
    case 'wait':
      return one(act.running ? 'joint/wait' : 'joint/stop-wait', act.place)
    case 'bring-back':
      return one('joint/bring-back', {})
    case 'sign':
      return one('joint/sign', act.body, { version: act.version ?? null, seen: act.seen })
    case 'settle':
      return one('job/settle', act.body, { record: job })
    default:
      return []
  }
}

/**
 * Each entry of an earlier version by its key, with what it comes to now; its own key stays with the first of them. Its
 * time was the tablet's, which the server's is `ahead` of, ms.
 */
export function fromEarlier(
  kept: readonly unknown[],
  { clock, by }: Pick<Entry, 'clock' | 'by'>,
  ahead: number,
): [string, Entry[]][] {
  return kept.filter(isEarlier).map((entry) => {
    const { key, page, at, job, saved, clashes } = entry
    // What the earlier version was told of an address that is gone says nothing of the act itself.
    const isTold = entry.issue?.code !== 'unknown-id' || entry.issue.path !== ''
    const { isSealed, state, issue } = isTold ? entry : { isSealed: false, state: 'waiting' as const, issue: undefined }
    const made = actsOf(entry).map(({ act, ...about }, i): Entry => ({
      key: i === 0 ? key : `${key.slice(0, 36)}-${i}`,
      ...{ page, at: at + ahead, clock, by, job, isSealed, state },
      ...{ issue, saved, clashes },
      ...about,
      act: act as Act,
    }))
    return [key, made]
  })
}
