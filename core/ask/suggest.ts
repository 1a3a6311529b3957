import { PIPES } from '#core/catalogue'
import { ALL_METHODS } from '#core/joints'
import { METHOD_NAMES, pipesNamed } from '#core/shorthand'
import { understand } from './understand'
import type { Region } from '#core/units'

const MOST = 6
const COMMON_MATERIALS = [
  'copper',
  'pex',
  'multilayer',
  'plastic',
  'pe',
  'steel',
  'old copper',
  'stainless',
  'cpvc',
  'pvc',
  'npt male',
  'bsp male',
]
const COMMON_CONDITIONS = ['hot', 'heating', 'hidden', 'wet', 'wood', 'no flame', 'tight', 'no play']
const STARTS = ['22 copper to ', 'od ', 'depth ', 'offset ', 'clips ', 'bend radius ']
const US_STARTS = ['3/4 copper to ', 'od ', 'depth ', 'offset ', 'clips ', 'bend radius ']

/** Whole lines that the text could go on to, by what the reader accepts next. */
export function suggestNext(text: string, region: Region): string[] {
  const line = text.replace(/\s+/g, ' ')
  if (line.trim() === '') return region === 'us' ? US_STARTS : STARTS
  const last = /[^ ]*$/.exec(line)![0]
  const before = line.slice(0, line.length - last.length)
  const complete = (words: readonly string[]) =>
    words
      .filter((word) => word.startsWith(last.toLowerCase()) && word !== last.toLowerCase())
      .map((word) => `${before}${word} `)
  const size = /(?:^|\b(?:to|depth|clips?) |> ?)((?:\d+[- ])?\d+(?:\/\d+)?)(?: ?(?:mm|in|"))? $/.exec(before)?.[1]
  const isDepth = /^depth /.test(line)
  if (size && isDepth)
    return complete(
      METHOD_NAMES.filter(
        ({ name, method }) => ALL_METHODS[method].isSuggested && ALL_METHODS[method].spoken[0] === name,
      ).map(({ name }) => name),
    ).slice(0, MOST)
  if (size) {
    const nominal = size.replace(' ', '-')
    return complete(
      COMMON_MATERIALS.filter((name) => (name.includes(' ') ? true : pipesNamed(nominal, name, region).length > 0)),
    ).slice(0, MOST)
  }
  // A condition begun: what stands before it is a whole line already.
  const head = last === '' ? null : understand({ text: before, region })
  if (head?.ok && head.value.verb === 'ways') {
    const begun = complete(COMMON_CONDITIONS.filter((word) => !before.includes(word)))
    if (begun.length > 0) return begun.slice(0, MOST)
  }
  const understood = understand({ text: line, region })
  if (understood.ok && understood.value.verb === 'ways' && line.endsWith(' '))
    return complete(COMMON_CONDITIONS.filter((word) => !line.includes(word))).slice(0, MOST)
  if (/(?:^|\b(?:to|depth) |> ?)$/.test(before) && /^\d*$/.test(last)) {
    const sizes = [
      ...new Set(
        PIPES.filter((pipe) => pipe.regions.includes(region) && pipe.od >= 10 && pipe.od <= 35).map(
          ({ nominal }) => nominal,
        ),
      ),
    ]
    return complete(sizes).slice(0, MOST)
  }
  if (!/\b(?:to)\b|>|^od |^depth |^offset |^clips? /.test(line)) return complete(['to'])
  return understood.ok && understood.value.verb === 'ways' ? complete(COMMON_CONDITIONS).slice(0, MOST) : []
}
