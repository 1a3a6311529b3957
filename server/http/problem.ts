import type { Issue, Result } from '#core/base'
import { OTHER_WAY, SIGNED, UNDONE } from '#core/record'

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

/** Another hand wrote first: what is saved goes back beside, so that both can be seen. */
export const changedMeanwhile = (what: string, saved: object): Problem =>
  new Problem(
    409,
    {
      code: 'impossible',
      path: 'version',
      message: `Someone else changed this ${what} meanwhile. What is saved now stands beside yours.`,
    },
    { saved },
  )

/**
 * What core accepted. Problem 409 with the saved record where another hand was first, 404 for what is not there, 422 for
 * the rest.
 */
export function accepted<T>(result: Result<T>, saved?: object): T {
  if (result.ok) return result.value
  if ([SIGNED, OTHER_WAY, UNDONE].some((error) => error === result.error))
    throw new Problem(409, result.error, { saved })
  throw result.error.path === 'step' && result.error.code === 'unknown-id'
    ? new Problem(404, result.error)
    : invalid(result.error)
}
