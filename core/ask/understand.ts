import { fail, ok, type Result } from '#core/base'
import { findSocket, getPipe, PIPES, SERIES, type SocketMethod } from '#core/catalogue'
import type { Check } from '#core/identify'
import { nameOfPipe, pipesNamed, Reader, startsWith } from '#core/shorthand'
import { fillConditions, JOINT_METHODS, type Service } from '#core/joints'
import { formatDecimal, parseFlow, type Region, unitSystemOf } from '#core/units'
import type { AskQuestion, Understood } from './types'
import { LISTS, SAYS_OF_MATERIAL } from './words'

/** What is accepted, as shapes to follow. */
export const SHAPES = [
  '22 copper to 15 copper hot hidden',
  '3/4 cu > 20 multilayer heating',
  '1/2 npt male to 1/2 pex',
  'od 21.5 copper',
  'depth 22 press',
  'offset 60 @ 45',
  'clips 22 copper',
  '22 copper 0.2 l/s 10 m',
] as const

type End = { pipe: string } | { thread: { form: string; size: string; gender: string; material: string } }

/** A pipe or thread end; null where the line does not go on with one. */
function readEnd(reader: Reader): End | string {
  const size = reader.nominal()
  if (!size) return 'a size, such as 22 or 3/4'
  reader.takeNominal(size)
  const thread = reader.word(LISTS.threads, ({ name }) => `${name.toUpperCase()} thread`)
  if (thread) {
    const gender = reader.word(LISTS.genders, ({ name }) => name)?.gender ?? 'male'
    return { thread: { form: thread.form, size: size.nominal, gender, material: 'brass' } }
  }
  const found = startsWith(reader.rest, LISTS.materials)
  if (!found) return `a material after ${size.nominal}, such as copper, pex, multilayer, pe or steel`
  const [pipe, ...others] = pipesNamed(size.nominal, found.name, reader.region)
  if (pipe === undefined) return `a size that ${found.name} is made in; ${size.nominal} is none`
  reader.takeAs(
    found.name.length,
    getPipe(pipe).label,
    others.flatMap((id) => nameOfPipe(id, size.nominal, reader.region) ?? []),
  )
  return { pipe }
}

function readWays(reader: Reader): Omit<Understood, 'words'> | string {
  const a = readEnd(reader)
  if (typeof a === 'string') return a
  if ('pipe' in a && /^\d/.test(reader.rest)) return readFlow(reader, a.pipe)
  if (!reader.sign(/^(?:to\b|->|>|x\b|\u2192)/, 'to'))
    return 'pipe' in a ? '"to" or > and the other end, or a flow and a length,' : '"to" or > and the other end'
  const b = readEnd(reader)
  if (typeof b === 'string') return b
  const conditions: Record<string, unknown> = {}
  for (
    let found = reader.word(LISTS.conditions, ({ as }) => as);
    found;
    found = reader.word(LISTS.conditions, ({ as }) => as)
  )
    Object.assign(conditions, found.set)
  return {
    verb: 'ways',
    question: { region: reader.region, a, b, ...(Object.keys(conditions).length > 0 ? { conditions } : {}) },
  }
}

/** A service said after what it is for, with the temperature that is usual for it. */
function readService(reader: Reader): { service: Service; temperature: number } {
  const found = reader.word(
    LISTS.conditions.filter(({ set }) => 'service' in set),
    ({ as }) => as,
  )
  const service = (found?.set.service ?? 'cold') as Service
  return { service, temperature: fillConditions({ service }).temperature }
}

function readFlow(reader: Reader, pipe: string): Omit<Understood, 'words'> | string {
  const typed = /^\d+(?:[.,]\d+)? ?(?:l\/?s|l\/?min|lpm|gpm|gal\/min|m3\/h)?(?![a-z0-9])/.exec(reader.rest)
  const flow = typed && parseFlow(typed[0], unitSystemOf(reader.region))
  if (!typed || !flow?.ok) return 'a flow, such as 0.2 l/s, 12 l/min or 3 gpm'
  reader.takeAs(typed[0].length, `flow ${formatDecimal(flow.value, 3)} l/s`)
  const length = reader.length((mm) => `length ${formatDecimal(mm / 1000, 2)} m`)
  if (length === null) return 'a length, such as 10 m or 30 ft'
  return { verb: 'flow', question: { region: reader.region, pipe, length, flow: flow.value, ...readService(reader) } }
}

function readClips(reader: Reader): Omit<Understood, 'words'> | string {
  const end = readEnd(reader)
  if (typeof end === 'string') return end
  if (!('pipe' in end)) return 'a pipe, such as 22 copper'
  return {
    verb: 'fix',
    question: { region: reader.region, pipe: end.pipe, ...readService(reader), installedAt: 15, legs: [] },
  }
}

/** A check in a few words. */
function seenAs(check: Check): string {
  switch (check.check) {
    case 'magnet':
      return 'a magnet holds'
    case 'flex':
      return `it feels ${check.value}`
    case 'scratch':
      return `a scratch shows ${check.value.replace('-', ' ')}`
    default:
      return check.check
  }
}

function readOd(reader: Reader): Omit<Understood, 'words'> | string {
  const value = reader.length((mm) => `${formatDecimal(mm, 2)} mm outside, by calliper`)
  if (value === null) return 'a diameter, such as 21.5 or 7/8 in'
  const checks: unknown[] = [{ check: 'outside-diameter', value, by: 'calliper' }]
  for (;;) {
    const colour = reader.word(LISTS.colours, ({ name }) => `seen ${name}`)
    if (colour) {
      checks.push({ check: 'colour', value: colour.colour })
      continue
    }
    const material = startsWith(reader.rest, LISTS.materials)
    const says = material && SAYS_OF_MATERIAL[material.name]
    if (!material || !says) break
    reader.takeAs(material.name.length, says.map(seenAs).join(', '))
    checks.push(...says)
  }
  return { verb: 'identify', question: { region: reader.region, checks } }
}

function readDepth(reader: Reader): Omit<Understood, 'words'> | string {
  const size = reader.nominal()
  if (!size) return 'a size, such as 22 or 3/4'
  reader.takeNominal(size)
  const material = startsWith(reader.rest, LISTS.materials)
  const named = material ? pipesNamed(size.nominal, material.name, reader.region) : []
  if (material && named.length === 0) return `a size that ${material.name} is made in; ${size.nominal} is none`
  if (material) reader.takeAs(material.name.length, getPipe(named[0]!).label)
  const found = reader.word(LISTS.methods, ({ method }) => method)
  if (!found) return 'a method, such as press, solder, compression or push-fit'
  if (found.method === 'thread')
    return {
      verb: 'make',
      question: { method: 'thread', nominal: size.nominal, region: reader.region, orientation: 'horizontal' },
    }
  // Without a material: the pipe of that size here which the method takes, copper first.
  const taken = (material ? named.map(getPipe) : pipesOfSize(size.nominal, reader.region)).find((pipe) =>
    methodsFor(found.method).some((method) => findSocket(method, pipe)),
  )
  if (!taken) return `a size that ${found.method} is made for; ${size.nominal} is none`
  const method = methodsFor(found.method).find((one) => findSocket(one, taken))!
  return { verb: 'make', question: { method, pipe: taken.id, region: reader.region, orientation: 'horizontal' } }
}

/** A word may be said of several methods: press of copper and of multilayer alike. */
const methodsFor = (method: string): SocketMethod[] => [
  method as SocketMethod,
  ...Object.values(JOINT_METHODS)
    .filter(({ alsoSaidAs }) => alsoSaidAs === method)
    .map(({ id }) => id),
]
/** What is meant first by a bare size of copper. */
const FIRST: ReadonlySet<string> = new Set(['cu-en-x', 'cu-l'])
const orderOf = (series: string) => (FIRST.has(series) ? -1 : SERIES.findIndex(({ id }) => id === series))
const pipesOfSize = (nominal: string, region: Region) =>
  PIPES.filter((pipe) => pipe.nominal === nominal && pipe.regions.includes(region)).sort(
    (x, y) => orderOf(x.series) - orderOf(y.series),
  )

function readOffset(reader: Reader): Omit<Understood, 'words'> | string {
  const set = reader.length((mm) => `set ${formatDecimal(mm, 1)} mm`)
  if (set === null) return 'the set, such as 60 or 2 1/2 in'
  if (!reader.sign(/^(?:at\b|@)/, 'at')) return '@ and the angle'
  const angle = reader.number('angle, degrees')
  if (angle === null || angle <= 0 || angle > 90) return 'an angle of more than 0 up to 90 degrees'
  reader.sign(/^(?:\u00b0|deg(?:rees)?\b)/, 'degrees')
  const radius = reader.sign(/^(?:r|radius)(?=[\s\d])/, 'radius')
    ? reader.length((mm) => `radius ${formatDecimal(mm, 1)} mm`)
    : null
  return { verb: 'offset', question: { set, angle, ...(radius === null ? {} : { radius }) } }
}

/** What a line begins with that asks for more than ways to join, what that is taken for, and how the rest is read. */
const SIGNS: readonly (readonly [RegExp, string, typeof readWays])[] = [
  [/^(?:od|\u00f8)(?=[\s\d])/, 'what is this pipe', readOd],
  [/^(?:offset|off)(?=[\s\d])/, 'an offset', readOffset],
  [/^depth(?=[\s\d])/, 'how deep', readDepth],
  [/^clips?(?=[\s\d])/, 'how far apart supports stand', readClips],
]

/**
 * A line of the trade's shorthand as a question for one of the verbs, with every word and what it was taken for. A bare
 * number is mm in metric regions and inches in the United States; a fraction is inches everywhere. Issue
 * `not-understood` at `text`, with the shapes that are accepted and the words understood up to there.
 */
export function understand({ text, region }: AskQuestion): Result<Understood> {
  const reader = new Reader(text, region)
  const wrong = (expected: string): Result<Understood> => {
    const understood = reader.words.map(({ text: word }) => word).join(' ')
    const begun = understood ? `"${understood}" is understood. ` : ''
    const instead = reader.isDone ? '' : `, not "${reader.rest.slice(0, 30).trim()}"`
    const message = `text: ${begun}Then ${expected} is accepted${instead}.`
    const failure = fail('not-understood', 'text', message)
    return { ...failure, error: { ...failure.error, accepted: [...SHAPES], words: reader.words } }
  }
  if (reader.isDone) return wrong('a line such as "22 copper to 15 copper"')
  const [, , read] = SIGNS.find(([sign, as]) => reader.sign(sign, as)) ?? [null, null, readWays]
  const said = read(reader)
  if (typeof said === 'string') return wrong(said)
  if (!reader.isDone) return wrong('the end of the line, or a condition such as hot, hidden, wet or wood,')
  return ok({ ...said, words: reader.words })
}
