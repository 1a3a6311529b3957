import { changes, undoneBy, type DoneAct } from '../act'
import type { LineRecord } from '../line/record'
import { bendBody, bendPlace, type BendBody, type BendPlace } from './schema'
import { failBend, takeBackBend, tickBend } from './work'

const stepName = ({ piece, step }: BendPlace): string => `${piece} step ${step}`

/** A step as it was bent, to the marks it was done to. */
function bentAs({ pulled }: Pick<LineRecord, 'pulled'>, { piece, step }: BendPlace): BendBody | null {
  const pull = pulled[`${piece}:${step}`]
  return pull ? { piece, step, marks: pull.marks } : null
}

export const bendActs = {
  'line/bend-step': changes('lines', {
    body: bendBody,
    undo: undoneBy('line/unbend-step', ({ body: { piece, step } }: DoneAct<'lines', BendBody>) => ({ piece, step })),
    means: 'A step of a bend is done, to the marks its card has.',
    says: (body) => `${stepName(body)} done`,
    apply: (rules, line, body, hand) => tickBend(rules, line, body, hand),
  }),
  'line/unbend-step': changes('lines', {
    body: bendPlace,
    undo: undoneBy('line/bend-step', ({ body, before }: DoneAct<'lines', BendPlace>) => before && bentAs(before, body)),
    means: 'A step of a bend is not done after all.',
    says: (body) => `${stepName(body)} not done`,
    apply: (rules, line, body) => takeBackBend(rules, line, body),
  }),
  'line/fail-bend': changes('lines', {
    body: bendPlace,
    means: 'The check of a bend failed: that step, and what was done of the piece after it, are done again.',
    says: (body) => `check of ${stepName(body)} failed`,
    apply: (rules, line, body) => failBend(rules, line, body),
  }),
}
