import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answer } from '../../core/contract'
import { ASKED_REFUSALS as ASKED_AT_LOOK, type InspectAnswer } from '../../core/inspect'
import {
  fillConditions,
  METHODS,
  type OtherEnd,
  type Method,
  type PipeEnd,
  type WaysAnswer,
  type WaysQuestion,
} from '../../core/joints'
import { ASKED_REFUSALS as ASKED_AT_MAKE, type MakeAnswer } from '../../core/making'
import { runs, SEEDS, waysQuestion } from './questions'

type Answer<T> = T | { error: { code: string; path: string; message: string } }
const isError = <T extends object>(given: Answer<T>): given is Extract<Answer<T>, { error: unknown }> =>
  'error' in given
const ask = <T extends object>(verb: string, question: object): Answer<T> => {
  const given = answer(verb, question)
  return given.ok ? (given.value as T) : { error: given.error }
}

const isPipe = (end: OtherEnd): end is PipeEnd => 'pipe' in end
/** What an end is held for, whatever the place. */
const OF_THE_END: readonly string[] = [
  'gas',
  'unknown-temper',
  'unknown-pex-type',
  'unknown-barrier',
  'unknown-chlorine',
]

/** Everything seen at a joint is as it should be. */
const SOUND = {
  leak: 'dry',
  mark: 'at-edge',
  liner: 'in',
  ringDistance: 4,
  gauge: 'passes',
  pressed: true,
  solderRing: 'all-round',
  flux: 'clean',
  olive: 'even',
  threads: 2,
  support: 50,
  inLine: true,
  daylight: false,
  metals: 'no-zinc',
  system: 'one',
} as const

/** What the verbs say against each other of one method on one end; empty where they agree. */
function contradictions(
  { region, a, b, conditions = {}, policy }: WaysQuestion,
  ways: WaysAnswer,
  on: 'a' | 'b',
  method: Method,
): string[] {
  const end = on === 'a' ? a : b
  if (!isPipe(end)) return []
  const found: string[] = []
  const refused = ways.refused.find((one) => one.on === on && one.method === method)
  // A fitting may answer what refuses the method directly: then the way stands beside the refusal.
  const given = refused
    ? undefined
    : ways.ways.find(({ joints }) => joints.some((joint) => joint.on === on && joint.method === method))
  const made = ask<MakeAnswer>('make', {
    method,
    region,
    orientation: 'horizontal',
    ...end,
    conditions,
    ...(policy ? { policy } : {}),
  })
  if (given && isError(made)) found.push(`ways gives, make refuses: ${made.error.message}`)
  if (given && !isError(made)) {
    for (const { code } of made.stop)
      if (!given.because.some((one) => one.code === code) && code !== 'measure')
        found.push(`make stops for ${code}, the way does not`)
    for (const { code } of made.cautions)
      if ([...OF_THE_END, 'surface'].includes(code) && !given.cautions.some((one) => one.code === code))
        found.push(`make warns of ${code}, the way does not`)
  }
  if (refused && ASKED_AT_MAKE.includes(refused.code)) {
    if (!isError(made)) found.push(`ways refuses ${refused.code}, make gives a card`)
    else if (
      made.error.code !== 'impossible' ||
      made.error.path !== 'method' ||
      !made.error.message.startsWith(`${refused.code}: `)
    )
      found.push(
        `ways refuses ${refused.code}, make says ${made.error.code} at ${made.error.path}: ${made.error.message}`,
      )
  }

  // A joint that is there has no pressure and heat of its own: the service's are taken.
  if (conditions.temperature !== undefined || conditions.pressure !== undefined) return found
  const { service, drinking, hidden, temporary } = fillConditions(conditions)
  const { wall: _, ...end2 } = end
  // What is not said counts as unknown there; here it is what ways took it for.
  const looked = ask<InspectAnswer>('inspect', {
    method,
    region,
    ...end2,
    temper: end.temper ?? 'hard',
    pexType: end.pexType ?? 'b',
    service,
    drinking,
    hidden,
    temporary,
    ...(policy ? { policy } : {}),
    seen: SOUND,
  })
  if (isError(looked)) return [...found, `inspect fails: ${looked.error.message}`]
  const wrong = looked.findings.filter(({ verdict }) => verdict === 'wrong').map(({ code }) => code)
  if (given && wrong.length > 0) found.push(`ways gives, inspect finds wrong: ${wrong.join(', ')}`)
  if (refused && ASKED_AT_LOOK.includes(refused.code) && (looked.verdict !== 'wrong' || !wrong.includes(refused.code)))
    found.push(`ways refuses ${refused.code}, inspect says ${looked.verdict} ${wrong.join(', ')}`)
  const stops = isError(made) ? [] : made.stop.filter(({ code }) => OF_THE_END.includes(code))
  for (const { code } of given ? stops : [])
    if (looked.verdict === 'sound') found.push(`ways and make hold for ${code}, inspect passes it`)
  return found
}

describe('ways, make and inspect', () => {
  it.each(SEEDS)(
    'never contradict each other on one pipe, method and conditions (seed %s)',
    (seed) => {
      let [given, refused] = [0, 0]
      fc.assert(
        fc.property(waysQuestion, (question) => {
          const ways = ask<WaysAnswer>('ways', question)
          // A wall that does not go into its tube is an error of every verb.
          if (isError(ways)) return
          for (const on of ['a', 'b'] as const) {
            for (const method of METHODS)
              expect(contradictions(question, ways, on, method), `${method} on ${on}`).toEqual([])
          }
          given += ways.ways.length
          refused += ways.refused.length
        }),
        { seed, numRuns: runs(600, 20_000) },
      )
      // A generator that draws nothing but refusals would prove nothing.
      expect(given).toBeGreaterThan(100)
      expect(refused).toBeGreaterThan(100)
    },
    1_800_000,
  )
})
