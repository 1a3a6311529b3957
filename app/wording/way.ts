import { getPipe } from '#core/catalogue'
import { isClosed, isLoose, isReducingSet, type OtherEnd, type Thread, type Way } from '#core/joints'
import type { Region } from '#core/units'
import { speak } from '#core/speech'
import { methodWords } from './en'

/** Letters of a thread as they stand at the counter. */
const THREAD_LETTERS = { npt: 'NPT', bspt: 'BSP', bspp: 'BSP' } as const

/** A way in a few words: its fittings in order, as they are ordered. */
export function wayTitle(way: Way, region: Region): string {
  const names = way.parts
    .filter((part) => !isLoose(part) || isReducingSet(part))
    .map(({ name, size }) => (name.startsWith('tail') ? 'tail' : `${name} ${size}`))
  const title = names.length > 0 ? names.join(', ') : 'screwed straight in'
  return speak(title[0]!.toUpperCase() + title.slice(1), region)
}

const capital = (words: string) => words[0]!.toUpperCase() + words.slice(1)

/**
 * A way at the head of its row: by its two methods and sizes where threads join them in the middle, and by what; else by
 * its fittings, with nothing beside.
 */
export function wayHead(way: Way, region: Region): { title: string; by: string | null } {
  const [first, last] = [way.joints[0]!, way.joints.at(-1)!]
  const between = way.joints.filter(({ on, thread }) => on === 'between' && thread)
  if (between.length === 0 || !first.pipe || !last.pipe) return { title: wayTitle(way, region), by: null }
  const at = ({ method, pipe }: typeof first) => `${methodWords(method)} ${getPipe(pipe!).nominal}`
  const threads = [...new Set(between.map(({ thread }) => `${THREAD_LETTERS[thread!.form]} ${thread!.size}`))]
  const by =
    threads.length === 1 && between.length === 1 ? `by a ${threads[0]} pair` : `by ${threads.join(' and ')} threads`
  return { title: capital(`${at(first)}, ${at(last)}`), by }
}

/** A thread with what it is of, and its seat where somebody looked. */
const threadWords = ({ size, form, gender, material, seat }: Thread): string =>
  `${size} ${form.toUpperCase()} ${gender}, ${material}${seat ? `, ${seat} seat` : ''}`

/** Both ends in a few words. */
export const endsLabel = ({ a, b }: { a: OtherEnd | null; b: OtherEnd | null }): string =>
  isClosed(b) ? `${endLabel(a)}, closed` : `${endLabel(a)} to ${endLabel(b)}`

export const endLabel = (end: OtherEnd | null): string => {
  if (end === null) return '?'
  if (isClosed(end)) return 'closed'
  return 'pipe' in end ? getPipe(end.pipe).label : threadWords(end.thread)
}
