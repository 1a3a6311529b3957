import { findPipe, type EndFacts } from '#core/catalogue'
import { inspectJoint, looksFor, type InspectAnswer, type LookPart, type Seen, type SeenName } from '#core/inspect'
import { factsIn, type Method, type Service } from '#core/joints'
import type { JobRecord, LookRecord } from '#core/record'
import { parseLength, unitSystemOf } from '#core/units'
import { ASKED_FACTS } from '~/wording/facts'
import { SEEN_LENGTHS } from '~/wording/inspect'

/** A joint that is there already: what holds it, what is seen of it, and what that says. */
export function useInspect(job: Ref<JobRecord>) {
  const method = ref<Method>('push-fit')
  const pipe = ref<string | null>(null)
  /** What is joined; null is pipe to pipe. */
  const part = ref<LookPart | null>(null)
  const ofPart = computed(() => (part.value === null ? {} : { part: part.value }))
  /** What is known of the end beside its pipe, as it is said. */
  const known = ref<EndFacts>({})
  /** What it carries; null until somebody says. */
  const service = ref<Service | null>(null)
  watch(pipe, () => {
    known.value = {}
  })
  const seen = reactive<Seen>({})
  /** Lengths and counts as they were typed, right or wrong. */
  const typed = reactive<Partial<Record<SeenName, string>>>({})
  const problems = reactive<Partial<Record<SeenName, string>>>({})

  const tube = computed(() => {
    const found = pipe.value === null ? null : findPipe(pipe.value, 'pipe')
    return found?.ok ? found.value : undefined
  })
  const looks = computed(() => looksFor(method.value, tube.value, part.value ?? undefined))
  const answer = computed<InspectAnswer | null>(() => {
    const result = inspectJoint({
      region: job.value.region,
      method: method.value,
      ...(pipe.value === null ? {} : { pipe: pipe.value }),
      ...ofPart.value,
      ...known.value,
      ...(service.value === null ? {} : { service: service.value }),
      policy: job.value.policy,
      seen: { ...seen },
    })
    return result.ok ? result.value : null
  })

  function say<Name extends SeenName>(name: Name, value: Seen[Name]) {
    if (seen[name] === value || value === undefined) Reflect.deleteProperty(seen, name)
    else seen[name] = value
  }
  function type(name: SeenName, text: string) {
    typed[name] = text
    Reflect.deleteProperty(problems, name)
    Reflect.deleteProperty(seen, name)
    if (text.trim() === '') return
    if (SEEN_LENGTHS.has(name)) {
      const length = parseLength(text, unitSystemOf(job.value.region), name)
      if (length.ok) Object.assign(seen, { [name]: length.value.mm })
      else problems[name] = length.error.message
    } else if (/^\d{1,2}$/.test(text.trim())) Object.assign(seen, { [name]: Number(text) })
    else problems[name] = 'Count them: 0 to 40.'
  }
  function clear() {
    for (const name of Object.keys(seen)) Reflect.deleteProperty(seen, name)
    for (const name of Object.keys(typed)) Reflect.deleteProperty(typed, name)
    for (const name of Object.keys(problems)) Reflect.deleteProperty(problems, name)
    known.value = {}
    service.value = null
    part.value = null
  }
  /** Facts of the end that the answer waits for, whether they are said by now or not. */
  const asks = computed(() =>
    pipe.value === null || !answer.value
      ? []
      : ASKED_FACTS.filter(
          ({ code, keys }) =>
            answer.value!.cautions.some((caution) => caution.code === code) ||
            keys.some(({ says }) => Object.keys(says).some((name) => name in known.value)),
        ),
  )

  const store = useJobStore()
  const place = ref('')
  /** Why the last look could not be kept, in words. */
  const keepProblem = ref<string | null>(null)
  /** Keeps what was seen, with what it came to; then there is another one to look at. */
  function keep() {
    const made = store.begin(job.value.slug, 'look/keep', {
      place: place.value,
      method: method.value,
      ...(pipe.value === null ? {} : { pipe: pipe.value }),
      ...ofPart.value,
      ...known.value,
      ...(service.value === null ? {} : { service: service.value }),
      seen: { ...seen },
    })
    keepProblem.value = made.ok ? null : made.error.message
    if (!made.ok) return
    place.value = ''
    clear()
  }
  const router = useRouter()
  /** A joint to make in place of one that was looked at: its pipe on both ends, with what is known of it. */
  function makeAnew({ id, look }: LookRecord) {
    const { pipe: on, place: where, service: carries, part: was } = look
    const end = on === undefined ? null : { pipe: on, ...factsIn(look) }
    const other = was === 'cap' ? { cap: true as const } : end
    const conditions = carries === undefined ? {} : { service: carries }
    const made = store.begin(job.value.slug, 'joint/begin', { place: where, a: end, b: other, conditions, look: id })
    keepProblem.value = made.ok ? null : made.error.message
    if (made.ok) void router.push({ path: `/jobs/${job.value.slug}/joint`, query: { joint: made.value.id } })
  }
  const jointFor = ({ id }: LookRecord) => job.value.joints.find(({ look }) => look === id)
  /** What was kept, the last first. */
  const kept = computed(() => [...job.value.looks].reverse())

  return {
    method,
    pipe,
    part,
    tube,
    known,
    service,
    asks,
    seen,
    typed,
    problems,
    looks,
    answer,
    say,
    type,
    clear,
    place,
    keep,
    keepProblem,
    kept,
    makeAnew,
    jointFor,
  }
}
