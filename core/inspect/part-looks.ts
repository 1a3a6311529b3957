import type { Pipe } from '#core/catalogue'
import type { Method } from '#core/joints'
import { care, sound, wrong, type Look } from './look'
import type { LookPart } from './types'

/* What is looked at on a valve, and on an end that is closed. */

const onPart =
  (wanted: LookPart) =>
  (_: Method, __: Pipe | undefined, part: LookPart | undefined): boolean =>
    part === wanted

type PartSeen = 'turns' | 'arrow' | 'gland' | 'closed'

export const PART_LOOKS: { readonly [Name in PartSeen]: Look<Name> } = {
  turns: {
    ask: 'Turn the valve shut and open: how does it go?',
    when: 'a valve is stiff, does not turn, or lets water past',
    because: 'A valve that does not shut is found out when it is needed: it is tried before anything hangs on it.',
    source: 'trade practice',
    gravest: 'wrong',
    applies: onPart('valve'),
    says: (value) => {
      if (value === 'stuck')
        return wrong('It does not turn.', 'Nothing is cut behind it. Replace it with the water off before it.')
      if (value === 'lets-by')
        return wrong('Shut, it lets water past.', 'Nothing is cut behind it. New washer or seat, or a new valve.')
      if (value === 'stiff')
        return care('It turns stiffly.', 'Work it gently to and fro, a drop of grease at its spindle; never by force.')
      return sound('It turns freely and shuts.')
    },
  },
  arrow: {
    ask: 'Which way does the arrow on the body point?',
    when: 'the arrow on a valve points against the water',
    because: 'The wrong way round its seat chatters or is lifted, and a check valve holds nothing back.',
    source: 'trade practice',
    gravest: 'wrong',
    applies: onPart('valve'),
    says: (value) => {
      if (value === 'against') return wrong('Its arrow points against the water.', 'Take it out and turn it round.')
      return sound(value === 'none' ? 'No arrow: it may stand either way.' : 'Its arrow points with the water.')
    },
  },
  gland: {
    ask: 'Is it dry where the spindle comes out?',
    when: 'a valve weeps at its spindle',
    because: 'Packing dries and wears: its nut takes it up once, then it is packed anew.',
    source: 'trade practice',
    gravest: 'care',
    applies: onPart('valve'),
    says: (value) =>
      value === 'weeps'
        ? care('It weeps at the spindle.', 'A quarter turn of the packing nut, once; then pack it anew.')
        : sound('Dry at the spindle.'),
  },
  closed: {
    ask: 'Is this end meant to stay closed?',
    when: 'an end is closed for a time, and no day is booked',
    because: 'What is capped for now is forgotten: water stands in it, and the next hand does not know.',
    source: 'trade practice',
    gravest: 'care',
    applies: onPart('cap'),
    says: (value) => {
      if (value === 'stays') return sound('It is meant to stay closed.')
      if (value === 'booked') return sound('Closed for a time, and the day is booked.')
      return care('Closed for a time, and no day is booked.', 'Book the day it is opened, and say what comes then.')
    },
  },
}
