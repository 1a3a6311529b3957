import { identifyPipe, INSTRUMENT_ERROR, type Check, type IdentifyAnswer, type Instrument } from '#core/identify'
import type { FindBody, FindRecord, JobRecord } from '#core/record'
import { formatDecimal, MM_PER_INCH, parseLength } from '#core/units'

/** Checks of the screen answered with a word, in no order: the order is by what they would tell. */
export type AnswerName = keyof FindBody['answers']

/** Circumference over diameter, for a tape put round the pipe. */
const girthToDiameter = (girthMm: number): number => girthMm / Math.PI

/** What the typed diameter comes to: mm, or what is wrong with it and what it could have been. */
export type Reading =
  | { state: 'empty' }
  | { state: 'read', mm: number, working: string | null }
  | { state: 'wrong', message: string, guess?: { typed: string, by?: Instrument, words: string } }

function readDiameter(find: Pick<FindRecord, 'typed' | 'by'>, job: JobRecord): Reading {
  if (find.typed.trim() === '') return { state: 'empty' }
  const parsed = parseLength(find.typed, job.region === 'us' ? 'inch' : 'metric', 'outside diameter')
  if (!parsed.ok) return { state: 'wrong', message: parsed.error.message }
  const girth = find.by === 'tape-round'
  const mm = girth ? girthToDiameter(parsed.value.mm) : parsed.value.mm
  const answer = identifyPipe({ region: job.region, checks: [{ check: 'outside-diameter', value: mm, by: find.by }] })
  if (answer.ok) return { state: 'read', mm, working: girth ? `${formatDecimal(parsed.value.mm, 1)} round it \u00f7 3.1416 = ${formatDecimal(mm, 2)}` : null }
  const inches = parsed.value.mm * MM_PER_INCH
  if (mm < 4 && parsed.value.unit === 'mm' && inches >= 4 && inches <= 120) return { state: 'wrong', message: `${formatDecimal(mm, 3)} mm is thinner than any pipe.`, guess: { typed: `${find.typed.trim().replace(/\s*mm$/, '')} in`, words: `${formatDecimal(parsed.value.mm, 3)} in is ${formatDecimal(inches, 2)} mm` } }
  const across = girthToDiameter(mm)
  if (mm > 120 && across <= 120 && !girth) return { state: 'wrong', message: `No supply pipe is ${formatDecimal(mm, 0)} across. 4 to 120 mm is accepted.`, guess: { typed: find.typed, by: 'tape-round', words: `${formatDecimal(mm, 1)} round it is ${formatDecimal(across, 2)} across` } }
  return { state: 'wrong', message: `${formatDecimal(mm, 2)} mm is outside what supply pipe measures. 4 to 120 mm (5/32 to 4 3/4 in) is accepted.` }
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
  const reading = computed<Reading>(() => (find.value && job.value ? readDiameter(find.value, job.value) : { state: 'empty' }))

  const checks = computed<Check[]>(() => {
    if (!find.value) return []
    const answered = Object.entries(find.value.answers).filter(([, value]) => value !== undefined).map(([check, value]) => ({ check, value }) as Check)
    return reading.value.state === 'read' ? [{ check: 'outside-diameter', value: reading.value.mm, by: find.value.by }, ...answered] : answered
  })
  const question = computed(() => ({ region: job.value?.region, year: job.value?.year ?? undefined, checks: checks.value, can: ['scratch', 'held-by', 'colour', 'magnet', 'flex', 'outside-diameter'] }))

  /** The last answer that could be worked out stays while something is wrong with what is typed. */
  const answer = ref<IdentifyAnswer>()
  watch(question, (asked) => {
    if (!job.value || reading.value.state === 'wrong') return
    const result = identifyPipe(asked)
    if (result.ok) answer.value = result.value
  }, { immediate: true, deep: true })

  const change = (changes: Partial<FindBody>) => { if (job.value && find.value) store.changeFind(job.value.slug, find.value.id, changes) }
  const setAnswer = (name: AnswerName, value: string | boolean | undefined) => change({ answers: { ...find.value!.answers, [name]: value } as FindBody['answers'] })

  async function addFind() {
    if (!job.value) return
    const made = await store.createFind(job.value.slug, { place: '', typed: '', by: 'calliper', answers: {}, pipe: null })
    if (made.ok) await router.replace({ query: { find: made.value.id } })
  }

  return { find, reading, answer, checks, sigma: computed(() => (find.value ? INSTRUMENT_ERROR[find.value.by] : 0)), change, setAnswer, addFind }
}
