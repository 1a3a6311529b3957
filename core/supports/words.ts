import type { RuleTable } from '#core/base'
import { about, w } from '#core/speech'

const rule = (when: string, because: string, source = 'trade practice') => ({ when, because, source })

/** What has to be seen to when pipe is held. */
export const FIX_RULES = {
  'no-row': rule(
    'the code has no row for this pipe',
    "Take the distances from its maker's sheet and enter them, or choose a code that has it.",
    'the code in use',
  ),
  storey: rule(
    `the code speaks of ${w.storeys}`,
    'Held at the base and at each floor, guided half way up. No length is given.',
    'the code in use',
  ),
  'mid-storey': rule(
    'the code asks for a guide between floors',
    `A guide stands half way up each ${w.storey} besides (sizes to 2 in).`,
    'the code in use',
  ),
  habit: {
    ...rule('a habit of the trade differs from the code', 'The code is used; the habit is said beside it.'),
    kind: 'school',
  },
  'near-corners': rule(
    'always',
    `A clip within ${about(150, 300)} of every change of direction, tee and valve; plastic nearer, ${about(100, 150)}.`,
  ),
  bracket: rule(
    'always',
    'Valves, meters and outlets carry their own bracket: their torque never goes through plastic or a push-fit.',
  ),
  'drop-ear': rule(
    'always',
    `${w.ADropEar} is screwed to solid wood by both its ears, its first clip within ${about(150)}.`,
  ),
  'through-wall': rule(
    'always',
    'A sleeve one or two sizes larger, sealed soft at both faces, no joint inside.',
    'trade practice',
  ),
  'clip-kind': rule(
    'pipe is held that a clip may hurt',
    'Clips that suit the pipe: no bare steel on copper, no metal strap on plastic.',
  ),
  slides: rule('the pipe grows', 'Clips that let it slide, holes larger than it, one anchor a straight run.'),
  'no-arm': rule('no arm constant of the plastic is held', 'Leave slack (about 1 %) and ask its maker.', 'the tables'),
  guard: rule(
    'pipe runs through studs or joists',
    "Steel plates where nails may come; notches and holes within the code's limits.",
    'IRC; trade practice',
  ),
  insulate: rule(
    'always',
    `${w.Lag} it. Where frost comes, a drain point at its low end; thaw from the ${w.tap} end, never by flame.`,
  ),
  frost: rule('it is below freezing', `Water in it is ice. ${w.Lag} and trace-heat it, or drain it before frost.`),
  parallel: rule(
    'pipes run side by side',
    `Hot above cold on parallel runs, clips opposite one another, the two apart or ${w.lagged}.`,
  ),
  earth: rule(
    'the pipe is metal',
    `It may be the ${w.earth} path: its bond stays, and is bridged before it is cut.`,
    'BS 7671; NEC',
  ),
  sleeve: rule('always', 'Wrap it in plaster, screed and masonry: sleeve or felt, no joint inside.'),
  'too-short': rule(
    'a leg has no place clear of its joints and bends',
    `Its ${w.neighbours} carry it; a valve or outlet on it has its own bracket.`,
    'ours',
  ),
  'no-room': rule(
    'joints and bends leave a longer gap than the code allows',
    "Bracket a fitting's body there, or move a joint.",
    'the code in use',
  ),
  'arm-short': rule(
    'a corner has less free arm than the growth there needs',
    'Move its clip away, let that one slide and lift, or put in a loop.',
    'handbooks: free cantilever',
  ),
} as const satisfies RuleTable
export type FixCode = keyof typeof FIX_RULES
