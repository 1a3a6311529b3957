import { BOOKED, IN_GROUND, isInGround, noRoom, nutsInReach } from '../rules/common'
import { note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const mlCompression: JointMethod = {
  id: 'ml-compression',
  words: 'multilayer compression',
  takes: 'multilayer pipe by its own cone and insert',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [
    refusal('service', IN_GROUND, 'A cone joint is not for the ground.', 'typical, trade practice', isInGround),
    nutsInReach('A cone joint stays in reach. Hidden only as a temporary repair that is booked.'),
    noRoom('Two spanners need a 60 degree swing. There is no room here.'),
  ],
  concerns: [
    BOOKED,
    note(
      'calibrate',
      'multilayer pipe is joined',
      'Calibrate and bevel every end, or the O-ring tears.',
      'typical, makers',
    ),
    note(
      'own-cone',
      'a cone joint is made',
      "Cone and insert of the pipe's own system, into a eurocone seat only.",
      'EN 16313',
    ),
    note('renip', 'a cone joint is made', 'Nip it again after the first heat.', 'typical, trade practice'),
  ],
  looseParts: (tube) => [
    {
      kind: 'olive',
      name: 'multilayer cone and insert',
      size: tube.wall === null ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`,
      quantity: 1,
    },
  ],
}
