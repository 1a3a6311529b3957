import { care, note, some, type JointMethod } from './types'

export const solventCement: JointMethod = {
  id: 'solvent-cement',
  words: 'cemented',
  takes: 'PVC to PVC and CPVC to CPVC',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    service: ({ pipe }, { conditions }) => {
      if (pipe.family === 'pvc' && conditions.service !== 'cold' && conditions.service !== 'buried') return 'PVC carries cold water only.'
      if (pipe.family === 'cpvc' && conditions.service === 'heating') return 'CPVC is for water at the tap, not for a heating circuit: glycol and inhibitors crack it.'
      return null
    },
    wet: (_, { conditions }) => (conditions.wet ? 'Cement takes on dry plastic only. Drain it and dry the end.' : null),
  },
  concerns: ({ pipe }, { conditions, region }) => some(
    pipe.family === 'pvc' && conditions.service === 'cold' && region === 'us' && care('inside', 'Codes keep PVC outside, or to the entry of the building. Ask before it goes inside.'),
    conditions.service === 'recirculation' && care('class', 'Constant recirculation: only where its print lists it.'),
    note('cement', pipe.family === 'cpvc' ? 'Cement for CPVC (F493), primer F656 where the code asks for it.' : 'Cement for PVC (D2564), primer F656 where the code asks for it.'),
    note('cure', 'No water until it is cured: by its paper, 15 minutes to 48 hours by temperature and pressure. No air test.'),
    note('weather', 'Not below 5 °C nor above 43 °C without a cement made for it, nor in rain.'),
  ),
  looseParts: () => [],
}
