import { fail, ok, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import { spoken } from '#core/speech'
import { isAskedBack, isWrong, type AskedBack, type Line, type Read } from './bag'
import { lex, type Lexed, type Token } from './lexer'
import { isRunOfLegs, readFitting, readPipeAlone, readRun } from './lines'
import { readOd, readOffset } from './measured'
import { closes, readBend, readClips, readClose, readDepth, readFlow, readWays } from './shapes'
import type { AskQuestion, Understood } from './types'
import type { Asks } from './words'

/** What is accepted, as shapes to follow. */
const METRIC_SHAPES = [
  '22 copper to 15 copper hot hidden',
  '3/4 cu > 20 multilayer heating',
  '1/2 bsp male to 15 copper',
  'cap 22 copper for now',
  '22 copper ball valve',
  'od 21.5 copper',
  'depth 22 press',
  'offset 60 @ 45',
  'rolling offset 100 x 60 @ 45',
  'clips 22 copper',
  'bend radius 22 copper',
  '22 copper 0.2 l/s 10 m',
  '22 copper solder: e 640, u 480',
] as const
const US_SHAPES = [
  '3/4 copper to 1/2 pex hot hidden',
  '3/4 L > 3/4 pex-a hydronic',
  '1/2 mip to 1/2 pex',
  'cap 3/4 copper for now',
  '3/4 copper ball valve',
  'od .875 copper',
  'depth 3/4 press',
  'offset 2 1/2 @ 45',
  'rolling offset 4 x 2 1/2 @ 45',
  'clips 3/4 copper',
  'bend radius 3/4 copper',
  '3/4 copper 3 gpm 30 ft',
  '3/4 copper solder: e 24, u 18',
] as const
export const shapesOf = (region: AskQuestion['region']): readonly string[] =>
  region === 'us' ? US_SHAPES : METRIC_SHAPES

type Reader = (line: Line, tokens: readonly Token[]) => Read
const BY_WORD: Readonly<Record<Asks, Reader>> = {
  od: readOd,
  offset: readOffset,
  rolling: readOffset,
  depth: readDepth,
  clips: readClips,
  bend: readBend,
  flow: readFlow,
}
const TURNS: ReadonlySet<string> = new Set(['tee', 'elbow-90', 'elbow-45'])

/** What a line asks, by the words it holds; their order is free. */
function shapeOf(tokens: readonly Token[]): Reader {
  const has = (kind: Token['kind']) => tokens.some((token) => token.kind === kind)
  const asked = tokens.find((token) => token.kind === 'asks')
  if (asked?.kind === 'asks') return BY_WORD[asked.asks]
  if (tokens.some((token) => token.kind === 'fitting' && TURNS.has(token.fitting)) && !has('to')) return readFitting
  if (closes(tokens)) return readClose
  if (has('to') || has('valve')) return readWays
  if (has('flow')) return readFlow
  const figures = tokens.filter((token) => token.kind === 'figure')
  if (figures.some((figure) => figure.kind === 'figure' && figure.isRun)) return readFlow
  const joins = tokens.some(
    (token) => token.kind === 'fitting' && ['slip', 'coupling', 'reducer'].includes(token.fitting),
  )
  if ((has('by') || has('and')) && figures.length === 2) return readWays
  if (joins && !has('method')) return readWays
  if (figures.length > 2 && !has('by')) return readFlow
  if (has('method') || tokens.some((token) => token.kind === 'fitting')) return readDepth
  if (figures.length === 0 && (has('material') || has('colour') || has('seen'))) return readOd
  if (has('thread')) return readWays
  if (has('seen')) return readOd
  return readPipeAlone
}

/** Legs begin where the first way and length stand; before them is what they are of. */
function readLegs(line: Line): { read: Read; lexed: Lexed } {
  const at = line.text.toLowerCase().search(/(?:from [a-z]{1,2} )?(?<![a-z0-9])(?!ss )[nsewud]{1,3} \d/)
  const lexed = lex(line.text.slice(0, at).replace(/[:;]\s*$/, ''), line.region)
  if (lexed.rest !== null) return { read: { wrong: 'a pipe and how it is joined' }, lexed }
  const legs = line.text.slice(at)
  const read = readRun(line, lexed.tokens, legs)
  return { read, lexed: { ...lexed, words: [...lexed.words, { text: legs.trim(), as: 'a run of legs' }] } }
}

function readLine(line: Line): { read: Read; lexed: Lexed } {
  if (isRunOfLegs(line.text)) return readLegs(line)
  const lexed = lex(line.text, line.region)
  if (lexed.rest !== null) return { read: { wrong: expectedAfter(lexed) }, lexed }
  if (lexed.tokens.every(({ kind }) => kind === 'filler'))
    return { read: { wrong: 'a line such as one of these' }, lexed }
  return { read: shapeOf(lexed.tokens)(line, lexed.tokens), lexed }
}

/** What could stand where a word is not known. */
function expectedAfter({ tokens }: Lexed): string {
  const last = tokens.findLast(({ kind }) => kind !== 'filler')
  if (last === undefined) return 'a size, such as 22 or 3/4,'
  if (last.kind === 'to') return 'a size, such as 22 or 3/4,'
  if (last.kind === 'figure') return `a material after ${last.word.text}, such as copper, pex, multilayer, pe or steel,`
  if (last.kind === 'asks') return last.asks === 'od' ? 'a diameter' : 'a size, such as 22 or 3/4,'
  if (!tokens.some(({ kind }) => kind === 'to')) return '"to" or > and the other end, a method, or a flow and a length,'
  return 'the end of the line, or a condition such as hot, hidden, wet or wood,'
}

/**
 * A line of the trade's speech as a question for one of the verbs, with every word and what it was taken for. A bare
 * number is mm in metric regions and inches in the United States; a fraction is inches everywhere. What a line does not
 * say, its job may. Issue `not-understood` at `text`: with `meanings` where a word may mean several things, else with
 * the shapes that are accepted and the words understood up to there.
 */
export const understand = spoken(read)
function read({ text, region, job = {} }: AskQuestion): Result<Understood> {
  // A pipe that a later version wrote is none of ours.
  const pipes = (job.pipes ?? []).filter((id) => findPipe(id, '').ok)
  const line: Line = { text, region, job: { ...job, pipes }, filled: [] }
  const { read: said, lexed } = readLine(line)
  const refuse = (message: string, more: object = {}): Result<Understood> => {
    const failure = fail('not-understood', 'text', `text: ${message}`)
    return { ...failure, error: { ...failure.error, accepted: [...shapesOf(region)], words: lexed.words, ...more } }
  }
  if (isAskedBack(said)) return refuse(askBack(said), { meanings: said.meanings })
  if (isWrong(said)) return refuse(said.isWhole ? said.wrong : instead(said.wrong, lexed, said.at))
  return ok({ ...said, words: lexed.words, ...(line.filled.length > 0 ? { filled: line.filled } : {}) })
}

/** What a word may mean, as a question; of one meaning whether it is meant. */
const askBack = ({ asks, meanings }: AskedBack): string =>
  meanings.length === 1
    ? `"${asks}" is no size of pipe as it stands. If ${meanings[0]!.as} is meant, say so.`
    : `"${asks}" may be ${listed(meanings.map(({ as }) => as))}. Say which.`

const listed = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} or ${words.at(-1)!}` : words.join('')

/** What was understood, what could stand there, and what stands there instead. */
function instead(expected: string, { words, rest }: Lexed, at: Token | undefined): string {
  const until = at ? words.indexOf(at.word) : words.length
  const understood = words
    .slice(0, until < 0 ? words.length : until)
    .map((word) => word.text)
    .join(' ')
  const begun = understood ? `"${understood}" is understood. ` : ''
  const there = at?.word.text ?? rest?.slice(0, 30).trim()
  return `${begun}Then ${expected} is accepted${there ? `, not "${there}"` : ''}.`
}
