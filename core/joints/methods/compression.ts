import { seriesOf, findSocket } from '#core/catalogue'
import { BOOKED, IN_GROUND, isInGround, isSoft, mayBeSoft, noRoom, nutsInReach } from '../rules/common'
import { care, refusal, school } from '../rules/rule'
import type { Tube } from '../types'
import type { JointMethod } from './types'

const socketOf = ({ pipe }: Tube) => findSocket('compression', pipe)
const isOld = ({ pipe }: Tube): boolean => seriesOf(pipe.series).sizing === 'bs-bore'

export const compression: JointMethod = {
  id: 'compression',
  words: 'compression',
  takes: 'copper, and plastic tube with a liner',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [
    refusal('service', IN_GROUND, 'A type A compression joint is not for the ground.', 'WS(WF)R 1999', isInGround),
    nutsInReach('A compression joint stays in reach. Hidden only as a temporary repair that is booked.'),
    noRoom('Two spanners need a 60 degree swing. There is no room here.'),
  ],
  concerns: [
    BOOKED,
    care(
      'converter-olive',
      'old 3/4, 1-1/4 or 1-1/2 in copper enters a metric body',
      'Needs an olive made for the old size: the metric one is too large. Some use a converter fitting instead.',
      'BS 659, EN 1254-2',
      (tube) =>
        isOld(tube) && socketOf(tube)?.converterOlive === true
          ? `Needs an olive made for old ${tube.pipe.nominal} in: the ${socketOf(tube)!.fittingNominal} one is too large. Some use a converter fitting instead.`
          : null,
    ),
    care(
      'near-match',
      'old 3/8, 1/2, 1 or 2 in copper enters a metric body',
      'Near enough for compression, and only for that. Measure round; clean to bare copper.',
      'BS 659, EN 1254-2',
      (tube) =>
        isOld(tube) && socketOf(tube)?.converterOlive === false
          ? `Old ${tube.pipe.nominal} in enters a ${socketOf(tube)!.fittingNominal} compression body. Measure round; clean to bare copper.`
          : null,
    ),
    care(
      'support-sleeve',
      'soft copper is joined by an olive',
      'Soft thin tube wants a support sleeve inside.',
      'EN 1254-2',
      isSoft,
    ),
    care(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft and wants a support sleeve inside.',
      'EN 1254-2',
      mayBeSoft,
    ),
    care(
      'retighten',
      'PEX is joined by an olive',
      'Plastic creeps: liner in, and nip the nut again after a day and after the first heat.',
      'typical, trade practice',
      ({ pipe }) => pipe.family === 'pex',
    ),
    school(
      'dry-olive',
      'a compression joint is made',
      "Dry on the olive is the maker's rule; a smear of potable paste is a school on metal only.",
      'typical, trade practice',
    ),
  ],
  looseParts: (tube) => {
    if (tube.pipe.family === 'pex' || tube.pipe.family === 'bs7291')
      return [{ kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 }]
    const socket = findSocket('compression', tube.pipe)
    return socket?.converterOlive
      ? [
          {
            kind: 'olive',
            name: 'converter olive',
            size: `${socket.fittingNominal} x ${tube.pipe.nominal} in`,
            quantity: 1,
          },
        ]
      : []
  },
}
