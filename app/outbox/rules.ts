import type * as CoreRules from './core-rules'

let core: typeof CoreRules | undefined
let coming: Promise<typeof CoreRules> | undefined

/**
 * Brings core's rules of acts: they weigh many times what the list of jobs does, which needs none of them. Awaited before
 * a job is shown or an entry is read.
 */
export function bringRules(): Promise<typeof CoreRules> {
  coming ??= import('./core-rules').then(
    (rules) => (core = rules),
    (error: unknown) => {
      coming = undefined
      throw error
    },
  )
  return coming
}

/** Core's rules of acts, once they were brought. */
export function rules(): typeof CoreRules {
  if (!core) throw new Error('Core is asked before it is here.')
  return core
}
