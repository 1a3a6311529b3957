import { doneOf, sumOf, type StationDef } from '../station'

export const fixStation: StationDef = {
  key: 5,
  name: 'Fix',
  progress: ({ lines }) => {
    const [done, of] = [sumOf(lines, ({ fixed }) => fixed), sumOf(lines, ({ supports }) => supports)]
    return { done, of, isBehind: of > 0 && done === of, isHeld: lines.some(({ isBroken }) => isBroken) }
  },
  counted: doneOf('fixed'),
}
