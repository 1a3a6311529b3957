import { pipeRating, seriesOf, type Rating } from '#core/catalogue'
import { w } from '#core/speech'
import { care, note, refusal, type ConcernRule, type RefusalRule, type Test } from './rule'
import type { Situation, Tube } from '../types'

/* Rules and conditions that several methods have in common. */

export const isSoft = ({ pipe, temper }: Tube): boolean => pipe.family === 'copper' && temper === 'soft'
/** A find left open whether it is hard or soft. */
export const mayBeSoft = ({ pipe, temper }: Tube): boolean => pipe.family === 'copper' && temper === 'unknown'

/** Hard tube is looked up where nobody has said: soft tube's lesser rating is then asked for by a concern. */
export const temperRated = ({ temper }: Tube): 'hard' | 'soft' => (temper === 'soft' ? 'soft' : 'hard')

/**
 * What a tube itself takes: its series at the line's temperature and use; of multilayer pipe, which is sold in several
 * pressures, what is printed beside its class.
 */
export function ownRating(tube: Tube, { temperature, service }: Situation['conditions']): Rating {
  const own = pipeRating(tube.pipe, temperature, temperRated(tube), service === 'heating' ? 'heating' : 'any')
  const printed = tube.pipe.family === 'multilayer' ? /(\d+(?:[.,]\d+)?)\s*bar/i.exec(tube.class ?? '')?.[1] : undefined
  return own.kind === 'rated' && printed !== undefined
    ? { ...own, bar: Number(printed.replace(',', '.')), source: 'its print' }
    : own
}

/** A printed fitting standard, whatever stands round it: "ASTM F1960", "f1960". */
export const isListed = ({ listing }: Pick<Tube, 'listing'>, standards: readonly string[]): boolean =>
  listing?.some((printed) =>
    standards.some((standard) =>
      printed
        .toUpperCase()
        .replace(/[^A-Z0-9]/g, '')
        .includes(standard),
    ),
  ) ?? false

/** Tube whose print lists the fittings it takes: PEX and PE-RT in copper tube sizes. */
export const printsListing = ({ pipe }: Tube): boolean =>
  (pipe.family === 'pex' || pipe.family === 'pert') && seriesOf(pipe.series).sizing === 'cts'

/** When a rule of the ground applies, in words and as it is asked. */
export const IN_GROUND = 'the joint lies in the ground'
export const isInGround: Test = (_, { conditions }) => conditions.service === 'buried'

export const noRoom = (because: string): RefusalRule =>
  refusal(
    'room',
    'there is no room round the pipe for its tool',
    because,
    "typical clearances; the user's own tool wins",
    (_, { conditions }) => conditions.room === 'tight',
  )

export const TWO_SPANNERS = noRoom(`Two ${w.spanners} need a 60 degree swing. There is no room here.`)

/** A seal or a grip ring wants the whole of its length sound. */
export const cutBack = refusal(
  'surface',
  'the end is scored or corroded',
  'The seal leaks on a scored or corroded end. Cut back to sound tube for the whole depth.',
  'typical, makers',
  ({ surface }) => surface === 'scored' || surface === 'corroded',
)

/** Joints with nuts, by the job's policy of what may be hidden. */
export const nutsInReach = (because: string): RefusalRule =>
  refusal(
    'hidden',
    "its nuts would be out of reach, against the job's policy of compression",
    because,
    "the job's policy",
    (_, { conditions, policy }) => {
      if (!conditions.hidden || policy.compressionHidden === 'allowed') return null
      if (policy.compressionHidden === 'never') return 'The job hides no such joint: its nuts must stay in reach.'
      return !conditions.temporary
    },
  )

export const BOOKED: ConcernRule = care(
  'temporary',
  'a joint with nuts is hidden for a time',
  'Temporary: book the date to come back, and say what will replace it.',
  "the job's policy",
  (_, { conditions }) => conditions.hidden && conditions.temporary,
)

/** What refuses a joint by cone and nut, whatever its cone. */
export const CONE_RULES: readonly RefusalRule[] = [
  refusal('service', IN_GROUND, 'A cone joint is not for the ground.', 'typical, trade practice', isInGround),
  nutsInReach('A cone joint stays in reach. Hidden only as a temporary repair that is booked.'),
  TWO_SPANNERS,
]
export const RENIP: ConcernRule = note(
  'renip',
  'a cone joint is made',
  'Nip it again after the first heat.',
  'typical, trade practice',
)

/** Pipe that is joined over O-rings inside it. */
export const CALIBRATE: ConcernRule = note(
  'calibrate',
  'multilayer pipe is joined',
  'Calibrate and bevel every end, or the O-ring tears.',
  'typical, makers',
)
