import type { Issue, Result } from '#core/base'

/**
 * A failure a person can act on: the status it goes out with and the issue they read. Anything else is our fault and
 * stays in the log.
 */
export class Problem extends Error {
  override name = 'Problem'

  constructor(
    readonly status: number,
    readonly issue: Issue,
    readonly extra: Record<string, unknown> = {},
  ) {
    super(issue.message)
  }
}

export const notFound = (path: string, what: string): Problem =>
  new Problem(404, { code: 'unknown-id', path, message: `${path}: ${what}` })
export const invalid = (issue: Issue): Problem => new Problem(422, issue)

/** What core accepted. Problem 422 for the rest. */
export function accepted<T>(result: Result<T>): T {
  if (result.ok) return result.value
  throw invalid(result.error)
}
