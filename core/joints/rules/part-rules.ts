import { force, w } from '#core/speech'
import { mouthId, type Fitting } from '../fitting'
import { JOINT_METHODS } from '../methods'
import type { Chain, Meeting } from '../search'
import { isOneWay } from '../valve-fittings'
import { care, held, note, type ChainFacts, type ChainRule } from './chain-rule'

/* What a valve, and what closes an end, ask for. */

export const isCloser = ({ kind }: Fitting): boolean => kind === 'cap' || kind === 'plug'
const isClosed = ({ ends }: Pick<ChainFacts, 'ends'>): boolean => ends.b.kind === 'shut'
const fittingsIn = ({ items }: Chain): Fitting[] =>
  items.flatMap((item) => (item.kind === 'fitting' ? [item.fitting] : []))
/** The valve of a way; null where it has none. */
const valveIn = (chain: Chain): Fitting | null => fittingsIn(chain).find(({ valve }) => valve !== undefined) ?? null
/** Whether heat goes into the valve itself. */
const hasHotValve = (chain: Chain): boolean =>
  valveIn(chain)?.mouths.some((mouth) => mouth.kind === 'socket' && JOINT_METHODS[mouth.method].needsFlame) ?? false

/** What the water pushes a closed end off with, N: pressure on the whole outside diameter. */
function thrustOf({ chain, situation: { conditions } }: ChainFacts): number {
  const od = Math.max(0, ...chain.meetings.map((meeting) => meeting.tube?.pipe.od ?? 0))
  return (Math.PI / 4) * od * od * conditions.pressure * N_PER_BAR_MM2
}
/** 1 bar on 1 mm2, N. */
const N_PER_BAR_MM2 = 0.1

/**
 * Whether the water comes in at the wrong end of a valve that cannot be turned round: its own arrow goes from the first
 * mouth to the second.
 */
function isAgainst({ chain, situation: { conditions } }: ChainFacts): boolean {
  const valve = valveIn(chain)
  if (!valve?.valve || !isOneWay(valve.valve) || conditions.flowFrom === undefined) return false
  const at = chain.items.findIndex((item) => item.kind === 'fitting' && item.fitting === valve)
  const [inlet, outlet] = valve.mouths.map(mouthId)
  if (inlet === outlet) return false
  const first = chain.meetings[at]!
  const isTurned =
    first.kind === 'socket' &&
    valve.mouths[1].kind === 'socket' &&
    first.size === valve.mouths[1].size &&
    first.method === valve.mouths[1].method
  return isTurned ? conditions.flowFrom === 'a' : conditions.flowFrom === 'b'
}

const isHot = (meeting: Meeting): boolean => meeting.kind === 'socket' && JOINT_METHODS[meeting.method].needsFlame

export const PART_RULES: readonly ChainRule[] = [
  held(
    'flow-arrow',
    'the water comes in at the outlet of a valve that cannot be turned round',
    'The water comes in at its outlet: the arrow on the valve points with the flow. Another valve, or the other end first.',
    'trade practice',
    isAgainst,
  ),
  note(
    'flow-arrow',
    'a valve with a seat on one side goes in',
    'The arrow on the valve points with the flow; a drain on it on the house side.',
    'trade practice',
    (facts) => {
      const valve = valveIn(facts.chain)?.valve
      return valve !== undefined && isOneWay(valve) && !isAgainst(facts)
    },
  ),
  held(
    'valve-reach',
    'a valve is hidden',
    'A valve is reached by hand: leave a panel that opens, and say where.',
    'trade practice',
    ({ chain, situation: { conditions } }) => conditions.hidden && valveIn(chain) !== null,
  ),
  care(
    'valve-heat',
    'a valve is soldered',
    'Open it before the flame, wet cloth round its body: a closed valve traps steam, and heat spoils its seat. ' +
      'Flame on the cup, not on the body.',
    'ASTM B828; makers',
    ({ chain }) => hasHotValve(chain),
  ),
  note(
    'valve-bracket',
    'a valve is put in',
    'A bracket of its own: turning it twists the pipe.',
    'trade practice',
    ({ chain }) => valveIn(chain) !== null,
  ),
  note(
    'back-a-quarter',
    'a valve with a spindle goes in',
    'Opened fully, then back a quarter turn: its spindle does not seize so.',
    'trade practice',
    ({ chain }) => ['stop', 'gate'].includes(valveIn(chain)?.valve ?? ''),
  ),
  note(
    'closed-system',
    'a check valve or a pressure regulator goes in',
    'Water that warms cannot go back past it: an expansion vessel on the hot water, or it drips at the relief valve.',
    'trade practice',
    ({ chain }) => ['check', 'regulator'].includes(valveIn(chain)?.valve ?? ''),
  ),
  note(
    'meter',
    'service pipe of polyethylene meets a parallel thread, as a meter has',
    `At a meter: its arrow with the water, the pipe straight in from both sides, a bung in each end until the other is ready, so that no grit goes in. The washer is nipped, not wrung: a quarter turn past hand tight and look.`,
    'trade practice',
    ({ ends }) =>
      [ends.a, ends.b].some((end) => end.kind === 'tube' && end.tube.pipe.family === 'pe') &&
      [ends.a, ends.b].some((end) => end.kind === 'thread' && end.thread.form === 'bspp'),
  ),
  note(
    'drain-low',
    'a drain valve goes in',
    'At the lowest point, with room for a hose, and never where it could lie in water that is not clean.',
    'trade practice; WS(WF)R 1999',
    ({ chain }) => valveIn(chain)?.valve === 'drain',
  ),
  care(
    'vent-cap',
    'a cap is soldered',
    `Leave ${w.aTap} or the other end open: the air in a closed pipe warms and blows the joint.`,
    'physics',
    (facts) => isClosed(facts) && facts.chain.meetings.some(isHot),
  ),
  note(
    'end-thrust',
    'an end is closed',
    'The water pushes on the whole of it: stand aside when it is turned on.',
    'arithmetic: pressure on the outside diameter',
    (facts) => {
      const thrust = thrustOf(facts)
      return (
        isClosed(facts) &&
        (thrust > 0 ? `The water pushes it off with ${force(thrust)}: stand aside when it is turned on.` : true)
      )
    },
  ),
  note(
    'carries-test',
    'an end is closed for a time',
    'It carries the test pressure and its push like any other: no lesser part because it is temporary.',
    'trade practice',
    (facts) => isClosed(facts) && facts.situation.conditions.temporary,
  ),
  note(
    'still-water',
    'an end is closed on drinking water',
    'Water stands still behind it: cut the stub short, and flush it when it is opened.',
    'trade practice; EN 806-2',
    (facts) => isClosed(facts) && facts.situation.conditions.drinking,
  ),
]
