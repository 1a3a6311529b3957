import { thereOf, type StationDef } from '../station'

export const findStation: StationDef = {
  key: 1,
  name: 'Find',
  progress: ({ finds }) => ({
    done: null,
    of: finds.length,
    isBehind: finds.length > 0 && finds.every(({ pipe }) => pipe !== null),
    // It may be gas until it is followed to a water outlet.
    isHeld: finds.some(({ pipe, isTraced }) => pipe === null && !isTraced),
  }),
  counted: thereOf('find', 'nothing yet'),
}
