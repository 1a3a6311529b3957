import { fillConditions, waySteps, type Conditions, type End, type Way, type WaysAnswer } from '#core/joints'
import { conditionsNow, endsNow, isMade, kitOf, type JobRecord, type JointBody, type JointRecord } from '#core/record'
import { foldWays, type Fold } from '~/reading/fold'

/** Rows shown before the rest is asked for. */
const FIRST = 6

/** The joint on the screen: its ends and conditions, every way to make it, and the one looked at. */
export function useJoint(job: Ref<JobRecord | undefined>) {
  const route = useRoute()
  const router = useRouter()
  const store = useJobStore()

  /** A find is being turned into a joint: no other joint stands on the table meanwhile. */
  const isStarting = computed(() => typeof route.query.from === 'string')
  const joint = computed<JointRecord | undefined>(() => {
    if (isStarting.value) return undefined
    const joints = job.value?.joints ?? []
    return joints.find(({ id }) => id === route.query.joint) ?? joints.find(({ way }) => way === null) ?? joints.at(-1)
  })
  const measured = useOwnMinutes(() => job.value?.region)
  const isSigned = computed(() => joint.value !== undefined && isMade(joint.value))
  const conditions = computed(() => fillConditions(joint.value?.conditions))

  /** The ends as they stand now: whether a pipe was traced is its find's to say. */
  const ends = computed(() => (job.value && joint.value ? endsNow(job.value, joint.value) : { a: null, b: null }))
  const asked = computed(() =>
    job.value && ends.value.a && ends.value.b
      ? {
          region: job.value.region,
          a: ends.value.a,
          b: ends.value.b,
          valve: joint.value?.valve.kind,
          conditions: conditionsNow(joint.value!),
          policy: job.value.policy,
          kit: kitOf(job.value, measured.value),
        }
      : null,
  )
  // Found once the ends are drawn.
  const isDue = useInTurn()
  const found = useSteps(
    () => (isDue.value && asked.value ? { joint: joint.value!.id, question: asked.value } : null),
    ({ question }) => waySteps(question),
  )
  /** The ways of this joint; those of what was asked before stand while they are found anew. */
  const answer = computed<WaysAnswer | null>(() => {
    if (!found.value || !asked.value || found.value.of.joint !== joint.value?.id) return null
    const { value: ways } = found.value
    return ways.ok ? ways.value : null
  })
  const isFinding = computed(() => asked.value !== null && found.value?.of.question !== asked.value)

  const { inStockFirst } = useStock()
  const ways = computed(() => inStockFirst(answer.value?.ways ?? []))
  const lookedAt = ref<string | null>(null)
  watch(
    () => joint.value?.id,
    () => {
      lookedAt.value = null
      isAll.value = false
    },
  )
  const way = computed<Way | null>(() => {
    const wanted = lookedAt.value ?? joint.value?.wayId
    return ways.value.find(({ id }) => id === wanted) ?? ways.value[0] ?? null
  })

  /** Rows as they are shown: the best way of each pair of methods, and the others of a pair that was opened. */
  const folds = computed(() => foldWays(ways.value))
  const opened = ref<ReadonlySet<string>>(new Set())
  const isWanted = ({ id }: Way) => id === way.value?.id || id === joint.value?.wayId
  const isOpen = ({ pair, others }: Fold) => opened.value.has(pair) || others.some(isWanted)
  /** Those before the rest is asked for: the first few pairs, the shortest chains, the one looked at or taken. */
  const isAll = ref(false)
  const fewest = computed(() => Math.min(...ways.value.map(({ joints }) => joints.length)))
  const shownFolds = computed(() =>
    folds.value.filter(
      (fold, i) =>
        isAll.value ||
        i < FIRST ||
        fold.best.joints.length === fewest.value ||
        [fold.best, ...fold.others].some(isWanted),
    ),
  )
  const rows = computed(() =>
    shownFolds.value.flatMap((fold) => (isOpen(fold) ? [fold.best, ...fold.others] : [fold.best])),
  )
  /** Pairs that are not shown yet. */
  const hidden = computed(() => folds.value.length - shownFolds.value.length)
  const openFold = (pair: string) => {
    opened.value = new Set([...opened.value, pair])
  }

  async function addJoint(from?: { find: string; end: End; place: string }) {
    if (!job.value) return
    const made = store.begin(job.value.slug, 'joint/begin', {
      place: from?.place ?? '',
      a: from?.end ?? null,
      findA: from?.find ?? null,
    })
    if (made.ok) await router.replace({ query: { joint: made.value.id } })
  }

  /** A find kept on Find becomes end a of a new joint, once: the address then names the joint. */
  let startedFrom: string | undefined
  watch(
    [() => route.query.from, job],
    async ([from, now]) => {
      if (typeof from !== 'string') startedFrom = undefined
      // The job is read anew while its joint is being written: that is no second wish for one.
      if (typeof from !== 'string' || !now || startedFrom === from) return
      startedFrom = from
      const find = now.finds.find(({ id }) => id === from)
      const begun = now.joints.find((one) => one.findA === from && one.b === null)
      if (begun) await router.replace({ query: { joint: begun.id } })
      else if (find?.pipe) await addJoint({ find: find.id, end: { pipe: find.pipe }, place: find.place })
      else await router.replace({ query: {} })
    },
    { immediate: true },
  )

  const { ask } = useKeepSteps()
  /** A change, once it is said what of the steps it puts aside; `then` follows where it is made. */
  const change = (changes: Partial<JointBody>, then?: () => void) => {
    if (job.value && joint.value) ask(job.value, joint.value, changes, then)
  }
  /** Without a value the service's usual counts again. */
  const setCondition = <K extends keyof Conditions>(name: K, value: Conditions[K] | undefined) => {
    const { [name]: _, ...others } = joint.value!.conditions
    const next: Partial<Conditions> = value === undefined ? others : { ...others, [name]: value }
    // A service brings its own temperature and drinking water, unless they were set by hand.
    if (name === 'service') {
      delete next.temperature
      delete next.drinking
    }
    change({ conditions: next })
  }
  function take(wayId: string) {
    const { slug } = job.value!
    const { id } = joint.value!
    change({ wayId }, () => {
      void router.push({ path: `/jobs/${slug}/make`, query: { joint: id } })
    })
  }

  return {
    joint,
    ends,
    ...useSuspects(job, joint),
    isStarting,
    ...useShifted(job, joint),
    isSigned,
    measured,
    conditions,
    isFinding,
    answer,
    ways,
    way,
    folds,
    rows,
    hidden,
    isAll,
    openFold,
    lookedAt,
    addJoint,
    change,
    setCondition,
    take,
  }
}
