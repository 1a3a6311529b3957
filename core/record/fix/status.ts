import { doneOf, type StationDef } from '../station'
import { fixProgress } from './work'

export const fixStation: StationDef = {
  key: 5,
  name: 'Fix',
  progress: (job) => {
    const { fixed, of, isBroken } = fixProgress(job)
    return { done: fixed, of, isBehind: of > 0 && fixed === of, isHeld: isBroken }
  },
  counted: doneOf('fixed'),
}
