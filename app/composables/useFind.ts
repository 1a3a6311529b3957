import { identifyPipe, INSTRUMENT_ERROR, type Check, type IdentifyAnswer } from '#core/identify'
import type { FindBody, FindRecord, JobRecord } from '#core/record'
import { CHOICES, LENGTH_ANSWERS, type AnswerName, type LengthAnswer } from '~/reading/answers'
import { readDiameter, readLength, type LengthReading, type Reading } from '~/reading/diameter'

/** The find on the screen: what was typed and answered, what it may be, and what would settle it. */
export function useFind(job: Ref<JobRecord | undefined>) {
  const route = useRoute()
  const router = useRouter()
  const store = useJobStore()

  const find = computed<FindRecord | undefined>(() => {
    const finds = job.value?.finds ?? []
    return finds.find(({ id }) => id === route.query.find) ?? finds.find(({ pipe }) => pipe === null) ?? finds.at(-1)
  })
  const reading = computed<Reading>(() => (find.value && job.value ? readDiameter(find.value, job.value.region) : { state: 'empty' }))

  const lengths = computed<Record<LengthAnswer, LengthReading>>(() => {
    const outside = reading.value.state === 'read' ? reading.value.mm : null
    const read = (name: LengthAnswer) => readLength(name, find.value?.answers[name], job.value!.region, outside)
    return { wall: read('wall'), bore: read('bore') }
  })

  const checks = computed<Check[]>(() => {
    if (!find.value) return []
    const { print, wall: _, bore: __, ...others } = find.value.answers
    const answered = Object.entries(others).filter(([, value]) => value !== undefined).map(([check, value]) => ({ check, value }) as Check)
    for (const name of LENGTH_ANSWERS) {
      const length = lengths.value[name]
      if (length.state === 'read') answered.push({ check: name, value: length.mm })
    }
    if (print !== undefined) answered.unshift({ check: 'print', text: print })
    return reading.value.state === 'read' ? [{ check: 'outside-diameter', value: reading.value.mm, by: find.value.by }, ...answered] : answered
  })
  const question = computed(() => ({ region: job.value?.region, year: job.value?.year ?? undefined, checks: checks.value, can: [...Object.keys(CHOICES), 'print', ...LENGTH_ANSWERS, 'outside-diameter'] }))

  /** The last answer that could be worked out stays while something is wrong with what is typed. */
  const answer = ref<IdentifyAnswer>()
  watch(question, (asked) => {
    if (!job.value || reading.value.state === 'wrong') return
    const result = identifyPipe(asked)
    if (result.ok) answer.value = result.value
  }, { immediate: true, deep: true })

  /** What is proposed next: wall and bore only once there is a cut end to read them at. */
  const proposed = computed(() => (answer.value?.next ?? []).filter(({ check }) => find.value?.answers.wall !== undefined || find.value?.answers.bore !== undefined || !LENGTH_ANSWERS.some(name => name === check)))

  const change = (changes: Partial<FindBody>) => { if (job.value && find.value) store.changeFind(job.value.slug, find.value.id, changes) }
  const setAnswer = (name: AnswerName, value: string | boolean | undefined) => change({ answers: { ...find.value!.answers, [name]: value } as FindBody['answers'] })

  async function addFind() {
    if (!job.value) return
    const made = store.createFind(job.value.slug, { place: '', typed: '', by: 'calliper', answers: {}, pipe: null })
    if (made.ok) await router.replace({ query: { find: made.value.id } })
  }

  return { find, reading, lengths, answer, proposed, sigma: computed(() => (find.value ? INSTRUMENT_ERROR[find.value.by] : 0)), change, setAnswer, addFind }
}
