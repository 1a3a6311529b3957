import { v4 as uuid } from 'uuid'
import type { LinesElsewhere } from '#core/acts'
import { getPipe } from '#core/catalogue'
import { cutQuestion, cutRows, cutterFor, isRight, slipsOf, sumOf, takeAnswer, type CutRow } from '#core/cutting'
import {
  piecesFor,
  pipesWanted,
  progressOf,
  rackFor,
  readSheet,
  staleness,
  tubesOf,
  usualStock,
  type CutBody,
  type CutRecord,
  type JobRecord,
} from '#core/record'
import type { RunPiece } from '#core/run'
import { parseLength, unitSystemOf } from '#core/units'
import { cutProblem } from '~/wording/cut'

/** The cut sheet on the screen: its pieces and stock, the plan, what is cut, and what can be done to it. */
export function useCut(job: Ref<JobRecord>) {
  const route = useRoute()
  const router = useRouter()
  const store = useJobStore()
  const search = useCutSearch()

  const sheet = computed<CutRecord | undefined>(
    () =>
      job.value.cuts.find(({ id }) => id === route.query.cut) ??
      job.value.cuts.findLast(({ result }) => result === null) ??
      job.value.cuts.at(-1),
  )
  const system = computed(() => unitSystemOf(job.value.region))
  const wanted = computed(() => pipesWanted(job.value))
  /** Lines of other jobs that can be cut here; a job comes with them once one is. */
  const elsewhere = shallowRef<readonly LinesElsewhere[]>([])
  const sourcesElsewhere = computed(() => [
    ...new Set((sheet.value?.sources ?? []).map((source) => source.job).filter((id) => id !== job.value.id)),
  ])
  async function readElsewhere() {
    const answer = await store.read<{ jobs: LinesElsewhere[] }>(
      `/api/lines?region=${job.value.region}&jobs=${sourcesElsewhere.value.join(',')}`,
    )
    if (answer.ok) elsewhere.value = answer.value.jobs.filter((one) => one.job.id !== job.value.id)
  }
  watch(
    () => sourcesElsewhere.value.filter((id) => !store.jobs.some((one) => one.id === id)).join(','),
    async (missing) => {
      if (missing === '') return
      // One that was looked at is kept on this tablet; else its name in the address is asked for.
      for (const id of missing.split(',')) await store.recall(id)
      await readElsewhere()
      for (const one of elsewhere.value) if (missing.split(',').includes(one.job.id)) await store.loadJob(one.job.slug)
    },
    { immediate: true },
  )

  const pieces = computed(() => (sheet.value ? piecesFor(job.value, sheet.value, store.jobs) : null))
  const read = computed(() => (sheet.value ? readSheet(job.value, sheet.value) : null))
  const rack = computed(() => (sheet.value ? rackFor(job.value, sheet.value) : []))
  const plan = computed(() => sheet.value?.plan ?? null)
  const done = computed(() => sheet.value?.done ?? [])
  const rows = computed<CutRow[]>(() => (plan.value ? cutRows(plan.value, done.value) : []))
  const sum = computed(() => sheet.value?.result?.sum ?? (plan.value ? sumOf(plan.value, done.value) : null))
  const progress = computed(() => (sheet.value ? progressOf(sheet.value) : null))
  const stale = computed<string[]>(() => {
    if (!plan.value || !pieces.value || sheet.value?.result) return []
    return staleness(
      plan.value,
      pieces.value.pieces,
      done.value,
      read.value?.ok ? read.value.value : null,
      job.value.region,
    )
  })

  const problem = ref<string | null>(null)
  watch(
    () => sheet.value?.id,
    () => {
      problem.value = null
      search.stop()
    },
  )

  /** Plans what is not cut yet from what is there. */
  async function planAgain() {
    // What was just entered reaches this page with its next drawing.
    await nextTick()
    const now = sheet.value
    if (!now || now.result || !pieces.value) return
    problem.value = null
    if (!read.value?.ok) {
      problem.value = read.value?.error.message ?? null
      return
    }
    const wrong = pieces.value.issues[0]
    if (wrong) {
      problem.value = wrong.message
      return
    }
    const { stock, ...settings } = read.value.value
    const [wantedPieces, before, cuts, offcuts] = [pieces.value.pieces, now.plan, now.done, rack.value]
    if (wantedPieces.length === 0) {
      problem.value =
        pieces.value.waiting.length > 0
          ? `No piece can be cut yet: ${pieces.value.waiting[0]!.name} waits, ${pieces.value.waiting[0]!.why}.`
          : 'No piece yet. Take in a line, or type one.'
      return
    }
    const question = cutQuestion(wantedPieces, stock, offcuts, before, cuts, settings)
    if (question.stock.length === 0) {
      problem.value = 'No stock yet: say what lengths are on hand or can be bought.'
      return
    }
    const answer = await search.plan(question)
    if (!answer || sheet.value?.id !== now.id) return
    if (!answer.ok) {
      problem.value = cutProblem(answer.error, question, wantedPieces, system.value)
      return
    }
    const taken = store.do(
      job.value.slug,
      'cut/plan',
      now.id,
      takeAnswer(uuid(), answer.value, wantedPieces, stock, offcuts, before, cuts, settings),
    )
    if (!taken.ok) problem.value = taken.error.message
  }

  const change = (changes: Partial<CutBody>) => {
    if (sheet.value) store.do(job.value.slug, 'cut/change', sheet.value.id, changes)
  }

  async function addSheet(pipe: string, lines: readonly string[]) {
    const made = store.begin(job.value.slug, 'cut/begin', {
      pipe,
      sources: lines.map((line) => ({ job: job.value.id, line })),
      cutter: cutterFor(getPipe(pipe)),
      stock: usualStock(job.value, pipe, uuid),
    })
    if (!made.ok) return
    await router.replace({ query: { cut: made.value.id } })
    if (lines.length > 0) await planAgain()
  }
  async function dropSheet() {
    if (!sheet.value) return
    store.do(job.value.slug, 'cut/drop', sheet.value.id, {})
    await router.replace({ query: {} })
  }

  // The row looked at: the next cut, unless another was picked.
  const picked = ref<string | null>(null)
  const keyOf = (row: CutRow) => `${row.bar.id} ${row.piece.key} ${row.done?.id ?? ''}`
  const next = computed(() => rows.value.findIndex((row) => row.done === null))
  const at = computed(() => {
    const own = rows.value.findIndex((row) => keyOf(row) === picked.value)
    if (own >= 0) return own
    return next.value >= 0 ? next.value : rows.value.length - 1
  })
  const row = computed<CutRow | null>(() => rows.value[at.value] ?? null)
  const look = (index: number) => {
    const to = rows.value[Math.min(Math.max(0, index), rows.value.length - 1)]
    picked.value = to ? keyOf(to) : null
  }

  function enter(length: number, of: CutRow) {
    if (!sheet.value) return null
    const made = store.do(job.value.slug, 'cut/enter', sheet.value.id, {
      id: uuid(),
      bar: of.bar.id,
      piece: of.piece.key,
      length,
    })
    picked.value = null
    problem.value = made.ok ? null : made.error.message
    return made.ok ? null : made.error.message
  }
  /** Ticks the cut looked at as it was wanted. */
  function tick() {
    if (row.value && row.value.done === null && !sheet.value?.result) enter(row.value.length, row.value)
  }
  /** A cut that came out at another length, as typed; what is left is planned again. Words where it cannot be read. */
  async function enterTyped(text: string): Promise<string | null> {
    const of = row.value
    if (!of || of.done || !plan.value) return null
    const length = parseLength(text, system.value, 'length')
    if (!length.ok) return length.error.message
    const isWrong = !isRight(plan.value.pieces, { piece: of.piece.key, length: length.value.mm })
    const wrong = enter(length.value.mm, of)
    if (wrong) return wrong
    if (isWrong) await planAgain()
    return null
  }
  const lastCut = computed(() =>
    sheet.value?.result ? undefined : done.value.findLast(({ id }) => !plan.value?.slips.includes(id)),
  )
  function takeBack() {
    if (sheet.value && lastCut.value)
      store.do(job.value.slug, 'cut/take-back', sheet.value.id, { id: lastCut.value.id })
  }

  /** The piece looked at as its line has it, for the strip. */
  const piece = computed<RunPiece | null>(() => {
    const own = row.value?.piece
    if (!own?.line) return null
    const from = store.jobs.find(({ id }) => id === own.job)
    const line = from?.lines.find(({ id }) => id === own.line)
    if (!from || !line) return null
    return tubesOf(from, line).find((one) => `${line.id}:${one.piece.id}` === own.key) ?? null
  })

  return {
    elsewhere,
    readElsewhere,
    sheet,
    system,
    wanted,
    pieces,
    read,
    rack,
    plan,
    done,
    rows,
    sum,
    progress,
    stale,
    problem,
    search,
    row,
    at,
    next,
    piece,
    lastCut,
    planAgain,
    change,
    addSheet,
    dropSheet,
    look,
    tick,
    enterTyped,
    takeBack,
    slips: computed(() => (plan.value ? slipsOf(plan.value, done.value) : [])),
  }
}
