import { length, lengths, speakAll } from '#core/speech'
import { blocksOf, stepOf } from './fix'
import type { FixContext, FixRule, Support } from './types'

const EDGE = 1e-6

/** A figure beside its limit, mm. */
const against = (is: number, limit: number, words: (is: string, limit: string) => string): string =>
  words(length(is, [limit]), length(limit, [is]))

/** What supports at these places break, by leg: distances, joints, bends and arms. Empty where all is right. */
export function checkSupports(context: FixContext, supports: readonly Support[]): FixRule[] {
  const rules: FixRule[] = []
  const {
    question: { legs },
  } = context
  legs.forEach((leg, index) => {
    const at = supports
      .filter((support) => support.leg === index)
      .map((support) => support.at)
      .sort((a, b) => a - b)
    const tell = (code: string, text: string, where?: number) =>
      rules.push({ code, text, leg: index, ...(where === undefined ? {} : { at: where }) })
    for (const place of at) {
      if (place < -EDGE || place > leg.length + EDGE)
        tell(
          'off-leg',
          against(place, leg.length, (is, whole) => `${is} is beyond the leg, which is ${whole} long.`),
          place,
        )
      const block = blocksOf(context, index).find(
        ({ interval: [from, to] }) => place > from + EDGE && place < to - EDGE,
      )
      if (block)
        tell(
          block.of === 'joint' ? 'on-joint' : 'on-bend',
          `Nearer than ${length(context.clear)} to ${block.of === 'joint' ? 'a joint' : 'a bend'}: ${lengths(Math.max(0, block.interval[0]), block.interval[1])} stays free.`,
          place,
        )
    }
    const step = stepOf(context, index)
    if (step === null || at.length === 0) return
    if (at[0]! > step / 2 + EDGE)
      tell(
        'far-end',
        against(at[0]!, step / 2, (is, most) => `The first is ${is} from the beginning; at most ${most}.`),
        at[0],
      )
    if (leg.length - at.at(-1)! > step / 2 + EDGE)
      tell(
        'far-end',
        against(leg.length - at.at(-1)!, step / 2, (is, most) => `The last is ${is} from the end; at most ${most}.`),
        at.at(-1),
      )
    for (let i = 1; i < at.length; i++)
      if (at[i]! - at[i - 1]! > step + EDGE)
        tell(
          'too-wide',
          against(at[i]! - at[i - 1]!, step, (is, most) => `${is} between two; at most ${most}.`),
          at[i],
        )
  })
  return speakAll(rules, context.question.region)
}
