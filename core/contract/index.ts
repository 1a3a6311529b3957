import * as z from 'zod/mini'
import { fail, ok, type Result } from '#core/base'
import { understand } from '#core/ask'
import { findPipes } from '#core/catalogue'
import { planCuts } from '#core/cutting'
import { askFlow } from '#core/flow'
import { askHeat } from '#core/heat'
import { identifyPipe } from '#core/identify'
import { inspectJoint } from '#core/inspect'
import { findWays } from '#core/joints'
import { planLine, planOffset } from '#core/line'
import { makeJoint } from '#core/making'
import { listRules } from '#core/rulebook'
import { fixPipe } from '#core/supports'
import { speakAll } from '#core/speech'
import { REGIONS, type Region } from '#core/units'
import { toIssue } from './issues'
import {
  pipesQuestion,
  identifyQuestion,
  waysQuestion,
  makeQuestion,
  offsetQuestion,
  lineQuestion,
  cutQuestion,
  fixQuestion,
  flowQuestion,
  heatQuestion,
  askQuestion,
  rulesQuestion,
} from './questions'
import { inspectQuestion } from './saved'

export { toIssue } from './issues'
export { schemas } from './saved'

/** A line of shorthand, and the answer of the verb it asks. */
function answerLine(question: z.output<typeof askQuestion>): Result<unknown> {
  const understood = understand(question)
  if (!understood.ok) return understood
  const answer = answered(understood.value.verb, understood.value.question)
  return answer.ok ? ok({ understood: understood.value, answer: answer.value }) : answer
}

interface Verb {
  question: z.ZodMiniType
  answer: (question: unknown) => Result<unknown>
}

/** Ties a schema to the function that answers it, so that the two cannot part. */
const verb = <S extends z.ZodMiniType>(question: S, answer: (question: z.output<S>) => Result<unknown>): Verb => ({
  question,
  answer: (asked) => answer(asked as z.output<S>),
})

/** Every verb, its question's schema and the function that answers it. */
export const VERBS: Readonly<Record<string, Verb>> = {
  pipes: verb(pipesQuestion, findPipes),
  identify: verb(identifyQuestion, identifyPipe),
  ways: verb(waysQuestion, findWays),
  make: verb(makeQuestion, makeJoint),
  inspect: verb(inspectQuestion, inspectJoint),
  offset: verb(offsetQuestion, planOffset),
  line: verb(lineQuestion, planLine),
  cut: verb(cutQuestion, planCuts),
  fix: verb(fixQuestion, fixPipe),
  flow: verb(flowQuestion, askFlow),
  heat: verb(heatQuestion, askHeat),
  ask: verb(askQuestion, answerLine),
  rules: verb(rulesQuestion, (question) => listRules(question, Object.keys(VERBS))),
}

/** Most questions answered in one array (contract). */
const MOST_QUESTIONS = 1000

/** Whose words a question is answered in: its own region's, or Britain's. */
function regionOf(question: unknown): Region {
  const region = typeof question === 'object' && question !== null && 'region' in question ? question.region : undefined
  return REGIONS.find((one) => one === region) ?? 'gb'
}

/** One question checked and answered, in the words of its region. */
export const ask = (name: string, question: unknown): Result<unknown> =>
  speakAll(answered(name, question), regionOf(question))

function answered(name: string, question: unknown): Result<unknown> {
  const found = Object.hasOwn(VERBS, name) ? VERBS[name] : undefined
  if (!found) return fail('verb', '', `No verb "${name.slice(0, 40)}". Accepted: ${Object.keys(VERBS).join(', ')}.`)
  const parsed = found.question.safeParse(question)
  if (!parsed.success) return { ok: false, error: toIssue(parsed.error.issues[0]!, question) }
  try {
    return found.answer(parsed.data)
  } catch (error) {
    // A fault of ours: it costs this question its answer, never the others of its batch.
    return fail(
      'impossible',
      '',
      `This question could not be worked out (${error instanceof Error ? error.name : 'fault'}). It is a fault of ours; the other questions stand.`,
    )
  }
}

/** An answer as it goes over the wire: itself, or `{error}`. */
const wire = (result: Result<unknown>): unknown => (result.ok ? result.value : { error: result.error })

/** One question of several: its answer, or its own `{error}`. */
export const answerOne = (name: string, question: unknown): unknown => wire(ask(name, question))

/** `too-many` where an array has more questions than are accepted. */
export const checkCount = (questions: readonly unknown[]): Result<null> =>
  questions.length > MOST_QUESTIONS
    ? fail('too-many', '', `${questions.length} questions at once. At most ${MOST_QUESTIONS} are accepted.`)
    : ok(null)

/**
 * A question, or an array of them, answered in order. An array gives an array, each an answer or its own `{error}`;
 * more than 1,000 is `too-many`.
 */
export function answer(name: string, question: unknown): Result<unknown> {
  if (!Array.isArray(question) || !Object.hasOwn(VERBS, name)) return ask(name, question)
  const counted = checkCount(question)
  return counted.ok ? ok(question.map((one) => answerOne(name, one))) : counted
}

let made: Record<string, unknown> | undefined

/** JSON Schema of each verb's question, for `GET /api/core`; made at the first call. */
export const jsonSchemas = (): Record<string, unknown> =>
  (made ??= Object.fromEntries(
    Object.entries(VERBS).map(([name, { question }]) => [name, z.toJSONSchema(question, { io: 'input' })]),
  ))
