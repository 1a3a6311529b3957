import type { ActOn, InputOf } from '#core/acts'
import { fixLine, fixSettings, lineFlow, type JobRecord, type LineRecord } from '#core/record'
import type { LineSupport } from '#core/supports'
import { unitSystemOf } from '#core/units'

/** The line being fixed: its supports, the one at hand, and what moves or fixes it. */
export function useFix(job: Ref<JobRecord>) {
  const route = useRoute()
  const store = useJobStore()
  const line = computed<LineRecord | undefined>(
    () =>
      job.value.lines.find(({ id }) => id === route.query.line) ??
      job.value.lines.find(({ legs }) => legs.length > 0) ??
      job.value.lines[0],
  )
  const system = computed(() => unitSystemOf(job.value.region))
  const settings = computed(() => (line.value ? fixSettings(job.value, line.value) : null))
  const fixed = computed(() => (line.value ? fixLine(job.value, line.value) : null))
  const supports = computed<readonly LineSupport[]>(() => fixed.value?.supports ?? [])
  const flow = computed(() => (line.value ? lineFlow(job.value, line.value) : null))

  /** Key of the support looked at; the next to be fixed while none is chosen. */
  const chosen = ref<string | null>(null)
  watch(
    () => line.value?.id,
    () => {
      chosen.value = null
    },
  )
  const at = computed(() => {
    const own = supports.value.findIndex(({ key }) => key === chosen.value)
    if (own >= 0) return own
    const next = supports.value.findIndex(({ fixedAt }) => fixedAt === null)
    return next >= 0 ? next : supports.value.length - 1
  })
  const support = computed<LineSupport | undefined>(() => supports.value[at.value])
  /** Stretches of its piece, mm from the left end: where it may sit, and the free arms on its leg. */
  const zones = computed(() => {
    const own = support.value
    if (!own || own.fromLeft === null) return []
    const from = own.fromLeft - own.at
    const length = fixed.value!.survey.laid[own.leg]!.length
    return [
      ...(own.may ? [{ from: own.may.from + from, to: own.may.to + from, isFree: true }] : []),
      ...fixed
        .value!.arms.filter(({ across, needs, has }) => across === own.leg && has < needs)
        .map(({ end, needs }) =>
          end === 'end'
            ? { from, to: from + needs, isFree: false }
            : { from: from + length - needs, to: from + length, isFree: false },
        ),
    ]
  })
  const look = (index: number) => {
    chosen.value = supports.value[Math.min(Math.max(0, index), supports.value.length - 1)]?.key ?? null
  }

  const act = <N extends ActOn<'lines'>>(name: N, body: InputOf<N>) => {
    if (line.value) store.do(job.value.slug, name, line.value.id, body)
  }
  const set = (fix: Partial<LineRecord['fix']>) => {
    if (line.value) act('line/change', { fix: { ...line.value.fix, ...fix } })
  }
  function fixIt() {
    if (!support.value || support.value.fixedAt) return
    act('line/fix-support', { support: support.value.key, mm: support.value.at })
    chosen.value = null
  }
  function takeBack() {
    if (support.value) act('line/free-support', { support: support.value.key })
  }
  /** Moves it to a distance from the left end of its piece, or from its leg's beginning where that is not known, mm. */
  const move = (to: number) => {
    const own = support.value
    if (own) act('line/move-support', { support: own.key, mm: Math.max(0, own.at + to - (own.fromLeft ?? own.at)) })
  }
  return { line, system, settings, fixed, supports, flow, support, zones, at, look, set, fixIt, move, takeBack }
}
