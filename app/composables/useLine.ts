import isEqual from 'fast-deep-equal'
import { surveyLine, type LaidLeg, type LineWarning, type Piece } from '#core/line'
import type { Issue } from '#core/base'
import { draftLine, type JobRecord, type LineBody, type LineInput, type LineRecord } from '#core/record'
import {
  insertLeg,
  isGuessed,
  plainMessage,
  pointLetter,
  removeLeg,
  rowsAlong,
  splitLegs,
  typeLength,
  withLength,
  type RunRow,
} from '#core/run'
import { beginHistory, record, redo, undo, type History } from '~/editor/history'
import { type Region, unitSystemOf } from '#core/units'

/** A tube of the line as the screen shows it. */
export interface ShownPiece {
  legs: readonly number[]
  /** Rows of the list it runs along. */
  rows: readonly number[]
  /** Points it runs between, by their letters. */
  from: string
  to: string
  piece: Piece | null
  /** A length it hangs on is not measured yet. */
  isGuess: boolean
  issue: Issue | null
}

type LineShape = Omit<LineBody, 'name' | 'fix'>
const shapeOf = ({ pipe, method, corners, start, walls, legs }: LineRecord): LineShape => ({
  pipe,
  method,
  corners,
  start,
  walls,
  legs,
})

/** Pipe a new line begins with where the job has none yet: the commonest of its country. */
export const USUAL_PIPE: Readonly<Record<Region, string>> = { gb: 'cu-en-x-22', eu: 'cu-en-x-22', us: 'cu-l-3_4' }

/** The line on the screen: its legs as typed and as laid, the piece looked at, and what can be done to it. */
export function useLine(job: Ref<JobRecord | undefined>) {
  const route = useRoute()
  const router = useRouter()
  const store = useJobStore()

  const line = computed<LineRecord | undefined>(() => {
    const lines = job.value?.lines ?? []
    return lines.find(({ id }) => id === route.query.line) ?? lines.at(-1)
  })
  const system = computed(() => (job.value ? unitSystemOf(job.value.region) : 'metric'))

  // What was done here and could be undone, for each line; another hand's change begins it anew.
  const histories = shallowRef<ReadonlyMap<string, History<LineShape>>>(new Map())
  const history = computed(() => (line.value ? histories.value.get(line.value.id) : undefined))
  const keep = (id: string, steps: History<LineShape>) => {
    histories.value = new Map(histories.value).set(id, steps)
  }
  watch(
    line,
    (now) => {
      if (!now) return
      if (!isEqual(history.value?.now, shapeOf(now))) keep(now.id, beginHistory(shapeOf(now)))
    },
    { immediate: true },
  )

  const save = (changes: Partial<LineBody>) => {
    if (job.value && line.value) store.do(job.value.slug, 'line/change', line.value.id, changes)
  }
  function change(changes: Partial<LineShape>) {
    if (!line.value || !history.value) return
    keep(line.value.id, record(history.value, { ...history.value.now, ...changes }))
    save(changes)
  }
  function step(to: typeof undo | typeof redo) {
    const before = history.value
    if (!before || !line.value) return
    const after = to(before)
    if (after.now === before.now) return
    keep(line.value.id, after)
    save(after.now)
  }

  const draft = computed(() => (job.value && line.value ? draftLine(job.value, line.value) : null))
  const survey = computed(() => {
    const found = draft.value?.question ? surveyLine(draft.value.question) : null
    return found?.ok ? found.value : null
  })
  const laid = computed<readonly LaidLeg[]>(() => survey.value?.laid ?? [])
  const rows = computed<readonly RunRow[]>(() => draft.value?.rows ?? [])

  const pieces = computed<ShownPiece[]>(() =>
    (survey.value?.runs ?? []).map(({ legs, piece }) => {
      const on = rowsAlong(rows.value, legs)
      return {
        legs,
        rows: on,
        from: rows.value[on[0]!]!.from,
        to: rows.value[on.at(-1)!]!.to,
        piece: piece.ok ? piece.value : null,
        isGuess: isGuessed(rows.value, legs),
        issue: piece.ok ? null : piece.error,
      }
    }),
  )

  const at = ref(0)
  watch(
    () => line.value?.id,
    () => {
      at.value = 0
    },
  )
  const row = computed(() => Math.min(at.value, Math.max(0, rows.value.length - 1)))
  const shown = computed<ShownPiece | null>(() => pieces.value.find(({ rows: on }) => on.includes(row.value)) ?? null)
  const warnings = computed<readonly LineWarning[]>(() => survey.value?.warnings ?? [])

  /** Issues by row: of its words, of where it hangs, or of the piece that cannot be made. */
  const issues = computed<readonly (string | null)[]>(() =>
    rows.value.map((one, i) => {
      if (one.issue) return one.issue.message
      const found = pieces.value.find(({ issue, rows: on }) => issue !== null && on.includes(i))
      const leg = Number(/^legs\.(\d+)/.exec(found?.issue?.path ?? '')?.[1] ?? Number.NaN)
      return found && one.legs && leg >= one.legs[0] && leg <= one.legs[1] ? plainMessage(found.issue!) : null
    }),
  )

  const setLegs = (legs: readonly string[]) => change({ legs: [...legs] })
  function addLegs(text: string, after: number | null = null) {
    const typed = splitLegs(text)
    if (typed.length === 0 || !line.value) return
    if (after === null) {
      // What begins with a step aside or a name goes on with the last leg.
      const joined = splitLegs([line.value.legs.at(-1) ?? '', ...typed].join('\n').trim())
      setLegs([...line.value.legs.slice(0, -1), ...joined])
      at.value = line.value.legs.length
    } else {
      setLegs(typed.reduceRight((legs, one) => insertLeg(legs, after + 1, one), line.value.legs))
      at.value = after + 1
    }
  }
  const setLeg = (index: number, text: string) => {
    if (line.value) setLegs(line.value.legs.map((one, i) => (i === index ? text.trim() : one)))
  }
  function dropLeg(index: number) {
    if (!line.value) return
    setLegs(removeLeg(line.value.legs, index))
    at.value = Math.max(0, index - 1)
  }
  function stretch(index: number, mm: number) {
    const leg = rows.value[index]?.leg
    if (line.value && leg)
      setLeg(
        index,
        withLength(line.value.legs[index]!, leg.length, mm + (leg.wall.begin ?? 0) + (leg.wall.end ?? 0), system.value),
      )
  }
  /** A leg pulled out of a point; 0 is where the run begins. */
  function pull(point: number, letter: string, mm: number) {
    const from = point === rows.value.length ? '' : `from ${pointLetter(point).toLowerCase()} `
    addLegs(`${from}${letter} ${typeLength(mm, system.value)}`)
  }

  /** A joint for an end of the line, with this pipe as its first end. */
  async function joinEnd(pipe: string, place: string) {
    if (!job.value) return
    const made = store.begin(job.value.slug, 'joint/begin', { place: place.slice(0, 120), a: { pipe } })
    if (made.ok) await router.push({ path: `/jobs/${job.value.slug}/joint`, query: { joint: made.value.id } })
  }

  async function dropLine() {
    if (!job.value || !line.value) return
    store.do(job.value.slug, 'line/drop', line.value.id, {})
    await router.replace({ query: {} })
  }

  async function addLine(body: Partial<LineInput> = {}) {
    if (!job.value) return
    const last = job.value.lines.at(-1)
    const pipe =
      last?.pipe ?? job.value.finds.findLast((find) => find.pipe !== null)?.pipe ?? USUAL_PIPE[job.value.region]
    const made = store.begin(job.value.slug, 'line/begin', { pipe, method: last?.method ?? 'solder', ...body })
    if (made.ok) await router.replace({ query: { line: made.value.id } })
  }

  return {
    line,
    system,
    draft,
    survey,
    laid,
    rows,
    pieces,
    row,
    shown,
    warnings,
    issues,
    change,
    save,
    setLegs,
    addLegs,
    setLeg,
    dropLeg,
    stretch,
    pull,
    joinEnd,
    addLine,
    dropLine,
    look: (index: number) => {
      at.value = Math.min(Math.max(0, index), Math.max(0, rows.value.length - 1))
    },
    undo: () => step(undo),
    redo: () => step(redo),
    canUndo: computed(() => (history.value?.past.length ?? 0) > 0),
    canRedo: computed(() => (history.value?.future.length ?? 0) > 0),
  }
}
