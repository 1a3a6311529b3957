import { getRequestIP, setResponseHeader, setResponseStatus } from 'h3'
import { VERBS } from '#core/contract'
import { readText } from '~~/server/http/body'
import { param } from '~~/server/http/param'
import { Problem } from '~~/server/http/problem'
import { route } from '~~/server/http/route'
import { workQuestions } from '~~/server/services/questions'

/** A thousand questions at once are a few hundred kB. */
const MOST_BYTES = 2 * 1024 * 1024

/**
 * One question of a verb, or an array of them: 404 unknown verb, 400 unreadable, 422 a bad question. They are worked
 * beside the server, a second a call; of an array what is not worked by then is `too-many` in its place.
 */
export default route(async (event) => {
  const verb = param(event, 'verb')
  if (!Object.hasOwn(VERBS, verb))
    throw new Problem(404, {
      code: 'verb',
      path: '',
      message: `No verb "${verb.slice(0, 40)}". Accepted: ${Object.keys(VERBS).join(', ')}.`,
    })
  const { status, body } = await workQuestions(
    getRequestIP(event) ?? 'unknown',
    verb,
    await readText(event, MOST_BYTES),
  )
  setResponseStatus(event, status)
  setResponseHeader(event, 'Content-Type', 'application/json')
  return Buffer.from(body.buffer)
})
