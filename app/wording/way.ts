import { getPipe, type Region } from '#core/catalogue'
import { isLoose, type End, type Way } from '#core/joints'
import { inRegion } from './en'

/** A way in a few words: its fittings in order, as they are ordered. */
export function wayTitle(way: Way, region: Region): string {
  const names = way.parts
    .filter((part) => !isLoose(part))
    .map(({ name, size }) => (name.startsWith('tail') ? 'tail' : `${name} ${size}`))
  const title = names.join(', ')
  return inRegion(title[0]!.toUpperCase() + title.slice(1), region)
}

export const endLabel = (end: End | null): string => {
  if (end === null) return '?'
  return 'pipe' in end
    ? getPipe(end.pipe).label
    : `${end.thread.size} ${end.thread.form.toUpperCase()} ${end.thread.gender}`
}
