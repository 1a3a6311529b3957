import type { RuleTable } from '#core/base'
import { speed } from '#core/speech'

/** What an answer on flow says beside its figures. */
export const FLOW_RULES = {
  'no-flow': {
    when: 'no flow is said',
    because: 'Nothing flows, so nothing is lost. Enter the flow its outlets take.',
    source: 'ours',
  },
  velocity: {
    when: 'the water runs faster than the limit',
    because: 'Noise, wear at bends. A size up, or less flow.',
    source: 'the limit in use',
  },
  'dead-leg': {
    when: 'a hot branch that does not circulate is longer than its region allows',
    because:
      'What stands in it goes cold, is run to waste and grows bacteria. A smaller pipe, a nearer heater, or a loop.',
    source: 'Water Regulations guidance, BS 8558; IECC C404.5.1; DVGW W 551',
  },
  insert: {
    when: 'the water runs faster than the limit in an insert',
    because: 'It throttles. An expansion or press fitting of full bore, or a size up.',
    source: 'the limit in use',
  },
  'insert-bore': {
    when: 'the bore of an insert is not held',
    because: "An insert's bore is not held: the tube's less two walls (ours). Measure it and it wins.",
    source: 'ours',
  },
  'thin-wall': {
    when: 'water runs fast in copper type M',
    because: `Thin type M wears under velocity: type L, or under ${speed(1.5)}.`,
    source: 'trade practice',
  },
  'minimum-wall': {
    when: 'the standard gives the least wall only',
    because: 'By the mean bore it loses more.',
    source: "the pipe's standard",
  },
} as const satisfies RuleTable
export type FlowCode = keyof typeof FLOW_RULES
