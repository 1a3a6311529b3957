import { sumOf, thereOf, type StationDef } from '../station'

const legsOf = thereOf('leg', '0 legs')

export const lineStation: StationDef = {
  key: 2,
  name: 'Line',
  progress: ({ lines }) => {
    const of = sumOf(lines, ({ legs }) => legs)
    const isRight = lines.every((line) => line.isRight)
    return { done: null, of, isBehind: lines.length > 0 && isRight, isHeld: !isRight && of > 0 }
  },
  counted: (progress, { lines }) => (lines.length > 0 ? legsOf(progress) : 'none yet'),
}
