import { doneOf, sumOf, type StationDef } from '../station'

export const cutStation: StationDef = {
  key: 4,
  name: 'Cut',
  progress: ({ cuts }) => ({
    done: sumOf(cuts, ({ made }) => made),
    of: sumOf(cuts, ({ of }) => of),
    isBehind: cuts.length > 0 && cuts.every(({ isFinished }) => isFinished),
    isHeld: false,
  }),
  counted: doneOf('cut'),
}
