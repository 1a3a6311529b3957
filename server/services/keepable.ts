import { issue, type Issue } from '#core/base'

/** Nested deeper than this nothing is that we know; the database refuses more than 32. */
const MOST_DEPTH = 20

/** A place in an act as it is named to people: fields of its body by their own names. */
const placeOf = (path: readonly string[]): string => (path[0] === 'body' ? path.slice(1) : path).join('.')

/** What of a value no database keeps as it is: half a letter, or nesting without end; null where all of it can be kept. */
export function findUnkeepable(given: unknown): Issue | null {
  const open: { path: readonly string[]; value: unknown }[] = [{ path: [], value: given }]
  for (let at = open.pop(); at; at = open.pop()) {
    const { path, value } = at
    const where = placeOf(path)
    if (typeof value === 'string' && !value.isWellFormed())
      return issue('type', where, `${where || 'the act'}: holds half a letter, which no text has. Type it again.`)
    if (typeof value !== 'object' || value === null) continue
    if (path.length >= MOST_DEPTH) {
      const outer = placeOf(path.slice(0, 3))
      return issue('too-many', outer, `${outer}: nested deeper than ${MOST_DEPTH} is not accepted.`)
    }
    for (const [name, inside] of Object.entries(value)) {
      if (!name.isWellFormed()) return issue('type', where, `${where || 'the act'}: a name in it holds half a letter.`)
      open.push({ path: [...path, name], value: inside })
    }
  }
  return null
}
