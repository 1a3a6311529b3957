import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const solventCement: JointMethod = {
  id: 'solvent-cement',
  words: 'cemented',
  takes: 'PVC to PVC and CPVC to CPVC',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [
    refusal(
      'wet',
      'the end is wet',
      'Cement takes on dry plastic only. Drain it and dry the end.',
      'typical, makers',
      (_, { conditions }) => conditions.wet,
    ),
  ],
  concerns: [
    care(
      'inside',
      'PVC carries cold water in the United States',
      'Codes keep PVC outside, or to the entry of the building. Ask before it goes inside.',
      'IPC 605, UPC 604',
      ({ pipe }, { conditions, region }) => pipe.family === 'pvc' && conditions.service === 'cold' && region === 'us',
    ),
    note(
      'cement',
      'plastic is cemented',
      'Cement made for this plastic, primer F656 where the code asks for it.',
      'ASTM D2564, F493, F656',
      ({ pipe }) =>
        pipe.family === 'cpvc'
          ? 'Cement for CPVC (F493), primer F656 where the code asks for it.'
          : 'Cement for PVC (D2564), primer F656 where the code asks for it.',
    ),
    note(
      'cure',
      'plastic is cemented',
      'No water until it is cured: by its paper, 15 minutes to 48 hours by temperature and pressure. No air test.',
      'typical, makers',
    ),
    note(
      'weather',
      'plastic is cemented',
      'Not below 5 °C nor above 43 °C without a cement made for it, nor in rain.',
      'typical, makers',
    ),
  ],
  looseParts: () => [],
}
