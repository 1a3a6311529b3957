import { setResponseStatus } from 'h3'
import * as z from 'zod/mini'
import { parseAs, readText } from '~~/server/http/body'
import { route } from '~~/server/http/route'
import { takeActs, type Answer } from '~~/server/services/acts'

/** A plan of 2,000 pieces is about 2 MB. */
const MOST_BYTES = 3 * 1024 * 1024

const body = z.strictObject({ acts: z.array(z.unknown()).check(z.minLength(1), z.maxLength(50)) })
const STATUS: Readonly<Record<Answer['state'], number>> = { taken: 200, met: 409, refused: 422, held: 409 }

/**
 * Takes 1 to 50 acts in their order and says what came of each. The status of one alone is its own; of several each
 * answer has to be read.
 */
export default route(async (event) => {
  const { acts } = parseAs(await readText(event, MOST_BYTES), body)
  const answers = await takeActs(acts)
  if (answers.length === 1) setResponseStatus(event, STATUS[answers[0]!.state])
  return { acts: answers }
})
