import { formatDecimal } from '#core/units'
import { blocksOf, stepOf } from './fix'
import type { FixContext, FixRule, Support } from './types'

const EDGE = 1e-6

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
          `${formatDecimal(place, 0)} is beyond the leg, which is ${formatDecimal(leg.length, 0)} long.`,
          place,
        )
      const block = blocksOf(context, index).find(
        ({ interval: [from, to] }) => place > from + EDGE && place < to - EDGE,
      )
      if (block)
        tell(
          block.of === 'joint' ? 'on-joint' : 'on-bend',
          `Nearer than ${formatDecimal(context.clear, 0)} to ${block.of === 'joint' ? 'a joint' : 'a bend'}: ${formatDecimal(block.interval[0], 0)} to ${formatDecimal(block.interval[1], 0)} stays free.`,
          place,
        )
    }
    const step = stepOf(context, index)
    if (step === null || at.length === 0) return
    if (at[0]! > step / 2 + EDGE)
      tell(
        'far-end',
        `The first is ${formatDecimal(at[0]!, 0)} from the beginning; at most ${formatDecimal(step / 2, 0)}.`,
        at[0],
      )
    if (leg.length - at.at(-1)! > step / 2 + EDGE)
      tell(
        'far-end',
        `The last is ${formatDecimal(leg.length - at.at(-1)!, 0)} from the end; at most ${formatDecimal(step / 2, 0)}.`,
        at.at(-1),
      )
    for (let i = 1; i < at.length; i++)
      if (at[i]! - at[i - 1]! > step + EDGE)
        tell(
          'too-wide',
          `${formatDecimal(at[i]! - at[i - 1]!, 0)} between two; at most ${formatDecimal(step, 0)}.`,
          at[i],
        )
  })
  return rules
}
