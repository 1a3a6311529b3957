import { care, note, some, type JointMethod } from './types'

export const solder: JointMethod = {
  id: 'solder',
  words: 'solder',
  takes: 'copper tube made to today\'s sizes',
  undo: 'heat, drained',
  comesApart: false,
  needsFlame: true,
  byHand: false,
  rules: {
    wet: (_, { conditions }) => (conditions.wet ? 'Water left in the pipe boils off and keeps it too cold. Solder will not take.' : null),
    service: (_, { conditions, region }) => (conditions.service === 'buried' && region === 'us' ? 'Under a slab soft solder is not accepted; below ground use an unbroken length or a listed joint.' : null),
  },
  concerns: (tube, { conditions }) => some(
    conditions.combustibles && care('fire', 'Flame with wood near: mat behind, extinguisher in reach, and stay to watch for 60 minutes.'),
    tube.temper === 'soft' && care('re-round', 'Soft tube: re-round the end before it goes into the cup.'),
    conditions.room === 'tight' && care('see-behind', 'Tight for a torch: keep 25 to 40 behind, and a mirror to see the back of the joint.'),
    conditions.service === 'buried' && care('wrap', 'Wrap copper in the ground.'),
    conditions.drinking && note('lead-free', 'Lead-free solder only on drinking water.'),
    note('open-end', 'Leave an outlet open on both sides: a closed pipe blows the joint.'),
  ),
  looseParts: () => [],
}
