import { issue, type Issue } from '#core/base'

/** Nested deeper than this nothing is that we know; the database refuses more than 32. */
const MOST_DEPTH = 20

/** What of a value no database keeps as it is: half a letter, or nesting without end; null where all of it can be kept. */
export function findUnkeepable(given: unknown): Issue | null {
  const open: { path: readonly string[]; value: unknown }[] = [{ path: [], value: given }]
  for (let at = open.pop(); at; at = open.pop()) {
    const { path, value } = at
    const where = path[0] === 'body' ? path.slice(1).join('.') : path.join('.')
    if (typeof value === 'string' && !value.isWellFormed())
      return issue('type', where, `${where || 'the act'}: holds half a letter, which no text has. Type it again.`)
    if (typeof value !== 'object' || value === null) continue
    if (path.length >= MOST_DEPTH)
      return issue(
        'too-many',
        path.slice(0, 3).join('.'),
        `${path.slice(0, 3).join('.')}: nested deeper than ${MOST_DEPTH} is not accepted.`,
      )
    for (const [name, inside] of Object.entries(value)) {
      if (!name.isWellFormed()) return issue('type', where, `${where || 'the act'}: a name in it holds half a letter.`)
      open.push({ path: [...path, name], value: inside })
    }
  }
  return null
}
