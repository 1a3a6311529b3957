import { seriesOf, findSocket } from '#core/catalogue'
import { care, note, some, type JointMethod } from './types'

export const compression: JointMethod = {
  id: 'compression',
  words: 'compression',
  takes: 'copper, and plastic tube with a liner',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: {
    service: (_, { conditions }) => (conditions.service === 'buried' ? 'A type A compression joint is not for the ground.' : null),
    hidden: (_, { conditions, policy }) => {
      if (!conditions.hidden || policy.compressionHidden === 'allowed') return null
      if (policy.compressionHidden === 'never') return 'The job hides no compression joint: its nuts must stay in reach.'
      return conditions.temporary ? null : 'A compression joint stays in reach. Hidden only as a temporary repair that is booked.'
    },
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'Two spanners need a 60 degree swing. There is no room here.' : null),
  },
  concerns: (tube, { conditions }) => {
    const socket = findSocket('compression', tube.pipe)
    const old = seriesOf(tube.pipe.series).sizing === 'bs-bore'
    return some(
      conditions.hidden && conditions.temporary && care('temporary', 'Temporary: book the date to come back, and say what will replace it.'),
      old && socket?.converterOlive === true && care('converter-olive', `Needs an olive made for old ${tube.pipe.nominal} in: the ${socket.fittingNominal} one is too large. Some use a converter fitting instead.`),
      old && socket?.converterOlive === false && care('near-match', `Old ${tube.pipe.nominal} in enters a ${socket?.fittingNominal} compression body. Measure round; clean to bare copper.`),
      tube.pipe.family === 'copper' && tube.temper === 'soft' && care('support-sleeve', 'Soft thin tube wants a support sleeve inside.'),
      tube.pipe.family === 'pex' && care('retighten', 'Plastic creeps: liner in, and nip the nut again after a day and after the first heat.'),
      note('dry-olive', 'Dry on the olive is the maker\'s rule; a smear of potable paste is a school on metal only.'),
    )
  },
  looseParts: (tube) => {
    if (tube.pipe.family === 'pex' || tube.pipe.family === 'bs7291') return [{ kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 }]
    const socket = findSocket('compression', tube.pipe)
    return socket?.converterOlive ? [{ kind: 'olive', name: 'converter olive', size: `${socket.fittingNominal} x ${tube.pipe.nominal} in`, quantity: 1 }] : []
  },
}
