import type { RuleTable } from '#core/base'
import { temperatures } from '#core/speech'

/** What a card says beside what its end asks for. */
export const MAKE_RULES = {
  'after-solder': {
    when: 'the other end of the fitting is soldered',
    because:
      'Solder the other end first and let it go cold to the hand: its heat spoils what is pushed, pressed or cemented here.',
    source: 'trade practice',
  },
  valve: {
    when: 'a valve is soldered',
    because: 'A valve is open before the flame, its washer out or cooled by a wet cloth.',
    source: 'trade practice',
  },
  'seal-near': {
    when: 'a seal goes on the fitting that is soldered',
    because: 'A seal goes on this fitting: it is made once this end is cold.',
    source: 'trade practice',
  },
  'plastic-near': {
    when: 'plastic goes on the fitting that is soldered',
    because: 'Plastic goes on this fitting: it is put on once this end is cold.',
    source: 'trade practice',
  },
  cold: {
    when: 'an expansion fitting would be made in frost, and the least temperature of its tool is not in Kit',
    because: `Read on the tool, or in its paper, how cold it may be, and enter it in Kit: makers stop between ${temperatures(-15, 5)}. Until then nothing is expanded in frost.`,
    source: 'typical, makers differ',
  },
  froze: {
    when: 'PEX is joined in frost',
    because:
      'PEX that froze full of water is stretched: measure its outside at two places. Over its size, or oval, cut back to where it measures right.',
    source: 'trade practice',
  },
  'cement-air': {
    when: 'the air is colder or warmer than ordinary cement takes',
    because: `Ordinary cement takes at ${temperatures(5, 43)}. Now it wants one made for this, or another method.`,
    source: 'typical, makers',
  },
  measure: {
    when: 'no depth of the socket is held',
    because: 'No figure is held for this socket: measure how deep it is before you mark.',
    source: 'the tables',
  },
  drips: {
    when: 'water is left in the pipe, and the method does not mind drips',
    because: 'Drips are tolerated, never flow or pressure. Wipe the end dry.',
    source: 'typical, makers',
  },
  'flat-face': {
    when: 'a parallel thread is made up',
    because: 'A parallel thread seals at its face, on a washer: no tape, no paste. By hand, then a quarter turn.',
    source: 'EN ISO 228-1; trade practice',
  },
  'plastic-thread': {
    when: 'a thread of PVC or CPVC is made up',
    because: 'Snug by hand, then one to two turns, no toothed wrench: more splits it.',
    source: 'ASTM F1498; makers',
  },
  'second-wrench': {
    when: 'a thread is made up',
    because: 'Two wrenches: never let the pull reach the joint beside it.',
    source: 'trade practice',
  },
} as const satisfies RuleTable
export type MakeCode = keyof typeof MAKE_RULES
