import { getPipe, hazardOf, seriesOf } from '#core/catalogue'
import type { Method } from '#core/joints'
import { draftRun, splitLegs } from '#core/run'
import { Bag, because, wrong, type Line, type Read } from './bag'
import { endOf } from './ends'
import { askMethod, isNot, methodOfJob, methodOn, methodsOn, sayingOf } from './joining'
import type { Token, TokenOf } from './lexer'
import type { FittingWord } from './words'

/* Lines about a run of pipe: its legs, the fittings in it, a pipe by itself. */

/** Legs as they are typed on Line: a way and a length. */
const LEG = /(?:^|[\s,:;])(?:from [a-z]{1,2} )?(?!ss )[nsewud]{1,3} \d/
export const isRunOfLegs = (text: string): boolean => LEG.test(text.toLowerCase())

/** A run of legs behind the pipe and the method they are of. */
export function readRun(line: Line, headTokens: readonly Token[], legsText: string): Read {
  const bag = new Bag(headTokens)
  const method = bag.take('method')
  const end = bag.has('figure') ? endOf(line, bag) : null
  if (end && isNot(end)) return end
  const [ofJob, ...others] = line.job.pipes ?? []
  const pipe = end && 'pipe' in end ? end.pipe : ofJob
  if (!end && others.length > 0) return wrong('a pipe before the legs, such as 22 copper solder: e 640, u 480')
  if (pipe === undefined) return wrong('a pipe before the legs, such as 22 copper solder: e 640, u 480')
  const own = method ? methodOn(method.method, [pipe]) : methodOfJob(line, [pipe])
  if (method && !own) return because(`No ${method.word.text} joint is made for ${getPipe(pipe).label}.`, method)
  const [last] = headTokens.slice(-1)
  if (!own)
    return last ? askMethod(line, last, pipe) : wrong('how it is joined, such as 22 copper solder: e 640, u 480')
  if (bag.first) return wrong('the legs', bag.first)
  const head = { region: line.region, pipe, method: own, corners: 'fittings', start: 'free', walls: [] } as const
  const { question, rows, issues } = draftRun(head, splitLegs(legsText))
  const issue = issues[0] ?? rows.find((row) => row.issue)?.issue
  if (issue || !question)
    return wrong(issue?.message.replace(/^[\w.]+: /, '').replace(/\.$/, '') ?? 'a leg, such as e 640')
  return { verb: 'line', question: question as unknown as Record<string, unknown> }
}

/** How long the legs are that a fitting is drawn between, mm: only its own figures are said. */
const LEG_MM = 1000

/** What a fitting that turns takes of a length: its take-outs by the line it stands in. */
function fittingLine(line: Line, kind: FittingWord, pipes: readonly string[], method: Method): Read {
  const [first, , branch] = pipes
  const leg = (to: string, end: object, more: object = {}) => ({ length: LEG_MM, to, end, ...more })
  const free = { kind: 'free' }
  const legs =
    kind === 'tee'
      ? [
          leg('right', { kind: 'fitting', fitting: 'tee-run' }),
          leg('right', free, pipes[1] ? { pipe: pipes[1] } : {}),
          leg('up', free, { from: 0, pipe: branch ?? pipes[1] ?? first }),
        ]
      : [leg('right', { kind: 'fitting', fitting: kind }), leg(kind === 'elbow-90' ? 'up' : 'right', free)]
  if (kind === 'elbow-45') (legs[1] as { to: unknown }).to = [Math.SQRT1_2, 0, Math.SQRT1_2]
  return { verb: 'line', question: { region: line.region, pipe: first, method, start: free, legs } }
}

/** A tee or an elbow by its sizes, in the order of run, run, branch. */
export function readFitting(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  const fitting = bag.take('fitting')!
  const method = bag.take('method')
  bag.all('by')
  const materials = tokens.filter((token): token is TokenOf<'material'> => token.kind === 'material')
  const figures = tokens.filter((token): token is TokenOf<'figure'> => token.kind === 'figure')
  if (figures.length === 0) return wrong('a size, such as 22 or 22 x 22 x 15', fitting)
  if (figures.length > 3) return wrong('up to three sizes: run, run, branch', figures[3])
  const pipes: string[] = []
  for (const figure of figures) {
    const end = endOf(line, new Bag([figure, ...materials, ...tokens.filter(({ kind }) => kind === 'fact')]))
    if (isNot(end)) return end
    if (!('pipe' in end)) return wrong('a pipe, such as 22 copper', figure)
    pipes.push(end.pipe)
  }
  // One word stands for all of them, whatever their sizes.
  for (const { word } of materials) word.as = seriesOf(getPipe(pipes[0]!).series).words
  bag.all('figure')
  bag.all('material')
  bag.all('fact')
  if (bag.first) return wrong('the end of the line', bag.first)
  const own = method ? methodOn(method.method, pipes) : methodOfJob(line, pipes)
  if (!own && !method) return askMethod(line, tokens.at(-1)!, pipes[0]!)
  if (!own)
    return because(
      `No ${method!.word.text} fitting is made for ${pipes.map((pipe) => getPipe(pipe).label).join(', ')}.`,
      method,
    )
  return fittingLine(line, fitting.fitting, pipes, own)
}

/** A pipe and nothing said of it: what may be asked of it. */
export function readPipeAlone(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  const end = endOf(line, bag)
  if (isNot(end)) return end
  if (bag.first) return wrong('"to" and the other end', bag.first)
  const typed = line.text.trim()
  if (!('pipe' in end)) return wrong('"to" and the other end')
  const isLeft = hazardOf(getPipe(end.pipe)) !== null
  const methods = isLeft ? [] : methodsOn(end.pipe).slice(0, 2)
  return {
    asks: typed,
    meanings: [
      ...methods.map((id) => ({ as: `depth, ${id.replaceAll('-', ' ')}`, text: `depth ${typed} ${sayingOf(id)}` })),
      { as: 'how far apart supports stand', text: `clips ${typed}` },
      { as: 'how tight it bends', text: `bend radius ${typed}` },
    ],
  }
}
