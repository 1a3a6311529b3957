import { care, note, some, type JointMethod } from './types'

export const press: JointMethod = {
  id: 'press',
  words: 'press',
  takes: 'copper tube made to today\'s sizes',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The jaw needs 20 to 35 from tube to wall. It does not get round here.' : null),
  },
  concerns: (tube, { conditions }) => some(
    tube.temper === 'soft' && care('soft-listing', 'Soft tube: only where this fitting lists it.'),
    conditions.service === 'buried' && care('wrap', 'Below ground only with a fitting listed for it, wrapped.'),
    note('tick', 'Tick every press: the tick is the proof, an unpressed one may hold for months.'),
  ),
  looseParts: () => [],
}
