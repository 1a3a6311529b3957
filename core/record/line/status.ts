import { thereOf, type StationDef } from '../station'
import { isLineRight } from './work'

const legsOf = thereOf('leg', '0 legs')

export const lineStation: StationDef = {
  key: 2,
  name: 'Line',
  progress: (job) => {
    const of = job.lines.reduce((sum, { legs }) => sum + legs.length, 0)
    const isRight = job.lines.every((line) => isLineRight(job, line))
    return { done: null, of, isBehind: job.lines.length > 0 && isRight, isHeld: !isRight && of > 0 }
  },
  counted: (progress, { lines }) => (lines.length > 0 ? legsOf(progress) : 'none yet'),
}
