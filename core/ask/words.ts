import type { Service } from '#core/joints'
import type { Check, Colour } from '#core/identify'
import { longestFirst, MATERIAL_NAMES, METHOD_NAMES } from '#core/shorthand'

const CONDITIONS: readonly { name: string; as: string; set: Readonly<Record<string, unknown>> }[] = longestFirst([
  ...(['cold', 'hot', 'heating', 'buried'] as const).map((name: Service) => ({
    name,
    as: `service: ${name}`,
    set: { service: name },
  })),
  { name: 'recirculating', as: 'service: recirculating', set: { service: 'recirculation' } },
  { name: 'recirculation', as: 'service: recirculating', set: { service: 'recirculation' } },
  { name: 'hidden', as: 'hidden', set: { hidden: true } },
  { name: 'wet', as: 'it drips', set: { wet: true } },
  { name: 'wood', as: 'wood near', set: { combustibles: true } },
  { name: 'tight', as: 'tight for tools', set: { room: 'tight' } },
  { name: 'no flame', as: 'no flame allowed', set: { noFlame: true } },
  { name: 'noflame', as: 'no flame allowed', set: { noFlame: true } },
  { name: 'undo', as: 'has to come apart', set: { mustUndo: true } },
  { name: 'temporary', as: 'temporary', set: { temporary: true } },
  { name: 'no play', as: 'no play', set: { play: 0 } },
])

const COLOUR_NAMES: readonly { name: string; colour: Colour }[] = (
  ['grey', 'white', 'cream', 'red', 'blue', 'black', 'yellow', 'orange', 'green', 'brass', 'silver'] as const
).map((colour) => ({ name: colour, colour }))

const THREAD_NAMES = [
  { name: 'npt', form: 'npt' },
  { name: 'bspt', form: 'bspt' },
  { name: 'bsp', form: 'bspt' },
  { name: 'bspp', form: 'bspp' },
] as const
const GENDER_NAMES = [
  { name: 'male', gender: 'male' },
  { name: 'female', gender: 'female' },
] as const

const PLASTIC: readonly Check[] = [{ check: 'scratch', value: 'plastic' }]
const RIGID_PLASTIC: readonly Check[] = [...PLASTIC, { check: 'flex', value: 'rigid' }]
const BENDING_PLASTIC: readonly Check[] = [...PLASTIC, { check: 'flex', value: 'springy' }]
const STEEL: readonly Check[] = [{ check: 'magnet', value: true }]

/** What a hand has seen or felt that names a material after a diameter. */
export const SAYS_OF_MATERIAL: Readonly<Record<string, readonly Check[]>> = {
  copper: [{ check: 'scratch', value: 'copper' }],
  cu: [{ check: 'scratch', value: 'copper' }],
  steel: STEEL,
  iron: STEEL,
  galvanised: STEEL,
  galvanized: STEEL,
  galv: STEEL,
  stainless: [
    { check: 'scratch', value: 'bright-silver' },
    { check: 'flex', value: 'rigid' },
  ],
  lead: [
    { check: 'scratch', value: 'bright-silver' },
    { check: 'flex', value: 'soft' },
  ],
  plastic: PLASTIC,
  multilayer: PLASTIC,
  ml: PLASTIC,
  pex: BENDING_PLASTIC,
  pe: BENDING_PLASTIC,
  mdpe: BENDING_PLASTIC,
  pvc: RIGID_PLASTIC,
  cpvc: RIGID_PLASTIC,
}

export const LISTS = {
  materials: MATERIAL_NAMES,
  conditions: CONDITIONS,
  methods: METHOD_NAMES,
  colours: COLOUR_NAMES,
  threads: THREAD_NAMES,
  genders: GENDER_NAMES,
} as const
