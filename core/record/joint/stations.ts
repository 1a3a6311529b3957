import type { JobGist } from '../gist'
import { doneOf, thereOf, type StationDef } from '../station'

const madeOf = ({ joints }: JobGist): number => joints.filter((joint) => joint.isMade).length
const chosenOf = ({ joints }: JobGist): number => joints.filter(({ isChosen }) => isChosen).length

export const jointStation: StationDef = {
  key: 3,
  name: 'Joint',
  progress: (job) => {
    const [done, of] = [chosenOf(job), job.joints.length]
    return { done, of, isBehind: of > 0 && done === of, isHeld: false }
  },
  counted: doneOf('chosen'),
}

export const makeStation: StationDef = {
  key: 7,
  name: 'Make',
  progress: (job) => {
    const [done, of] = [madeOf(job), chosenOf(job)]
    return { done, of, isBehind: of > 0 && done === of, isHeld: false }
  },
  counted: doneOf('made'),
}

export const handoverStation: StationDef = {
  key: 9,
  name: 'Hand over',
  progress: (job) => ({ done: null, of: madeOf(job), isBehind: job.handedOver !== null, isHeld: false }),
  counted: thereOf('joint'),
}
