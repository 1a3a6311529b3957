import type { Source } from '#core/base'
import * as threadNpt from './tables/asme-b1-20-1'
import * as supportsGb from './tables/bs-8558'
import * as threadBsp from './tables/en-10226-1'
import * as makersValves from './tables/makers-valves'
import * as bends from './tables/en-1057-bends'
import * as supportsPpr from './tables/dvs-2210-1'
import * as supportsMultilayer from './tables/en-multilayer-supports'
import * as supportsIpc from './tables/ipc-308-5'
import * as supportsIrc from './tables/irc-p2605'
import * as supportsUpc from './tables/upc-313-3'
import { STANDARDS } from './tables'

/** Where the figures of the tables are from: tube and fittings, threads, bends, supports. */
export const SOURCES: readonly Source[] = [
  ...STANDARDS,
  threadNpt,
  threadBsp,
  bends,
  makersValves,
  supportsIpc,
  supportsIrc,
  supportsUpc,
  supportsGb,
  supportsMultilayer,
  supportsPpr,
].map(({ SOURCE }) => SOURCE)

const CHECKED_WORDS: Readonly<Record<Source['checked'], string>> = {
  agreed: 'Checked: two lists made apart agree',
  part: 'Checked: two lists made apart agree in part; the range covers where they differ',
  one: 'Checked: one list only',
}

const isWordPart = (letter: string | undefined): boolean => letter !== undefined && /[\w.-]/.test(letter)

/** Whether a text names a standard whole: EN 1254-1, not the EN 1254-1 of EN 1254-12. */
function isNamed(text: string, { standard }: Source): boolean {
  const at = text.indexOf(standard)
  if (at < 0) return false
  const after = text.slice(at + standard.length)
  return !isWordPart(text[at - 1]) && !/^[\w-]|^\.\w/.test(after)
}

/** The sources that the words beside a figure name: of two that begin alike, the longer. */
export function sourcesNamed(text: string): Source[] {
  const named = SOURCES.filter((source) => isNamed(text, source))
  return named.filter(
    ({ standard }) => !named.some((other) => other.standard !== standard && other.standard.includes(standard)),
  )
}

/**
 * A source in a sentence: what it is about, its edition and clause as far as they are known here, and how it was
 * checked.
 */
export const aboutSource = ({ standard, subject, edition, clause, checked }: Source): string =>
  [
    `${standard}: ${subject}`,
    clause && !standard.includes(clause) ? clause : null,
    edition ? `Edition ${edition}` : 'Edition not known here',
    CHECKED_WORDS[checked],
  ]
    .filter((part) => part !== null)
    .join('. ')
