import { ok, type Result } from '#core/base'
import { findPipe, type Pipe } from '#core/catalogue'
import { spoken } from '#core/speech'
import { findingsOfEnd, leaveAlone } from './facts'
import { LOOKS } from './rules'
import type { Finding, InspectAnswer, InspectQuestion, SeenName } from './types'

const WORSE: Readonly<Record<Finding, number>> = { sound: 0, care: 1, wrong: 2 }

const SERVICE_ASK = 'What does it carry, and does it lie in the ground?'

/** What can be looked at on a joint of a method on a pipe, the most telling first. */
export const looksFor = (
  method: InspectQuestion['method'],
  pipe: Pipe | undefined,
  part?: InspectQuestion['part'],
): SeenName[] => (Object.keys(LOOKS) as SeenName[]).filter((name) => LOOKS[name].applies(method, pipe, part))

/**
 * A joint that is made already, by what can be seen of it and by the rules of joints: each finding is sound, wants care or
 * is wrong, with what to do; the worst decides. Distances mm, typical (`rules.ts`). Issue `unknown-id` at `pipe`. What was
 * said of a thing that such a joint does not have is left out.
 */
export const inspectJoint = spoken(inspect)
function inspect(question: InspectQuestion): Result<InspectAnswer> {
  const { method, seen } = question
  const found = question.pipe === undefined ? undefined : findPipe(question.pipe, 'pipe')
  if (found && !found.ok) return found
  const pipe = found?.value
  const { findings, cautions, tube } = findingsOfEnd(question)
  const looks = looksFor(method, pipe, question.part)
  for (const name of looks) {
    const value = seen[name]
    if (value === undefined) continue
    const { says } = LOOKS[name] as {
      says: (
        value: unknown,
        question: InspectQuestion,
        pipe: Pipe | undefined,
      ) => Omit<InspectAnswer['findings'][number], 'code'>
    }
    findings.push({ code: name, ...says(value, question, pipe) })
  }
  const all = leaveAlone(findings, tube).sort((x, y) => WORSE[y.verdict] - WORSE[x.verdict])
  return ok({
    verdict: all[0]?.verdict ?? 'care',
    findings: all,
    cautions,
    unseen: [
      ...(question.service === undefined ? [{ code: 'service' as const, ask: SERVICE_ASK }] : []),
      ...looks.filter((name) => seen[name] === undefined).map((name) => ({ code: name, ask: LOOKS[name].ask })),
    ],
  })
}
