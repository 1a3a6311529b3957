import type { RuleTable } from '#core/base'
import { HAZARDS } from '#core/catalogue'
import { w } from '#core/speech'

const hazard = ({ when, text, source }: { when: string; text: string; source: string }) => ({
  when,
  because: text,
  source,
})

/** What stands over a pipe before it is scratched or cut. */
export const IDENTIFY_RULES = {
  gas: {
    ...hazard(HAZARDS.gas),
    when: `it may be metal or multilayer, yellow in ${w.colour} or stripe, unmarked, black or orange polyethylene, or nothing of the ${w.catalogue}, or its print names gas; until it is traced to water`,
  },
  'marked-gas': {
    when: 'its print names gas, and it was traced to a water outlet',
    because: 'Its print names gas: gas pipe is not listed for water. Do not join to it.',
    source: 'ASTM D2513, EN 1555',
  },
  'earth-path': {
    when: 'it may be metal',
    because: `Could it be ${w.anEarth} path? Look for a green and yellow clamp. Bridge a metal line before you part it.`,
    source: 'BS 7671; NEC',
  },
  lead: { ...hazard(HAZARDS.lead), when: 'it may be lead' },
  polybutylene: { ...hazard(HAZARDS.polybutylene), when: 'it may be the US polybutylene that failed' },
  sprinkler: {
    when: 'it may be orange or red CPVC, or red steel, or its print names fire sprinklers',
    because: 'It may be a fire sprinkler line. Leave it: water supply is not taken from it.',
    source: 'trade practice',
  },
  'heating-only': {
    when: 'its print lists it for heating only',
    because: 'Its print lists it for heating only: not for drinking water without NSF-pw or 61.',
    source: 'NSF 14',
  },
  reclaimed: {
    when: 'it is purple, or its print names reclaimed water',
    because: 'Purple is reclaimed water: not for drinking. Never join it to drinking water.',
    source: 'IPC 605; trade practice',
  },
  'soft-copper': {
    when: 'it may be copper, and flexes soft',
    because: 'Soft copper goes out of round. Re-round the end; no push-fit unless that fitting lists it.',
    source: 'EN 1057, ASTM B88',
  },
  asbestos: {
    when: `its ${w.lagging} is hard and white`,
    because: `Hard white ${w.lagging} may be asbestos. Leave it alone and have it tested.`,
    source: 'trade practice',
  },
  hot: {
    when: 'it is warm',
    because: 'The pipe is warm: it is live. Shut it off and let it cool before you open it.',
    source: 'trade practice',
  },
  'not-supply': {
    when: `nothing in the ${w.catalogue} fits`,
    because: `Nothing in the ${w.catalogue} fits. It may not be supply pipe at all.`,
    source: 'ours',
  },
  contradiction: {
    when: 'hardly any pipe gives two of the answers together',
    because: 'One of the two is misread: make it again.',
    source: 'ours',
  },
} as const satisfies RuleTable
export type IdentifyCode = keyof typeof IDENTIFY_RULES
