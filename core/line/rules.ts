import type { RuleTable } from '#core/base'
import { w } from '#core/speech'

const rule = (when: string, because: string, source = 'typical; ours') => ({ when, because, source })

/** What is tight or has to be measured in a line. */
export const LINE_RULES = {
  'bender-typical': rule(
    'a line has bends and no bender is given',
    'Bends are worked out for a typical radius. Calibrate your bender before you mark.',
  ),
  'bend-in-insertion': rule('a bend begins inside an insertion', 'The tube will not go home there.', 'geometry'),
  'bend-near-joint': rule(
    'little straight tube lies between a joint and a bend',
    'A joint wants a straight, round, square end.',
  ),
  'little-straight': rule(
    'hardly any straight tube lies between two bends',
    'Bends only just fit: try it on an offcut first.',
  ),
  'leave-long': rule('an end is short to hold in the former', 'Leave this end long, bend first, then trim.'),
  'joints-meet': rule('a piece is shorter than its two depths', 'The two fittings would overlap.', 'geometry'),
  'short-for-jaws': rule(
    'the bare pipe between two joints is short for their tools',
    'Make both in one go, or lengthen the leg.',
  ),
  'clip-on-bend': rule('a clip lies on a bend', 'Set it past the throat of the bend.', 'trade practice'),
  'clip-on-joint': rule('a clip lies on a joint', 'Keep it on bare pipe.', 'trade practice'),
  'mark-hidden': rule('a clip hides an insertion mark', 'The mark must stay seen: move the clip.', 'trade practice'),
  measure: rule(
    'a take-out or a depth is not held',
    `Measure it, ${w.centre} to stop: until then there is no cut.`,
    'the tables',
  ),
  typical: rule('the range of typical fittings matters to the cut', 'Measure yours before you cut.', 'the tables'),
  'joint-in-wall': rule(
    'a joint lies inside a wall',
    'Nobody can reach it, and many codes forbid it. Move it clear.',
    'WS(WF)R 1999; codes',
  ),
  crossing: rule('two legs run through one another', 'Step one of them over.', 'geometry'),
  method: rule(
    'a method is not made for the pipe of a leg',
    'Take a method that joins this pipe.',
    'the standards of the fittings',
  ),
} as const satisfies RuleTable
export type LineCode = keyof typeof LINE_RULES

/** What an offset by itself can warn of. */
export const OFFSET_RULES: Pick<typeof LINE_RULES, 'little-straight'> = {
  'little-straight': LINE_RULES['little-straight'],
}
