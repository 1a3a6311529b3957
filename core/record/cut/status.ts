import { doneOf, type StationDef } from '../station'
import { progressOf } from './work'

export const cutStation: StationDef = {
  key: 4,
  name: 'Cut',
  progress: ({ cuts }) => {
    const counts = cuts.flatMap((cut) => progressOf(cut) ?? [])
    return {
      done: counts.reduce((sum, { made }) => sum + made, 0),
      of: counts.reduce((sum, { of }) => sum + of, 0),
      isBehind: cuts.length > 0 && cuts.every(({ result }) => result !== null),
      isHeld: false,
    }
  },
  counted: doneOf('cut'),
}
