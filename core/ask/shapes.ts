import { findSocket, getPipe, PIPES, SERIES } from '#core/catalogue'
import type { Conditions, Method, PipeEnd } from '#core/joints'
import { LITRES_PER_GALLON, run } from '#core/speech'
import { FLOW_EXAMPLES, unitSystemOf } from '#core/units'
import { Bag, because, replaced, wrong, type AskedBack, type Line, type Read, type Wrong } from './bag'
import { endOf } from './ends'
import { askMethod, conditionsOf, isNot, methodOfJob, methodsFor, methodsOn, sayingOf, serviceOf } from './joining'
import type { Token, TokenOf } from './lexer'

/** The two sides of a word; a side without a size has no end of its own: the valve then joins its own pipe. */
const partsOf = (tokens: readonly Token[], isBetween: (token: Token) => boolean): Token[][] => {
  const parts = Bag.parted(tokens, isBetween)
  const ends = parts.filter((part) => part.some(({ kind }) => kind === 'figure' || kind === 'thread'))
  return tokens.some(({ kind }) => kind === 'valve') && ends.length === 1
    ? [tokens.filter((t) => !isBetween(t))]
    : parts
}

/* What a line can ask of pipe and joints: each shape takes the words it reads, and leaves none. */

/** The ways between two ends, with what was said of them and how they are best joined. */
const waysOf = (line: Line, ends: object, conditions: Partial<Conditions>, order: readonly Method[]): Read => ({
  verb: 'ways',
  question: {
    region: line.region,
    ...ends,
    ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
    ...(order.length > 0 ? { policy: { order } } : {}),
  },
})

/** A cap named before the size is what is done to it: "cap a 22". After it, it is a fitting with a depth. */
export const closes = (tokens: readonly Token[]): boolean => {
  const size = tokens.findIndex(({ kind }) => kind === 'figure')
  // With the way it is joined, the depth in that cap is asked.
  const isMade = tokens.some(({ kind }) => kind === 'method')
  return tokens.some(
    (token, at) =>
      token.kind === 'close' ||
      (token.kind === 'fitting' && token.fitting === 'cap' && !isMade && size >= 0 && at < size),
  )
}

/** A pipe or thread that is closed: every cap, plug and stop end on it. */
export function readClose(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.all('close')
  const other = bag.all('fitting').find(({ fitting }) => fitting !== 'cap')
  if (other) return wrong('one end, such as cap 22 copper', other)
  const conditions = conditionsOf(line, bag)
  const order = bag.all('method').map(({ method }) => method)
  const a = endOf(line, bag)
  if (isNot(a)) return a
  if (bag.first) return wrong('one end, or a condition such as hot, wet or temporary', bag.first)
  return waysOf(line, { a, b: { cap: true } }, conditions, order)
}
/** Two ends, one side of "to" each; what a slip coupling, a reducer or a plain coupling joins is its own pipe. */
export function readWays(line: Line, tokens: readonly Token[]): Read {
  const isTo = (kind: 'to' | 'by' | 'and' | 'valve') => (token: Token) => token.kind === kind
  const by = (['to', 'by', 'and', 'valve'] as const).find((kind) => tokens.some(isTo(kind)))
  const valves = tokens.filter((token): token is TokenOf<'valve'> => token.kind === 'valve')
  if (valves.length > 1) return wrong('one valve between two ends', valves[1])
  // A valve stands between its two ends, where nothing else does.
  const parts = by === undefined ? [[...tokens]] : partsOf(tokens, isTo(by))
  if (parts.length > 2) return wrong('one "to": two ends are joined', tokens.filter(isTo(by!))[1])
  // What is said of the joint may stand anywhere; what is left on each side is its end.
  const ofJoint = (token: Token) =>
    ['condition', 'pressure', 'temperature', 'method', 'fitting', 'valve'].includes(token.kind)
  const common = new Bag(tokens.filter(ofJoint))
  const [left, right] = parts.map((part) => part.filter((token) => !ofJoint(token)))
  const materialsIn = (part: readonly Token[] | undefined) =>
    (part ?? []).filter((token): token is TokenOf<'material'> => token.kind === 'material')
  const bags = [left, right].map((part) => part && new Bag(part))
  const a = endOf(line, bags[0]!, materialsIn(right))
  if (isNot(a)) return a
  const b = bags[1] ? endOf(line, bags[1], materialsIn(left)) : a
  if (isNot(b)) return b
  const fittings = common.all('fitting')
  const turns = fittings.find(({ fitting }) => !['slip', 'coupling', 'reducer'].includes(fitting))
  if (turns) return wrong('two ends in line, or the depth into a fitting, such as depth 22 press,', turns)
  const conditions = conditionsOf(line, common)
  if (fittings.some(({ fitting }) => fitting === 'slip')) conditions.play ??= 0
  const order = common.all('method').map(({ method }) => method)
  common.all('valve')
  const over = bags.map((bag) => bag?.first).find(Boolean) ?? common.first
  if (over) return wrong('a condition such as hot, hidden, wet or wood', over)
  return waysOf(line, { a, b, ...(valves[0] ? { valve: valves[0].valve } : {}) }, conditions, order)
}

/** A thread's own end, or a pipe's, with the word that says how it is joined. */
export function readDepth(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.take('asks')
  const method = bag.take('method')
  bag.all('fitting')
  const conditions = conditionsOf(line, bag)
  const given = Object.keys(conditions).length > 0 ? { conditions } : {}
  const base = { region: line.region, orientation: 'horizontal', ...given }
  const figure = tokens.find((token): token is TokenOf<'figure'> => token.kind === 'figure')
  if (!figure) return wrong('a size, such as 22 or 3/4', bag.first)
  if (bag.has('thread') || method?.method === 'thread' || method?.method === 'union')
    return readThread(bag, figure, method, base)
  const isBare = !bag.has('material')
  const taken = isBare && method && figure.nominal !== null ? bareSize(line, figure, method) : null
  if (isBare && method && figure.nominal !== null && !taken)
    return because(`No ${method.word.text} joint is made for a pipe of size ${figure.nominal} here.`, figure)
  if (taken) {
    bag.take('figure')
    const facts = Object.assign({}, ...bag.all('fact').map((token) => token.facts)) as object
    return bag.first ? wrong('the end of the line', bag.first) : cardOf(line, { pipe: taken, ...facts }, method!, base)
  }
  const end = endOf(line, bag)
  if (isNot(end)) return end
  if (!('pipe' in end)) return wrong('a pipe, such as 22 copper', figure)
  if (bag.first) return wrong('the end of the line', bag.first)
  if (method) return cardOf(line, end, method, base)
  const own = methodOfJob(line, [end.pipe])
  return own ? { verb: 'make', question: { method: own, ...end, ...base } } : askMethod(line, tokens.at(-1)!, end.pipe)
}

function readThread(bag: Bag, figure: TokenOf<'figure'>, method: TokenOf<'method'> | undefined, base: object): Read {
  bag.take('figure')
  const threads = bag.all('thread')
  bag.all('material')
  const form = threads.find((token) => token.form)?.form
  if (figure.nominal === null) return wrong('a thread size, such as 1/2', figure)
  figure.word.as = `size ${figure.nominal}`
  if (bag.first) return wrong('the end of the line', bag.first)
  const question = { method: method?.method ?? 'thread', nominal: figure.nominal, ...(form ? { form } : {}), ...base }
  return { verb: 'make', question }
}

/** What is meant first by a bare size of copper. */
const FIRST: ReadonlySet<string> = new Set(['cu-en-x', 'cu-l'])
const orderOf = (series: string) => (FIRST.has(series) ? -1 : SERIES.findIndex(({ id }) => id === series))

/** Without a material: the pipe of that size here which the method takes, copper first; it is echoed. */
function bareSize(line: Line, figure: TokenOf<'figure'>, { method }: TokenOf<'method'>): string | null {
  const takes = PIPES.filter(
    (pipe) =>
      pipe.nominal === figure.nominal &&
      pipe.regions.includes(line.region) &&
      methodsFor(method).some((one) => findSocket(one, pipe)),
  ).sort((x, y) => orderOf(x.series) - orderOf(y.series))
  const known = takes.find(({ id }) => line.job.pipes?.includes(id))
  const pipe = known ?? takes[0]
  if (!pipe) return null
  figure.word.as = `size ${figure.nominal}: ${pipe.label}${known ? ', as on this job' : ''}`
  return pipe.id
}

function cardOf(line: Line, end: { pipe: string }, { method, word, ...at }: TokenOf<'method'>, base: object): Read {
  const own = methodsFor(method).find((one) => findSocket(one, getPipe(end.pipe)))
  if (!own) return because(`No ${word.text} joint is made for ${getPipe(end.pipe).label}.`, { ...at, method, word })
  word.as = own.replaceAll('-', ' ')
  word.others = methodsOn(end.pipe)
    .map(sayingOf)
    .filter((name) => name !== sayingOf(own))
  return { verb: 'make', question: { method: own, ...end, ...base } }
}

/** The pipe a line is about; a thread is none. */
function pipeOf(line: Line, bag: Bag, tokens: readonly Token[]): PipeEnd | AskedBack | Wrong {
  const end = endOf(line, bag)
  if (isNot(end) || 'pipe' in end) return end
  return wrong(
    'a pipe, such as 22 copper',
    tokens.find(({ kind }) => kind === 'thread'),
  )
}

/** How far apart a pipe's supports stand. */
export function readClips(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.take('asks')
  const conditions = conditionsOf(line, bag)
  const end = pipeOf(line, bag, tokens)
  if (isNot(end)) return end
  if (bag.first) return wrong('the end of the line, or a service such as hot', bag.first)
  return {
    verb: 'fix',
    question: { region: line.region, pipe: end.pipe, ...serviceOf(conditions), installedAt: 15, legs: [] },
  }
}

/** How tight a pipe is bent. */
export function readBend(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.take('asks')
  bag.take('radius')
  const end = pipeOf(line, bag, tokens)
  if (isNot(end)) return end
  if (bag.first) return wrong('the end of the line', bag.first)
  const { series, nominal } = getPipe(end.pipe)
  return { verb: 'pipes', question: { series, nominal } }
}

/** A bare figure taken as the job's flow: litres or gallons. */
const bareFlow = (value: number, { region }: Line): number =>
  unitSystemOf(region) === 'inch' ? (value * LITRES_PER_GALLON) / 60 : value

/** What a flow loses in a run of pipe: its pipe, its flow, its length, in any order. */
export function readFlow(line: Line, tokens: readonly Token[]): Read {
  const bag = new Bag(tokens)
  bag.take('asks')
  const conditions = conditionsOf(line, bag)
  const said = bag.take('flow')
  const along = bag.take('figure', ({ isRun }) => isRun)
  const figures = tokens.filter((token): token is TokenOf<'figure'> => token.kind === 'figure' && token !== along)
  const bare = said
    ? undefined
    : bag.take('figure', (token) => token !== figures[0] && token.value !== null && !token.hasUnit)
  const end = pipeOf(line, bag, tokens)
  if (isNot(end)) return end
  const flow = said?.value ?? (bare ? bareFlow(bare.value!, line) : undefined)
  if (flow === undefined) return wrong(`a flow, such as ${FLOW_EXAMPLES[unitSystemOf(line.region)]}`, bag.first)
  if (bare) bare.word.as = `flow ${bare.word.text}, in the job's unit`
  const other = along ?? bag.take('figure')
  if (!other?.mm)
    return wrong(`a length, such as ${unitSystemOf(line.region) === 'inch' ? '30 ft' : '10 m'}`, bag.first)
  if (!other.hasUnit) return askLength(line, other)
  other.word.as = `length ${run(other.mm)}`
  if (bag.first) return wrong('the end of the line, or a service such as hot', bag.first)
  return {
    verb: 'flow',
    question: { region: line.region, pipe: end.pipe, length: other.mm, flow, ...serviceOf(conditions) },
  }
}
const askLength = (line: Line, token: TokenOf<'figure'>): AskedBack => ({
  asks: token.word.text,
  meanings: (unitSystemOf(line.region) === 'inch' ? ['ft', 'in'] : ['m', 'mm']).map((unit) => ({
    as: `${token.word.text} ${unit}`,
    text: replaced(line, token, `${token.word.text} ${unit}`),
  })),
})
