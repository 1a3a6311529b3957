import { isInGround, isSoft, mayBeSoft } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const solder: JointMethod = {
  id: 'solder',
  words: 'solder',
  takes: "copper tube made to today's sizes",
  undo: 'heat, drained',
  comesApart: false,
  needsFlame: true,
  byHand: false,
  rules: [
    refusal(
      'service',
      'the joint lies below ground in the United States',
      'Under a slab soft solder is not accepted; below ground use an unbroken length or a listed joint.',
      'UPC 609.3',
      (_, { conditions, region }) => conditions.service === 'buried' && region === 'us',
    ),
    refusal(
      'wet',
      'water is left in the pipe',
      'Water left in the pipe boils off and keeps it too cold. Solder will not take.',
      'physics; trade practice',
      (_, { conditions }) => conditions.wet,
    ),
  ],
  concerns: [
    care(
      'fire',
      'things that burn are near',
      'Flame with wood near: mat behind, extinguisher in reach, and stay to watch for 60 minutes.',
      'hot-work practice: 30 or 60 minutes by edition, the longer is taken',
      (_, { conditions }) => conditions.combustibles,
    ),
    care(
      're-round',
      'soft copper is soldered',
      'Soft tube: re-round the end before it goes into the cup.',
      'ASTM B828',
      isSoft,
    ),
    care(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft, and its end is re-rounded before it goes into the cup.',
      'EN 1057, ASTM B88',
      mayBeSoft,
    ),
    care(
      'see-behind',
      'there is little room',
      'Tight for a torch: keep 25 to 40 behind, and a mirror to see the back of the joint.',
      'typical, trade practice',
      (_, { conditions }) => conditions.room === 'tight',
    ),
    care('wrap', 'copper lies in the ground', 'Wrap copper in the ground.', 'WS(WF)R 1999; typical', isInGround),
    note(
      'lead-free',
      'the water is for drinking',
      'Lead-free solder only on drinking water.',
      'SDWA 1417; WS(WF)R 1999',
      (_, { conditions }) => conditions.drinking,
    ),
    note(
      'open-end',
      'a joint is soldered',
      'Leave an outlet open on both sides: a closed pipe blows the joint.',
      'physics',
    ),
  ],
  looseParts: () => [],
}
