import { care, note, some, type JointMethod } from './types'

export const press: JointMethod = {
  id: 'press',
  words: 'press',
  takes: 'copper, stainless and thin carbon steel tube, each by its own fittings',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    service: ({ pipe }, { conditions }) => {
      if (pipe.series === 'cs-en') return conditions.service === 'heating' ? null : 'Carbon-steel press tube is for closed, treated heating only.'
      return pipe.family === 'stainless' && conditions.service === 'buried' ? 'Stainless press is not for bare ground: chlorides in the soil pit it.' : null
    },
    drinking: ({ pipe }, { conditions }) => (pipe.series === 'cs-en' && conditions.drinking ? 'Carbon steel is never used for drinking water: it rusts.' : null),
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The jaw needs 20 to 35 from tube to wall. It does not get round here.' : null),
  },
  concerns: (tube, { conditions }) => some(
    tube.pipe.family === 'copper' && tube.temper === 'soft' && care('soft-listing', 'Soft tube: only where this fitting lists it.'),
    conditions.service === 'buried' && care('wrap', 'Below ground only with a fitting listed for it, wrapped.'),
    tube.pipe.family !== 'copper' && note('own-metal', `Fittings made for ${tube.pipe.family === 'stainless' ? 'stainless' : 'carbon steel'} tube: copper ones look alike.`),
    note('tick', 'Tick every press: the tick is the proof, an unpressed one may hold for months.'),
  ),
  looseParts: () => [],
}
