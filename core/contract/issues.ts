import type * as z from 'zod/mini'
import type { Issue, IssueCode } from '#core/base'
import { CHLORINE_DIGITS } from '#core/catalogue'
import { HEAT_TARGETS } from '#core/heat'
import { DIRECTIONS } from '#core/line'
import { lengths, temperatures } from '#core/speech'
import { CHECK_NAMES } from './check-names'

const isPresent = (value: unknown, path: PropertyKey[]): boolean => {
  let at = value
  for (const key of path) {
    if (typeof at !== 'object' || at === null || !(key in at)) return false
    at = (at as Record<PropertyKey, unknown>)[key]
  }
  return at !== undefined
}

function read(value: unknown, path: PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (at, key) => (typeof at === 'object' && at !== null ? (at as Record<PropertyKey, unknown>)[key] : undefined),
    value,
  )
}

/** What is accepted where one of several kinds is, and the code of a word or number that is none of them. */
interface Union {
  accepted: string
  ofString?: IssueCode
  ofNumber?: IssueCode
}
const UNIONS: Readonly<Record<string, Union>> = {
  target: {
    accepted: `${HEAT_TARGETS.join(', ')} or a temperature of ${temperatures(30, 250)}`,
    ofString: 'unknown-id',
    ofNumber: 'range',
  },
  to: { accepted: `${DIRECTIONS.join(', ')} or a unit vector [right, away, up]`, ofString: 'unknown-id' },
  play: {
    accepted: `a length of ${lengths(0, 100_000)}, null for enough, or {a, b} with along and aside`,
    ofNumber: 'range',
    ofString: 'type',
  },
  barrier: { accepted: 'true, false or "unknown"', ofString: 'unknown-id' },
  b: { accepted: '{pipe}, {thread} or {cap: true}' },
  chlorine: { accepted: `${CHLORINE_DIGITS.join(', ')} or "unknown"`, ofString: 'unknown-id', ofNumber: 'unknown-id' },
}
const END_UNION: Union = { accepted: '{pipe} or {thread}' }

/** What a schema says is accepted in its own words; nothing where they are the package's. */
const ownWords = (message: string | undefined): string | undefined =>
  message === undefined || message.startsWith('Invalid') ? undefined : message.replace(/\.$/, '')

type Branch = readonly z.core.$ZodIssue[]
/** The branch of a union that a question meant, by the word that only it has. */
function branchOf(inside: object, branches: readonly Branch[], entered: Branch | undefined): Branch | undefined {
  if ('cap' in inside) return branches[2] ?? branches[0]
  return 'thread' in inside || Array.isArray(inside) ? branches[1] : (entered ?? branches[0])
}

/** Words for what a schema found wrong: the field, and what is accepted there. */
export function toIssue(found: z.core.$ZodIssue, question: unknown): Issue {
  const path = found.path.map(String)
  const at = path.join('.')
  const name = at === '' ? 'the question' : at
  const answer = (code: IssueCode, message: string, where = at): Issue => ({ code, message, path: where })
  switch (found.code) {
    case 'unrecognized_keys': {
      const key = found.keys[0]!.slice(0, 60)
      return answer(
        'unknown-field',
        `${[...path, key].join('.')}: there is no such field here. Look at its spelling.`,
        [...path, key].join('.'),
      )
    }
    case 'invalid_type':
      return isPresent(question, found.path)
        ? answer('type', `${name}: a ${found.expected} is accepted here.`)
        : answer('missing', `${name}: is missing; a ${found.expected} is accepted.`)
    case 'invalid_value':
      return isPresent(question, found.path)
        ? answer(
            typeof found.values[0] === 'string' && typeof read(question, found.path) !== 'string'
              ? 'type'
              : 'unknown-id',
            `${name}: accepted are ${found.values.join(', ')}.`,
          )
        : answer('missing', `${name}: is missing. Accepted are ${found.values.join(', ')}.`)
    case 'too_small':
      return answer(
        'range',
        `${name}: ${found.inclusive === false ? 'more than' : 'at least'} ${found.minimum} is accepted.`,
      )
    case 'too_big':
      return answer(
        found.origin === 'array' ? 'too-many' : 'range',
        `${name}: at most ${found.maximum}${found.origin === 'string' ? ' characters' : ''} accepted.`,
      )
    case 'invalid_union': {
      if ('discriminator' in found && found.discriminator !== undefined) {
        const where = at.endsWith(String(found.discriminator)) ? at : [...path, String(found.discriminator)].join('.')
        const accepted = ('options' in found && Array.isArray(found.options) ? found.options : CHECK_NAMES).join(', ')
        return isPresent(question, where.split('.'))
          ? answer('unknown-id', `${where}: accepted are ${accepted}.`, where)
          : answer('missing', `${where}: is missing. Accepted are ${accepted}.`, where)
      }
      const inside = read(question, found.path)
      const { accepted, ofString, ofNumber } = UNIONS[path.at(-1) ?? ''] ?? END_UNION
      if (inside === undefined) return answer('missing', `${name}: is missing; ${accepted} is accepted.`)
      const code = { string: ofString, number: ofNumber }[typeof inside as 'string']
      if (code) return answer(code, `${name}: ${accepted} is accepted.`)
      if (typeof inside !== 'object' || inside === null) return answer('type', `${name}: ${accepted} is accepted here.`)
      // The branch that went into what was given, rather than the one that wanted another kind.
      const entered = found.errors.find(
        (issues) => issues[0] && (issues[0].path.length > 0 || issues[0].code === 'unrecognized_keys'),
      )
      const branch = branchOf(inside, found.errors, entered)?.[0]
      return branch
        ? toIssue({ ...branch, path: [...found.path, ...branch.path] } as z.core.$ZodIssue, question)
        : answer('type', `${name}: ${accepted} is accepted here.`)
    }
    case 'invalid_key':
      return answer('type', `${name}: ${ownWords(found.issues[0]?.message) ?? 'not accepted here'}.`)
    default:
      return answer('type', `${name}: ${ownWords(found.message) ?? 'not accepted here'}.`)
  }
}
