import { answer, VERBS } from '#core/contract'
import { parseJson, readText } from '~~/server/http/body'
import { param } from '~~/server/http/param'
import { invalid, Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'

/** A thousand questions at once are a few hundred kB. */
const MOST_BYTES = 2 * 1024 * 1024

/** One question of a verb, or an array of them: 404 unknown verb, 400 unreadable, 422 a bad question. */
export default route(async (event) => {
  const verb = param(event, 'verb')
  if (!Object.hasOwn(VERBS, verb))
    throw new Problem(404, {
      code: 'verb',
      path: '',
      message: `No verb "${verb.slice(0, 40)}". Accepted: ${Object.keys(VERBS).join(', ')}.`,
    })
  const result = answer(verb, parseJson(await readText(event, MOST_BYTES)))
  if (!result.ok) throw invalid(result.error)
  return result.value
})
