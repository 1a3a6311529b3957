import { getPipe } from '#core/catalogue'
import { isLoose, type End, type Thread, type Way } from '#core/joints'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** A way in a few words: its fittings in order, as they are ordered. */
export function wayTitle(way: Way, region: Region): string {
  const names = way.parts
    .filter((part) => !isLoose(part))
    .map(({ name, size }) => (name.startsWith('tail') ? 'tail' : `${name} ${size}`))
  const title = names.length > 0 ? names.join(', ') : 'screwed straight in'
  return speak(title[0]!.toUpperCase() + title.slice(1), region)
}

/** A thread with what it is of, and its seat where somebody looked. */
const threadWords = ({ size, form, gender, material, seat }: Thread): string =>
  `${size} ${form.toUpperCase()} ${gender}, ${material}${seat ? `, ${seat} seat` : ''}`

export const endLabel = (end: End | null): string => {
  if (end === null) return '?'
  return 'pipe' in end ? getPipe(end.pipe).label : threadWords(end.thread)
}
