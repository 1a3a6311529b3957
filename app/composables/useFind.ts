import { identifyPipe, INSTRUMENT_ERROR, type CheckName, type IdentifyAnswer } from '#core/identify'
import {
  instrumentOf,
  LENGTH_ANSWERS,
  readFind,
  restingOn,
  type FindBody,
  type FindReading,
  type FindRecord,
  type JobRecord,
} from '#core/record'
import { CHOICES, isTelling, type AnswerName, type Settling } from '~/reading/answers'
import type { AskedName } from '~/wording/en'
import { readPhoto } from '~/reading/photo'

const NOTHING_READ: FindReading = {
  diameter: { state: 'empty' },
  lengths: { wall: { state: 'empty' }, bore: { state: 'empty' } },
  checks: [],
}

/** The find on the screen: what was typed and answered, what it may be, and what would settle it. */
export function useFind(job: Ref<JobRecord | undefined>) {
  const route = useRoute()
  const router = useRouter()
  const store = useJobStore()

  const find = computed<FindRecord | undefined>(() => {
    const finds = job.value?.finds ?? []
    return finds.find(({ id }) => id === route.query.find) ?? finds.find(({ pipe }) => pipe === null) ?? finds.at(-1)
  })
  const read = computed<FindReading>(() =>
    find.value && job.value ? readFind(find.value, job.value.region) : NOTHING_READ,
  )
  const reading = computed(() => read.value.diameter)
  const lengths = computed(() => read.value.lengths)
  const cannot = computed(() => new Set<string>(find.value?.cannot))
  const can = computed(() =>
    [...Object.keys(CHOICES).filter(isTelling), 'print', ...LENGTH_ANSWERS, 'outside-diameter'].filter(
      (name) => !cannot.value.has(name),
    ),
  )
  const question = computed(() => ({
    region: job.value?.region,
    year: job.value?.year ?? undefined,
    checks: read.value.checks,
    can: can.value,
  }))

  /** The last answer that could be worked out stays while something is wrong with what is typed. */
  const answer = ref<IdentifyAnswer>()
  /** Names of the checks it answers, in their order. */
  const checks = ref<CheckName[]>([])
  watch(
    question,
    (asked) => {
      if (!job.value || reading.value.state === 'wrong') return
      const result = identifyPipe(asked)
      if (!result.ok) return
      answer.value = result.value
      checks.value = asked.checks.map(({ check }) => check)
    },
    { immediate: true, deep: true },
  )

  /** What is proposed next: wall and bore only once there is a cut end to read them at. */
  const proposed = computed(() =>
    (answer.value?.next ?? []).filter(
      ({ check }) =>
        find.value?.answers.wall !== undefined ||
        find.value?.answers.bore !== undefined ||
        !LENGTH_ANSWERS.some((name) => name === check),
    ),
  )

  /** The most telling check that is answered by a key; a length or a print is typed instead. */
  const settling = computed<Settling | null>(() => {
    const next = proposed.value.find(({ check }) => isTelling(check))
    if (!next || !isTelling(next.check)) return null
    return {
      check: next.check,
      keys: CHOICES[next.check].map((value) => ({
        value,
        means: next.means.find(({ answer: one }) => one === String(value)),
      })),
    }
  })

  const change = (changes: Partial<FindBody>) => {
    if (job.value && find.value) store.do(job.value.slug, 'find/change', find.value.id, changes)
  }
  const setAnswer = (name: AnswerName, value: string | boolean | undefined) =>
    change({ answers: { ...find.value!.answers, [name]: value } as FindBody['answers'] })

  const setAnswers = (answers: Partial<FindBody['answers']>) =>
    change({ answers: { ...find.value!.answers, ...answers } })

  /** A check that cannot be made at this pipe is not proposed; it can be taken back. */
  function setCannot(name: AskedName, isSo: boolean) {
    const others = find.value!.cannot.filter((one) => one !== name)
    change({ cannot: isSo ? [...others, name] : others })
  }

  async function addFind() {
    if (!job.value) return
    const made = store.begin(job.value.slug, 'find/begin', {})
    if (made.ok) await router.replace({ query: { find: made.value.id } })
  }

  /** Why the last photo was not taken, in words. */
  const photoProblem = ref<string | null>(null)
  async function addPhoto(file: File) {
    const picture = await readPhoto(file)
    const added =
      picture.ok && job.value && find.value ? store.addPhoto(job.value.slug, find.value.id, picture.value) : picture
    photoProblem.value = added.ok ? null : added.error.message
  }
  const dropPhoto = (id: string) => {
    if (job.value && find.value) store.do(job.value.slug, 'find/drop-photo', find.value.id, { photo: id })
  }
  watch(
    () => find.value?.id,
    () => {
      photoProblem.value = null
    },
  )

  /** The joints that rest on this find. */
  const resting = computed(() => (job.value && find.value ? restingOn(job.value, find.value) : []))

  return {
    find,
    reading,
    lengths,
    answer,
    checks,
    proposed,
    settling,
    cannot,
    resting,
    photoProblem,
    sigma: computed(() => (find.value ? INSTRUMENT_ERROR[instrumentOf(find.value.by)] : 0)),
    change,
    setAnswer,
    setAnswers,
    setCannot,
    addFind,
    addPhoto,
    dropPhoto,
  }
}
