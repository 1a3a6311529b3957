import { suggestNext, understand, type JobSaid, type Understood } from '#core/ask'
import type { Word } from '#core/shorthand'
import type { Issue } from '#core/base'
import { ask } from '#core/contract'
import type { IdentifyAnswer } from '#core/identify'
import type { Conditions, End, OtherEnd, WaysAnswer } from '#core/joints'
import { getPipe, hazardOf, type Pipe, type Valve } from '#core/catalogue'
import type { LineAnswer, OffsetAnswer } from '#core/line'
import type { FixAnswer } from '#core/supports'
import type { FlowAnswer } from '#core/flow'
import type { MakeAnswer } from '#core/making'
import { kitOf, type FindBody, type JobRecord } from '#core/record'
import type { Region } from '#core/units'

/** What came of a line: the answer of the verb it asks. */
export type Asked =
  | { verb: 'ways'; answer: WaysAnswer; a: End; b: OtherEnd }
  | { verb: 'identify'; answer: IdentifyAnswer }
  | { verb: 'make'; answer: MakeAnswer; method: string; pipe: string | null }
  | { verb: 'offset'; answer: OffsetAnswer }
  | { verb: 'fix'; answer: FixAnswer; pipe: string }
  | { verb: 'flow'; answer: FlowAnswer; pipe: string }
  | { verb: 'line'; answer: LineAnswer; method: string; isFitting: boolean }
  | { verb: 'pipes'; answer: { pipes: Pipe[] } }

/** What keeping an answer makes of it, by its verb. */
const KEEP_WORDS: Readonly<Partial<Record<Understood['verb'], string>>> = {
  ways: 'Start this joint',
  identify: 'Keep it as a find',
}

const isLeftAlone = (end: OtherEnd): boolean => 'pipe' in end && hazardOf(getPipe(end.pipe)) !== null

/** A question with what the job has: its own fittings measured, its tools, its schools. */
function withKit({ verb, question }: Understood, job: JobRecord): Record<string, unknown> {
  const policy = { ...job.policy, ...(question.policy as object | undefined) }
  if (verb === 'ways') return { ...question, policy, kit: kitOf(job) }
  if (verb === 'line') return { ...question, kit: kitOf(job) }
  return verb === 'make' ? { ...question, policy } : question
}

/** The pipes that were found or joined on a job, and what it carries where all of it carries the same. */
function jobSaid({ finds, joints }: JobRecord): JobSaid {
  const ends = joints.flatMap(({ a, b }) => [a, b]).flatMap((end) => (end && 'pipe' in end ? [end.pipe] : []))
  const pipes = [...new Set([...finds.flatMap(({ pipe }) => pipe ?? []), ...ends])]
  const services = new Set(joints.map(({ conditions }) => conditions.service ?? 'cold'))
  const [service] = services
  return {
    pipes,
    ...(services.size === 1 ? { service } : {}),
    methods: [...new Set(joints.flatMap(({ way }) => way?.joints.map(({ method }) => method) ?? []))],
  }
}

const toAsked = ({ verb, question, words }: Understood, answer: unknown): Asked => {
  switch (verb) {
    case 'ways':
      return { verb, answer: answer as WaysAnswer, a: question.a as End, b: question.b as OtherEnd }
    case 'identify':
      return { verb, answer: answer as IdentifyAnswer }
    case 'make':
      return {
        verb,
        answer: answer as MakeAnswer,
        method: String(question.method),
        pipe: typeof question.pipe === 'string' ? question.pipe : null,
      }
    case 'fix':
      return { verb, answer: answer as FixAnswer, pipe: String(question.pipe) }
    case 'flow':
      return { verb, answer: answer as FlowAnswer, pipe: String(question.pipe) }
    case 'line':
      return {
        verb,
        answer: answer as LineAnswer,
        method: String(question.method),
        isFitting: words.every(({ as }) => as !== 'a run of legs'),
      }
    case 'pipes':
      return { verb, answer: answer as { pipes: Pipe[] } }
    case 'offset':
      return { verb, answer: answer as OffsetAnswer }
  }
}

/**
 * The line at the top: what is typed, what was understood of it, its answer, and what it can be turned into on a job.
 */
export function useAsk(text: Ref<string>, job: Ref<JobRecord | undefined>) {
  const router = useRouter()
  const store = useJobStore()
  /** Country of a line asked outside a job, kept on this device. */
  const chosen = useUsualRegion()
  const region = computed<Region>(() => job.value?.region ?? chosen.value)

  /** What the job says already, for what a line leaves out. */
  const said = computed(() => (job.value ? jobSaid(job.value) : {}))
  const understood = computed(() =>
    text.value.trim() === '' ? null : understand({ text: text.value, region: region.value, job: said.value }),
  )
  const filled = computed<readonly string[]>(() => (understood.value?.ok ? (understood.value.value.filled ?? []) : []))
  const words = computed<readonly Word[]>(() =>
    understood.value?.ok ? understood.value.value.words : (understood.value?.error.words ?? []),
  )
  const result = computed<{ asked: Asked } | { issue: Issue } | null>(() => {
    const line = understood.value
    if (!line) return null
    if (!line.ok) return { issue: line.error }
    const answer = ask(line.value.verb, job.value ? withKit(line.value, job.value) : line.value.question)
    return answer.ok ? { asked: toAsked(line.value, answer.value) } : { issue: answer.error }
  })
  const suggestions = computed(() => suggestNext(text.value, region.value))

  /** Puts another word in the place of one that was understood. */
  function swap(index: number, other: string) {
    let at = 0
    const places = words.value.map(({ text: word }) => {
      const from = text.value.indexOf(word, at)
      at = from + word.length
      return { from, to: at }
    })
    const { from, to } = places[index]!
    text.value = text.value.slice(0, from) + other + text.value.slice(to)
  }

  /** What the answer becomes on the job: a joint with its ends and conditions, or a find with its checks. */
  const becomes = computed(() => {
    const line = understood.value
    if (!line?.ok || !result.value || !('asked' in result.value)) return null
    const { verb, question } = line.value
    // Nothing is joined to lead or to the polybutylene that failed.
    if (verb === 'ways' && [question.a, question.b].some((end) => isLeftAlone(end as OtherEnd))) return null
    return KEEP_WORDS[verb] ?? null
  })
  async function take() {
    const line = understood.value
    if (!line?.ok || !becomes.value) return
    const { question, verb } = line.value
    // Outside a job it is kept on this tablet, and given to one later.
    const { slug } = job.value ?? (await store.createLoose(region.value))
    if (verb === 'ways') {
      const made = store.begin(slug, 'joint/begin', {
        a: question.a as End,
        b: question.b as OtherEnd,
        valve: question.valve ? { kind: question.valve as Valve } : {},
        conditions: (question.conditions ?? {}) as Partial<Conditions>,
      })
      if (made.ok) await router.push({ path: `/jobs/${slug}/joint`, query: { joint: made.value.id } })
    } else {
      const [diameter, ...others] = question.checks as { check: string; value: unknown }[]
      const answers = Object.fromEntries(others.map(({ check, value }) => [check, value])) as FindBody['answers']
      const made = store.begin(slug, 'find/begin', { typed: `${String(diameter!.value)} mm`, answers })
      if (made.ok) await router.push({ path: `/jobs/${slug}/find`, query: { find: made.value.id } })
    }
    text.value = ''
  }

  return { region, chosen, words, filled, result, suggestions, becomes, swap, take }
}
