import { issue } from '#core/base'
import { Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'
import { loadDemo } from '~~/server/demo/load'

let loading: Promise<number> | undefined

/** Loads the demo jobs where there is no job yet. */
export default route(async () => {
  loading ??= loadDemo({ replace: false }).finally(() => {
    loading = undefined
  })
  const jobs = await loading
  if (jobs === 0)
    throw new Problem(
      409,
      issue('impossible', '', 'There are jobs here already: the demo is loaded into an empty list only.'),
    )
  return { jobs }
})
