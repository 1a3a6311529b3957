import type { LineFitting } from '#core/catalogue'
import { w } from '#core/speech'

/* What stands in a line: how it turns, and what it is called in sums, in warnings, in an order and in a kit. */

interface LinePart {
  /** With its article, at the head of a sentence. */
  words: string
  /** As a mouth in a sum. */
  mouth: string
  /** As it is ordered. */
  order: string
  /** Angles it turns by, degrees, from the mouth a leg enters to the one the next leaves; none where the line ends. */
  turns: readonly number[]
  /** Names in a kit that hold its measured figures. */
  kit: readonly string[]
}

const straight = (order: string, kit: readonly string[], mouth = order): LinePart => ({
  words: `${/^[aeiou]/.test(order) ? 'An' : 'A'} ${order}`,
  mouth,
  order,
  turns: [0],
  kit,
})

export const LINE_PARTS: Readonly<Record<LineFitting, LinePart>> = {
  'elbow-90': {
    words: 'An elbow',
    mouth: 'elbow',
    order: 'elbow 90',
    turns: [90],
    kit: ['elbow-90', 'elbow 90', 'elbow'],
  },
  'elbow-45': { words: 'A 45 elbow', mouth: '45 elbow', order: 'elbow 45', turns: [45], kit: ['elbow-45', 'elbow 45'] },
  'swept-90': {
    words: 'A swept elbow',
    mouth: 'swept elbow',
    order: 'swept elbow 90',
    turns: [90],
    kit: ['swept-90', 'swept elbow'],
  },
  'tee-run': { words: 'A tee', mouth: 'tee', order: 'tee', turns: [0, 90], kit: ['tee-run', 'tee, run', 'tee'] },
  'tee-branch': {
    words: 'A tee entered by its branch',
    mouth: 'tee branch',
    order: 'tee',
    turns: [90],
    kit: ['tee-branch', 'tee, branch', 'tee'],
  },
  coupling: straight('coupling', ['coupling']),
  slip: straight('slip coupling', ['slip', 'slip coupling']),
  'slip-tee': {
    words: 'A slip tee',
    mouth: 'slip tee',
    order: 'slip tee',
    turns: [0, 90],
    kit: ['slip-tee', 'slip tee'],
  },
  'repair-sleeve': straight('repair sleeve', ['repair-sleeve', 'repair sleeve']),
  reducer: straight('reducer', ['reducer']),
  flange: straight('flange', ['flange']),
  valve: straight('valve', ['valve']),
  'ball-valve': straight('ball valve', ['ball-valve', 'ball valve', 'valve']),
  'gate-valve': straight('gate valve', ['gate-valve', 'gate valve', 'valve']),
  'stop-valve': straight('stop valve', ['stop-valve', 'stop valve', 'valve']),
  'service-valve': straight('service valve', ['service-valve', 'service valve', 'valve']),
  'check-valve': straight('check valve', ['check-valve', 'check valve', 'valve']),
  'drain-valve': straight('drain valve', ['drain-valve', 'drain valve', 'valve']),
  'angle-valve': {
    words: 'An angle valve',
    mouth: 'angle valve',
    order: 'angle valve',
    turns: [90],
    kit: ['angle-valve', 'angle valve', 'valve'],
  },
  'pressure-regulator': straight('pressure regulator', ['pressure-regulator', 'pressure regulator', 'regulator']),
  'drop-ear': {
    words: w.ADropEar,
    mouth: w.dropEar,
    order: w.dropEar,
    turns: [],
    kit: ['drop-ear', 'drop-ear elbow', 'wallplate', 'wallplate elbow'],
  },
  'stub-out': { words: 'A stub-out', mouth: 'stub-out', order: 'stub-out elbow', turns: [], kit: ['stub-out'] },
  cap: { words: 'A cap', mouth: 'cap', order: 'cap', turns: [], kit: ['cap', 'plug', 'stop end'] },
}

/** Whether it is a valve, which carries its own bracket. */
export const isLineValve = (kind: string): boolean => kind.endsWith('valve') || kind === 'pressure-regulator'

/** A tee entered by its run, with a stop inside or none. */
export const isRunTee = (kind: string): kind is 'tee-run' | 'slip-tee' => kind === 'tee-run' || kind === 'slip-tee'
