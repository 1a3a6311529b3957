import type { ActOn, InputOf } from '#core/acts'
import { inMakingOrder, slipOf, type MakeCard, type Slip } from '#core/making'
import type { Step } from '#core/joints'
import {
  cardsOf,
  heldStep,
  isAt,
  isMade,
  leftToSign,
  stateOfStep,
  statusOf,
  type JobRecord,
  type JointBody,
  type JointRecord,
  type LeftCode,
  type StepState,
} from '#core/record'
import { parseLength, unitSystemOf } from '#core/units'
import { readAsk } from '~/reading/ask'

/** The joint being made: one card for each entry of its way, the steps done, the depth in use. */
export function useMake(job: Ref<JobRecord | undefined>) {
  const route = useRoute()
  const store = useJobStore()

  const joints = computed(() => (job.value?.joints ?? []).filter(({ way }) => way !== null))
  const joint = computed<JointRecord | undefined>(
    () =>
      joints.value.find(({ id }) => id === route.query.joint) ??
      joints.value.find((one) => statusOf(one) === 'dry-fitted') ??
      joints.value.find((one) => statusOf(one) === 'planned') ??
      joints.value.at(-1),
  )
  const isSigned = computed(() => joint.value !== undefined && isMade(joint.value))

  const cards = computed<MakeCard[]>(() =>
    joint.value && job.value ? inMakingOrder(cardsOf(job.value, joint.value)) : [],
  )
  const stepsOf = (card: MakeCard | undefined): readonly Step[] => (card?.answer.ok ? card.answer.value.steps : [])
  const tickOf = (entry: number, step: string) => joint.value?.ticks.find(isAt({ entry, step }))
  const stateOf = (card: MakeCard, step: Step): StepState => stateOfStep(step, tickOf(card.entry, step.id))
  const openSteps = (card: MakeCard) => stepsOf(card).filter((step) => stateOf(card, step) !== 'done').length
  /** Why a step waits: its pipe may be gas. */
  const heldAt = (card: MakeCard, step: Step): string | null =>
    job.value && joint.value && !isSigned.value ? heldStep(job.value, joint.value, card, step) : null

  /** The coupling without a stop of the way, and which of its three moves the current step is. */
  const slip = computed<Slip | null>(() => {
    const { way, slip: measured, conditions } = joint.value ?? {}
    return way ? slipOf({ ...way, slip: measured, gap: conditions?.gap }) : null
  })
  const move = computed<1 | 2 | 3 | null>(() => {
    const step = slip.value && stepsOf(card.value)[current.value]
    if (!step || step.code !== 'insert') return null
    if (card.value!.joint.on === slip.value!.on) return 1
    return step.id === 'insert' ? 2 : 3
  })
  const { ask: askKept } = useKeepSteps()
  const changeSlip = (changes: Partial<JointBody>) => askKept(job.value!, joint.value!, changes)

  /** Place in the making order of the end that was chosen by hand. */
  const chosen = ref<number | null>(null)
  watch(
    () => joint.value?.id,
    () => {
      chosen.value = null
    },
  )
  const card = computed(
    () => cards.value[chosen.value ?? cards.value.findIndex((one) => openSteps(one) > 0)] ?? cards.value.at(-1),
  )
  const current = computed(() => stepsOf(card.value).findIndex((step) => stateOf(card.value!, step) !== 'done'))
  const left = computed(() => cards.value.reduce((sum, one) => sum + openSteps(one), 0))

  /** Depth in use for an entry, mm: the user's own measure where it can be read, else the table's. */
  const typedDepth = (entry: number): string => joint.value?.depths[String(entry)] ?? ''
  const measured = (entry: number) => {
    const typed = typedDepth(entry).trim()
    return typed ? parseLength(typed, unitSystemOf(job.value!.region), 'measured depth') : null
  }
  const depth = computed<{ mm: number | null; isMeasured: boolean; problem: string | null }>(() => {
    if (!card.value) return { mm: null, isMeasured: false, problem: null }
    const own = measured(card.value.entry)
    if (own?.ok) return { mm: own.value.mm, isMeasured: true, problem: null }
    return { mm: card.value.joint.insertion.value, isMeasured: false, problem: own ? own.error.message : null }
  })

  /** A step with the way it was read from, so that it is never counted for another. */
  const place = (step: number) => ({
    entry: card.value!.entry,
    step: stepsOf(card.value)[step]!.id,
    ...(joint.value!.wayId === null ? {} : { way: joint.value!.wayId }),
  })
  /** What was typed of the figure the current step asks for. */
  const typed = ref('')
  const readingAt = (step: number): number | null => {
    const ask = stepsOf(card.value)[step]?.ask
    return ask && step === current.value ? readAsk(ask, typed.value, unitSystemOf(job.value!.region)).value : null
  }
  const read = (step: number) => ({ ...place(step), ...(readingAt(step) === null ? {} : { reading: readingAt(step) }) })
  const act = <N extends ActOn<'joints'>>(name: N, body: InputOf<N>) =>
    store.do(job.value!.slug, name, joint.value!.id, body)
  const tick = (step: number) =>
    stateOf(card.value!, stepsOf(card.value)[step]!) === 'done'
      ? act('joint/untick', place(step))
      : act('joint/tick', read(step))
  const fail = (step: number) => act('joint/fail', read(step))
  const setTimer = (step: number, running: boolean) => act(running ? 'joint/wait' : 'joint/stop-wait', place(step))
  const setDepth = (typed: string) => {
    const { [String(card.value!.entry)]: _, ...others } = joint.value!.depths
    act('joint/change', { depths: typed.trim() === '' ? others : { ...others, [String(card.value!.entry)]: typed } })
  }
  const setOrientation = (orientation: JointRecord['orientation']) => act('joint/change', { orientation })
  const setFixture = (fixture: JointRecord['fixture']) => act('joint/change', { fixture })
  const setAir = (ambient: JointRecord['ambient']) => act('joint/change', { ambient })
  const setTorch = (torch: JointRecord['torch']) => act('joint/change', { torch })
  const sign = (initials: string, seen: LeftCode[]) => act('joint/sign', { initials: initials.trim(), seen })
  /** What is left at a moment, by the server's clock. */
  const clock = useServerClock()
  const leftNow = () =>
    job.value && joint.value
      ? leftToSign(job.value, joint.value, new Date(Date.now() + clock.offset.value).toISOString())
      : []

  return {
    joints,
    joint,
    ...useShifted(job, joint),
    isSigned,
    cards,
    card,
    chosen,
    current,
    left,
    depth,
    slip,
    move,
    changeSlip,
    stepsOf,
    tickOf,
    stateOf,
    heldAt,
    ...useSuspects(job, joint),
    leftNow,
    openSteps,
    typedDepth,
    typed,
    setAir,
    setTorch,
    tick,
    fail,
    setTimer,
    setDepth,
    setOrientation,
    setFixture,
    sign,
  }
}
